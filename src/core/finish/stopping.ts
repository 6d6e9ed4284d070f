import { FINISH } from '@/data/finish';
import { DAY_MS } from '../drying';
import type { Painting } from '../painting/schema';
import { finishingOf } from './edit';
import { fateOf, sortedBothers } from './sorted';
import type { StoppingRule } from './vocabulary';

/** How a painting stands to the rule by which its painter wants to stop. Met or not: the painter decides. */
export interface Standing {
  rule: StoppingRule;
  met: boolean;
  /** What is still asked. */
  missing:
    'look' | 'second-look' | 'bothers' | 'answer' | 'still-mends' | 'hours' | 'agreement' | null;
  /** From when on the second look counts, ms. */
  lookFromMs: number | null;
  hours: number;
  agreedHours: number | null;
}

/** Bothers that count for stopping: what is left is not one of them. */
const stillBothering = (painting: Painting): number =>
  sortedBothers(painting).filter((s) => s.fate !== 'leave').length;

/** @param hours at the picture so far */
export function standingOf(painting: Painting, rule: StoppingRule, hours: number): Standing {
  const { answers, agreedHours = null } = finishingOf(painting);
  const told = { rule, hours, agreedHours, lookFromMs: null };
  if (rule === 'only-change') {
    const last = answers.at(-1);
    return {
      ...told,
      met: last?.mends === false,
      missing: !last ? 'answer' : last.mends ? 'still-mends' : null,
    };
  }
  if (rule === 'hours-spent')
    return {
      ...told,
      met: agreedHours !== null && hours >= agreedHours,
      missing: agreedHours === null ? 'agreement' : hours >= agreedHours ? null : 'hours',
    };
  return { ...told, ...twoLooks(painting) };
}

/** Nothing bothers in two whole looks a week apart, with nothing noted between and after them. */
function twoLooks(painting: Painting): Pick<Standing, 'met' | 'missing' | 'lookFromMs'> {
  if (stillBothering(painting) > 0) return { met: false, missing: 'bothers', lookFromMs: null };
  const noted = (painting.bothers ?? [])
    .filter((b) => fateOf(b) !== 'leave')
    .map((b) => Date.parse(b.at));
  const changed = painting.events.filter((e) => e.kind !== 'touched').map((e) => Date.parse(e.at));
  const since = Math.max(-Infinity, ...noted, ...changed);
  // A look counts where nothing was noted in it or after it, and nothing painted or taken off since.
  const quiet = finishingOf(painting).scans.flatMap((s) => {
    const from = Date.parse(s.from);
    return s.to !== null && from > since ? [from] : [];
  });
  if (quiet.length === 0) return { met: false, missing: 'look', lookFromMs: null };
  const lookFromMs = Math.min(...quiet) + FINISH.looksApartDays * DAY_MS;
  const met = Math.max(...quiet) >= lookFromMs;
  return { met, missing: met ? null : 'second-look', lookFromMs };
}
