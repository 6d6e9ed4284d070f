import { CLEANING_MINUTES, LEAST_WORK_MINUTES, PACE } from '@/data/pace';
import { quantileOf } from '../drying';
import { PLANNING_QUANTILE } from '../painting/pair';
import type { Coat, Passage } from '../painting/schema';
import { mediumKey, stepIdOf } from '../schedule/steps';
import { driesWithin, type Later } from './dries-within';
import { mayBeParted, minutesOf, USUAL_PACE, type Pace } from '../session/pace';
import {
  clusterRows,
  coatsAtOnce,
  inPassageOrder,
  type TodayCluster,
  type TodayGroup,
  type TodayRow,
} from '.';

/** Why a work stands in the suggestion. */
export type SuggestReason =
  'open-paint' | 'soft-edge' | 'planned' | 'longest-wait' | 'same-medium' | 'fits' | 'dries-within';

export interface SuggestedWork {
  cluster: TodayCluster;
  coat: Coat;
  /** In one work with it: what goes into it while it is wet, where it is a couch. */
  into: Coat[];
  /** All of it. */
  minutes: number;
  /** Of each coat of it, the first first. */
  minutesEach: number[];
  /** Minutes before it until what was laid in these hours is dry enough. */
  waitMinutes: number;
  /** Only a part of it fits; the rest is for another day. */
  part: boolean;
  reason: SuggestReason;
  /** What is on the palette for it: the medium, by its make-up; empty without one. */
  medium: string;
}

/** A work of the plan, by its id there, and when it stands in it. */
export interface PlannedPlace {
  id: string;
  atMs: number;
}

/** What the plan has for these hours and the suggestion has not. */
export interface Departure {
  row: TodayRow;
  passages: Passage[];
  coat: Coat;
  /** Its film, or a rule, does not let it yet; or the hours at hand do not reach for it. */
  why: 'not-ready' | 'no-time';
}

export interface Suggestion {
  works: SuggestedWork[];
  departures: Departure[];
  cleaningMinutes: number;
  /** Minutes at hand that nothing fills. */
  spareMinutes: number;
  /** Times another medium has to be mixed. */
  mediumChanges: number;
}

/** Days until the coat is dry enough for the next, at the planning chance: the longer, the sooner it should go on. */
const waitDays = ({ next }: TodayRow): number =>
  next ? quantileOf(next.times.touch, PLANNING_QUANTILE) : 0;

interface Candidate extends Omit<SuggestedWork, 'reason' | 'part' | 'waitMinutes'> {
  /** Why it cannot wait: the paint it goes into, or beside, closes. */
  closing: Extract<SuggestReason, 'open-paint' | 'soft-edge'> | null;
  closesMs: number;
  /** When the plan has it; null where it has not. */
  plannedMs: number | null;
  wait: number;
  splittable: boolean;
}

/** When the plan has a coat on one of some passages; null where it has not. */
function plannedAt(
  { painting }: TodayRow,
  coat: Coat,
  passages: Passage[],
  plan: PlannedPlace[],
): number | null {
  const step = `${painting.id}/${coat.id}`;
  const ids = new Set([step, ...passages.map((p) => `${step}/${p.id}`)]);
  const times = plan.filter(({ id }) => ids.has(stepIdOf(id))).map((p) => p.atMs);
  return times.length === 0 ? null : Math.min(...times);
}

/** When the first neighbour closes whose edge is meant soft: that edge wants its strip along the border wet. */
const softEdgeCloses = ({ soft }: TodayRow): number =>
  Math.min(Infinity, ...soft.map((n) => n.openUntilMs ?? Infinity));

function candidatesOf(
  rows: Record<TodayGroup, TodayRow[]>,
  pace: Pace,
  plan: PlannedPlace[],
): Candidate[] {
  const of = (group: TodayGroup): TodayCluster[] => clusterRows(rows[group]);
  return [...of('still-open'), ...of('takes-a-coat')].flatMap((cluster): Candidate[] => {
    const { row, passages } = cluster;
    const [coat, ...into] = coatsAtOnce(row);
    const open = row.group === 'still-open';
    // Paint that is open is only for what is meant to go into it.
    if (!coat || (open && coat.onto !== 'wet')) return [];
    const ids = passages.map((p) => p.id);
    const minutesEach = [coat, ...into].map((c) => minutesOf(row.painting, c, ids, pace));
    const closesMs = open ? (row.readyAtMs ?? Infinity) : softEdgeCloses(row);
    return [
      {
        cluster,
        coat,
        into,
        minutes: minutesEach.reduce((sum, m) => sum + m, 0),
        minutesEach,
        medium: mediumKey(into.at(-1) ?? coat) ?? '',
        closing: open ? 'open-paint' : closesMs < Infinity ? 'soft-edge' : null,
        closesMs,
        plannedMs: plannedAt(row, coat, passages, plan),
        wait: waitDays(row),
        splittable: into.length === 0 && mayBeParted(coat),
      },
    ];
  });
}

