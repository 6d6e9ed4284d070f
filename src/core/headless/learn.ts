import { z } from 'zod';
import { FINDINGS, LEARNING_ROWS } from '@/data/learning';
import {
  constantAir,
  dryingTimes,
  quantileOf,
  REFERENCE_CLIMATE,
  type ClimateUntil,
  type LogNormal,
} from '../drying';
import { climateSchema } from '../drying/climate-schema';
import { filmOfRecipe } from '../film';
import { recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import { featuresOf, learnedTimes } from '../learn';
import { explain, explanationSentence } from '../learn/explain';
import { priorSd } from '../learn/features';
import { learn } from '../learn/learn';
import { airOf, seriesSchema } from './climate';
import type { DefineVerb } from './define';
import { belowSchema } from './dry';

const time = z.iso.datetime();
const NEUTRAL = { surface: null, cure: 1 };

const told = (dose: LogNormal): z.infer<typeof quantiles> => ({
  // Where a film's own tests have bent the marks, the outermost go by the nearest log-normal, but not past them.
  p05: Math.min(quantileOf(dose, 0.05), quantileOf(dose, 0.1)),
  p10: quantileOf(dose, 0.1),
  p25: quantileOf(dose, 0.25),
  p50: quantileOf(dose, 0.5),
  p75: quantileOf(dose, 0.75),
  p90: quantileOf(dose, 0.9),
  p95: Math.max(quantileOf(dose, 0.95), quantileOf(dose, 0.9)),
});

const filmInput = z.object({
  id: z.string().min(1),
  recipe: recipeSchema,
  laidAt: time,
  below: belowSchema.default(NEUTRAL),
});
const quantiles = z.object({
  p05: z.number(),
  p10: z.number(),
  p25: z.number(),
  p50: z.number(),
  p75: z.number(),
  p90: z.number(),
  p95: z.number(),
});

/** learn: films with their touch tests -> what they teach. */
export const learnVerb = (define: DefineVerb) =>
  define({
    name: 'learn',
    summary: 'films with touch tests -> posterior of every factor, evidence, conflicts',
    input: z.object({
      climate: climateSchema.default(REFERENCE_CLIMATE),
      series: seriesSchema
        .nullable()
        .default(null)
        .describe('readings of a logger; where given, they stand for the climate'),
      forecast: z
        .array(filmInput)
        .default([])
        .describe('films to be told from what was learned, laid or still to be laid'),
      films: z
        .array(
          filmInput.extend({
            tests: z
              .array(
                z.object({
                  id: z.string().min(1),
                  at: time,
                  finding: z.enum(FINDINGS),
                  twistMarks: z.boolean().default(false),
                }),
              )
              .min(1, { error: 'A film without tests teaches nothing. Leave it out.' }),
          }),
        )
        .min(1, { error: 'Give at least one film.' }),
    }),
    output: z.object({
      sentence: z.string(),
      widen: z.number().describe('factor on every spread, from past scores'),
      coatSd: z.number().describe('of a single coat, ln d'),
      factors: z.array(
        z.object({
          factor: z.string(),
          mean: z.number().describe('ln of the factor on drying times'),
          sd: z.number(),
          priorSd: z.number(),
        }),
      ),
      films: z.array(
        z.object({
          id: z.string(),
          touchDoseDays: quantiles.nullable(),
          tests: z.array(
            z.object({ id: z.string(), doseDays: z.number(), finding: z.enum(FINDINGS) }),
          ),
        }),
      ),
      forecast: z
        .array(z.object({ id: z.string(), touchDoseDays: quantiles, throughDoseDays: quantiles }))
        .describe('after what was learned'),
      conflicts: z.array(z.object({ testId: z.string(), misread: z.number() })),
      priors: z.record(z.string(), z.number()),
    }),
    run: ({ climate, series, films, forecast }) => {
      const { constants } = STUDIO_HANDBOOK;
      const air = series ? airOf(series) : constantAir(constants, climate);
      /** As the studio reckons a film that lies by itself: by the tables, in its air. */
      const byTables = ({ recipe, laidAt, below }: z.infer<typeof filmInput>) => {
        const laidAtMs = Date.parse(laidAt);
        const film = filmOfRecipe(STUDIO_HANDBOOK, recipe);
        const { kind } = dryingTimes(STUDIO_HANDBOOK, film, recipe.thicknessUm, below, climate);
        const clock = air.clock(kind, laidAtMs, null);
        const until: ClimateUntil = (dose) => {
          const toMs = clock.timeOf(dose) ?? laidAtMs;
          return {
            climate: air.meanBetween(laidAtMs, toMs),
            weatherSigma: air.weatherSigma(laidAtMs, toMs),
          };
        };
        const times = dryingTimes(STUDIO_HANDBOOK, film, recipe.thicknessUm, below, until);
        const mean = until(times.touch.median).climate;
        const features = featuresOf(constants, film, recipe.thicknessUm, below, mean);
        return { laidAtMs, clock, times, features };
      };
      const evidence = films.map((film) => {
        const { laidAtMs, clock, times, features } = byTables(film);
        return {
          id: film.id,
          laidAtMs,
          touch: times.touch,
          through: times.through,
          setOverTouch: times.setOverTouch,
          openOverTouch: times.openOverTouch,
          features,
          tests: film.tests.map((t) => ({
            id: t.id,
            atMs: Date.parse(t.at),
            dose: clock.doseAt(Date.parse(t.at)),
            finding: t.finding,
            twistMarks: t.twistMarks,
          })),
        };
      });
      const { learned, conflicts } = learn(evidence);
      const after = (film: z.infer<typeof filmInput>) => {
        const { laidAtMs, times, features } = byTables(film);
        return learnedTimes(learned, features, times, film.id, laidAtMs);
      };
      const latest = Math.max(...evidence.flatMap((f) => f.tests.map((t) => t.atMs)));
      return {
        sentence: explanationSentence(explain(learned, latest), (key) => key),
        widen: learned.widen,
        coatSd: Math.sqrt(learned.coatVariance),
        factors: learned.factors.map((factor, i) => ({
          factor,
          mean: learned.mean[i]!,
          sd: Math.sqrt(learned.covariance[i]![i]!),
          priorSd: factor.startsWith('drift:') ? learned.drift.sd : priorSd(factor),
        })),
        films: films.map((film, i) => ({
          id: film.id,
          touchDoseDays: learned.films[film.id]?.touch ? told(after(film).touch) : null,
          tests: evidence[i]!.tests.map((t) => ({
            id: t.id,
            doseDays: t.dose,
            finding: t.finding,
          })),
        })),
        forecast: forecast.map((film) => {
          const { touch, through } = after(film);
          return { id: film.id, touchDoseDays: told(touch), throughDoseDays: told(through) };
        }),
        conflicts: conflicts.map(({ testId, misread }) => ({ testId, misread })),
        priors: Object.fromEntries(
          Object.entries(LEARNING_ROWS).map(([key, row]) => [key, row.value]),
        ),
      };
    },
  });
