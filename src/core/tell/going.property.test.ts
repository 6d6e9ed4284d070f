import fc from 'fast-check';
import { PIGMENT_ROWS } from '@/data/pigments';
import { assessPainting, type Painting } from '../painting';
import { layCoat } from '../painting/events';
import { stops } from '../rules';
import { SCHOOL_KEYS } from '../schools';
import { buildPlan } from '../schedule/build';
import { USUAL_PACE } from '../session/pace';
import { isoDaysAgo, making, NOW_MS, optionsAt, stackOf } from '../tests/paintings';
import { part, recipe, tube } from '../tests/recipes';
import { todayRow } from '../today';
import { GOINGS, mayGoOn } from './going';
import { toldLaying } from './laying';

/** A stack as a studio holds them: some coats laid weeks or hours ago, the rest planned. */
const aRecipe = fc
  .record({
    pigment: fc.constantFrom(...PIGMENT_ROWS.map((p) => p.key)),
    binder: fc.constantFrom(
      'linseed',
      'walnut',
      'poppy',
      'alkyd',
      'acrylic',
    ) as fc.Arbitrary<'linseed'>,
    medium: fc.constantFrom(
      'stand-oil',
      'alkyd-medium',
      'mineral-spirits',
    ) as fc.Arbitrary<'stand-oil'>,
    share: fc.double({ min: 0, max: 0.6, noNaN: true }),
    um: fc.double({ min: 4, max: 400, noNaN: true }),
    material: fc.constantFrom(
      null,
      null,
      null,
      null,
      null,
      'oil-pastel',
      'synthetic-varnish',
    ) as fc.Arbitrary<null>,
  })
  .map(({ pigment, binder, medium, share, um, material }) =>
    material
      ? { ...recipe([]), material, thicknessUm: um }
      : recipe(
          [tube(pigment, 1, binder)],
          binder === ('acrylic' as string) ? 0 : share,
          [part(medium)],
          um,
        ),
  );
const aStudio = fc
  .record({
    recipes: fc.array(aRecipe, { minLength: 2, maxLength: 5 }),
    ages: fc.array(fc.double({ min: 0.05, max: 60, noNaN: true }), { minLength: 4, maxLength: 4 }),
    laid: fc.nat(4),
    onto: fc.constantFrom('touch-dry' as const, 'through-dry' as const, 'wet' as const),
    school: fc.constantFrom(...SCHOOL_KEYS),
  })
  .map(({ recipes, ages, laid, onto, school }): Painting => {
    const days = ages.slice(0, Math.min(laid, recipes.length - 1)).sort((a, b) => b - a);
    const plan: Painting = {
      ...stackOf(
        recipes,
        recipes.map((r, i) => ({
          // Coats planned into one another are one film, and only that is judged in a plan.
          onto: i === days.length ? onto : 'touch-dry',
          role: 'material' in r && r.material === 'synthetic-varnish' ? 'varnish' : 'overpainting',
        })),
      ),
      school,
    };
    return days.reduce(
      (p, ago, i) =>
        layCoat(
          p,
          {
            coatId: p.coats[i]!.id,
            passageIds: p.coats[i]!.passageIds,
            at: isoDaysAgo(ago),
            spot: null,
            intoWet: false,
          },
          making(),
        ),
      plan,
    );
  });

test('Today, the sheet that lays, the plan and the verb say the same of one coat at one moment', () => {
  const options = optionsAt();
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(aStudio, (painting) => {
      const assessment = assessPainting(painting, options);
      const [{ passage, base }] = assessment.passages as [(typeof assessment.passages)[number]];
      const row = todayRow(assessment, passage, base, NOW_MS);
      if (!row.next) return;
      const coat = painting.coats.find((c) => c.id === row.next!.film.coatIds[0])!;
      const told = toldLaying(
        painting,
        { coat, passageIds: [passage.id], spot: null, atMs: NOW_MS },
        options,
      );
      const { answer, untilMs } = mayGoOn(row.next, painting.school, row);
      const plan = buildPlan({
        assessments: [assessment],
        assess: options,
        pace: USUAL_PACE,
        windows: [],
        pins: {},
        keptOut: {},
        redo: 0,
      });
      seen.set(answer, (seen.get(answer) ?? 0) + 1);
      const refusals = row.next.findings.filter(stops);
      expect(told.refused).toBe(refusals.length > 0);
      const forGood = refusals.some((f) => f.untilMs === null);
      expect(answer === 'refused').toBe(forGood);
      expect(plan.refused.some((r) => r.stepId.includes(`/${coat.id}`))).toBe(forGood);
      if (row.group === 'takes-a-coat') {
        expect([told.lifts, told.refused]).toEqual([null, false]);
        expect(['wait', 'refused']).not.toContain(answer);
      }
      if (row.group === 'leave-alone' && row.reason !== 'probably-dry')
        expect(['wait', 'refused']).toContain(answer);
      if (row.reason === 'drying' && coat.onto === 'touch-dry')
        expect(told.lifts === null && told.open.length === 0).toBe(false);
      if (row.reason === 'open') expect(told.open).toEqual([passage.id]);
      if (
        row.readyAtMs !== null &&
        answer === 'wait' &&
        untilMs !== null &&
        row.group === 'leave-alone'
      )
        expect(untilMs).toBeGreaterThanOrEqual(row.readyAtMs);
    }),
    { numRuns: 1000, seed: 14 },
  );
  // All kinds of answers were met.
  expect([...seen.keys()].sort()).toEqual([...GOINGS].sort());
});
