import { LOOKING } from '@/data/looking';
import { proportion } from './drawing';

interface Seen {
  id: string;
  design: readonly [number, number];
  work: readonly [number, number];
}

/** A distance measured by another, as by dividers: in the design and on the work, with its error there. */
export interface Proportion {
  from: string;
  to: string;
  design: number;
  work: number;
  sigma: number;
}

const far = (p: readonly [number, number], q: readonly [number, number]): number =>
  Math.hypot(q[0] - p[0], q[1] - p[1]);

/**
 * Distances that do not keep their proportion to a unit, most first.
 * @param unit ids of the two points between which the unit lies
 * @param sigmaMm how sure a place is on the work
 */
export function departingProportions(
  points: readonly Seen[],
  unit: readonly [string, string],
  sigmaMm: number,
): Proportion[] {
  const [a, b] = unit.map((id) => points.find((p) => p.id === id));
  if (!a || !b) return [];
  const [unitDesign, unitWork] = [far(a.design, b.design), far(a.work, b.work)];
  if (!(unitDesign > 0 && unitWork > 0)) return [];
  const over = (p: Proportion) => Math.abs(p.work - p.design) / (LOOKING.sure * p.sigma);
  return points
    .flatMap((p, i) =>
      points.slice(i + 1).flatMap((q): Proportion[] => {
        if ([p.id, q.id].every((id) => unit.includes(id))) return [];
        const now = far(p.work, q.work);
        if (!(now > 0)) return [];
        const { ratio, sigma } = proportion(now, unitWork, sigmaMm);
        return [
          {
            from: p.id,
            to: q.id,
            design: far(p.design, q.design) / unitDesign,
            work: ratio,
            sigma,
          },
        ];
      }),
    )
    .filter((p) => over(p) > 1)
    .sort((p, q) => over(q) - over(p));
}
