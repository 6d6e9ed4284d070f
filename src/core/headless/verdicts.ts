import { pairNames } from '../tell';
import { z } from 'zod';
import { assessPainting, type Layer } from '../painting';
import {
  figuresSentence,
  SCHOOL_KEYS,
  VERDICTS,
  verdictSentence,
  type SchoolKey,
} from '../schools';
import type { DefineVerb } from './define';
import { optionsOf, paintingOf, stackInputSchema } from './painting-input';
import { repairsSchema, toldRepairs } from './repair';

const verdictSchema = z.object({
  verdict: z.enum(VERDICTS),
  reason: z.string(),
  lower: z.number().nullable(),
  upper: z.number().nullable(),
  sentence: z.string(),
  figures: z.string(),
});

const told = (layer: Layer, school: SchoolKey) => {
  const v = layer.pair!.bySchool[school];
  return {
    verdict: v.verdict,
    reason: v.reason,
    lower: v.lower,
    upper: v.upper,
    sentence: verdictSentence(v, pairNames(layer, school)),
    figures: figuresSentence(v),
  };
};

/** verdicts: every adjacent pair of films of a stack by every school, with repairs for the chosen one. */
export const verdictsVerb = (define: DefineVerb) =>
  define({
    name: 'verdicts',
    summary: 'a stack of coats, lowest first -> every adjacent pair by every school, with repairs',
    input: stackInputSchema,
    output: z.object({
      pairs: z.array(
        z.object({
          lower: z.string(),
          upper: z.string(),
          trapIndex: z.number().nullable(),
          verdicts: z.record(z.string(), verdictSchema),
          repairs: repairsSchema,
        }),
      ),
    }),
    run: (input) => {
      const painting = paintingOf(input);
      const options = optionsOf(input);
      const { base } = assessPainting(painting, options).passages[0]!;
      const pairs = base.layers
        .filter((layer) => layer.pair && layer.film.coatIds.length > 0)
        .map((layer) => ({
          lower: layer.pair!.againstName,
          upper: layer.film.name,
          trapIndex: layer.pair!.trapIndex,
          verdicts: Object.fromEntries(SCHOOL_KEYS.map((school) => [school, told(layer, school)])),
          repairs: layer.planned
            ? toldRepairs(
                {
                  painting,
                  coatId: layer.film.coatIds.at(-1)!,
                  school: input.school,
                },
                options,
              )
            : [],
        }));
      return { pairs };
    },
  });
