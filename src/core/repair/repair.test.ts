import fc from 'fast-check';
import { assessPainting, verdictOf, type Coat, type Painting } from '../painting';
import { optionsAt, stackOf } from '../testing/paintings';
import { ALKYD, part, recipe, tube } from '../testing/recipes';
import type { SchoolKey } from '../schools';
import { repairAction, repairsFor, repairSentence, withMoreOf } from '.';
import { roundUpParts, smallestPassing } from './solve';

const WHITE = [tube('titanium-white')];
const STAND = [part('stand-oil'), part('mineral-spirits')];
const options = optionsAt();
const verdict = (p: Painting, coatId: string, school: SchoolKey) =>
  assessPainting(p, options)
    .passages.flatMap((x) => x.base.layers)
    .filter((l) => l.film.coatIds.includes(coatId))
    .map((l) => verdictOf(l, school)?.verdict ?? 'ok');
const apply = (p: Painting, changed: Coat): Painting => ({
  ...p,
  coats: p.coats.map((c) => (c.id === changed.id ? changed : c)),
});

// A lean scumble on a glaze: the notch that the interface draws.
const notched = stackOf([
  recipe(WHITE, 0.3, [part('stand-oil')], 15),
  recipe(WHITE, 0.1, STAND, 20),
]);

describe('repairs are solved', () => {
  test('added oil brings the coat to its school, and no less does', () => {
    expect(verdict(notched, 'c1', 'total-oil')).toEqual(['fail', 'fail']);
    const repair = repairsFor(
      { painting: notched, coatId: 'c1', school: 'total-oil' },
      options,
    ).find((r) => r.kind === 'add-oil')!;
    expect(verdict(apply(notched, repair.changed), 'c1', 'total-oil')).toEqual(['ok', 'ok']);
    // Half a measuring step less does not do it.
    const step = repair.parts! > 0.25 ? 0.25 : 0.05;
    const less = {
      ...repair.changed,
      recipe: withMoreOf(notched.coats[1]!.recipe, 'stand-oil', repair.parts! - step),
    };
    expect(verdict(apply(notched, less), 'c1', 'total-oil')).not.toEqual(['ok', 'ok']);
    expect(repair.satisfies).toContain('total-oil');
    expect(repair.touchDryDaysAfter).toBeGreaterThan(repair.touchDryDaysBefore);
    expect(repair.mlPer10MlPaint).toBeGreaterThan(0);
  });

  test('the sentence carries the amount and the figure', () => {
    const repair = repairsFor(
      { painting: notched, coatId: 'c1', school: 'total-oil' },
      options,
    )[0]!;
    expect(repairSentence(repair, 'total-oil')).toMatch(
      /parts? more stand oil brings it to \d+ %\.$/,
    );
    expect(repairAction(repair, 'total-oil')).toMatch(/^Fatten it to \d+ %$/);
  });

  test.each(['added-oil', 'binder-excess'] as SchoolKey[])('for %s too', (school) => {
    const p = { ...notched, school };
    const repair = repairsFor({ painting: p, coatId: 'c1', school }, options).find(
      (r) => r.kind === 'add-oil',
    );
    expect(repair).toBeDefined();
    expect(verdict(apply(p, repair!.changed), 'c1', school)).toEqual(['ok', 'ok']);
  });

  test('the alkyd school is mended by more of the same medium', () => {
    const p = stackOf(
      [recipe(WHITE, 0.25, ALKYD), recipe(WHITE, 0.1, ALKYD)],
      [],
      'constant-alkyd',
    );
    const repair = repairsFor(
      { painting: p, coatId: 'c1', school: 'constant-alkyd' },
      options,
    ).find((r) => r.kind === 'more-medium')!;
    expect(repair.changed.recipe.mediumShare).toBeCloseTo(0.23, 2);
    expect(repairSentence(repair, 'constant-alkyd')).toMatch(/23 % of the whole/);
  });

  test('thick over thin is mended by thickness', () => {
    const p = stackOf([recipe(WHITE, 0, [], 100), recipe(WHITE, 0, [], 25)], [], 'thick-over-thin');
    const repair = repairsFor(
      { painting: p, coatId: 'c1', school: 'thick-over-thin' },
      options,
    ).find((r) => r.kind === 'thicker')!;
    expect(repair.changed.recipe.thicknessUm).toBeGreaterThanOrEqual(78);
    expect(repairSentence(repair, 'thick-over-thin')).toMatch(/µm thick/);
  });

  test('white over an umber stain is mended by waiting only: oil would be unsound', () => {
    const p = stackOf([
      recipe([tube('raw-umber')], 0.3, [part('mineral-spirits')], 10),
      recipe(WHITE, 0, [], 60),
    ]);
    const repairs = repairsFor({ painting: p, coatId: 'c1', school: 'total-oil' }, options);
    expect(repairs[0]!.kind).toBe('wait-through-dry');
    expect(verdict(apply(p, repairs[0]!.changed), 'c1', 'total-oil')).toEqual(['note', 'note']);
  });

  test('no sound repair is an answer: a thick body coat over a film of nearly pure oil', () => {
    const p = stackOf([recipe(WHITE, 0.85, [part('stand-oil')], 60), recipe(WHITE, 0, [], 60)]);
    const kinds = repairsFor({ painting: p, coatId: 'c1', school: 'total-oil' }, options).map(
      (r) => r.kind,
    );
    expect(kinds).not.toContain('add-oil');
    expect(kinds).not.toContain('more-medium');
  });

  test('a coat that passes needs none; an unknown coat has none', () => {
    expect(repairsFor({ painting: notched, coatId: 'c0', school: 'total-oil' }, options)).toEqual(
      [],
    );
    expect(repairsFor({ painting: notched, coatId: 'nope', school: 'total-oil' }, options)).toEqual(
      [],
    );
  });

  test('every repair offered passes and is sound, whatever the stack (seed printed on failure)', () => {
    const share = fc.double({ min: 0.02, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(
        share,
        share,
        fc.integer({ min: 8, max: 90 }),
        fc.integer({ min: 8, max: 90 }),
        (a, b, ha, hb) => {
          const p = stackOf([recipe(WHITE, a, STAND, ha), recipe(WHITE, b, STAND, hb)]);
          return repairsFor({ painting: p, coatId: 'c1', school: 'total-oil' }, options).every(
            (r) => {
              const mended = apply(p, r.changed);
              const layers = assessPainting(mended, options).passages[0]!.base.layers;
              const okay = ['ok', 'note'].includes(verdictOf(layers[1]!, 'total-oil')!.verdict);
              const m = r.changed.recipe.mediumShare;
              const sound =
                r.kind !== 'add-oil' || m <= 1 / 3 + 1e-6 || r.changed.recipe.thicknessUm <= 20;
              return okay && sound;
            },
          );
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('solving', () => {
  test('the smallest passing value, or none', () => {
    expect(smallestPassing(10, (x) => x >= 3.7)).toBeCloseTo(3.7, 6);
    expect(smallestPassing(10, () => false)).toBeNull();
    expect(smallestPassing(10, () => true)).toBeCloseTo(0, 6);
  });
  test('amounts are rounded up to what a knife can measure', () => {
    expect(
      [0.02, 0.05, 0.21, 0.26, 0.5, 0.51].map((x) => Number(roundUpParts(x).toFixed(3))),
    ).toEqual([0.05, 0.05, 0.25, 0.5, 0.5, 0.75]);
  });
});
