import fc from 'fast-check';
import { issuesOf } from '../issues';
import { STUDIO_HANDBOOK } from '../handbook';
import { withMoreOf } from '../repair';
import { part, recipe, tube } from '../tests/recipes';
import { addConstituents, composition, dryVolume, filmOfRecipe, wetMixture, type Recipe } from '.';
import { recipeSchema } from './recipe';

const pigments = Object.keys(STUDIO_HANDBOOK.pigments);
const anyMix = fc
  .array(
    fc.record({ pigment: fc.constantFrom(...pigments), parts: fc.integer({ min: 1, max: 9 }) }),
    { minLength: 1, maxLength: 4 },
  )
  .map((tubes) => tubes.map((t) => tube(t.pigment, t.parts)));
const anyOil = fc.constantFrom('stand-oil' as const, 'linseed-refined' as const, 'walnut' as const);
const share = fc.double({ min: 0.02, max: 0.6, noNaN: true });
const figures = (r: Recipe) => composition(STUDIO_HANDBOOK, wetMixture(STUDIO_HANDBOOK, r));
const close = (a: number | null, b: number | null, eps = 1e-9) =>
  Math.abs((a ?? 0) - (b ?? 0)) < eps;

describe('properties of the film (a failure prints its seed)', () => {
  test('solvent never changes the dry film', () => {
    fc.assert(
      fc.property(anyMix, share, (mix, m) => {
        const neat = figures(recipe(mix));
        const thinned = figures(recipe(mix, m, [part('mineral-spirits')]));
        return (
          close(neat.pvc, thinned.pvc) &&
          close(neat.reducedPvc, thinned.reducedPvc) &&
          close(neat.addedOilRatio, thinned.addedOilRatio) &&
          close(thinned.volumeSolids, 1 - m)
        );
      }),
    );
  });

  test('adding oil never lowers fatness', () => {
    fc.assert(
      fc.property(
        anyMix,
        share,
        anyOil,
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (mix, m, oil, parts) => {
          const before = recipe(mix, m, [part('damar-varnish'), part('mineral-spirits')]);
          return figures(withMoreOf(before, oil, parts)).fatness >= figures(before).fatness - 1e-12;
        },
      ),
    );
  });

  test('scaling all parts changes nothing', () => {
    fc.assert(
      fc.property(anyMix, share, fc.integer({ min: 2, max: 40 }), (mix, m, k) => {
        const medium = [part('stand-oil', 2), part('mineral-spirits', 3)];
        const a = figures(recipe(mix, m, medium));
        const b = figures(
          recipe(
            mix.map((t) => ({ ...t, parts: t.parts * k })),
            m,
            medium.map((p) => ({ ...p, parts: p.parts * k })),
          ),
        );
        return (Object.keys(a) as (keyof typeof a)[]).every((key) => close(a[key], b[key]));
      }),
    );
  });

  test('wet into wet conserves volume, and its fatness lies between the two', () => {
    fc.assert(
      fc.property(
        anyMix,
        anyMix,
        fc.double({ min: 1, max: 200, noNaN: true }),
        fc.double({ min: 1, max: 200, noNaN: true }),
        (a, b, ha, hb) => {
          const lower = filmOfRecipe(STUDIO_HANDBOOK, recipe(a, 0, [], ha));
          const upper = filmOfRecipe(STUDIO_HANDBOOK, recipe(b, 0, [], hb));
          const both = addConstituents(lower, upper);
          const [fa, fb, f] = [lower, upper, both].map(
            (c) => composition(STUDIO_HANDBOOK, c).fatness,
          ) as [number, number, number];
          return (
            close(dryVolume(both), ha + hb, 1e-6) &&
            f >= Math.min(fa, fb) - 1e-9 &&
            f <= Math.max(fa, fb) + 1e-9
          );
        },
      ),
    );
  });

  test('a neat oil tube is never over its critical PVC', () => {
    // Handbook fact: reduced PVC of tubes 0.57-0.82; paint gets over 1 only by losing oil. From memory.
    for (const key of pigments) {
      const reduced = figures(recipe([tube(key)])).reducedPvc!;
      expect(reduced).toBeGreaterThan(0.45);
      expect(reduced).toBeLessThan(0.9);
    }
  });
});

describe('recipes that are refused', () => {
  const message = (r: unknown) => {
    const { error } = recipeSchema.safeParse(r);
    return error
      ? issuesOf(error)
          .map((i) => i.message)
          .join(' ')
      : '';
  };
  test.each([
    ['negative parts', recipe([tube('raw-umber', -1)]), /Parts must be above 0/],
    ['an empty mix', recipe([]), /mix is empty/],
    ['a share over 100 %', recipe([tube('raw-umber')], 1.2, [part('stand-oil')]), /over 100 %/],
    [
      'all medium but with paint',
      recipe([tube('raw-umber')], 1, [part('stand-oil')]),
      /no paint left/,
    ],
    ['a share of an empty medium', recipe([tube('raw-umber')], 0.2), /medium is empty/],
    [
      'acrylic with oil',
      recipe([tube('raw-umber', 1, 'acrylic'), tube('raw-umber')]),
      /cannot be mixed/,
    ],
    [
      'acrylic with stand oil',
      recipe([tube('raw-umber', 1, 'acrylic')], 0.2, [part('stand-oil')]),
      /water only/,
    ],
    ['oil with water', recipe([tube('raw-umber')], 0.2, [part('water')]), /Water goes only/],
    ['spirits alone', recipe([], 1, [part('mineral-spirits')]), /leave no film/],
    ['no thickness', recipe([tube('raw-umber')], 0, [], 0), /at least 0.5/],
    ['not a number', { ...recipe([tube('raw-umber')]), thicknessUm: NaN }, /must be a number/],
    ['an unknown pigment', recipe([tube('mauve-dream')]), /No such pigment/],
  ])('%s', (_, r, expected) => {
    expect(message(r)).toMatch(expected);
  });
});
