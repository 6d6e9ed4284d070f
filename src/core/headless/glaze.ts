import { z } from 'zod';
import { OPTICS } from '@/data/optics';
import { OPTICS_BENCH } from '@/data/optics-bench';
import { mediumPartSchema, recipeSchema, tubePartSchema } from '../film/recipe';
import { changeOf, changeWords, hexOf, labOf, seen, stackOver, type Lab } from '../optics';
import { NO_SWATCHES } from '../optics/composition';
import { fatnessOf, findTarget, type TargetAnswer } from '../optics/target';
import {
  filmInput,
  filmOf,
  finishInput,
  groundInput,
  groundOf,
  tellColour,
  toldColour,
  wantedInput,
  wantedLab,
} from './colour-input';
import type { DefineVerb } from './define';

const um = z.number().positive();
const lab = z.array(z.number()).length(3);
const answer = z.object({
  recipe: recipeSchema,
  tubeUm: z.number().describe('um of neat tube paint in the film'),
  fatness: z.number(),
  de: z.number().describe('CIEDE2000 to the colour wanted'),
  lab,
  srgb: z.string(),
  change: z.string(),
  between: z.array(lab).length(2).describe('laid 30 % thinner, and 30 % thicker'),
});

/** glaze: which glaze reaches a colour over what lies there, or that none does and with what to paint it. */
export const glazeVerb = (define: DefineVerb) =>
  define({
    name: 'glaze',
    summary:
      'what lies below and a colour wanted -> glazes from these paints, or the mix to paint it with',
    input: z.object({
      paints: z
        .array(tubePartSchema)
        .min(1, { error: 'Give at least one paint.' })
        .max(40, { error: 'At most 40 paints.' })
        .describe('parts are not looked at'),
      medium: z.array(mediumPartSchema).default([{ parts: 1, ingredient: 'stand-oil' }]),
      mostMediumShare: z.number().min(0).lt(1).default(0.9),
      leastFatness: z.number().min(0).lt(1).default(0).describe('of the dry film, for the school'),
      leastUm: um.default(OPTICS_BENCH.glazeLeastUm),
      mostUm: um.default(OPTICS_BENCH.glazeMostUm),
      usualUm: um.default(12),
      ground: groundInput.default('opaque-titanium-white'),
      films: z.array(filmInput).max(200).default([]),
      finish: finishInput.default('oil-gloss'),
      uneven: z.number().min(0).lt(1).default(OPTICS.cvSoftBrush),
      wanted: wantedInput,
      mostPaints: z.union([z.literal(1), z.literal(2), z.literal(3)]).default(3),
    }),
    output: z.object({
      below: toldColour,
      reached: z.boolean(),
      glazes: z.array(answer),
      refused: z.number().int().describe('answers by colour that the fatness does not take'),
      paintIt: answer.nullable().describe('the body colour, where no glaze reaches it'),
    }),
    run: (input) => {
      const below = stackOver(
        input.films.map((film) => filmOf(film, 'fresh')),
        groundOf(input.ground),
      );
      const before = seen(below, input.finish);
      const found = findTarget({
        ...input,
        tubes: input.paints,
        below,
        wanted: wantedLab(input.wanted),
        swatches: NO_SWATCHES,
        admits: (recipe) => fatnessOf(recipe) >= input.leastFatness - 1e-9,
      });
      const told = (a: TargetAnswer) => ({
        recipe: a.recipe,
        tubeUm: a.tubeUm,
        fatness: fatnessOf(a.recipe),
        de: a.de,
        lab: a.lab as number[],
        srgb: hexOf(a.lab),
        change: changeWords(changeOf(labOf(before), a.lab)),
        between: a.between as Lab[] as number[][],
      });
      return {
        below: tellColour(before),
        reached: found.reached,
        glazes: found.answers.map(told),
        refused: found.refused,
        paintIt: found.painted && told(found.painted),
      };
    },
  });
