import { z } from 'zod';
import { ABSORBING_SURFACES } from '@/data/grounds';
import {
  constantAir,
  dryingTimes,
  dryingWindows,
  FILM_TEST_STAGES,
  FINISH_STAGES,
  finishWindows,
  type FinishStage,
  filmTestDoses,
  REFERENCE_CLIMATE,
  STAGES,
} from '../drying';
import { climateSchema } from '../drying/climate-schema';
import { filmOfRecipe } from '../film';
import { recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import { SCHOOL_KEYS, SCHOOLS } from '../schools';
import { airOf, seriesSchema } from './climate';
import type { DefineVerb } from './define';
import { iso } from './iso';

const time = z.iso.datetime().nullable();
const windowSchema = z.object({ p10: time, p25: time, p50: time, p75: time, p90: time });
const dose = z.object({ median: z.number(), sigma: z.number() });

/** dry: when a coat is open, set, touch-dry, through-dry, takes a coat and a varnish, in a climate or by readings. */
export const dryVerb = (define: DefineVerb) =>
  define({
    name: 'dry',
    summary: 'a coat, a climate and the time it was laid -> windows of every stage',
    input: z.object({
      recipe: recipeSchema,
      laidAt: z.iso.datetime(),
      coveredAt: z.iso.datetime().nullable().default(null),
      climate: climateSchema.default(REFERENCE_CLIMATE),
      series: seriesSchema
        .nullable()
        .default(null)
        .describe('readings of a logger; where given, they stand for the climate'),
      school: z.enum(SCHOOL_KEYS).default('total-oil').describe('for when it takes a coat'),
      below: z
        .object({
          surface: z
            .enum(ABSORBING_SURFACES)
            .nullable()
            .describe('the ground it is first on, or null'),
          cure: z.number().min(0).max(1).describe('of the film below: 0 wet, 1 dry through'),
        })
        .default({ surface: null, cure: 1 }),
    }),
    output: z.object({
      touchDoseDays: dose,
      throughDoseDays: dose,
      intrinsicTouchDays: z.number(),
      windows: z.object(
        Object.fromEntries(STAGES.map((stage) => [stage, windowSchema])) as Record<
          (typeof STAGES)[number],
          typeof windowSchema
        >,
      ),
      filmTests: z
        .object(
          Object.fromEntries(FILM_TEST_STAGES.map((stage) => [stage, time])) as Record<
            (typeof FILM_TEST_STAGES)[number],
            typeof time
          >,
        )
        .describe('medians'),
      finish: z.object(
        Object.fromEntries(FINISH_STAGES.map((stage) => [stage, windowSchema])) as Record<
          FinishStage,
          typeof windowSchema
        >,
      ),
    }),
    run: ({ recipe, laidAt, coveredAt, climate, series, school, below }) => {
      const { constants } = STUDIO_HANDBOOK;
      const film = filmOfRecipe(STUDIO_HANDBOOK, recipe);
      const air = series ? airOf(series) : constantAir(constants, climate);
      const laidAtMs = Date.parse(laidAt);
      const cover = coveredAt === null ? null : Date.parse(coveredAt);
      // Whether it is oil or acrylic is known before how long it takes.
      const { kind } = dryingTimes(STUDIO_HANDBOOK, film, recipe.thicknessUm, below, climate);
      const clock = air.clock(kind, laidAtMs, cover);
      const times = dryingTimes(STUDIO_HANDBOOK, film, recipe.thicknessUm, below, (dose) => {
        const toMs = clock.timeOf(dose) ?? laidAtMs;
        return {
          climate: air.meanBetween(laidAtMs, toMs),
          weatherSigma: air.weatherSigma(laidAtMs, toMs),
        };
      });
      const finish = finishWindows(constants, times, clock, SCHOOLS[school].recoat);
      const windows = dryingWindows(STUDIO_HANDBOOK.constants, times, clock);
      const told = ({ p10, p25, p50, p75, p90 }: (typeof windows)['set']) => ({
        p10: iso(p10),
        p25: iso(p25),
        p50: iso(p50),
        p75: iso(p75),
        p90: iso(p90),
      });
      const finer = filmTestDoses(STUDIO_HANDBOOK.constants, times);
      const medianOf = (days: number): string | null => iso(clock.timeOf(days));
      return {
        touchDoseDays: times.touch,
        throughDoseDays: times.through,
        intrinsicTouchDays: times.intrinsicTouchDays,
        windows: {
          openUntil: told(windows.openUntil),
          set: told(windows.set),
          touchDry: told(windows.touchDry),
          throughDry: told(windows.throughDry),
        },
        filmTests: {
          dustFree: medianOf(finer.dustFree),
          tackFree: medianOf(finer.tackFree),
          recoat: medianOf(finer.recoat),
          dryHard: medianOf(finer.dryHard),
        },
        finish: {
          recoat: told(finish.recoat),
          retouch: told(finish.retouch),
          varnishModern: told(finish.varnishModern),
          varnishTraditional: told(finish.varnishTraditional),
        },
      };
    },
  });
