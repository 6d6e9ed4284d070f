import { z } from 'zod';
import { CLEANING_MINUTES } from '@/data/pace';
import { STUDIO_HANDBOOK } from '../handbook';
import { CoreError } from '../errors';
import { quantileOf } from '../drying';
import { workWindows } from '../schedule/calendar';
import { exceptionSchema, workingHoursSchema } from '../plan-record/schema';
import { wallTable } from '../schedule/dose-table';
import type { Lag, PlanFilm, PlanProblem, PlanWork, WorkWindow } from '../schedule';

const timestamp = z.iso.datetime({
  error: 'Must be a date and time such as 2026-02-17T10:15:00.000Z.',
});
const days = z.number({ error: 'Must be a number of days.' }).positive().max(4000);
const chance = z.number().gt(0).lt(1);
const SPREAD =
  'standard deviation of the logarithm of the wait: what this film has alone, and what all share';

/** A wait: log-normal, planned at a chance. */
const waitSchema = z.object({
  after: z.string().describe('id of the work that is waited for'),
  medianDays: days.describe('median wait after its end, days on the wall clock'),
  own: z.number().min(0).max(2).default(0.3).describe(SPREAD),
  shared: z.number().min(0).max(2).default(0.35).describe(SPREAD),
  chance: chance.default(0.75).describe('the chance it is planned at'),
});
const openSchema = z.object({
  after: z.string().describe('id of the work whose paint must still be open'),
  medianDays: days.describe('median time it stays open, from its first stroke'),
  own: z.number().min(0).max(2).default(0.3),
  shared: z.number().min(0).max(2).default(0.35),
  chance: chance.default(0.75),
  sameSitting: z.boolean().default(false),
});

const calendarSchema = z.union([
  z.object({
    windows: z
      .array(z.object({ from: timestamp, to: timestamp }))
      .min(1, { error: 'Give at least one stretch of working time.' }),
  }),
  workingHoursSchema.extend({
    timeZone: z.string().default('UTC'),
    latitudeDeg: z.number().min(-90).max(90).default(50),
    exceptions: z.array(exceptionSchema).default([]),
    busy: z.array(z.object({ from: timestamp, to: timestamp })).default([]),
    days: z.number().int().min(1).max(364).default(182),
    cleaningMinutes: z.number().min(0).max(120).default(CLEANING_MINUTES),
  }),
]);

export const planInputSchema = z.object({
  now: timestamp,
  slotMinutes: z.number().int().min(1).max(240).default(15),
  calendar: calendarSchema,
  paintings: z
    .array(
      z.object({
        id: z.string().min(1),
        due: timestamp.nullable().default(null),
        weight: z.number().positive().max(100).default(1),
        finish: waitSchema
          .omit({ after: true })
          .extend({ chance: chance.default(0.9) })
          .nullable()
          .default(null)
          .describe('what is waited for after the last works; null: only their end'),
      }),
    )
    .min(1, { error: 'Give at least one painting.' }),
  works: z
    .array(
      z.object({
        id: z.string().min(1),
        painting: z.string(),
        minutes: z.number().positive().max(1440),
        medium: z.string().nullable().default(null),
        notBefore: timestamp.nullable().default(null),
        notIn: z
          .array(z.object({ from: timestamp, to: timestamp }))
          .max(100)
          .default([])
          .describe('times that it is kept out of, such as a week'),
        pin: timestamp.nullable().default(null),
        dry: z.array(waitSchema).default([]).describe('waits at the least'),
        into: z.array(openSchema).default([]).describe('waits at the most: wet into wet'),
      }),
    )
    .max(5000),
  weights: z
    .object({
      lateDay: z.number().min(0).default(100),
      finishDay: z.number().min(0).default(1),
      session: z.number().min(0).default(2),
      mediumChange: z.number().min(0).default(1),
    })
    .prefault({}),
  seed: z.number().int().default(1),
  rounds: z.number().int().min(0).max(1_000_000).optional().describe('of the search'),
  timeLimitMs: z
    .number()
    .positive()
    .optional()
    .describe('ends the search; the plan then depends on the machine'),
});
export type PlanVerbInput = z.infer<typeof planInputSchema>;

