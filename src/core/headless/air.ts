import { z } from 'zod';
import { AIR_ADVICE, VAPOUR_KEYS } from '@/data/air';
import { GOVERNS } from '@/data/cautions';
import { airOutlook } from '../air/outlook';
import { roomSchema } from '../air/room-schema';
import { vapourOfCoat } from '../air/sources';
import { recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import type { DefineVerb } from './define';

const figure = z.number();
const range = z.object({ least: figure, most: figure });

/** air: a room, a session and what evaporates in it -> near field and room as ranges, limits, airing. */
export const airVerb = (define: DefineVerb) =>
  define({
    name: 'air',
    summary:
      'a room, a session and what evaporates -> near field and room, limits, airing, hours after',
    input: z.object({
      room: roomSchema,
      hours: z.number().min(0.1).max(24),
      coats: z
        .array(z.object({ recipe: recipeSchema, areaCm2: z.number().positive() }))
        .max(100)
        .default([]),
      dishes: z
        .array(
          z.object({
            vapour: z.enum(VAPOUR_KEYS),
            diameterCm: z.number().min(1).max(60),
            hours: z.number().min(0).max(24),
          }),
        )
        .max(20)
        .default([]),
      washing: z
        .array(z.object({ vapour: z.enum(VAPOUR_KEYS), ml: z.number().min(0).max(5000) }))
        .max(20)
        .default([]),
    }),
    output: z.object({
      vapours: z.array(
        z.object({
          vapour: z.enum(VAPOUR_KEYS),
          ml: range,
          nearMgM3: range,
          roomMgM3: range,
          nearDayMgM3: range,
          roomDayMgM3: range,
          strictest: z.object({ mgM3: figure, by: z.string() }),
          over: z.enum(['likely', 'possible', 'not-by-this-estimate']),
          freshNeededM3PerH: figure.nullable(),
          dilutionM3PerH: range,
          backHours: z.object({ least: figure.nullable(), most: figure.nullable() }),
        }),
      ),
      advice: z.array(z.string()),
    }),
    run: ({ room, hours, coats, dishes, washing }) => ({
      vapours: airOutlook({
        room,
        hours,
        sources: [
          ...coats.flatMap(({ recipe, areaCm2 }) =>
            vapourOfCoat(STUDIO_HANDBOOK, recipe, areaCm2, {
              canvasFactor: STUDIO_HANDBOOK.constants.canvasFactor,
              wasteFactor: STUDIO_HANDBOOK.constants.wasteFactor,
            }),
          ),
          ...dishes.map((d) => ({ kind: 'dish' as const, ...d })),
          ...washing.map((w) => ({ kind: 'washing' as const, ...w })),
        ],
      }).map((v) => ({
        vapour: v.vapour,
        ml: v.ml,
        nearMgM3: v.near,
        roomMgM3: v.room,
        nearDayMgM3: v.nearDay,
        roomDayMgM3: v.roomDay,
        strictest: { mgM3: v.strictest.mgM3, by: v.strictest.by },
        over: v.over,
        freshNeededM3PerH: v.freshNeededM3PerH,
        dilutionM3PerH: v.dilutionM3PerH,
        backHours: v.backHours,
      })),
      advice: [...AIR_ADVICE, GOVERNS],
    }),
  });
