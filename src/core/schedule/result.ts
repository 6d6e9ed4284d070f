import { lowerBound } from './bound';
import { chainOf, type Held } from './chain';
import { compile, NO_PIN, PIN_NOWHERE, type Compiled } from './compile';
import { USUAL_WEIGHTS, type PlanProblem, type PlanWeights } from './problem';
import { search, type SearchOptions } from './search';
import type { PlanState } from './state';
import { UNPLACED } from './state';

export interface PlannedWork {
  id: string;
  project: string;
  startMs: number;
  endMs: number;
  pinned: boolean;
}

/** Works in one stretch of working hours, in order. */
export interface PlannedSession {
  window: number;
  fromMs: number;
  toMs: number;
  works: PlannedWork[];
}

export interface PlannedGoal {
  project: string;
  finishMs: number;
  lateDays: number;
  /** What decides it, the first to be done first. */
  chain: { work: string; startMs: number; readyMs: number; held: Held }[];
}

/** What cannot be as it was asked. */
export type Impossible =
  | { kind: 'no-room'; work: string }
  | { kind: 'no-sitting-long-enough'; work: string; slots: number; longest: number }
  | { kind: 'never-dry'; work: string }
  | { kind: 'pin-outside-hours'; work: string; pinMs: number }
  | { kind: 'pin-too-early'; work: string; pinMs: number; startMs: number | null }
  /** Another is pinned to the same time. */
  | { kind: 'pins-meet'; work: string; other: string; pinMs: number; startMs: number | null }
  | { kind: 'missed-wet'; work: string; into: string[] };

export interface Plan {
  sessions: PlannedSession[];
  goals: PlannedGoal[];
  impossible: Impossible[];
  objective: number;
  /** No plan can cost less than this. */
  bound: number;
  firstObjective: number;
  rounds: number;
  stopped: boolean;
}

export interface PlanOptions extends Partial<Omit<SearchOptions, 'weights'>> {
  weights?: PlanWeights;
}

/** Sessions of a state, in the order of time. */
function sessionsOf(state: PlanState): PlannedSession[] {
  const { of } = state;
  const placed = Array.from({ length: of.n }, (_, i) => i)
    .filter((i) => state.start[i] !== UNPLACED)
    .sort((a, b) => state.start[a]! - state.start[b]!);
  const byWindow = new Map<number, PlannedSession>();
  for (const i of placed) {
    const work = of.problem.works[i]!;
    const startMs = of.slots.start[state.start[i]!]!;
    const endMs = state.endMs(i);
    const w = of.slots.window[state.start[i]!]!;
    const session = byWindow.get(w) ?? { window: w, fromMs: startMs, toMs: endMs, works: [] };
    session.toMs = endMs;
    session.works.push({
      id: work.id,
      project: work.project,
      startMs,
      endMs,
      pinned: of.pin[i] === state.start[i],
    });
    byWindow.set(w, session);
  }
  return [...byWindow.values()];
}

function impossibleOf(state: PlanState): Impossible[] {
  const { of } = state;
  const { slots } = of;
  const longest = Math.max(0, ...Array.from(slots.first, (first, w) => slots.end[w]! - first));
  const out: Impossible[] = [];
  for (let i = 0; i < of.n; i++) {
    const work = of.problem.works[i]!;
    const at = state.start[i]!;
    const pinMs = work.pinMs;
    if (at === UNPLACED) {
      const blocked = of.lags[i]!.some((lag) => state.start[lag.from] === UNPLACED);
      if (of.length[i]! > longest)
        out.push({ kind: 'no-sitting-long-enough', work: work.id, slots: of.length[i]!, longest });
      else if (!blocked && of.release[i]! >= slots.count && !neverBefore(of, i))
        out.push({ kind: 'never-dry', work: work.id });
      else out.push({ kind: 'no-room', work: work.id });
    }
    if (pinMs !== null && of.pin[i] === PIN_NOWHERE)
      out.push({ kind: 'pin-outside-hours', work: work.id, pinMs });
    else if (pinMs !== null && of.pin[i] !== NO_PIN && of.pin[i] !== at) {
      const startMs = at === UNPLACED ? null : slots.start[at]!;
      const other = pinnedThere(of, i);
      out.push(
        other === null
          ? { kind: 'pin-too-early', work: work.id, pinMs, startMs }
          : {
              kind: 'pins-meet',
              work: work.id,
              other: of.problem.works[other]!.id,
              pinMs,
              startMs,
            },
      );
    }
    if (state.wasMissed(i) || of.hopeless.includes(i))
      out.push({
        kind: 'missed-wet',
        work: work.id,
        into: work.wets.flatMap((w) => w.after ?? []),
      });
  }
  return out;
}

/** Another work that is pinned to some of the time that this one is pinned to. */
function pinnedThere({ n, pin, length }: Compiled, i: number): number | null {
  const from = pin[i]!;
  const to = from + length[i]!;
  for (let j = 0; j < n; j++)
    if (j !== i && pin[j]! >= 0 && pin[j]! < to && from < pin[j]! + length[j]!) return j;
  return null;
}

/** The painter's own wish keeps it off the calendar, not the paint. */
const neverBefore = (of: Compiled, i: number): boolean =>
  (of.problem.works[i]!.notBeforeMs ?? 0) >= of.horizonMs;

function planOf(
  state: PlanState,
  weights: PlanWeights,
  found: { firstCost: number; rounds: number; stopped: boolean },
): Plan {
  const { of } = state;
  return {
    sessions: sessionsOf(state),
    goals: of.goals.map((goal, g) => {
      const finishMs = state.finishMs(g);
      return {
        project: of.problem.goals[g]!.project,
        finishMs,
        lateDays: goal.dueMs === null ? 0 : Math.max(0, finishMs - goal.dueMs) / 86_400_000,
        chain: chainOf(state, g).map(({ work, readyMs, held }) => ({
          work: of.problem.works[work]!.id,
          startMs: of.slots.start[state.start[work]!]!,
          readyMs,
          held,
        })),
      };
    }),
    impossible: impossibleOf(state),
    objective: state.cost(),
    bound: lowerBound(of, weights),
    firstObjective: found.firstCost,
    rounds: found.rounds,
    stopped: found.stopped,
  };
}

/**
 * Places the works of a problem so that J is least: 100 x days late (weighted) + days to finish of each painting
 * + 2 x sessions + 1 x changes of medium. The same problem, seed and rounds give the same plan.
 *
 * Throws CoreError `plan-unreadable` and `plan-circle`; what merely cannot be had is said in `impossible`.
 */
export function plan(problem: PlanProblem, options: PlanOptions = {}): Plan {
  const weights = options.weights ?? USUAL_WEIGHTS;
  const found = search(compile(problem), { seed: 1, ...options, weights });
  return planOf(found.state, weights, found);
}
