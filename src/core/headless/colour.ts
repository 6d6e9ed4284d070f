import { z } from 'zod';
import { CoreError } from '../errors';
import { changeOf, changeWords, labOf, plateOf, seen, stackOver, thicker } from '../optics';
import { coatsToLook } from '../optics/coats';
import { coatsToCover, contrastRatio, hidingUm, showsThrough } from '../optics/hiding';
import { seenUneven, streaks } from '../optics/look';
import { together } from '../optics/films';
import {
  ageInput,
  filmInput,
  filmOf,
  finishInput,
  groundInput,
  groundOf,
  tellColour,
  toldColour,
  viewingInput,
  wantedInput,
  wantedLab,
} from './colour-input';
import type { DefineVerb } from './define';

const coats = z.number().int().nullable();
const positive = z.number().positive();

/** colour: what films on a ground look like; what hides, how many coats to a look. */
export const colourVerb = (define: DefineVerb) =>
  define({
    name: 'colour',
    summary:
      'films on a ground -> reflectance, Lab, value, sRGB; hiding, coats to hide or to a look',
    input: z.object({
      ground: groundInput.default('opaque-titanium-white'),
      films: z.array(filmInput).max(200, { error: 'At most 200 films.' }).default([]),
      finish: finishInput.default('oil-gloss'),
      uneven: z
        .number()
        .min(0)
        .lt(1)
        .default(0)
        .describe('coefficient of variation of the top film: 0.3 brushed, 0.5 wiped'),
      age: ageInput.default('fresh'),
      viewing: viewingInput.default('D65/2'),
      wanted: wantedInput
        .nullable()
        .default(null)
        .describe('a look: how many coats of the top film'),
      line: z
        .object({ grey: z.number().min(0).max(1), mm: positive, distanceMm: positive })
        .nullable()
        .default(null)
        .describe('a drawn line under the top film: does it show'),
    }),
    output: z.object({
      inner: z.array(z.number()).describe('reflectance below the surface, 380 to 730 nm by 10'),
      seen: z.array(z.number()),
      colour: toldColour,
      below: toldColour.describe('without the top film'),
      change: z.string().describe('what the top film does, in words'),
      top: z
        .object({
          reflectance: z.array(z.number()).describe('of the film by itself'),
          transmittance: z.array(z.number()),
          contrastRatio: z.number(),
          hidingUm: z.number().nullable(),
          thin: z.array(z.number()).describe('Lab of thin places, at the unevenness given'),
          thick: z.array(z.number()),
          coatsToHide: z.object({ passes: coats, same: coats, left: z.array(z.number()) }),
        })
        .nullable(),
      films: z
        .object({ fromAbove: z.array(z.number()), transmittance: z.array(z.number()) })
        .nullable()
        .describe('all films together, without a ground'),
      coats: z
        .object({ coats: z.number().int(), de: z.number(), curve: z.array(z.number()) })
        .nullable(),
      line: z
        .object({ contrast: z.number(), limit: z.number(), de: z.number(), shows: z.boolean() })
        .nullable(),
    }),
    run: ({ ground, films, finish, uneven, age, viewing, wanted, line }) => {
      const bare = groundOf(ground);
      const optical = films.map((film) => filmOf(film, age));
      const top = optical.at(-1);
      const last = films.at(-1);
      const below = stackOver(optical.slice(0, -1), bare);
      const inner = stackOver(optical, bare);
      const surface = top ? seenUneven(top, below, finish, uneven) : seen(inner, finish);
      const before = seen(below, finish);
      if (!top && (wanted || line))
        throw new CoreError(
          'nothing-there',
          'films',
          'There is no film yet. Add the coat asked about.',
        );
      const lastUm = last && ('recipe' in last ? last.recipe.thicknessUm : last.um);
      const plate = top && plateOf(top);
      const all = optical.map((film) => plateOf(film));
      const stacked =
        all.length === 0
          ? null
          : all.slice(1).reduce(
              (under, film) => {
                const both = together(film, { r: under.fromAbove, t: under.t });
                // Only the side above is walked on: what comes from below of the next is its upper side.
                return { fromAbove: both.fromAbove, t: both.t };
              },
              { fromAbove: all[0]!.r, t: all[0]!.t },
            );
      const edges = top && streaks(top, below, finish, uneven);
      const cover = top && coatsToCover(top, groundOf('black'), groundOf('opaque-titanium-white'));
      return {
        inner: [...inner],
        seen: [...surface],
        colour: tellColour(surface, viewing),
        below: tellColour(before, viewing),
        change: changeWords(changeOf(labOf(before), labOf(surface))),
        top: top
          ? {
              reflectance: [...plate!.r],
              transmittance: [...plate!.t],
              contrastRatio: contrastRatio(top),
              hidingUm: hidingUm(thicker(top, 1 / lastUm!)),
              thin: edges!.thin,
              thick: edges!.thick,
              coatsToHide: cover!,
            }
          : null,
        films: stacked && { fromAbove: [...stacked.fromAbove], transmittance: [...stacked.t] },
        coats: wanted && top ? coatsToLook(top, below, wantedLab(wanted), finish) : null,
        line:
          line && top
            ? showsThrough(top, groundOf({ grey: line.grey }), below, {
                lineMm: line.mm,
                distanceMm: line.distanceMm,
              })
            : null,
      };
    },
  });
