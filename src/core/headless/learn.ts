import { z } from 'zod';
import { FINDINGS, LEARNING_ROWS } from '@/data/learning';
import { dryingClock, dryingTimes, REFERENCE_CLIMATE } from '../drying';
import { climateSchema } from '../drying/climate-schema';
import { filmOfRecipe } from '../film';
import { recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import { featuresOf } from '../learn';
import { explain, explanationSentence } from '../learn/explain';
import { priorSd } from '../learn/features';
import { learn } from '../learn/learn';
import type { DefineVerb } from './define';

const time = z.iso.datetime();
const NEUTRAL = { surface: null, cure: 1 };

/** learn: films with their touch tests -> what they teach. */
export const learnVerb = (define: DefineVerb) =>
  define({
    name: 'learn',
    summary: 'films with touch tests -> posterior of every factor, evidence, conflicts',
    input: z.object({
      climate: climateSchema.default(REFERENCE_CLIMATE),
      films: z
        .array(
          z.object({
            id: z.string().min(1),
            recipe: recipeSchema,
            laidAt: time,
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
          touchDoseDays: z
            .object({
              p10: z.number(),
              p25: z.number(),
              p50: z.number(),
              p75: z.number(),
              p90: z.number(),
            })
            .nullable(),
          tests: z.array(
            z.object({ id: z.string(), doseDays: z.number(), finding: z.enum(FINDINGS) }),
          ),
        }),
      ),
      conflicts: z.array(z.object({ testId: z.string(), misread: z.number() })),
      priors: z.record(z.string(), z.number()),
    }),
    run: ({ climate, films }) => {
      const { constants } = STUDIO_HANDBOOK;
      const evidence = films.map(({ id, recipe, laidAt, tests }) => {
        const laidAtMs = Date.parse(laidAt);
        const film = filmOfRecipe(STUDIO_HANDBOOK, recipe);
        const times = dryingTimes(STUDIO_HANDBOOK, film, recipe.thicknessUm, NEUTRAL, climate);
        const clock = dryingClock(constants, times.kind, climate, laidAtMs, null);
        return {
          id,
          laidAtMs,
          touch: times.touch,
          through: times.through,
          setOverTouch: times.setOverTouch,
          features: featuresOf(constants, film, recipe.thicknessUm, NEUTRAL, climate),
          tests: tests.map((t) => ({
            id: t.id,
            atMs: Date.parse(t.at),
            dose: clock.doseAt(Date.parse(t.at)),
            finding: t.finding,
            twistMarks: t.twistMarks,
          })),
        };
      });
      const { learned, conflicts } = learn(evidence);
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
        films: evidence.map((film) => {
          const told = learned.films[film.id]?.touch;
          const [p10, p25, p50, p75, p90] = (told ?? []).map(Math.exp);
          return {
            id: film.id,
            touchDoseDays: told ? { p10: p10!, p25: p25!, p50: p50!, p75: p75!, p90: p90! } : null,
            tests: film.tests.map((t) => ({ id: t.id, doseDays: t.dose, finding: t.finding })),
          };
        }),
        conflicts: conflicts.map(({ testId, misread }) => ({ testId, misread })),
        priors: Object.fromEntries(
          Object.entries(LEARNING_ROWS).map(([key, row]) => [key, row.value]),
        ),
      };
    },
  });
