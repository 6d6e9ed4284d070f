import { z } from 'zod';
import { CoreError } from '../errors';
import { REFERENCE_CLIMATE } from '../drying';
import { climateSchema } from '../drying/climate-schema';
import { recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import type { AssessOptions } from '../painting';
import { groundSchema, type Painting } from '../painting/schema';
import { COAT_ROLES, ONTO, SUPPORT_KINDS } from '../painting/vocabulary';
import { PAINTING_SCHEMA_VERSION } from '../editions';
import { SCHOOL_KEYS } from '../schools';
import { airOf, seriesSchema } from './climate';

/** A stack of coats, the lowest first, as the verbs take it. */
export const stackInputSchema = z.object({
  ground: groundSchema.default({ kind: 'acrylic-gesso', coats: 4 }),
  support: z.enum(SUPPORT_KINDS).default('canvas'),
  climate: climateSchema.default(REFERENCE_CLIMATE),
  series: seriesSchema
    .nullable()
    .default(null)
    .describe('readings of a logger; where given, they stand for the climate'),
  now: z.iso.datetime().default('1970-01-01T00:00:00.000Z').describe('the present, ISO 8601, UTC'),
  school: z
    .enum(SCHOOL_KEYS)
    .default('total-oil')
    .describe('the school that repairs are solved for'),
  coats: z
    .array(
      z.object({
        name: z.string().min(1),
        recipe: recipeSchema,
        role: z.enum(COAT_ROLES).default('overpainting'),
        onto: z
          .enum(ONTO)
          .default('touch-dry')
          .describe('what the coat below is when this goes on'),
        laidAt: z.iso
          .datetime()
          .nullable()
          .default(null)
          .describe('when it was laid, or null while it is planned; laid coats come first'),
      }),
    )
    .min(1, { error: 'Give at least one coat, the lowest first.' }),
});
export type StackInput = z.infer<typeof stackInputSchema>;

const HERE = 'here';
const PASSAGES = [
  { id: HERE, name: HERE, share: 0.5 },
  { id: 'elsewhere', name: 'elsewhere', share: 0.5 },
];

/** The id of the n-th coat of a stack. */
export const coatId = (i: number): string => `coat-${i}`;

/**
 * Coats come as they lie: what is laid first, each no earlier than the one below, none after the present.
 * Throws `order`, with the coat it is about.
 */
function requireOrder({ coats, now }: StackInput): void {
  const wrong = (i: number, message: string): never => {
    throw new CoreError('order', `coats.${i}.laidAt`, message);
  };
  coats.forEach(({ name, laidAt }, i) => {
    if (laidAt === null) return;
    const lower = coats[i - 1];
    if (lower && lower.laidAt === null)
      wrong(
        i,
        `"${name}" is laid, and "${lower.name}" below it only planned. Give what is laid first, or the day of "${lower.name}".`,
      );
    if (lower?.laidAt && Date.parse(laidAt) < Date.parse(lower.laidAt))
      wrong(
        i,
        `"${name}" was laid before "${lower.name}" that it lies on. Give the coats from the lowest up, or correct the day.`,
      );
    if (Date.parse(laidAt) > Date.parse(now))
      wrong(i, `"${name}" is laid after "now" (${now}). Leave its day out, or give a later "now".`);
  });
}

/** A stack of coats as a painting with one passage that it lies on. Throws `order`. */
export function paintingOf(input: StackInput): Painting {
  requireOrder(input);
  return paintingFrom(input);
}

const paintingFrom = (input: StackInput): Painting => ({
  schemaVersion: PAINTING_SCHEMA_VERSION,
  id: 'headless',
  revision: 0,
  createdAt: input.now,
  updatedAt: input.now,
  title: 'Headless',
  support: { kind: input.support, widthMm: 500, heightMm: 400 },
  ground: input.ground,
  method: 'direct-start',
  school: input.school,
  passages: PASSAGES,
  touches: [],
  coats: input.coats.map((coat, i) => ({
    id: coatId(i),
    name: coat.name,
    role: coat.role,
    passageIds: [HERE],
    recipe: coat.recipe,
    application: 'brush-coat',
    onto: coat.onto,
    spot: null,
  })),
  events: input.coats.flatMap((coat, i): Painting['events'] =>
    coat.laidAt === null
      ? []
      : [
          {
            id: `laid-${i}`,
            kind: 'laid',
            at: coat.laidAt,
            coatId: coatId(i),
            passageIds: [HERE],
            spot: null,
            intoWet: coat.onto === 'wet',
            name: coat.name,
            role: coat.role,
            recipe: coat.recipe,
          },
        ],
  ),
});

/** With what a stack given to a verb is judged: the studio's tables, its climate or readings, its present. */
export function optionsOf({ climate, series, now }: StackInput): AssessOptions {
  const nowMs = Date.parse(now);
  const air = series ? airOf(series) : null;
  return {
    handbook: STUDIO_HANDBOOK,
    nowMs,
    ...(air ? { climate: air.meanBetween(nowMs, nowMs), air } : { climate }),
  };
}
