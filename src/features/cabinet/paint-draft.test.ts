import { starterCabinet } from '@/core/cabinet';
import type { CodecKey } from '@/forms';
import { checkDraft } from '@/forms/draft';
import { foundMediums, foundPaints, paintFigures } from './cabinet-list';
import { nameOf, newPaint, paintFormSchema } from './paint-draft';

const { paints, mediums } = starterCabinet();

test('a paint that nobody named is called by its pigments', () => {
  const fresh = newPaint('x');
  const two = {
    ...fresh,
    pigments: [...fresh.pigments, { pigment: 'ultramarine-blue', parts: 1 }],
  };
  expect(nameOf(two)).toBe('Titanium white + Ultramarine blue');
  expect(paintFormSchema.parse(two).name).toBe('Titanium white + Ultramarine blue');
  expect(paintFormSchema.parse({ ...two, name: 'My white' }).name).toBe('My white');
});

const typed = (text: string, as: CodecKey) => ({ typed: text, as, was: null });

test.each([
  [{ extenderShare: typed('95', 'percent') }, 'extenderShare', /at most 80 %/],
  [{ tubeMl: typed('big', 'millilitres') }, 'tubeMl', /must be a number of ml/],
  [{ price: typed('-1', 'money') }, 'price', /cannot be below 0/],
  [{ oilWtPct: typed('2', 'number') }, 'oilWtPct', /at least 5 %/],
  [{ dryingFactor: typed('0', 'number') }, 'dryingFactor', /at least 0.1/],
  [
    { pigments: [{ pigment: 'raw-umber', parts: typed('0', 'parts') }] },
    'pigments.0.parts',
    /above 0/,
  ],
])('what is wrong stands at its field: %j', (change, field, message) => {
  const checked = checkDraft(paintFormSchema, { ...newPaint('x'), ...change });
  expect(checked.value).toBeNull();
  expect(checked.issues.find((i) => i.where === field)?.message).toMatch(message);
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
