import { z } from 'zod';
import { ABSORBING_SURFACES } from '@/data/grounds';
import {
  constantAir,
  dryingTimes,
  FILM_TEST_STAGES,
  FINISH_STAGES,
  finishDoses,
  type FinishStage,
  filmTestDoses,
  REFERENCE_CLIMATE,
  placeFactors,
  quantileOf,
  stageDoses,
  STAGES,
  windowOf,
  type LogNormal,
} from '../drying';
import { climateSchema } from '../drying/climate-schema';
import { filmOfRecipe, groundLossFraction } from '../film';
import { recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import { SCHOOL_KEYS, SCHOOLS } from '../schools';
import { airOf, seriesSchema } from './climate';
import type { DefineVerb } from './define';
import { paintFactors, paintFactorsSchema } from './factors';
import { iso } from './iso';

const time = z.iso.datetime().nullable();
const windowSchema = z.object({
  p05: time,
  p10: time,
  p25: time,
  p50: time,
  p75: time,
  p90: time,
  p95: time,
});
const dose = z.object({
  median: z.number(),
  sigma: z.number().describe('of its logarithm'),
  p05: z.number(),
  p95: z.number(),
});

/** What a film lies on, as far as its drying is concerned. */
export const belowSchema = z.object({
  surface: z.enum(ABSORBING_SURFACES).nullable().describe('the ground it is first on, or null'),
  cure: z.number().min(0).max(1).describe('of the film below: 0 wet, 1 dry through'),
});

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
      below: belowSchema.default({ surface: null, cure: 1 }),
    }),
    output: z.object({
      touchDoseDays: dose,
      throughDoseDays: dose,
      openDoseDays: dose,
      setDoseDays: dose,
      recoatDoseDays: dose,
      intrinsicTouchDays: z.number(),
      factors: paintFactorsSchema
        .extend({
          groundFactor: z.number(),
          underFactor: z.number().describe('of the film below'),
          thicknessFactor: z.number(),
          groundLoss: z.number().describe('L, share of its oil that the ground drinks'),
        })
        .nullable()
        .describe('what touch-dry is made of; null for what dries otherwise than oil'),
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
      const finish = finishDoses(constants, times, SCHOOLS[school].recoat);
      const doses = stageDoses(constants, times);
      const told = (doseAt: (p: number) => number) => {
        const { p10, p25, p50, p75, p90 } = windowOf(clock, doseAt);
        const [p05, p95] = [0.05, 0.95].map((p) => clock.timeOf(doseAt(p))) as [
          number | null,
          number | null,
        ];
        return {
          p05: iso(p05),
          p10: iso(p10),
          p25: iso(p25),
          p50: iso(p50),
          p75: iso(p75),
          p90: iso(p90),
          p95: iso(p95),
        };
      };
      const stage = (dose: LogNormal) => told((p) => quantileOf(dose, p));
      const finer = filmTestDoses(STUDIO_HANDBOOK.constants, times);
      const place = placeFactors(STUDIO_HANDBOOK, recipe.thicknessUm, below);
      const toldDose = ({ median, sigma }: LogNormal) => ({
        median,
        sigma,
        p05: quantileOf({ median, sigma }, 0.05),
        p95: quantileOf({ median, sigma }, 0.95),
      });
      const medianOf = (days: number): string | null => iso(clock.timeOf(days));
      return {
        touchDoseDays: toldDose(times.touch),
        throughDoseDays: toldDose(times.through),
        openDoseDays: toldDose(doses.openUntil),
        setDoseDays: toldDose(doses.set),
        recoatDoseDays: toldDose({ ...times.touch, median: finer.recoat }),
        factors:
          times.kind !== 'oil'
            ? null
            : {
                ...paintFactors(film),
                groundFactor: place.ground,
                underFactor: place.under,
                thicknessFactor: place.thickness,
                groundLoss: below.surface
                  ? groundLossFraction(STUDIO_HANDBOOK, film, below.surface)
                  : 0,
              },
        intrinsicTouchDays: times.intrinsicTouchDays,
        windows: {
          openUntil: stage(doses.openUntil),
          set: stage(doses.set),
          touchDry: stage(doses.touchDry),
          throughDry: stage(doses.throughDry),
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
          handled: told(finish.handled),
          varnishModern: told(finish.varnishModern),
          varnishTraditional: told(finish.varnishTraditional),
        },
      };
    },
  });
