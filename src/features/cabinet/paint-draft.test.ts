import { starterCabinet } from '@/core/cabinet';
import { foundMediums, foundPaints, paintFigures } from './cabinet-list';
import { checkPaint, draftOfPaint, nameOf, newPaintDraft } from './paint-draft';

const { paints, mediums } = starterCabinet();

test('a paint goes into the form and comes out the same', () => {
  for (const paint of paints) expect(checkPaint(draftOfPaint(paint)).paint).toEqual(paint);
});

test('a paint that nobody named is called by its pigments', () => {
  const draft = newPaintDraft('x');
  draft.pigments.push({ pigment: 'ultramarine-blue', parts: '1' });
  expect(nameOf(draft)).toBe('Titanium white + Ultramarine blue');
  expect(checkPaint(draft).paint!.name).toBe('Titanium white + Ultramarine blue');
});

test.each([
  [{ extenderPct: '95' }, 'extenderShare', /at most 80 %/],
  [{ tubeMl: 'big' }, 'tubeMl', /must be a number of ml/],
  [{ price: '-1' }, 'price', /cannot be below 0/],
  [{ oilWtPct: '2' }, 'oilWtPct', /at least 5 %/],
  [{ dryingFactor: '0' }, 'dryingFactor', /at least 0.1/],
  [{ pigments: [{ pigment: 'raw-umber', parts: '0' }] }, 'pigments.0.parts', /above 0/],
])('what is wrong stands at its field: %j', (change, field, message) => {
  const checked = checkPaint({ ...newPaintDraft('x'), ...change });
  expect(checked.paint).toBeNull();
  expect(checked.problem(field)).toMatch(message);
});

test('paints are found by metal, code and pigment, in the order asked for', () => {
  expect(foundPaints(paints, 'cadmium', 'name', false).map((p) => p.name)).toEqual([
    'Cadmium red',
    'Cadmium yellow',
  ]);
  expect(foundPaints(paints, 'PB29', 'name', false)).toHaveLength(1);
  const fast = foundPaints(paints, '', 'fast', false).map((p) => paintFigures(p).touchDays);
  expect(fast).toEqual([...fast].sort((a, b) => a - b));
  const fat = foundPaints(paints, '', 'fat', false).map((p) => paintFigures(p).composition.fatness);
  expect(fat).toEqual([...fat].sort((a, b) => b - a));
  const some = paints.map((p, i) => ({ ...p, left: i % 3, archived: i === 0 }));
  expect(foundPaints(some, '', 'left', false)[0]!.left).toBe(0);
  expect(foundPaints(some, '', 'name', true)).toHaveLength(1);
  expect(foundMediums(mediums, 'damar', false).map((m) => m.name)).toEqual([
    'Stand oil, damar, turpentine 1:1:5',
  ]);
});
