import { z } from 'zod';
import { airRecordSchema } from '@/core/climate/record';
import { climateSchema } from '@/core/drying/climate-schema';
import { learnedSchema } from '@/core/learn/learned-schema';
import { COAT_ROLES, type CoatRole } from '@/core/painting';
import { coatSchema, paintingSchema } from '@/core/painting/schema';
import type { Delays } from '@/core/schedule/delays';
import type { HalfOfDraws } from '@/core/schedule/odds';
import { planRecordSchema } from '@/core/plan-record/schema';
import type { Plan } from '@/core/schedule/result';
import { whatIfSchema } from '@/core/schedule/what-if';
import type { ReadyBy } from '@/core/schedule/ready-by';
import type { StudioPlan, StudioPlanInput } from '@/core/schedule/studio-plan';
import type { ReadyByTarget } from '@/core/schedule/studio-ready-by';

/** What goes into the planning worker and comes out of it. Both sides are checked. */
export const planRequestSchema = z.object({
  paintings: z.array(paintingSchema),
  record: planRecordSchema,
  pace: z.object(
    Object.fromEntries(COAT_ROLES.map((role) => [role, z.number().positive()])) as Record<
      CoatRole,
      z.ZodNumber
    >,
  ),
  habits: z.object({
    ownSd: z.number().positive(),
    sharedSd: z.number().positive(),
    sittings: z.number(),
    laid: z.number(),
    redone: z.number(),
    redo: z.number().min(0).max(1),
    held: z.object({ hours: z.number(), held: z.number(), moved: z.number() }),
  }),
  climate: climateSchema,
  air: airRecordSchema.nullable(),
  learned: learnedSchema.nullable(),
  nowMs: z.number(),
  timeZone: z.string(),
  latitudeDeg: z.number(),
  whatIf: z.array(whatIfSchema),
  seed: z.number().int(),
  draws: z.number().int().positive(),
  quick: z.boolean(),
}) satisfies z.ZodType<StudioPlanInput>;
export type PlanRequest = z.infer<typeof planRequestSchema>;

/** A moment; Infinity where it never comes. */
const moment = z.union([z.number(), z.literal(Infinity)]);
const id = z.string();

const plannedWork = z.object({
  id,
  project: id,
  startMs: z.number(),
  endMs: z.number(),
  pinned: z.boolean(),
});
const impossible = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('no-room'), work: id }),
  z.object({
    kind: z.literal('no-sitting-long-enough'),
    work: id,
    slots: z.number(),
    longest: z.number(),
  }),
  z.object({ kind: z.literal('never-dry'), work: id }),
  z.object({ kind: z.literal('pin-outside-hours'), work: id, pinMs: z.number() }),
  z.object({
    kind: z.literal('pins-meet'),
    work: z.string(),
    other: z.string(),
    pinMs: z.number(),
    startMs: z.number().nullable(),
  }),
  z.object({
    kind: z.literal('pin-too-early'),
    work: id,
    pinMs: z.number(),
    startMs: z.number().nullable(),
  }),
  z.object({ kind: z.literal('missed-wet'), work: id, into: z.array(id) }),
]);
const delayRow = z.object({
  day: z.string(),
  untilMs: z.number(),
  chance: z.number(),
  p50Ms: moment,
});

export const foundSchema: z.ZodType<Plan> = z.object({
  sessions: z.array(
    z.object({
      window: z.number(),
      fromMs: z.number(),
      toMs: z.number(),
      works: z.array(plannedWork),
    }),
  ),
  goals: z.array(
    z.object({
      project: id,
      finishMs: moment,
      lateDays: z.number(),
      chain: z.array(
        z.object({
          work: id,
          startMs: z.number(),
          readyMs: z.number(),
          held: z.enum(['wait', 'hours', 'painter', 'start']),
        }),
      ),
    }),
  ),
  impossible: z.array(impossible),
  objective: z.number(),
  bound: z.number(),
  firstObjective: z.number(),
  rounds: z.number(),
  stopped: z.boolean(),
});

export const delaysSchema: z.ZodType<Delays> = z.object({
  project: id,
  workIds: z.array(id),
  rows: z.array(delayRow),
  lastSafe: delayRow.nullable(),
  firstUnsafe: delayRow.nullable(),
  perDay: z.number(),
});

/** What the second worker gives back. */
export const halfSchema: z.ZodType<HalfOfDraws> = z.object({
  draws: z.number().int(),
  finishes: z.array(z.instanceof(Float64Array)),
  counts: z.array(z.instanceof(Uint32Array)),
  opens: z.instanceof(Float64Array),
});

export const studioPlanSchema: z.ZodType<StudioPlan> = z.object({
  plan: foundSchema,
  goals: z.array(
    z.object({
      project: id,
      dueMs: z.number().nullable(),
      chance: z.number().nullable(),
      p50Ms: moment,
      p90Ms: moment,
      slackDays: z.union([z.number(), z.literal(-Infinity)]).nullable(),
      twenty: z.array(moment),
    }),
  ),
  works: z.array(z.object({ id, p50Ms: moment, p90Ms: moment })),
  draws: z.number(),
  steps: z.array(
    z.object({
      id,
      paintingId: id,
      coat: coatSchema,
      passageIds: z.array(id),
      minutes: z.number(),
      workIds: z.array(id),
      medium: z.string().nullable(),
    }),
  ),
  refused: z.array(z.object({ stepId: id, rule: z.string() })),
  windows: z.array(z.object({ fromMs: z.number(), toMs: z.number() })),
  delays: z.array(delaysSchema),
});

export const readyByRequestSchema = z.object({
  studio: planRequestSchema,
  target: z.object({ coatId: id, passageId: id, atMs: z.number() }),
}) satisfies z.ZodType<{ studio: StudioPlanInput; target: ReadyByTarget }>;
export type ReadyByRequest = z.infer<typeof readyByRequestSchema>;

const readyByDay = z.object({ day: z.string(), fromMs: z.number(), chance: z.number() });
export const readyBySchema = z.object({
  chance: z.number(),
  links: z.array(
    z.object({ step: id, lastSafe: readyByDay.nullable(), days: z.array(readyByDay) }),
  ),
}) satisfies z.ZodType<ReadyBy>;
