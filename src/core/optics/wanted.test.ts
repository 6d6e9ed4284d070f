import { chromaOf, labOfHex, valueOfLab, warmthOf, type Lab } from '.';
import { readColour, stepped } from './wanted';

test('steps away from a colour are those steps', () => {
  const from: Lab = [60, 12, 30];
  const darker = stepped(from, { value: -1, warmth: 0, chroma: 0 });
  expect(valueOfLab(darker)).toBeCloseTo(valueOfLab(from) - 1, 2);
  expect(chromaOf(darker)).toBeCloseTo(chromaOf(from), 6);
  expect(warmthOf(stepped(from, { value: 0, warmth: 8, chroma: 0 }))).toBeCloseTo(
    warmthOf(from) + 8,
    6,
  );
  expect(chromaOf(stepped(from, { value: 0, warmth: 0, chroma: -20 }))).toBeCloseTo(
    chromaOf(from) - 20,
    6,
  );
  // It never leaves what there is.
  expect(stepped([20, 0, 0], { value: -9, warmth: 0, chroma: -50 })).toEqual([
    expect.closeTo(0, 3),
    0,
    0,
  ]);
});

test.each([
  ['#8f4a16', labOfHex('#8f4a16')],
  ['8F4A16', labOfHex('#8f4a16')],
  ['52 18 -30', [52, 18, -30]],
  ['52,5 18,25 -30', [52.5, 18.25, -30]],
  ['52, 18, -30', [52, 18, -30]],
  ['52,18,-30', [52, 18, -30]],
  ['52; 18; -30', [52, 18, -30]],
])('"%s" is read as a colour', (text, lab) => {
  expect(readColour(text)).toEqual(lab);
});

test.each(['', '#8f4a1', '52 18', '152 0 0', '50 0 400', 'green', '50 a 3', '1 2 3 4'])(
  '"%s" is no colour',
  (text) => expect(readColour(text)).toBeNull(),
);
