import { followedAir } from '@/core/climate';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { learn } from '@/core/learn/learn';
import type { AssessOptions } from '@/core/painting';
import { repairsFor, wishesFor } from '@/core/repair';
import {
  learnRequestSchema,
  reply,
  solveRequestSchema,
  wishRequestSchema,
  type Reply,
  type SolveRequest,
} from './protocol';

const optionsOf = ({ climate, air, learned, nowMs }: SolveRequest): AssessOptions => ({
  handbook: STUDIO_HANDBOOK,
  climate,
  learned,
  nowMs,
  ...(air ? { air: followedAir(STUDIO_HANDBOOK.constants, air) } : {}),
});

/** The jobs of the solving worker: decode, call the core, encode. */
export const SOLVER = {
  repairs: (raw: unknown): Reply =>
    reply(() => {
      const request = solveRequestSchema.parse(raw);
      return repairsFor(request, optionsOf(request));
    }),
  wishes: (raw: unknown): Reply =>
    reply(() => {
      const request = wishRequestSchema.parse(raw);
      return wishesFor(request, request.wish, optionsOf(request));
    }),
  learn: (raw: unknown): Reply => reply(() => learn(learnRequestSchema.parse(raw).evidence)),
};
export type Solver = typeof SOLVER;
