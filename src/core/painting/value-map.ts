import { OPTICS_BENCH } from '@/data/optics-bench';
import { valueOfLab, warmthOf } from '../optics/colour';
import type { Swatches } from '../optics/composition';
import type { PaintingAssessment } from './layer';
import { stackLook, type FilmLook } from './look';

/** How a passage looks at a time of the plan. */
export interface MapPoint {
  look: FilmLook;
  value: number;
  warmth: number;
}

export interface MapRow {
  passageId: string;
  name: string;
  now: MapPoint;
  /** With the coat that comes next; null where nothing is planned. */
  next: MapPoint | null;
  finished: MapPoint;
}

const pointOf = (look: FilmLook): MapPoint => ({
  look,
  value: valueOfLab(look.lab),
  warmth: warmthOf(look.lab),
});

/**
 * Value and warmth of every passage now, with its next coat, and when all that is planned lies there; the lightest at the
 * end first.
 */
export function valueMap({ painting, passages }: PaintingAssessment, swatches: Swatches): MapRow[] {
  return passages
    .map(({ passage, base }): MapRow => {
      const look = stackLook(base, painting, swatches);
      const planned = base.layers.find((layer) => layer.planned);
      const next = planned && look.films.get(planned.film.key);
      return {
        passageId: passage.id,
        name: passage.name,
        now: pointOf(look.now),
        next: next ? pointOf(next) : null,
        finished: pointOf(look.finished),
      };
    })
    .sort((a, b) => b.finished.value - a.finished.value);
}

/** Pairs of passages of which the lighter one now will be the darker one at the end. */
export const turnedPairs = (rows: readonly MapRow[]): [nowLighter: string, endsLighter: string][] =>
  rows.flatMap((lighter, i) =>
    rows
      .slice(i + 1)
      .filter(
        (darker) =>
          lighter.finished.value - darker.finished.value > OPTICS_BENCH.sameValue &&
          darker.now.value - lighter.now.value > OPTICS_BENCH.sameValue,
      )
      .map((darker): [string, string] => [darker.name, lighter.name]),
  );
