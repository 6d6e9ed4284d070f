import { fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { Text } from 'react-native';
import { ListRow } from './ListRow';
import { Search } from './Search';
import { Table } from './Table';

test('a table is one to those who hear it: heads, rows, groups, and what stands below a row', () => {
  render(
    <Table
      name="Films"
      columns={[{ head: 'film' }, { head: 'µm', width: 40 }]}
      rows={[
        { key: 'a', cells: ['Glaze', { words: '12', strong: true, tone: 'brick' }], group: 'jars' },
        { key: 'b', cells: ['Tone', { drawn: <Text>drawn</Text> }], group: 'jars', below: 'Thin.' },
      ]}
      rowHeads
    />,
  );
  const table = screen.getByRole('table', { name: 'Films' });
  expect(
    within(table)
      .getAllByRole('columnheader')
      .map((c) => c.textContent),
  ).toEqual(['film', 'µm']);
  expect(within(table).getAllByRole('row')).toHaveLength(3);
  expect(
    within(table)
      .getAllByRole('rowheader')
      .map((c) => c.textContent),
  ).toEqual(['jars', 'Glaze', 'Tone']);
  expect(
    within(table)
      .getAllByRole('cell')
      .map((c) => c.textContent),
  ).toEqual(['12', 'drawn', 'Thin.']);
});

test('a search has its label in sight, and can be cleared', () => {
  function Looked() {
    const [text, setText] = useState('och');
    return <Search label="Find by name" value={text} onChangeText={setText} />;
  }
  render(<Looked />);
  const box = screen.getByLabelText<HTMLInputElement>('Find by name');
  expect(box.value).toBe('och');
  expect(screen.getByText('Find by name')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Clear the search' }));
  expect(box.value).toBe('');
});

test('a row of a list is an item, and a link that other tabs can follow', () => {
  const onGo = jest.fn();
  render(
    <ListRow href="/cabinet/paints/a" onGo={onGo} label="Ochre: open">
      <Text>Ochre</Text>
    </ListRow>,
  );
  const link = screen.getByRole('link', { name: 'Ochre: open' });
  expect(link.getAttribute('href')).toBe('/cabinet/paints/a');
  fireEvent.click(link, { ctrlKey: true });
  expect(onGo).not.toHaveBeenCalled();
  fireEvent.click(link);
  expect(onGo).toHaveBeenCalledTimes(1);
});
