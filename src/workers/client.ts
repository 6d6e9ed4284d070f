import type { Learning } from '@/core/learn/learn';
import type { Repair, WishAnswer } from '@/core/repair';
import {
  learningSchema,
  repairsSchema,
  unpack,
  wishAnswersSchema,
  type LearnRequest,
  type SolveRequest,
  type WishRequest,
} from './protocol';
import { runner } from './runner';

const solver = runner(
  () => new Worker(new URL('./solve.worker', window.location.href)),
  async () => (await import('./solver')).SOLVER,
);

/** Solve the repairs of a coat away from the screen. Rejects with the reason when the request is no good. */
export const solveRepairs = async (request: SolveRequest): Promise<Repair[]> =>
  unpack(repairsSchema, await solver.run((jobs) => jobs.repairs(request)));

export const solveWishes = async (request: WishRequest): Promise<WishAnswer[]> =>
  unpack(wishAnswersSchema, await solver.run((jobs) => jobs.wishes(request)));

/** Learn from touch tests away from the screen. */
export const solveLearning = async (request: LearnRequest): Promise<Learning> =>
  unpack(learningSchema, await solver.run((jobs) => jobs.learn(request)));
