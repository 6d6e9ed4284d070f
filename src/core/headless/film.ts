import { z } from 'zod';
import { ABSORBING_SURFACES, type AbsorbingSurface } from '@/data/grounds';
import { composition, filmOfRecipe, groundLossFraction, isAcrylic, wetMixture } from '../film';
import { recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import type { DefineVerb } from './define';
import { paintFactors, paintFactorsSchema } from './factors';

const fraction = z.number();

export const compositionSchema = z.object({
  pvc: fraction,
  cpvc: fraction.nullable(),
  reducedPvc: z.number().nullable(),
  fatness: fraction.describe('binder fraction of the dry film by volume'),
  binderWeightFraction: fraction,
  oilVolumeFraction: fraction,
  volumeSolids: fraction,
  volatileFraction: fraction.describe('share of the wet mixture lost as vapour'),
  addedOilRatio: z
    .number()
    .nullable()
    .describe('added oil, resin and alkyd per volume of tube paint'),
  addedVolatileRatio: z.number().nullable(),
  mediumShare: fraction,
  alkydMediumShare: fraction,
  alkydOfBinder: fraction,
  resinOfBinder: fraction,
  waxOfFilm: fraction,
  dryDensityGPerMl: z.number(),
});

/** film: what a coat's mix and medium are made of, wet and dry. */
export const filmVerb = (define: DefineVerb) =>
  define({
    name: 'film',
    summary: "a coat's mix and medium -> composition of the wet mixture and of the dry film",
    input: recipeSchema,
    output: z.object({
      composition: compositionSchema,
      wetThicknessUm: z.number().describe('to lay for the dry thickness asked for'),
      dryThicknessUm: z.number(),
      dryVolumesUm: z
        .record(z.string(), z.number())
        .describe('um of film by pigment key or "binder"'),
      drying: paintFactorsSchema
        .nullable()
        .describe('what its drying time is made of; null for what dries otherwise than oil'),
      groundLoss: z
        .record(z.enum(ABSORBING_SURFACES), fraction)
        .describe('L, the share of its drying oil that each ground drinks of a first coat'),
    }),
    run: (recipe) => {
      const wet = wetMixture(STUDIO_HANDBOOK, recipe);
      const figures = composition(STUDIO_HANDBOOK, wet);
      const film = filmOfRecipe(STUDIO_HANDBOOK, recipe);
      return {
        composition: figures,
        wetThicknessUm: recipe.thicknessUm / figures.volumeSolids,
        dryThicknessUm: recipe.thicknessUm,
        dryVolumesUm: { ...film.pigments, binder: recipe.thicknessUm * figures.fatness },
        drying: film.material !== null || isAcrylic(film) ? null : paintFactors(film),
        groundLoss: Object.fromEntries(
          ABSORBING_SURFACES.map((s) => [s, groundLossFraction(STUDIO_HANDBOOK, film, s)]),
        ) as Record<AbsorbingSurface, number>,
      };
    },
  });
