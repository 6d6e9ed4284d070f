import { z } from 'zod';
import { climateSchema, REFERENCE_CLIMATE } from '../drying';
import { recipeSchema } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { assessPainting, type Layer } from '../painting';
import { groundSchema, ONTO, PAINTING_SCHEMA_VERSION, type Painting } from '../painting/schema';
import { repairsFor, repairSentence } from '../repair';
import {
  figuresSentence,
  SCHOOL_KEYS,
  VERDICTS,
  verdictSentence,
  type SchoolKey,
} from '../schools';
import type { DefineVerb } from './define';

const inputSchema = z.object({
  ground: groundSchema.default({ kind: 'acrylic-gesso', coats: 4 }),
  climate: climateSchema.default(REFERENCE_CLIMATE),
  school: z
    .enum(SCHOOL_KEYS)
    .default('total-oil')
    .describe('the school that repairs are solved for'),
  coats: z
    .array(
      z.object({
        name: z.string().min(1),
        recipe: recipeSchema,
        onto: z
          .enum(ONTO)
          .default('touch-dry')
          .describe('what the coat below is when this goes on'),
      }),
    )
    .min(1, { error: 'Give at least one coat, the lowest first.' }),
});
type Input = z.infer<typeof inputSchema>;

const verdictSchema = z.object({
  verdict: z.enum(VERDICTS),
  reason: z.string(),
  lower: z.number().nullable(),
  upper: z.number().nullable(),
  sentence: z.string(),
  figures: z.string(),
});

const PASSAGES = [
  { id: 'here', name: 'here', share: 0.5 },
  { id: 'elsewhere', name: 'elsewhere', share: 0.5 },
];
const EPOCH = '1970-01-01T00:00:00.000Z';

/** A stack of coats as a painting with one passage that is planned in full. */
const paintingOf = (input: Input): Painting => ({
  schemaVersion: PAINTING_SCHEMA_VERSION,
  id: 'headless',
  revision: 0,
  createdAt: EPOCH,
  updatedAt: EPOCH,
  title: 'Headless',
  support: { kind: 'canvas', widthMm: 500, heightMm: 400 },
  ground: input.ground,
  method: 'direct-start',
  school: input.school,
  passages: PASSAGES,
  touches: [],
  coats: input.coats.map((coat, i) => ({
    id: `coat-${i}`,
    name: coat.name,
    role: 'overpainting',
    passageIds: ['here'],
    recipe: coat.recipe,
    application: 'brush-coat',
    onto: coat.onto,
    spot: null,
  })),
  events: [],
});

const told = (layer: Layer, school: SchoolKey) => {
  const v = layer.pair!.bySchool[school];
  const names = { upper: layer.film.name, lower: layer.pair!.againstName, upperPlanned: true };
  return {
    verdict: v.verdict,
    reason: v.reason,
    lower: v.lower,
    upper: v.upper,
    sentence: verdictSentence(v, names),
    figures: figuresSentence(v),
  };
};

/** verdicts: every adjacent pair of films of a stack by every school, with repairs for the chosen one. */
export const verdictsVerb = (define: DefineVerb) =>
  define({
    name: 'verdicts',
    summary: 'a stack of coats, lowest first -> every adjacent pair by every school, with repairs',
    input: inputSchema,
    output: z.object({
      pairs: z.array(
        z.object({
          lower: z.string(),
          upper: z.string(),
          verdicts: z.record(z.string(), verdictSchema),
          repairs: z.array(
            z.object({
              kind: z.string(),
              sentence: z.string(),
              coat: z.string(),
              recipe: recipeSchema,
              satisfies: z.array(z.string()),
            }),
          ),
        }),
      ),
    }),
    run: (input) => {
      const painting = paintingOf(input);
      const options = {
        handbook: STUDIO_HANDBOOK,
        climate: input.climate,
        nowMs: Date.parse(EPOCH),
      };
      const { base } = assessPainting(painting, options).passages[0]!;
      const pairs = base.layers
        .filter((layer) => layer.pair && layer.planned)
        .map((layer) => {
          const coatId = layer.film.coatIds.at(-1)!;
          return {
            lower: layer.pair!.againstName,
            upper: layer.film.name,
            verdicts: Object.fromEntries(
              SCHOOL_KEYS.map((school) => [school, told(layer, school)]),
            ),
            repairs: repairsFor({ painting, coatId, school: input.school }, options).map(
              (repair) => ({
                kind: repair.kind,
                sentence: repairSentence(repair, input.school),
                coat: repair.changed.name,
                recipe: repair.changed.recipe,
                satisfies: repair.satisfies,
              }),
            ),
          };
        });
      return { pairs };
    },
  });
