import { slotsOf, type Slots } from './calendar-slots';
import { blocksOf, type Block } from './blocks';
import { checkProblem } from './check';
import { doseTable, wallTable, type DoseTable } from './dose-table';
import type { Lag, PlanClockKind, PlanProblem, WorkWindow } from './problem';
import { remember } from '../remember';
import { readyAt, type LagN, type WetN } from './waits';

export interface GoalN {
  dueMs: number | null;
  weight: number;
  ends: LagN[];
}

/** The problem with places for names, for a search. */
export interface Compiled {
  problem: PlanProblem;
  slots: Slots;
  n: number;
  length: Int32Array;
  medium: Int32Array;
  mediums: number;
  project: Int32Array;
  lags: LagN[][];
  /** Waits for films that are laid already. */
  laid: LagN[][];
  wets: WetN[][];
  /** Works that wait for this one, wet or dry. */
  after: number[][];
  /** Everything that moves when this one does: its block, and what waits for them. Itself the first. */
  following: Int32Array[];
  /** The painter pinned some work. */
  pinned: boolean;
  /** The first slot by what is laid already and what the painter ruled out. */
  release: Int32Array;
  /** Windows that are none for a work: 1 for each; null where all are. */
  barred: (Uint8Array | null)[];
  /** Slot the painter pinned it to; -1 without, -2 where no such working time exists. */
  pin: Int32Array;
  goals: GoalN[];
  blocks: Block[];
  blockOf: Int32Array;
  /** What `meetingFrom` has answered for a block; null: not asked yet. */
  meetings: (Int32Array | null)[];
  /** The works outside a block that it waits for, and the blocks that wait for its works; one for each wait. */
  before: Int32Array[];
  then: Int32Array[];
  horizonMs: number;
  tableFor(clock: PlanClockKind): DoseTable;
  /** Works meant into paint that has closed, whatever is done, before everything in between is dry: laid dry instead. */
  hopeless: number[];
}

/**
 * The positive circle of a wait at the least and one at the most: what lies between a coat and the one that is to meet
 * it open needs more dose than the paint stays open. On one clock doses add up, so this is certain before any search.
 */
function meetsTooLate(wet: WetN, to: number, lags: LagN[][]): boolean {
  const known = new Map<number, number>();
  /** The most dose between the end of `wet.from` and the start of a work; -Infinity when none leads there. */
  const most = (i: number): number => {
    if (i === wet.from) return 0;
    const found = known.get(i);
    if (found !== undefined) return found;
    let best = -Infinity;
    for (const lag of lags[i]!)
      if (lag.from >= 0)
        best = Math.max(best, most(lag.from) + (lag.table === wet.table ? lag.dose : 0));
    known.set(i, best);
    return best;
  };
  return wet.from >= 0 && most(to) > wet.dose;
}

/** Whether a moment lies in one of some times. */
export const isIn = (times: WorkWindow[], ms: number): boolean =>
  times.some(({ fromMs, toMs }) => ms >= fromMs && ms < toMs);

export const NO_PIN = -1;
export const PIN_NOWHERE = -2;

function followingOf(
  from: number,
  after: number[][],
  blocks: Block[],
  blockOf: Int32Array,
): Int32Array {
  const out = new Set<number>([from]);
  // A set may grow while it is walked; what is added is walked too.
  for (const i of out) {
    for (const j of blocks[blockOf[i]!]!) out.add(j);
    for (const j of after[i]!) out.add(j);
  }
  return Int32Array.from(out);
}

/**
 * The problem, checked, with numbers in the place of names; made once for each, since it is asked for by the search and
 * by the odds. Throws CoreError as `checkProblem` does.
 */
export const compile = remember('compiled plan', (problem: PlanProblem): Compiled =>
  numbered(problem),
);

