import { DAY_MS } from '../drying';
import type { Compiled } from './compile';

const daysOf = ({ length, slots }: Compiled, i: number): number => (length[i]! * slots.ms) / DAY_MS;

/** Days from the start of each work to the end of what follows, at the least, by what follows a work that is the last. */
function daysFrom(of: Compiled, last: (i: number) => number): Float64Array {
  const { n, lags, wets, after } = of;
  const days = Float64Array.from({ length: n }, (_, i) => last(i));
  const done = new Uint8Array(n);
  const visit = (i: number): number => {
    if (done[i] === 1) return days[i]!;
    done[i] = 1;
    const own = daysOf(of, i);
    for (const j of after[i]!) {
      const its = visit(j);
      for (const lag of lags[j]!)
        if (lag.from === i) days[i] = Math.max(days[i]!, its + own + lag.dose);
      if (wets[j]!.some((w) => w.from === i)) days[i] = Math.max(days[i]!, its + own);
    }
    return days[i]!;
  };
  for (let i = 0; i < n; i++) visit(i);
  return days;
}

/** Days from the start of each work to the end of its painting, at the least, were the painter always free. */
export function tailsOf(of: Compiled): Float64Array {
  const ends = new Float64Array(of.n);
  for (const goal of of.goals)
    for (const end of goal.ends)
      if (end.from >= 0)
        ends[end.from] = Math.max(ends[end.from]!, end.dose + daysOf(of, end.from));
  return daysFrom(of, (i) => ends[i]!);
}

/** The same to the end of the last work that follows, without what its film still needs: so long the calendar must be. */
export const reachOf = (of: Compiled): Float64Array => daysFrom(of, (i) => daysOf(of, i));
