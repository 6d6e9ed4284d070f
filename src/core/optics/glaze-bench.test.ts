import { recipe, part, tube } from '../tests/recipes';
import { de2000, labOf, over, plateOf, seen, thicker, valueOfLab, type Lab } from '.';
import { NO_SWATCHES } from './composition';
import {
  benchFacts,
  coatPlans,
  GREY_SCALE,
  labAt,
  perUm,
  wedgeRows,
  WHITE_TONE,
} from './glaze-bench';
import { seenUneven } from './look';

const RED = recipe([tube('transparent-oxide-red')], 0.8, [part('stand-oil')], 15);
const film = perUm(RED, NO_SWATCHES)!;
const look = { finish: 'oil-gloss', cv: 0.3 } as const;

test('the grey scale is of values 9, 7, 5, 3 and 1', () => {
  const values = GREY_SCALE.map(({ inner }) => valueOfLab(labOf(seen(inner, 'oil-gloss'))));
  [9, 7, 5, 3, 1].forEach((v, i) => expect(Math.abs(values[i]! - v)).toBeLessThan(0.2));
});

test('every step of the wedge is the film of that thickness, uneven as it is laid', () => {
  const [row] = wedgeRows(film, [WHITE_TONE], { mostUm: 60, steps: 60, ...look });
  for (const um of [1, 15, 60]) {
    const direct = labOf(seenUneven(thicker(film, um), WHITE_TONE.inner, 'oil-gloss', 0.3));
    expect(de2000(labAt(row!, um, 60), direct)).toBeLessThan(1e-6);
  }
  expect(labAt(row!, 0, 60)).toEqual(row!.labs[0]);
  expect(labAt(row!, 90, 60)).toEqual(row!.labs.at(-1));
  // Between two steps it lies between them.
  const between = labAt(row!, 15.5, 60)[0];
  expect(between).toBeLessThan(labAt(row!, 15, 60)[0]);
  expect(between).toBeGreaterThan(labAt(row!, 16, 60)[0]);
});

test('a place of a picture is before as it looks now, whatever surface the glaze is looked at with', () => {
  const now: Lab = [40, 3, 4];
  const [row] = wedgeRows(film, [{ ...WHITE_TONE, lab: now }], { mostUm: 60, steps: 6, ...look });
  expect(row!.before).toEqual(now);
});

test('one coat or several: the same colour, other days, in the air that is given', () => {
  const plans = coatPlans(RED, 20, (_, dose) => 2 * dose);
  expect(plans.map((p) => p.coats)).toEqual([1, 2, 3, 5]);
  expect(plans.every((p) => Math.abs(p.coats * p.um - 20) < 1e-9)).toBe(true);
  // Thin films dry sooner each, but not so much sooner as there are more of them: by the film core.
  expect(plans[3]!.days).toBeGreaterThan(plans[0]!.days!);
  expect(coatPlans(RED, 2, () => null).map((p) => [p.coats, p.days])).toEqual([
    [1, null],
    [2, null],
  ]);
  const twice = over(
    plateOf(thicker(film, 10)),
    over(plateOf(thicker(film, 10)), WHITE_TONE.inner),
  );
  const once = over(plateOf(thicker(film, 20)), WHITE_TONE.inner);
  expect(de2000(labOf(seen(once, 'oil-gloss')), labOf(seen(twice, 'oil-gloss')))).toBeLessThan(
    1e-6,
  );
});

test('facts: a transparent glaze covers nothing; a veil of white cools the dark', () => {
  const clear = benchFacts(film, 15, WHITE_TONE.inner, GREY_SCALE, look);
  expect(clear.line.shows).toBe(true);
  expect(clear.cover.passes).toBeGreaterThan(1);
  expect(clear.between[0][0]).toBeGreaterThan(clear.between[1][0]);
  const veil = perUm(recipe([tube('titanium-white')], 0.8, [part('stand-oil')]), NO_SWATCHES)!;
  expect(benchFacts(veil, 12, WHITE_TONE.inner, GREY_SCALE, look).veilWarmth).toBeLessThan(-1.5);
});
