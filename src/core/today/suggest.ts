import { CLEANING_MINUTES, LEAST_WORK_MINUTES, PACE } from '@/data/pace';
import { quantileOf } from '../drying';
import { PLANNING_QUANTILE } from '../painting/pair';
import type { Coat } from '../painting/schema';
import { mediumKey } from '../schedule/steps';
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
export type SuggestReason = 'open-paint' | 'longest-wait' | 'same-medium' | 'fits';

export interface SuggestedWork {
  cluster: TodayCluster;
  coat: Coat;
  /** In one work with it: what goes into it while it is wet, where it is a couch. */
  into: Coat[];
  /** All of it. */
  minutes: number;
  /** Of each coat of it, the first first. */
  minutesEach: number[];
  /** Only a part of it fits; the rest is for another day. */
  part: boolean;
  reason: SuggestReason;
  /** What is on the palette for it: the medium, by its make-up; empty without one. */
  medium: string;
}

export interface Suggestion {
  works: SuggestedWork[];
  cleaningMinutes: number;
  /** Minutes at hand that nothing fills. */
  spareMinutes: number;
  /** Times another medium has to be mixed. */
  mediumChanges: number;
}

/** Days until the coat is dry enough for the next, at the planning chance: the longer, the sooner it should go on. */
const waitDays = ({ next }: TodayRow): number =>
  next ? quantileOf(next.times.touch, PLANNING_QUANTILE) : 0;

interface Candidate extends Omit<SuggestedWork, 'reason' | 'part'> {
  open: boolean;
  closesMs: number;
  wait: number;
  splittable: boolean;
}

function candidatesOf(rows: Record<TodayGroup, TodayRow[]>, pace: Pace): Candidate[] {
  const of = (group: TodayGroup): TodayCluster[] => clusterRows(rows[group]);
  return [...of('still-open'), ...of('takes-a-coat')].flatMap((cluster): Candidate[] => {
    const { row, passages } = cluster;
    const [coat, ...into] = coatsAtOnce(row);
    const open = row.group === 'still-open';
    // Paint that is open is only for what is meant to go into it.
    if (!coat || (open && coat.onto !== 'wet')) return [];
    const ids = passages.map((p) => p.id);
    const minutesEach = [coat, ...into].map((c) => minutesOf(row.painting, c, ids, pace));
    return [
      {
        cluster,
        coat,
        into,
        minutes: minutesEach.reduce((sum, m) => sum + m, 0),
        minutesEach,
        medium: mediumKey(into.at(-1) ?? coat) ?? '',
        open,
        closesMs: row.readyAtMs ?? Infinity,
        wait: waitDays(row),
        splittable: into.length === 0 && mayBeParted(coat),
      },
    ];
  });
}

/** Open paint by the time it closes, then the longest waits, then whatever keeps the medium on the palette. */
function ordered(candidates: Candidate[]): { candidate: Candidate; reason: SuggestReason }[] {
  const open = candidates.filter((c) => c.open).sort((a, b) => a.closesMs - b.closesMs);
  const rest = candidates.filter((c) => !c.open).sort((a, b) => b.wait - a.wait);
  const out = open.map((candidate) => ({ candidate, reason: 'open-paint' as SuggestReason }));
  while (rest.length > 0) {
    const longest = rest[0]!;
    const onPalette = out.at(-1)?.candidate.medium;
    const same = rest.find(
      (c) => c.medium === onPalette && longest.wait - c.wait <= PACE.longWaitDays,
    );
    const chosen = same ?? longest;
    const first = !out.some((o) => !o.candidate.open);
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

/**
 * What to do with the hours at hand: open paint first, then what has the longest wait, one medium on the palette
 * where that costs no more than a day of waiting, and time left to clean. A work that does not fit is left out, or
 * begun where it may be left half done. Greedy, and the same for the same input.
 * @param minutesAtHand in all, cleaning included
 */
export function suggestSession(
  rows: Record<TodayGroup, TodayRow[]>,
  minutesAtHand: number,
  pace: Pace = USUAL_PACE,
): Suggestion {
  let left = Math.max(0, minutesAtHand - CLEANING_MINUTES);
  const works: SuggestedWork[] = [];
  for (const { candidate, reason } of ordered(candidatesOf(rows, pace))) {
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
      part,
      reason,
    });
    left -= used;
  }
  return {
    works,
    cleaningMinutes: CLEANING_MINUTES,
    spareMinutes: left,
    mediumChanges: works.filter((w, i) => i > 0 && w.medium !== works[i - 1]!.medium).length,
  };
}
