import { z } from 'zod';
import { CoreError } from '../errors';
import { tubePartSchema } from '../film/recipe';
import { colourWords, hexOf, valueOfLab, type Lab } from '../optics';
import { NO_SWATCHES } from '../optics/composition';
import { amountsOfString, opticalMix } from '../optics/string-amounts';
import { neutralise, stringOf, whiteAdded } from '../optics/strings';
import type { DefineVerb } from './define';

const mixInput = z.array(tubePartSchema).min(1, { error: 'A mix has at least one paint.' }).max(12);
const colour = z.object({
  lab: z.array(z.number()).length(3),
  value: z.number(),
  srgb: z.string(),
  words: z.string(),
});
const tell = (lab: Lab) => ({
  lab: lab as number[],
  value: valueOfLab(lab),
  srgb: hexOf(lab),
  words: colourWords(lab),
});

/** string: steps between mixes, even to the eye, with amounts; what white does; what neutralises. */
export const stringVerb = (define: DefineVerb) =>
  define({
    name: 'string',
    summary:
      'mixes -> a string of even steps with ml; white added and what turns it back; neutralise',
    input: z.object({
      mixes: z
        .array(mixInput)
        .min(1)
        .max(3, { error: 'A string goes through at most three mixes.' }),
      steps: z.number().int().min(2).max(25, { error: 'At most 25 steps.' }).default(7),
      even: z.enum(['lightness', 'difference']).default('lightness'),
      areaCm2: z.number().positive().default(100).describe('of all steps together'),
      um: z.number().positive().default(75),
      white: z
        .object({ mix: mixInput, share: z.number().gt(0).lt(1) })
        .nullable()
        .default(null)
        .describe('added to the first mix'),
      candidates: z
        .array(mixInput)
        .max(40)
        .default([])
        .describe('to turn the hue back after white, and to neutralise the first mix with'),
    }),
    output: z.object({
      steps: z
        .array(
          z.object({
            shares: z.array(z.number()),
            colour,
            tubes: z.array(z.object({ name: z.string(), parts: z.number(), ml: z.number() })),
          }),
        )
        .nullable()
        .describe('null for one mix, and where lightness turns round on the way'),
      length: z.number().nullable(),
      turnsAt: z.number().nullable(),
      white: z
        .object({
          from: colour,
          to: colour,
          change: z.object({
            value: z.number(),
            lightness: z.number(),
            chroma: z.number(),
            hue: z.number(),
            turnedTo: z.string().nullable(),
            warmth: z.number(),
          }),
          back: z.array(
            z.object({ candidate: z.number().int(), share: z.number(), chromaLost: z.number() }),
          ),
        })
        .nullable(),
      neutral: z.array(
        z.object({ candidate: z.number().int(), share: z.number(), chroma: z.number(), colour }),
      ),
    }),
    run: ({ mixes, steps, even, areaCm2, um, white, candidates }) => {
      const optical = mixes.map((mix) => opticalMix(mix, NO_SWATCHES));
      const others = candidates.map((mix) => opticalMix(mix, NO_SWATCHES));
      if (mixes.length === 1 && !white && candidates.length === 0)
        throw new CoreError(
          'mix-empty',
          'mixes',
          'One mix makes no string. Give a second, white to add, or candidates to neutralise it.',
        );
      const made = mixes.length > 1 ? stringOf(optical, steps, even) : null;
      const told = made && 'steps' in made ? made : null;
      const amounts = told && amountsOfString(mixes, told.steps, { areaCm2, um });
      const added =
        white && whiteAdded(optical[0]!, opticalMix(white.mix, NO_SWATCHES), white.share, others);
      return {
        steps:
          told &&
          told.steps.map((step, i) => ({
            shares: step.shares,
            colour: tell(step.lab),
            tubes: amounts![i]!.map(({ name, parts, ml }) => ({ name, parts, ml })),
          })),
        length: told?.length ?? null,
        turnsAt: made && 'turnsAt' in made ? made.turnsAt : null,
        white: added && {
          from: tell(added.from),
          to: tell(added.to),
          change: added.change,
          back: added.back.map(({ index, share, chromaLost }) => ({
            candidate: index,
            share,
            chromaLost,
          })),
        },
        neutral: neutralise(optical[0]!, others).map(({ index, share, chroma, lab }) => ({
          candidate: index,
          share,
          chroma,
          colour: tell(lab),
        })),
      };
    },
  });
