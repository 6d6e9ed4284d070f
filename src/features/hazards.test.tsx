import { render, screen } from '@testing-library/react';
import { ThemeProvider } from '@rneui/themed';
import { Hazards } from './Hazards';

const shown = (pigments: string[]) => {
  render(
    <ThemeProvider>
      <Hazards pigments={pigments} />
    </ThemeProvider>,
  );
  return screen.queryAllByText(/hold/).map((x) => x.textContent ?? '');
};

test('three pigments of manganese are one line, with what is usual said once', () => {
  const lines = shown(['raw-umber', 'burnt-umber', 'manganese-violet', 'titanium-white']);
  expect(lines).toHaveLength(1);
  expect(lines[0]).toMatch(/umber, .*umber and .*violet hold manganese:/i);
  expect(lines[0]!.match(/no sanding/g)).toHaveLength(1);
});

test('another metal is another line; what holds none is not named', () => {
  const lines = shown(['raw-umber', 'cadmium-red', 'titanium-white']);
  expect(lines.map((line) => /holds (\w+)/.exec(line)?.[1])).toEqual(['manganese', 'cadmium']);
});