type Spread = { medianDays: number; own: number; shared: number; chance: number };

/** The problem a verb's input means. Throws CoreError naming what is not there. */
export function problemOf(input: PlanVerbInput): PlanProblem {
  const nowMs = Date.parse(input.now);
  const { openOverTouch } = STUDIO_HANDBOOK.constants;
  const films: PlanFilm[] = [];
  const film = (spread: Spread, medianDays = spread.medianDays): number => {
    const touch = { median: medianDays, own: spread.own, shared: [spread.shared] };
    films.push({ clock: 'wall', openOverTouch, touch, through: touch });
    return films.length - 1;
  };
  const dose = (spread: Spread, p = spread.chance): number =>
    quantileOf({ median: spread.medianDays, sigma: Math.hypot(spread.own, spread.shared) }, p);
  const wait = (after: string, spread: Spread): Lag => ({
    after,
    film: film(spread),
    stage: 'touch-dry',
    dose: dose(spread),
    had: 0,
  });
  const works = input.works.map((w): PlanWork => ({
    id: w.id,
    project: w.painting,
    slots: Math.max(1, Math.round(w.minutes / input.slotMinutes)),
    medium: w.medium,
    lags: w.dry.map((d) => wait(d.after, d)),
    wets: w.into.map((open) => {
      // The simulation takes the open time as its share of touch-dry.
      const touchDays = open.medianDays / openOverTouch;
      return {
        after: open.after,
        film: film(open, touchDays),
        dose: dose(open, 1 - open.chance),
        had: 0,
        sameSitting: open.sameSitting,
        dryDose: dose({ ...open, medianDays: touchDays }),
      };
    }),
    pinMs: w.pin === null ? null : Date.parse(w.pin),
    notBeforeMs: w.notBefore === null ? null : Date.parse(w.notBefore),
    notIn: w.notIn.map(({ from, to }) => ({ fromMs: Date.parse(from), toMs: Date.parse(to) })),
  }));
  const waitedFor = new Set(works.flatMap((w) => [...w.lags, ...w.wets].map((l) => l.after)));
  const ids = new Set(input.paintings.map((p) => p.id));
  input.works.forEach((w, i) => {
    if (!ids.has(w.painting))
      throw new CoreError(
        'plan-unreadable',
        `works.${i}.painting`,
        `There is no painting "${w.painting}". Name one of: ${[...ids].join(', ')}.`,
      );
  });
  return {
    nowMs,
    slotMs: input.slotMinutes * 60_000,
    windows: windowsOf(input),
    clocks: { oil: wallTable(nowMs), acrylic: wallTable(nowMs), wall: wallTable(nowMs) },
    films,
    works,
    goals: input.paintings.map((p) => ({
      project: p.id,
      dueMs: p.due === null ? null : Date.parse(p.due),
      weight: p.weight,
      ends: works
        .filter((w) => w.project === p.id && !waitedFor.has(w.id))
        .map((w) =>
          p.finish === null
            ? { after: w.id, film: null, stage: 'order' as const, dose: 0, had: 0 }
            : wait(w.id, p.finish),
        ),
    })),
    constants: STUDIO_HANDBOOK.constants,
  };
}

function windowsOf({ calendar, now }: PlanVerbInput): WorkWindow[] {
  if ('windows' in calendar)
    return calendar.windows.map((w) => ({ fromMs: Date.parse(w.from), toMs: Date.parse(w.to) }));
  return workWindows({
    hours: { week: calendar.week, daylightOnly: calendar.daylightOnly },
    exceptions: calendar.exceptions,
    busy: calendar.busy.map((b) => ({ fromMs: Date.parse(b.from), toMs: Date.parse(b.to) })),
    timeZone: calendar.timeZone,
    latitudeDeg: calendar.latitudeDeg,
    fromMs: Date.parse(now),
    days: calendar.days,
    cleaningMinutes: calendar.cleaningMinutes,
    leastMinutes: 30,
  });
}
