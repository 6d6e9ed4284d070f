import { z } from 'zod';
import { oddsOf } from '../schedule/odds';
import { plan, type Plan } from '../schedule';
import type { DefineVerb } from './define';
import { planInputSchema, problemOf, type PlanVerbInput } from './plan-input';
import type { Around } from './verbs';

/** What never comes has no date. */
const iso = (ms: number): string | null =>
  Number.isFinite(ms) ? new Date(ms).toISOString() : null;
const time = z.iso.datetime().nullable();

function planned(input: PlanVerbInput, around?: Around) {
  const problem = problemOf(input);
  const { weights, seed, rounds, timeLimitMs } = input;
  const began = around?.nowMs() ?? 0;
  const found = plan(problem, {
    weights,
    seed,
    ...(rounds === undefined ? {} : { rounds }),
    ...(timeLimitMs !== undefined && around
      ? { stop: () => around.nowMs() - began > timeLimitMs }
      : {}),
  });
  return { problem, found };
}

const sessions = ({ sessions: list }: Plan) =>
  list.map((s) => ({
    from: iso(s.fromMs),
    to: iso(s.toMs),
    works: s.works.map((w) => ({ id: w.id, from: iso(w.startMs), to: iso(w.endMs) })),
  }));

/** plan: works with waits between them, one painter, a calendar -> sessions. */
export const planVerb = (define: DefineVerb) =>
  define({
    name: 'plan',
    summary: 'works with waits between them, a calendar, dates -> sessions, lateness, what decides',
    input: planInputSchema,
    output: z.object({
      sessions: z.array(
        z.object({
          from: time,
          to: time,
          works: z.array(z.object({ id: z.string(), from: time, to: time })),
        }),
      ),
      paintings: z.array(
        z.object({
          id: z.string(),
          finish: time,
          lateDays: z.number(),
          chain: z.array(z.object({ work: z.string(), held: z.string() })),
        }),
      ),
      impossible: z.array(z.record(z.string(), z.unknown())),
      objective: z.number(),
      bound: z.number(),
      rounds: z.number(),
      stopped: z.boolean(),
    }),
    run: (input, around) => {
      const { found } = planned(input, around);
      return {
        sessions: sessions(found),
        paintings: found.goals.map((g) => ({
          id: g.project,
          finish: iso(g.finishMs),
          lateDays: g.lateDays,
          chain: g.chain.map(({ work, held }) => ({ work, held })),
        })),
        impossible: found.impossible.map((x) => ({ ...x })),
        objective: found.objective,
        bound: found.bound,
        rounds: found.rounds,
        stopped: found.stopped,
      };
    },
  });

/** odds: the same input, played through -> the chance of each date. */
export const oddsVerb = (define: DefineVerb) =>
  define({
    name: 'odds',
    summary: 'the input of plan -> the chance that each date is met, by many draws',
    input: planInputSchema.extend({ draws: z.number().int().min(1).max(200_000).default(10_000) }),
    output: z.object({
      draws: z.number(),
      paintings: z.array(
        z.object({
          id: z.string(),
          chance: z.number().nullable(),
          p50: time,
          p90: time,
          slackDays: z.number().nullable(),
        }),
      ),
      works: z.array(z.object({ id: z.string(), p50: time, p90: time })),
    }),
    run: (input, around) => {
      const { problem, found } = planned(input, around);
      const odds = oddsOf(problem, found, { draws: input.draws, seed: input.seed });
      return {
        draws: odds.draws,
        paintings: odds.goals.map((g) => ({
          id: g.project,
          chance: g.chance,
          p50: iso(g.p50Ms),
          p90: iso(g.p90Ms),
          slackDays: g.slackDays !== null && Number.isFinite(g.slackDays) ? g.slackDays : null,
        })),
        works: odds.works.map((w) => ({ id: w.id, p50: iso(w.p50Ms), p90: iso(w.p90Ms) })),
      };
    },
  });
