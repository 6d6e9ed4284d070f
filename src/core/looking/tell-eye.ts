import { LOOKING } from '@/data/looking';
import type { MarksSeen } from './marks';
import type { Pull } from './pull';
import { shareWords } from './tell';

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];
const ordinal = (i: number): string => ORDINALS[i] ?? `as number ${i + 1}`;

/**
 * Where passages draw the eye in another order than they should, by contrast alone; two that pull about alike are in no
 * order. At most the three largest.
 * @param ranking ids as the painter wants them, first to last
 */
export function tellPull(
  pulls: readonly Pull[],
  ranking: readonly string[],
  names: ReadonlyMap<string, string>,
): string[] {
  const nameOf = (id: string) => names.get(id) ?? id;
  const ranked = pulls.filter((p) => ranking.includes(p.id));
  const row = [...ranked].sort((p, q) => q.pull - p.pull);
  const wanted = ranking.filter((id) => ranked.some((p) => p.id === id));
  const most = row[0]?.pull ?? 0;
  return row
    .map((p, at) => ({ p, at, meant: wanted.indexOf(p.id) }))
    .filter(({ p, meant }) =>
      ranked.some(
        (q) =>
          (wanted.indexOf(q.id) - meant) * (q.pull - p.pull) > 0 &&
          Math.abs(q.pull - p.pull) > LOOKING.pullTie * most,
      ),
    )
    .filter(({ at, meant }) => at !== meant)
    .sort((p, q) => Math.abs(q.at - q.meant) - Math.abs(p.at - p.meant) || p.at - q.at)
    .slice(0, 3)
    .map(
      ({ p, at, meant }) =>
        `The eye goes ${ordinal(at)} to ${nameOf(p.id)}, wanted ${ordinal(meant)}${
          p.edge && at < meant ? `. What adds most is the border with ${nameOf(p.edge)}` : ''
        }.`,
    );
}

/** Marks finer than the finest brush, and what is left of them from afar. */
export function tellMarks({ share, seen }: MarksSeen, brushMm: number, m: number): string {
  if (seen === null || share < LOOKING.markShare)
    return `Hardly a mark is finer than a brush of ${brushMm} mm.`;
  const covers = `Marks finer than a brush of ${brushMm} mm cover ${Math.max(1, Math.round(share * 100))} % of it`;
  if (seen > LOOKING.markStays) return `${covers}; from ${m} m they are still there.`;
  if (seen < 1 - LOOKING.markStays) return `${covers}; from ${m} m nearly all of them are gone.`;
  return `${covers}; from ${m} m about ${shareWords(1 - seen)} of them is gone.`;
}
