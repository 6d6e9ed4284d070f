import { z } from 'zod';
import { recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import { oilingOutDose, paintNeeded } from '../quantity';
import type { DefineVerb } from './define';

const figure = z.number();
const line = z.object({ name: z.string(), ml: figure, g: figure });

/** quantity: how much to mix for a coat of an area, or to rub on for oiling out. */
export const quantityVerb = (define: DefineVerb) =>
  define({
    name: 'quantity',
    summary:
      'a recipe and an area -> ml and g of paint and medium; a dose for oiling out, in drops',
    input: z.object({
      recipe: recipeSchema,
      areaCm2: z.number().positive({ error: 'The area must be above 0 cm².' }),
      canvasFactor: z
        .number()
        .min(1, { error: 'The canvas factor is 1 or more.' })
        .default(STUDIO_HANDBOOK.constants.canvasFactor),
      wasteFactor: z
        .number()
        .min(1, { error: 'The waste factor is 1 or more.' })
        .default(STUDIO_HANDBOOK.constants.wasteFactor),
    }),
    output: z.object({
      dryMl: figure,
      wetMl: figure,
      wetThicknessUm: figure,
      cm2PerMl: figure,
      paintMl: figure,
      mediumMl: figure,
      tubes: z.array(line),
      ingredients: z.array(line),
      cap: z.enum(['within', 'over-quarter', 'over-third']),
      oilingOut: z
        .object({ wetMl: figure, drops: figure, tooFat: z.boolean() })
        .nullable()
        .describe('for medium alone: the dose to rub on and wipe, without canvas and waste'),
    }),
    run: ({ recipe, areaCm2, canvasFactor, wasteFactor }) => {
      const needed = paintNeeded(STUDIO_HANDBOOK, recipe, areaCm2, { canvasFactor, wasteFactor });
      const couch = recipe.mix.length === 0 && recipe.medium.length > 0;
      return {
        ...needed,
        tubes: needed.tubes.map(({ key, ml, g }) => ({ name: key, ml, g })),
        ingredients: needed.ingredients.map(({ part, ml, g }) => ({
          name: part.ingredient,
          ml,
          g,
        })),
        oilingOut: couch
          ? oilingOutDose(STUDIO_HANDBOOK, recipe.medium, areaCm2, recipe.thicknessUm)
          : null,
      };
    },
  });
