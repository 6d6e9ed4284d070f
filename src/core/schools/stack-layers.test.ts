import { dryingTimes, ON_NEUTRAL_GROUND, REFERENCE_CLIMATE } from '../drying';
import { afterGroundLoss, composition, filmOfRecipe, type Recipe } from '../film';
import { HANDBOOK_SET } from '../tests/handbook-set';
import { ALKYD, part, recipe, tube } from '../tests/recipes';

/**
 * Every layer of the eight worked stacks: added-oil ratio, binder fraction, reduced PVC, intrinsic time,
 * touch-dry and through-dry at its thickness. Worked by hand with the handbook set (tube data after
 * Gettens & Stout, Mayer, Patton; drying model of docs/method.md with its first constants; from memory).
 */
const MEDIUM_113 = [part('stand-oil'), part('damar-varnish'), part('mineral-spirits', 3)];
const STAND_11 = [part('stand-oil'), part('mineral-spirits')];
const LINSEED_11 = [part('linseed-refined'), part('mineral-spirits')];
const SPIRITS = [part('mineral-spirits')];
const white = (
  m = 0,
  medium: Recipe['medium'] = [],
  h = 80,
  binder: 'linseed' | 'safflower' | 'alkyd' = 'linseed',
) => recipe([tube('titanium-white', 1, binder)], m, medium, h);
const one = (key: string, h: number, m = 0, medium: Recipe['medium'] = []) =>
  recipe([tube(key)], m, medium, h);

interface Row {
  name: string;
  paint: Recipe;
  loss?: number;
  a: number;
  f: number;
  reduced: number;
  intrinsic: number;
  touch: number;
  through: number;
}
const row = (
  name: string,
  paint: Recipe,
  [a, f, reduced, intrinsic, touch, through]: [number, number, number, number, number, number],
  loss = 0,
): Row => ({ name, paint, loss, a, f, reduced, intrinsic, touch, through });

const ROWS: Row[] = [
  row(
    '1a raw umber in spirits',
    one('raw-umber', 20, 1 / 3, SPIRITS),
    [0, 0.76, 0.61, 1.5, 0.95, 1.52],
  ),
  row('1b titanium neat', white(), [0, 0.595, 0.76, 4.88, 6.17, 39.5]),
  row('2a lead white neat', one('lead-white', 80), [0, 0.54, 0.823, 2.25, 2.85, 18.2]),
  row(
    '2b raw umber glaze',
    one('raw-umber', 15, 2 / 3, MEDIUM_113),
    [0.515, 0.842, 0.402, 1.68, 0.92, 1.2],
  ),
  row('3a safflower titanium', white(0, [], 80, 'safflower'), [0, 0.595, 0.76, 8.78, 11.1, 71.0]),
  row('3b alkyd titanium', white(0, [], 80, 'alkyd'), [0, 0.595, 0.76, 0.8, 1.01, 11.1]),
  row(
    '4a burnt umber, alkyd',
    one('burnt-umber', 20, 0.2, ALKYD),
    [0.108, 0.781, 0.548, 1.23, 0.78, 1.32],
  ),
  row('4b titanium, alkyd', white(0.2, ALKYD, 60), [0.108, 0.634, 0.686, 2.44, 2.67, 15.8]),
  row(
    '4c ultramarine, alkyd',
    one('ultramarine-blue', 20, 0.2, ALKYD),
    [0.108, 0.627, 0.682, 2.3, 1.46, 2.85],
  ),
  row(
    '5a titanium, stand and damar',
    white(0.2, MEDIUM_113),
    [0.064, 0.62, 0.714, 5.0, 6.33, 40.5],
  ),
  row('5b bone black neat', one('ivory-black', 40), [0, 0.709, 0.673, 6.75, 6.04, 19.3]),
  row('6a titanium impasto', white(0, [], 800), [0, 0.595, 0.76, 4.88, 19.5, 1248]),
  row(
    '6b alizarin glaze',
    one('alizarin-crimson', 15, 0.5, STAND_11),
    [0.5, 0.807, 0.415, 8.62, 4.72, 6.14],
  ),
  row(
    '7a raw umber on hungry ground',
    one('raw-umber', 20, 0.5, SPIRITS),
    [0, 0.655, 0.876, 1.5, 0.95, 1.52],
    0.4,
  ),
  row('7b cadmium red neat', one('cadmium-red', 60), [0, 0.632, 0.707, 5.25, 5.75, 27.6]),
  row(
    '8a rich ultramarine',
    one('ultramarine-blue', 50, 0.3, LINSEED_11),
    [0.214, 0.66, 0.622, 4.5, 4.5, 18.0],
  ),
  row('8b titanium, alkyd', white(0.2, ALKYD), [0.108, 0.634, 0.686, 2.44, 3.08, 24.3]),
];

/** Three printed figures: half a unit of the last, and the 0.005 of safflower's own density. */
const within = (actual: number, expected: number, relative: number, absolute: number) =>
  expect(Math.abs(actual - expected)).toBeLessThanOrEqual(Math.max(absolute, relative * expected));

test.each(ROWS)('layer $name', ({ paint, loss, a, f, reduced, intrinsic, touch, through }) => {
  const asLaid = filmOfRecipe(HANDBOOK_SET, paint);
  const c = composition(HANDBOOK_SET, afterGroundLoss(asLaid, loss ?? 0));
  const t = dryingTimes(
    HANDBOOK_SET,
    asLaid,
    paint.thicknessUm,
    ON_NEUTRAL_GROUND,
    REFERENCE_CLIMATE,
  );
  const added = composition(HANDBOOK_SET, asLaid).addedOilRatio!;
  within(added, a, 0, 0.001);
  within(c.fatness, f, 0, 0.002);
  within(c.reducedPvc!, reduced, 0, 0.004);
  within(t.intrinsicTouchDays, intrinsic, 0.006, 0.006);
  within(t.touch.median, touch, 0.006, 0.006);
  within(t.through.median, through, 0.008, 0.006);
});
