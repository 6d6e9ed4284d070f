import { z } from 'zod';
import { laidPatchSchema, multipliersSchema } from '../cabinet/swatch-schema';
import { tubePartSchema } from '../film/recipe';
import { NO_SWATCHES } from '../optics/composition';
import { calibrationWords, fitPatches } from '../optics/fit-patches';
import { opticalPaint } from '../optics/tubes';
import { finishInput, wantedInput, wantedLab } from './colour-input';
import type { DefineVerb } from './define';

const figures = z.array(z.number());

/** swatch: patches of a tube, as they were read -> how it differs from the table. */
export const swatchVerb = (define: DefineVerb) =>
  define({
    name: 'swatch',
    summary:
      'patches of a tube as they were read -> how it differs from general data, and how sure',
    input: z.object({
      paint: tubePartSchema.describe('parts are not looked at'),
      patches: z
        .array(
          z.object({
            laid: laidPatchSchema,
            colour: wantedInput,
            finish: finishInput.default('oil-gloss'),
          }),
        )
        .min(1, { error: 'Read at least one patch.' })
        .max(8, { error: 'At most 8 patches.' }),
    }),
    output: z.object({
      fit: multipliersSchema,
      misfit: figures.describe('CIEDE2000 of each patch'),
      tableMisfit: figures.describe('the same by general data alone'),
      known: z.object({
        strength: figures,
        scattering: z.number(),
        power: z.number(),
        shiftNm: z.number(),
      }),
      thickness: z.number().describe('the films came out so many times as thick as stated'),
      deviation: z.number(),
      doubtful: z.boolean(),
      words: z.array(z.string()),
    }),
    run: ({ paint, patches }) => {
      const told = fitPatches(
        opticalPaint(paint, NO_SWATCHES),
        patches.map(({ laid, colour, finish }) => ({ laid, lab: wantedLab(colour), finish })),
        () => null,
      );
      return { ...told, fit: told.multipliers, words: calibrationWords(told) };
    },
  });