type Ordered = { candidate: Candidate; reason: SuggestReason };

/**
 * What closes by the time it closes; then what the plan has for these hours, in its order; then the longest waits, and
 * whatever keeps the medium on the palette.
 */
function ordered(candidates: Candidate[]): Ordered[] {
  const out: Ordered[] = candidates
    .filter((c) => c.closing !== null)
    .sort((a, b) => a.closesMs - b.closesMs)
    .map((candidate) => ({ candidate, reason: candidate.closing! }));
  out.push(
    ...candidates
      .filter((c) => c.closing === null && c.plannedMs !== null)
      .sort((a, b) => a.plannedMs! - b.plannedMs!)
      .map((candidate): Ordered => ({ candidate, reason: 'planned' })),
  );
  const rest = candidates
    .filter((c) => c.closing === null && c.plannedMs === null)
    .sort((a, b) => b.wait - a.wait);
  while (rest.length > 0) {
    const longest = rest[0]!;
    const onPalette = out.at(-1)?.candidate.medium;
    const same = rest.find(
      (c) => c.medium === onPalette && longest.wait - c.wait <= PACE.longWaitDays,
    );
    const chosen = same ?? longest;
    const first = !out.some((o) => o.candidate.closing === null);
    out.push({
      candidate: chosen,
      reason:
        same && same !== longest
          ? 'same-medium'
          : first && rest.length > 1
            ? 'longest-wait'
            : 'fits',
    });
    rest.splice(rest.indexOf(chosen), 1);
  }
  return inPassageOrder(out, ({ candidate }) => candidate.cluster.row);
}

/** What the plan has for these hours and is not among the works, and why. */
function departuresOf(
  rows: Record<TodayGroup, TodayRow[]>,
  works: SuggestedWork[],
  plan: PlannedPlace[],
): Departure[] {
  const done = new Set(works.flatMap((w) => w.cluster.passages.map((p) => `${w.coat.id}|${p.id}`)));
  const all = (['still-open', 'takes-a-coat', 'leave-alone'] as const).flatMap((group) =>
    clusterRows(rows[group]),
  );
  return all.flatMap(({ row, passages }): Departure[] => {
    const [coat] = coatsAtOnce(row);
    if (!coat || plannedAt(row, coat, passages, plan) === null) return [];
    const left = passages.filter((p) => !done.has(`${coat.id}|${p.id}`));
    if (left.length === 0) return [];
    const ready =
      row.group === 'takes-a-coat' || (row.group === 'still-open' && coat.onto === 'wet');
    return [{ row, passages: left, coat, why: ready ? 'no-time' : 'not-ready' }];
  });
}

/**
 * What to do with the hours at hand: what closes first, then what the plan has for them, then what has the longest wait,
 * one medium on the palette where that costs no more than a day of waiting, what dries within the hours, and time left to
 * clean. A work that does not fit is left out, or begun where it may be left half done. Greedy, and the same for the same input.
 * @param minutesAtHand in all, cleaning included
 * @param later how pictures will be judged after what is laid in these hours; null: nothing is built on that
 * @param plan works that the plan has for these hours; what of them is left out is told in `departures`
 */
export function suggestSession(
  rows: Record<TodayGroup, TodayRow[]>,
  minutesAtHand: number,
  pace: Pace = USUAL_PACE,
  plan: PlannedPlace[] = [],
  later: Later | null = null,
): Suggestion {
  let left = Math.max(0, minutesAtHand - CLEANING_MINUTES);
  const works: SuggestedWork[] = [];
  for (const { candidate, reason } of ordered(candidatesOf(rows, pace, plan))) {
    const { cluster, coat, into, medium, minutes, minutesEach, splittable } = candidate;
    const whole = minutes <= left;
    const part = !whole && splittable && left >= 2 * LEAST_WORK_MINUTES;
    if (!whole && !part) continue;
    const used = whole ? minutes : left;
    works.push({
      cluster,
      coat,
      into,
      medium,
      minutes: used,
      minutesEach: whole ? minutesEach : [used],
      waitMinutes: 0,
      part,
      reason,
    });
    left -= used;
  }
  if (later)
    for (const work of driesWithin(works, left, pace, later)) {
      works.push(work);
      left -= work.waitMinutes + work.minutes;
    }
  return {
    works,
    departures: departuresOf(rows, works, plan),
    cleaningMinutes: CLEANING_MINUTES,
    spareMinutes: left,
    mediumChanges: works.filter((w, i) => i > 0 && w.medium !== works[i - 1]!.medium).length,
  };
}
