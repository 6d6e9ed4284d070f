import { NOW_MS, stackOf } from '../tests/paintings';
import { part, recipe, tube } from '../tests/recipes';
import { STUDIO_HANDBOOK } from '../handbook';
import { REFERENCE_CLIMATE } from '../drying';
import { chromaOf, de2000 } from '../optics';
import { NO_SWATCHES } from '../optics/composition';
import { assessPainting } from '../painting';
import { placeCoat } from '../painting/coats';
import { daysToReach } from '../painting/days';
import { stackLook } from '../painting/look';
import { isBroken } from '../tell';
import { coatOver, glazeForPassage, objectionTo, tryOver, type PassageTarget } from './for-passage';

const options = { handbook: STUDIO_HANDBOOK, climate: REFERENCE_CLIMATE, nowMs: NOW_MS };
const picture = stackOf([
  recipe([tube('titanium-white', 3), tube('raw-umber')], 0, [], 60),
  recipe([tube('ultramarine-blue')], 0.9, [part('stand-oil')], 12),
]);

const asked = (more: Partial<PassageTarget> = {}): PassageTarget => ({
  painting: picture,
  passageId: picture.passages[0]!.id,
  tubes: ['burnt-sienna', 'raw-umber', 'ultramarine-blue'].map((key) => {
    const { pigment, binder } = tube(key);
    return { pigment, binder };
  }),
  medium: [part('stand-oil')],
  mostMediumShare: 0.9,
  leastUm: 3,
  mostUm: 40,
  usualUm: 12,
  wanted: [60, 25, 40],
  uneven: 0.3,
  mostPaints: 2,
  ...more,
});

test('a glaze for a passage keeps the school, dries, and is told with its neighbours', () => {
  const found = glazeForPassage(asked(), options, NO_SWATCHES)!;
  expect(found.answers.length).toBeGreaterThan(0);
  for (const answer of found.answers) {
    expect(answer.touchDays).toBeGreaterThan(0);
    expect(answer.ml).toBeGreaterThan(0);
    expect(answer.neighbours).toHaveLength(picture.passages.length - 1);
    expect(de2000(answer.lab, [60, 25, 40])).toBeCloseTo(answer.de, 9);
  }
  expect(chromaOf(found.now)).toBeLessThan(12);
  expect(glazeForPassage(asked({ passageId: 'gone' }), options, NO_SWATCHES)).toBeNull();
});

test('what is told of an answer is what the section says of the coat once it is planned', () => {
  const found = glazeForPassage(asked(), options, NO_SWATCHES)!;
  const { recipe: its, lab, touchDays, objection } = found.answers[0]!;
  const planned = placeCoat(
    picture,
    { ...coatOver(picture.passages[0]!.id, its), id: 'planned' },
    { where: 'over-laid' },
    { now: picture.updatedAt },
  );
  const stack = assessPainting(planned, options).passages[0]!.base;
  const layer = stack.layers.find((l) => l.film.coatIds.includes('planned'))!;
  const look = stackLook(stack, planned, NO_SWATCHES).films.get(layer.film.key)!;
  expect(lab).toEqual(look.lab);
  expect(touchDays).toBe(daysToReach(layer.times.kind, layer.times.touch.median, options));
  expect(objection).toBeNull();
  expect(isBroken(layer, planned.school)).toBe(false);
});

test('a coat that does not hold is told with the sentence of the section', () => {
  // Acrylic over oil: refused by the rules, whatever the school.
  const over = coatOver(
    picture.passages[0]!.id,
    recipe([tube('raw-umber', 1, 'acrylic')], 0, [], 20),
  );
  const laid = {
    ...picture,
    ground: { kind: 'oil-ground' as const, laidAt: '2025-01-01T00:00:00.000Z' },
  };
  const tried = tryOver(laid, over, options)!;
  expect(objectionTo(tried)).toMatch(/^Acrylic over oil/);
});

test('of paints that do alike the one without a metal to heed comes first', () => {
  const tubes = ['cadmium-red', 'pyrrole-red'].map((key) => {
    const { pigment, binder } = tube(key);
    return { pigment, binder };
  });
  const found = glazeForPassage(
    asked({ tubes, mostPaints: 1, wanted: [55, 45, 30] }),
    options,
    NO_SWATCHES,
  )!;
  const names = found.answers.map((a) => a.recipe.mix[0]);
  expect(names.length).toBeGreaterThan(0);
  expect(names[0]).toMatchObject({ pigment: 'pyrrole-red' });
});
