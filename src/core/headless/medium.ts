import { z } from 'zod';
import { mediumPartSchema, tubePartSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import { batchOf, blendJars, byVolume, mediumFor, stretchJar, stretchToSolids } from '../quantity';
import type { DefineVerb } from './define';

const partsSchema = z.array(mediumPartSchema).min(1, { error: 'Give at least one ingredient.' });
const volume = z.number().positive({ error: 'The amount must be above 0 ml.' });
const figure = z.number();

/** medium: a batch in every measure, a jar stretched or blended, and the share that gives a fatness. */
export const mediumVerb = (define: DefineVerb) =>
  define({
    name: 'medium',
    summary:
      'a medium in parts -> ml, g, teaspoons, drops; stretch, blend, or the share for a fatness',
    input: z.object({
      parts: partsSchema,
      by: z.enum(['volume', 'weight']).default('volume'),
      ml: volume.default(100).describe('how much to make, or how much is in the jar'),
      stretchToMl: volume.nullable().default(null).describe('more of the same'),
      thinTo: z
        .object({
          ingredient: mediumPartSchema.shape.ingredient,
          solidsVolumeFraction: z.number().gt(0).lt(1),
        })
        .nullable()
        .default(null)
        .describe('ml of an ingredient to add until this share of the jar stays as film'),
      blendWith: z.object({ parts: partsSchema, ml: volume }).nullable().default(null),
      forPaint: z
        .object({
          mix: z.array(tubePartSchema).min(1, { error: 'Give at least one paint.' }),
          fatness: z.number().gt(0).lt(1).nullable().default(null),
          reducedPvc: z.number().gt(0).nullable().default(null),
        })
        .refine((t) => (t.fatness === null) !== (t.reducedPvc === null), {
          error: 'Give a fatness or a reduced PVC, one of the two.',
        })
        .nullable()
        .default(null),
    }),
    output: z.object({
      solidsVolumeFraction: figure,
      solidsWeightFraction: figure,
      densityGPerMl: figure,
      oilOfSolids: figure,
      ml: figure,
      g: figure,
      lines: z.array(
        z.object({
          name: z.string(),
          volumeShare: figure,
          weightShare: figure,
          ml: figure,
          g: figure,
          tsp: figure,
          drops: figure,
        }),
      ),
      dropMl: figure.describe('the size of a drop that was assumed'),
      stretch: z.array(z.object({ ingredient: z.string(), ml: figure })).nullable(),
      thinMl: figure.nullable().describe('null also when that ingredient leads the other way'),
      blend: z
        .object({
          ml: figure,
          parts: z.array(z.object({ ingredient: z.string(), ml: figure })),
          solidsVolumeFraction: figure,
        })
        .nullable(),
      forPaint: z
        .object({
          mediumShare: figure,
          mlPer10MlPaint: figure,
          fatness: figure,
          reducedPvc: figure.nullable(),
          cap: z.enum(['within', 'over-quarter', 'over-third']),
        })
        .nullable(),
    }),
    run: (input) => {
      const parts = byVolume(input.parts, input.by);
      const jar = { parts, ml: input.ml };
      const batch = batchOf(STUDIO_HANDBOOK, parts, input.ml);
      const blend = input.blendWith && blendJars(jar, input.blendWith);
      const target = input.forPaint;
      return {
        ...batch,
        dropMl: STUDIO_HANDBOOK.constants.dropMl,
        stretch: input.stretchToMl === null ? null : stretchJar(jar, input.stretchToMl),
        thinMl:
          input.thinTo === null
            ? null
            : stretchToSolids(
                jar,
                { ingredient: input.thinTo.ingredient },
                input.thinTo.solidsVolumeFraction,
              ),
        blend: blend && {
          ml: blend.ml,
          parts: blend.parts.map((p) => ({ ingredient: p.ingredient, ml: p.parts })),
          solidsVolumeFraction: batchOf(STUDIO_HANDBOOK, blend.parts, blend.ml)
            .solidsVolumeFraction,
        },
        forPaint:
          target &&
          mediumFor(
            STUDIO_HANDBOOK,
            target.mix,
            parts,
            target.fatness === null
              ? { reducedPvc: target.reducedPvc! }
              : { fatness: target.fatness },
          ),
      };
    },
  });
