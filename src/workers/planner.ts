import { planStudio } from '@/core/plan/studio-plan';
import { planRequestSchema } from './plan-protocol';
import { reply, type Reply } from './protocol';

/** The job of the planning worker: decode, call the core, encode; tells how far it is. */
export const PLANNER = {
  plan: (raw: unknown, onProgress?: (done: number) => unknown): Reply =>
    reply(() =>
      planStudio(planRequestSchema.parse(raw), (done) => {
        void onProgress?.(done);
        return false;
      }),
    ),
};