function numbered(problem: PlanProblem): Compiled {
  checkProblem(problem);
  const { nowMs, windows, works, goals } = problem;
  const slots = slotsOf(windows, problem.slotMs, nowMs);
  const horizonMs = Math.max(nowMs, windows.at(-1)?.toMs ?? nowMs) + problem.slotMs;
  const tables = {
    oil: doseTable(problem.clocks.oil, nowMs, horizonMs),
    acrylic: doseTable(problem.clocks.acrylic, nowMs, horizonMs),
    wall: wallTable(nowMs),
  };
  const place = new Map(works.map((w, i) => [w.id, i]));
  const tableOf = (film: number | null): DoseTable =>
    film === null ? tables.wall : tables[problem.films[film]!.clock];
  const lagN = (lag: Lag): LagN => ({
    from: lag.after === null ? -1 : place.get(lag.after)!,
    table: tableOf(lag.film),
    dose: lag.dose,
    lag,
    slots: null,
    doneMs: null,
  });
  const lags = works.map((w) => w.lags.map(lagN));
  const wets = works.map((w) =>
    w.wets.map((wet): WetN => ({
      from: wet.after === null ? -1 : place.get(wet.after)!,
      had: wet.had,
      film: wet.film,
      table: tableOf(wet.film),
      dose: wet.dose,
      sameSitting: wet.sameSitting,
      dryDose: wet.dryDose,
      closedMs: null,
    })),
  );
  const hopeless: number[] = [];
  works.forEach((_, i) => {
    const late = wets[i]!.filter((wet) => meetsTooLate(wet, i, lags));
    if (late.length === 0) return;
    hopeless.push(i);
    wets[i] = wets[i]!.filter((wet) => !late.includes(wet));
    lags[i]!.push(
      ...late.map((wet) =>
        lagN({
          after: works[wet.from]!.id,
          film: wet.film,
          stage: 'touch-dry',
          dose: wet.dryDose,
          had: 0,
        }),
      ),
    );
  });
  const after: number[][] = works.map(() => []);
  works.forEach((_, i) => {
    for (const { from } of lags[i]!) if (from >= 0) after[from]!.push(i);
    for (const { from } of wets[i]!) if (from >= 0) after[from]!.push(i);
  });
  const mediums = [...new Set(works.flatMap((w) => (w.medium === null ? [] : [w.medium])))];
  const projects = goals.map((g) => g.project);
  const blocks = blocksOf(works.length, wets, after, lags);
  const blockOf = new Int32Array(works.length);
  blocks.forEach((block, b) => block.forEach((i) => (blockOf[i] = b)));
  const pinOf = (pinMs: number | null): number => {
    if (pinMs === null) return NO_PIN;
    const t = slots.from(pinMs - problem.slotMs + 1);
    return t < slots.count && Math.abs(slots.start[t]! - pinMs) < problem.slotMs ? t : PIN_NOWHERE;
  };
  return {
    problem,
    slots,
    n: works.length,
    length: Int32Array.from(works, (w) => w.slots),
    medium: Int32Array.from(works, (w) => (w.medium === null ? -1 : mediums.indexOf(w.medium))),
    mediums: mediums.length,
    project: Int32Array.from(works, (w) => projects.indexOf(w.project)),
    lags: lags.map((list) => list.filter((l) => l.from >= 0)),
    laid: lags.map((list) => list.filter((l) => l.from < 0)),
    wets,
    after,
    following: works.map((_, i) => followingOf(i, after, blocks, blockOf)),
    pinned: works.some((w) => w.pinMs !== null),
    release: Int32Array.from(works, (w, i) => {
      const ready = Math.max(
        nowMs,
        w.notBeforeMs ?? nowMs,
        ...lags[i]!.filter((l) => l.from < 0).map((l) => readyAt(l, nowMs)),
      );
      return slots.from(ready);
    }),
    barred: works.map(({ notIn }) =>
      notIn && notIn.length > 0
        ? Uint8Array.from(windows, (window) => (isIn(notIn, window.fromMs) ? 1 : 0))
        : null,
    ),
    pin: Int32Array.from(works, (w) => pinOf(w.pinMs)),
    goals: goals.map((g) => ({ dueMs: g.dueMs, weight: g.weight, ends: g.ends.map(lagN) })),
    blocks,
    blockOf,
    meetings: blocks.map(() => null),
    before: blocks.map((block, b) =>
      Int32Array.from(
        block
          .flatMap((i) => [...lags[i]!, ...wets[i]!].map((wait) => wait.from))
          .filter((from) => from >= 0 && blockOf[from] !== b),
      ),
    ),
    then: blocks.map((block, b) =>
      Int32Array.from(
        block.flatMap((i) => after[i]!.map((j) => blockOf[j]!)).filter((other) => other !== b),
      ),
    ),
    horizonMs,
    tableFor: (clock) => tables[clock],
    hopeless,
  };
}
