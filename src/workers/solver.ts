import { STUDIO_HANDBOOK } from '@/core/handbook';
import { repairsFor, wishesFor } from '@/core/repair';
import { reply, solveRequestSchema, wishRequestSchema, type Reply } from './protocol';

/** The jobs of the solving worker: decode, call the core, encode. */
export const SOLVER = {
  repairs: (raw: unknown): Reply =>
    reply(() => {
      const { painting, coatId, school, climate, nowMs } = solveRequestSchema.parse(raw);
      return repairsFor(
        { painting, coatId, school },
        { handbook: STUDIO_HANDBOOK, climate, nowMs },
      );
    }),
  wishes: (raw: unknown): Reply =>
    reply(() => {
      const { painting, coatId, school, climate, nowMs, wish } = wishRequestSchema.parse(raw);
      return wishesFor({ painting, coatId, school }, wish, {
        handbook: STUDIO_HANDBOOK,
        climate,
        nowMs,
      });
    }),
};
export type Solver = typeof SOLVER;
