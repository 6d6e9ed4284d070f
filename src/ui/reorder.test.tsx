import { fireEvent, render, screen } from '@testing-library/react';
import { Text } from './Text';
import { landing, Reorder } from './Reorder';

test('a row lands where it was dragged past the middle of a neighbour', () => {
  const heights = [40, 60, 40, 40];
  const from = (i: number, dy: number) => landing(heights, i, dy);
  expect([from(0, 10), from(0, 29), from(0, 31), from(0, 90), from(0, 900)]).toEqual([
    0, 0, 1, 2, 3,
  ]);
  expect([from(3, -10), from(3, -21), from(3, -75), from(3, -900)]).toEqual([3, 2, 1, 0]);
});

test('arrows on the handle move a row, and not beyond the ends', () => {
  const moves: [number, number][] = [];
  render(
    <Reorder
      rows={['tone', 'glaze']}
      keyOf={(row) => row}
      nameOf={(row) => row}
      row={(row) => <Text>{row}</Text>}
      onMove={(from, to) => moves.push([from, to])}
    />,
  );
  const press = (name: string, key: string) =>
    fireEvent.keyDown(screen.getByRole('button', { name: new RegExp(`^Move ${name}`) }), { key });
  press('tone', 'ArrowUp');
  press('tone', 'ArrowDown');
  press('glaze', 'ArrowUp');
  press('glaze', 'Enter');
  expect(moves).toEqual([
    [0, 1],
    [1, 0],
  ]);
});
