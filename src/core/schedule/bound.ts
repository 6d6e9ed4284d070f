import { DAY_MS } from '../drying';
import type { Compiled } from './compile';
import { readyAt } from './waits';
import type { PlanWeights } from './problem';

/**
 * A J that no plan of the problem can be below.
 *
 * Two relaxations together. Without the painter: every work as early as its waits and the calendar allow, each
 * painting by itself. Without the waits: the paintings one after the other on the painter's hours, the one with the
 * least work first; the m-th painting to be done cannot be done before the hours of the m smallest are worked. As
 * both bound the m-th of the finishes in order, so does the later of the two. Lateness is bounded by each painting's
 * own earliest finish, and, at the least weight, by the finishes in order against the dates in order. Sessions: as few
 * as hold all the work.
 */
export function lowerBound(of: Compiled, weights: PlanWeights): number {
  const { goals, problem } = of;
  const earliest = earliestEnds(of);
  const own = goals.map((goal) =>
    goal.ends.reduce(
      (latest, end) =>
        Math.max(latest, readyAt(end, end.from < 0 ? problem.nowMs : earliest[end.from]!)),
      problem.nowMs,
    ),
  );
  const byLoad = loadEnds(of);
  const inOrder = [...own].sort((a, b) => a - b).map((ms, m) => Math.max(ms, byLoad[m]!));
  const finish = inOrder.reduce((sum, ms) => sum + (ms - problem.nowMs) / DAY_MS, 0);

  const late = (ms: number, dueMs: number | null) =>
    dueMs === null ? 0 : Math.max(0, ms - dueMs) / DAY_MS;
  const alone = goals.reduce((sum, goal, g) => sum + goal.weight * late(own[g]!, goal.dueMs), 0);
  const dues = goals.map((g) => g.dueMs ?? Infinity).sort((a, b) => a - b);
  const least = Math.min(Infinity, ...goals.map((g) => g.weight));
  const together = inOrder.reduce(
    (sum, ms, m) => sum + (dues[m] === Infinity ? 0 : least * late(ms, dues[m]!)),
    0,
  );
  return (
    weights.finishDay * finish +
    weights.lateDay * Math.max(alone, goals.length > 0 ? together : 0) +
    weights.session * fewestSessions(of)
  );
}

/** The earliest end of every work, were the painter always free in working hours. */
function earliestEnds(of: Compiled): Float64Array {
  const { n, lags, wets, slots, length, release, horizonMs } = of;
  const ends = new Float64Array(n).fill(-1);
  const visit = (i: number): number => {
    if (ends[i]! >= 0) return ends[i]!;
    let ready = -Infinity;
    for (const lag of lags[i]!) ready = Math.max(ready, readyAt(lag, visit(lag.from)));
    for (const wet of wets[i]!) if (wet.from >= 0) ready = Math.max(ready, visit(wet.from));
    let t = Math.max(release[i]!, ready === -Infinity ? 0 : slots.from(ready));
    while (t < slots.count && t + length[i]! > slots.end[slots.window[t]!]!)
      t = slots.end[slots.window[t]!]!;
    ends[i] = t < slots.count ? slots.start[t]! + length[i]! * slots.ms : horizonMs;
    return ends[i]!;
  };
  for (let i = 0; i < n; i++) visit(i);
  return ends;
}

/** The end of the m-th painting to be done, by the painter's hours alone. */
function loadEnds({ goals, n, project, length, slots, horizonMs, problem }: Compiled): number[] {
  const load = goals.map(() => 0);
  for (let i = 0; i < n; i++) if (project[i]! >= 0) load[project[i]!]! += length[i]!;
  let sum = 0;
  return load
    .sort((a, b) => a - b)
    .map((slotsOfIt) => {
      sum += slotsOfIt;
      if (sum === 0) return problem.nowMs;
      return sum <= slots.count ? slots.start[sum - 1]! + slots.ms : horizonMs;
    });
}

function fewestSessions({ slots, length }: Compiled): number {
  const work = length.reduce((a, b) => a + b, 0);
  const rooms = Array.from(slots.first, (first, w) => slots.end[w]! - first).sort((a, b) => b - a);
  let held = 0;
  let count = 0;
  while (held < work && count < rooms.length) held += rooms[count++]!;
  return count;
}
