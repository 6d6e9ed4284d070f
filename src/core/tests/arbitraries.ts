import fc from 'fast-check';
import { APPLICATION_KEYS } from '@/data/applications';
import { INGREDIENT_KEYS } from '@/data/ingredients';
import { MATERIAL_KEYS } from '@/data/materials';
import { PIGMENT_ROWS } from '@/data/pigments';
import { RULE_KEYS } from '../rules/records';
import type { CabinetMedium, CabinetPaint } from '../cabinet';
import { COAT_ROLES, ONTO, type Coat, type Painting } from '../painting';
import { coatSchema, paintingSchema } from '../painting/schema';
import {
  EDGE_INTENTS,
  IMPORTANCES,
  MILESTONES,
  WAIT_CHANCES,
  WAIT_STAGES,
} from '../painting/deadline';
import type { Deadline } from '../painting/deadline-schema';
import type { CalendarException, WorkingHours } from '../plan-record/schema';

/** Arbitrary valid documents: numbers with all their digits, names with commas and accents, every optional field. */

const between = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true });
const PARTS = between(0.001, 1000);
const SHARE = between(0.001, 1);
export const aName = fc
  .stringMatching(/^[A-Za-zäöüßéñ0-9,;.'"()+ -]{1,60}$/)
  .map((text) => text.trim())
  .filter((text) => text.length > 0);
/** Names that every object answers to ("constructor") are no ids. */
export const anId = fc.stringMatching(/^[a-z0-9]{6,12}$/).filter((id) => !(id in {}));
export const aMoment = fc
  .date({
    min: new Date('2020-01-01T00:00:00Z'),
    max: new Date('2030-01-01T00:00:00Z'),
    noInvalidDate: true,
  })
  .map((date) => date.toISOString());
const aDay = aMoment.map((moment) => moment.slice(0, 10));
const OIL_BINDERS = ['linseed', 'walnut', 'poppy', 'safflower', 'alkyd', 'water-mixable'] as const;
const PIGMENTS = PIGMENT_ROWS.map((p) => p.key);
/** What goes into oil paint, and leaves a film. */
const MEDIUM_INGREDIENTS = INGREDIENT_KEYS.filter((key) => key !== 'water');

const aMediumPart = fc.record(
  {
    parts: PARTS,
    ingredient: fc.constantFrom(...MEDIUM_INGREDIENTS),
    solidsWtPct: between(1, 95),
  },
  { requiredKeys: ['parts', 'ingredient'] },
);
const mediumParts = (minLength: number) =>
  fc.uniqueArray(aMediumPart, { minLength, maxLength: 4, selector: (p) => p.ingredient });

const anOwnTube = fc.record({
  id: anId,
  name: aName,
  pigments: fc.array(fc.record({ pigment: fc.constantFrom(...PIGMENTS), parts: PARTS }), {
    minLength: 1,
    maxLength: 4,
  }),
  binder: fc.constantFrom(...OIL_BINDERS),
  extenderShare: between(0, 0.8),
  oilWtPct: fc.option(between(5, 90)),
  dryingFactor: fc.option(between(0.1, 10)),
  makeUpUnknown: fc.boolean(),
});

const aTubePart = fc.oneof(
  fc.record({ parts: PARTS, own: anOwnTube }),
  fc.record({
    parts: PARTS,
    pigment: fc.constantFrom(...PIGMENTS),
    binder: fc.constantFrom(...OIL_BINDERS),
  }),
);

const aPaintRecipe = fc.record(
  {
    mix: fc.array(aTubePart, { minLength: 1, maxLength: 4 }),
    medium: mediumParts(1),
    mediumShare: between(0, 0.99),
    thicknessUm: between(0.5, 10_000),
    mediumName: aName,
  },
  { requiredKeys: ['mix', 'medium', 'mediumShare', 'thicknessUm'] },
);
const aMaterialRecipe = fc.record({
  mix: fc.constant([]),
  medium: fc.constant([]),
  mediumShare: fc.constant(0),
  thicknessUm: between(0.5, 10_000),
  material: fc.constantFrom(...MATERIAL_KEYS),
});

const anOverrule = fc.record({
  rule: fc.constantFrom(...RULE_KEYS),
  reason: aName.filter((text) => text.length >= 3),
  at: aMoment,
});

export const aCoat = (passageIds: string[]): fc.Arbitrary<Coat> =>
  fc
    .record(
      {
        id: anId,
        name: aName,
        role: fc.constantFrom(...COAT_ROLES),
        passageIds: fc.subarray(passageIds, { minLength: 1 }),
        recipe: fc.oneof(aPaintRecipe, aMaterialRecipe),
        application: fc.constantFrom(...APPLICATION_KEYS),
        onto: fc.constantFrom(...ONTO),
        spot: fc.option(fc.record({ name: aName, share: SHARE })),
        overruled: fc.array(anOverrule, { maxLength: 2 }),
        why: aName,
        minutes: between(5, 6000),
        oneSitting: fc.boolean(),
        apart: fc.boolean(),
      },
      {
        requiredKeys: ['id', 'name', 'role', 'passageIds', 'recipe', 'application', 'onto', 'spot'],
      },
    )
    .filter((coat) => coatSchema.safeParse(coat).success)
    .map((coat) => coat as Coat);

/** A painting with arbitrary particulars. */
export const aPaintingLike = (painting: Painting): fc.Arbitrary<Painting> =>
  fc
    .record({
      title: aName,
      names: fc.uniqueArray(aName, {
        minLength: 2,
        maxLength: 2,
        selector: (n) => n.toLowerCase(),
      }),
      first: between(0.01, 0.99),
    })
    .map(({ title, names, first }) => {
      const rest = (1 - first) / (painting.passages.length - 1);
      return {
        ...painting,
        title,
        passages: painting.passages.map((p, i) => ({
          ...p,
          name: names[i] ?? p.name,
          share: i === 0 ? first : rest,
        })),
      };
    })
    .filter((made) => paintingSchema.safeParse(made).success);

export const aCabinetPaint: fc.Arbitrary<CabinetPaint> = fc
  .tuple(
    anOwnTube,
    fc.record({
      tubeMl: between(1, 5000),
      price: fc.option(between(0, 100_000)),
      left: between(0, 100),
      archived: fc.boolean(),
    }),
  )
  .map(([tube, stock]) => ({ ...tube, ...stock }));

export const aCabinetMedium: fc.Arbitrary<CabinetMedium> = fc.record({
  id: anId,
  name: aName,
  by: fc.constantFrom('volume' as const, 'weight' as const),
  parts: mediumParts(1),
  archived: fc.boolean(),
});

export const aPlanning: fc.Arbitrary<Deadline> = fc.record({
  dueAt: fc.option(aMoment),
  milestone: fc.constantFrom(...MILESTONES),
  importance: fc.constantFrom(...IMPORTANCES),
  stage: fc.constantFrom(...WAIT_STAGES),
  chance: fc.constantFrom(...WAIT_CHANCES),
  edges: fc.array(
    fc.record({ between: fc.tuple(anId, anId), intent: fc.constantFrom(...EDGE_INTENTS) }),
    { maxLength: 3 },
  ),
  handOnStick: fc.boolean(),
});

const hours = fc
  .tuple(fc.integer({ min: 0, max: 1440 }), fc.integer({ min: 0, max: 1440 }))
  .filter(([from, to]) => from < to)
  .map(([from, to]) => ({ from, to }));

export const someWorkingHours: fc.Arbitrary<WorkingHours> = fc.record({
  week: fc.array(fc.array(hours, { maxLength: 3 }), { minLength: 7, maxLength: 7 }),
  daylightOnly: fc.boolean(),
});

export const anException: fc.Arbitrary<CalendarException> = fc
  .record({ id: anId, days: fc.tuple(aDay, aDay), extra: fc.boolean(), hours })
  .map(({ id, days, extra, hours: of }) => {
    const [from, to] = [...days].sort() as [string, string];
    return extra
      ? { id, kind: 'extra' as const, from, to: from, hours: of }
      : { id, kind: 'away' as const, from, to, hours: null };
  });

export { SHARE as aShare };
