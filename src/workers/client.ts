import { wrap } from 'comlink';
import type { Learning } from '@/core/learn/learn';
import type { Repair, WishAnswer } from '@/core/repair';
import {
  learningSchema,
  repairsSchema,
  unpack,
  wishAnswersSchema,
  type LearnRequest,
  type Reply,
  type SolveRequest,
  type WishRequest,
} from './protocol';
import { SOLVER } from './solver';

interface Remote {
  repairs(request: SolveRequest): Promise<Reply>;
  wishes(request: WishRequest): Promise<Reply>;
  learn(request: LearnRequest): Promise<Reply>;
}

/** The same jobs in this thread: where there are no workers, and where one cannot be started. */
const HERE: Remote = {
  repairs: (request) => Promise.resolve(SOLVER.repairs(request)),
  wishes: (request) => Promise.resolve(SOLVER.wishes(request)),
  learn: (request) => Promise.resolve(SOLVER.learn(request)),
};

function started(): Remote {
  if (typeof Worker === 'undefined') return HERE;
  const worker = new Worker(new URL('./solve.worker', window.location.href));
  const failed = new Promise<Remote>((resolve) => {
    worker.addEventListener('error', () => resolve(HERE), { once: true });
  });
  const remote = wrap<Remote>(worker) as unknown as Remote;
  // A worker that dies answers nothing; then the job is done here.
  const or = <T>(job: (r: Remote) => Promise<T>): Promise<T> =>
    Promise.race([job(remote), failed.then(job)]);
  return {
    repairs: (request) => or((r) => r.repairs(request)),
    wishes: (request) => or((r) => r.wishes(request)),
    learn: (request) => or((r) => r.learn(request)),
  };
}

let solver: Remote | null = null;
const remote = (): Remote => (solver ??= started());

/** Solve the repairs of a coat away from the screen. Rejects with the reason when the request is no good. */
export const solveRepairs = async (request: SolveRequest): Promise<Repair[]> =>
  unpack(repairsSchema, await remote().repairs(request));

export const solveWishes = async (request: WishRequest): Promise<WishAnswer[]> =>
  unpack(wishAnswersSchema, await remote().wishes(request));

/** Learn from touch tests away from the screen. */
export const solveLearning = async (request: LearnRequest): Promise<Learning> =>
  unpack(learningSchema, await remote().learn(request));
