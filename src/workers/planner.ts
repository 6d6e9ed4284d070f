import { z } from 'zod';
import { readyByOf } from '@/core/schedule/studio-ready-by';
import { planStudio, studioJob, type Second, type StudioJob } from '@/core/schedule/studio-plan';
import {
  delaysSchema,
  foundSchema,
  halfSchema,
  planRequestSchema,
  readyByRequestSchema,
} from './plan-protocol';
import { reply, replyLater, unpack, type Reply } from './protocol';

/** What one planning worker can ask of another. */
export interface PlanHelper {
  prepare(raw: unknown): Reply | Promise<Reply>;
  draw(found: unknown, half: number): Reply | Promise<Reply>;
  delay(found: unknown, project: string): Reply | Promise<Reply>;
}

let job: StudioJob | null = null;
const prepared = (): StudioJob => {
  if (!job) throw new Error('No studio was given to plan.');
  return job;
};

/** The job of the second worker: parts of a plan that the first one has found, of the studio both were given. */
export const HELPER: PlanHelper = {
  prepare: (raw) =>
    reply(() => {
      job = studioJob(planRequestSchema.parse(raw));
      return null;
    }),
  draw: (found, half) => reply(() => prepared().draw(foundSchema.parse(found), half)),
  delay: (found, project) => reply(() => prepared().delay(foundSchema.parse(found), project)),
};

/** The helper as the core sees it. */
function secondOf(helper: PlanHelper, raw: unknown): Second {
  // Begun at once, while the first searches.
  const ready = Promise.resolve(helper.prepare(raw));
  ready.catch(() => undefined);
  const after = async <T>(schema: z.ZodType<T>, ask: () => Reply | Promise<Reply>): Promise<T> => {
    unpack(z.null(), await ready);
    return unpack(schema, await ask());
  };
  return {
    draw: (found, half) => after(halfSchema, () => helper.draw(found, half)),
    delay: (found, project) => after(delaysSchema.nullable(), () => helper.delay(found, project)),
  };
}

/** The job of the planning worker: decode, call the core, encode; tells how far it is. */
export const PLANNER = {
  readyBy: (raw: unknown): Reply =>
    reply(() => {
      const { studio, target } = readyByRequestSchema.parse(raw);
      return readyByOf(studio, target);
    }),
  plan: (
    raw: unknown,
    onProgress?: (done: number) => unknown,
    helper?: PlanHelper | null,
  ): Promise<Reply> =>
    replyLater(async () => {
      const request = planRequestSchema.parse(raw);
      const told = (done: number): boolean => {
        void onProgress?.(done);
        return false;
      };
      // A first plan is there before another worker could begin.
      const second = helper && !request.quick ? secondOf(helper, raw) : undefined;
      return planStudio(request, told, second);
    }),
};
