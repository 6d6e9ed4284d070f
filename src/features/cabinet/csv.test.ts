import { starterCabinet } from '@/core/cabinet';
import { mediumsCsv, paintsCsv, readMediumsCsv, readPaintsCsv } from './csv';

const { paints, mediums } = starterCabinet();
const newId = () => 'new';

test('out and in again: the same paints, also with commas and quotes in their names', () => {
  const odd = { ...paints[0]!, id: 'odd', name: 'Grey, "the good one"', price: 7.5, left: 0.4 };
  const all = [...paints, odd];
  expect(readPaintsCsv(paintsCsv(all), newId)).toEqual({ items: all, bad: [] });
});

test('as a table program saves it: byte order mark, other line ends, blank lines', () => {
  const text = `\uFEFF${paintsCsv(paints).replace(/\n/g, '\r\n')}\r\n\r\n`;
  expect(readPaintsCsv(text, newId).items).toHaveLength(paints.length);
});

test('bad rows are named by their line, and the good ones stand beside them', () => {
  const text = [
    'name,pigments,price,id',
    'Good,titanium-white,5,a',
    'Bad price,raw-umber,dear,b',
    '"Two',
    'lines",PW4,,c',
    ',raw-umber,,d',
    'No such,mauve dream,,e',
    'Twice,raw-umber,,a',
    'Too many,raw-umber,1,f,more',
  ].join('\n');
  const { items: good, bad } = readPaintsCsv(text, newId);
  expect(good.map((p) => p.id)).toEqual(['a', 'c']);
  expect(bad.map((b) => b.line)).toEqual([3, 6, 7, 8, 9]);
  expect(bad[0]!.problems[0]).toMatch(/^price: The price must be a number/);
  expect(bad[3]!.problems[0]).toBe('id: the same as in line 2.');
});

test('a file without the columns is refused by name', () => {
  expect(() => readPaintsCsv('colour,amount\nred,1\n', newId)).toThrow(/no column "name"/);
});

test('mediums go out and come in the same, strengths of varnishes too', () => {
  const strong = {
    ...mediums.find((m) => m.name.startsWith('Stand oil, damar'))!,
    id: 'strong',
    name: 'With a five-pound cut',
    by: 'weight' as const,
  };
  strong.parts = strong.parts.map((p) =>
    p.ingredient === 'damar-varnish' ? { ...p, solidsWtPct: 40.9 } : p,
  );
  const all = [...mediums, strong];
  expect(readMediumsCsv(mediumsCsv(all), newId)).toEqual({ items: all, bad: [] });
});

test('bad rows of mediums are named too', () => {
  const text = [
    'name,ingredients,by',
    'Lean,1 linseed oil + 3 mineral spirits,',
    'Honey,1 honey,',
    'None,,volume',
    'Odd,1 stand-oil,spoons',
    'No parts,stand-oil,',
  ].join('\n');
  const { items, bad } = readMediumsCsv(text, newId);
  expect(items.map((m) => m.parts.map((p) => p.ingredient))).toEqual([
    ['linseed-refined', 'mineral-spirits'],
  ]);
  expect(bad.map((b) => [b.line, b.problems[0]!.split(':')[0]])).toEqual([
    [3, 'ingredients'],
    [4, 'ingredients'],
    [5, 'by'],
    [6, 'ingredients'],
  ]);
});
