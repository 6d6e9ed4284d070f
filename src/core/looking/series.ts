import { LOOKING } from '@/data/looking';
import { churnOf } from './change';

/** One photo held against the one before. */
export interface Step {
  /** Hours worked on the picture between the two; 0 where the log knows of none. */
  hours: number;
  /** What was walked: dE*ab times cm2. */
  work: number;
  passages: { id: string; byL: number; changed: boolean }[];
}

export interface Series {
  /** Of each step what changed in an hour; null without hours. */
  perHour: (number | null)[];
  /** The last steps changed little for their hours: one of the signs that painters stop by, never a verdict. */
  slowing: boolean;
  /** Passages painted to and fro: how far they walked in value and how far they came, L*. */
  churned: { id: string; walkedL: number; gainedL: number }[];
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((p, q) => p - q);
  const mid = sorted.length / 2;
  return sorted.length % 2 === 1 ? sorted[Math.floor(mid)]! : (sorted[mid - 1]! + sorted[mid]!) / 2;
};

/** What a row of photos tells: change by the hour, and who was painted to and fro. */
export function seriesOf(steps: readonly Step[]): Series {
  const perHour = steps.map((s) => (s.hours > 0 ? s.work / s.hours : null));
  const known = perHour.filter((v) => v !== null);
  const last = known.slice(-LOOKING.slowSteps);
  const slowing =
    known.length > LOOKING.slowSteps && last.every((v) => v < LOOKING.slowShare * median(known));
  const ids = [...new Set(steps.flatMap((s) => s.passages.map((p) => p.id)))];
  return {
    perHour,
    slowing,
    churned: ids.flatMap((id) => {
      // Steps inside the error are no way walked.
      const by = steps.flatMap((s) => {
        const p = s.passages.find((x) => x.id === id);
        return p?.changed ? [p.byL] : [];
      });
      const turns = by.filter((v, i) => i > 0 && Math.sign(v) !== Math.sign(by[i - 1]!)).length;
      const churn = churnOf(by);
      if (turns < LOOKING.churnTurns || (churn !== null && churn < LOOKING.churnTold)) return [];
      return [
        {
          id,
          walkedL: by.reduce((s, v) => s + Math.abs(v), 0),
          gainedL: by.reduce((s, v) => s + v, 0),
        },
      ];
    }),
  };
}
