import { z } from 'zod';
import { CoreError } from '../errors';
import { recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import type { AssessOptions } from '../painting';
import { lossesOf, paintNeeded } from '../quantity';
import { toLayCm2 } from '../session/pace';
import { repairsFor, repairSentence, wishesFor, wishSentence, type RepairRequest } from '../repair';
import type { DefineVerb } from './define';
import { iso } from './iso';
import { coatId, optionsOf, paintingOf, stackInputSchema } from './painting-input';

export const repairsSchema = z.array(
  z.object({
    kind: z.string(),
    sentence: z.string(),
    coat: z.string(),
    recipe: recipeSchema,
    addMlPer10MlPaint: z.number().nullable(),
    addMlPerBatch: z.number().nullable().describe('for the paint of the whole coat'),
    from: z.iso.datetime().nullable().describe('the day from which waiting alone mends it'),
    touchDryDaysBefore: z.number(),
    touchDryDaysAfter: z.number(),
    satisfies: z.array(z.string()),
  }),
);

/** Paint of a coat for all it covers, ml; null for what is no paint. */
function coatPaintMl({ painting, coatId: id }: RepairRequest): number | null {
  const coat = painting.coats.find((c) => c.id === id)!;
  if (coat.recipe.mix.length === 0) return null;
  const area = toLayCm2(painting, coat, coat.passageIds);
  return paintNeeded(STUDIO_HANDBOOK, coat.recipe, area, lossesOf(STUDIO_HANDBOOK, painting))
    .paintMl;
}

/** Repairs as a verb tells them: figures rounded for reading, days for moments. */
export function toldRepairs(
  request: RepairRequest,
  options: AssessOptions,
): z.infer<typeof repairsSchema> {
  const paintMl = coatPaintMl(request);
  return repairsFor(request, options).map((repair) => ({
    kind: repair.kind,
    sentence: repairSentence(repair, request.school),
    coat: repair.changed.name,
    recipe: repair.changed.recipe,
    addMlPer10MlPaint: repair.mlPer10MlPaint,
    addMlPerBatch:
      repair.mlPer10MlPaint === null || paintMl === null
        ? null
        : (repair.mlPer10MlPaint * paintMl) / 10,
    from: iso(repair.fromMs),
    touchDryDaysBefore: repair.touchDryDaysBefore,
    touchDryDaysAfter: repair.touchDryDaysAfter,
    satisfies: repair.satisfies,
  }));
}

/** repair: what mends one coat of a stack for a school, or grants a wish in time. */
export const repairVerb = (define: DefineVerb) =>
  define({
    name: 'repair',
    summary: 'a stack, one coat of it, perhaps a wish in time -> solved repairs and wishes',
    input: stackInputSchema.extend({
      coat: z.number().int().min(0).describe('which coat, counted from 0, the lowest'),
      wish: z
        .object({
          kind: z.enum(['open-until', 'dry-by']),
          at: z.iso.datetime(),
          layAt: z.iso.datetime(),
          chance: z
            .number()
            .gt(0, { error: 'The chance must lie between 0 and 1.' })
            .lt(1, { error: 'The chance must lie between 0 and 1.' })
            .default(0.9),
        })
        .nullable()
        .default(null),
    }),
    output: z.object({
      repairs: repairsSchema,
      wishes: z.array(
        z.object({
          lever: z.string(),
          sentence: z.string(),
          recipe: recipeSchema,
          reachedAt: z.iso.datetime().nullable(),
          holds: z.boolean(),
          satisfies: z.array(z.string()),
        }),
      ),
    }),
    run: (input) => {
      const painting = paintingOf(input);
      if (input.coat >= input.coats.length)
        throw new CoreError(
          'unknown-coat',
          'coat',
          `There is no coat ${input.coat}: the stack has ${input.coats.length}, counted from 0.`,
        );
      const request = { painting, coatId: coatId(input.coat), school: input.school };
      const options = optionsOf(input);
      const wish = input.wish && {
        kind: input.wish.kind,
        atMs: Date.parse(input.wish.at),
        layAtMs: Date.parse(input.wish.layAt),
        chance: input.wish.chance,
      };
      return {
        repairs: toldRepairs(request, options),
        wishes: (wish ? wishesFor(request, wish, options) : []).map((answer) => ({
          lever: answer.lever,
          sentence: wishSentence(answer),
          recipe: answer.changed.recipe,
          reachedAt: iso(answer.reachedAtMs),
          holds: answer.holds,
          satisfies: answer.satisfies,
        })),
      };
    },
  });
