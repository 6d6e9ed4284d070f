import { useEffect, useState } from 'react';
import { lookingOf } from '@/core/looking/edit';
import { NO_LOOKING } from '@/core/looking/none';
import type { Looking, Picture } from '@/core/looking/schema';
import { seriesOf, type Series, type Step } from '@/core/looking/series';
import type { PassageValue } from '@/core/looking/values';
import type { Looked } from '@/core/looking/look';
import type { Painting } from '@/core/painting';
import { minutesWithin } from '@/core/session';
import { useSessions } from '@/features/session/useSession';
import { lookStep } from '@/workers/looking-client';
import { keptOrMade } from './usePictures';

/** So many photos of a row are looked at: the last ones. */
export const MOST_PHOTOS = 12;

export interface SeenPhoto {
  picture: Picture;
  values: PassageValue[];
  level: Looked['trust']['level'];
}
/** How finely a row can be told: as its coarsest photo that tells values at all. */
export const rowLevel = (photos: readonly SeenPhoto[]): Looked['trust']['level'] =>
  photos.some((p) => p.level === 'relative')
    ? 'relative'
    : photos.some((p) => p.level === 'steps')
      ? 'steps'
      : 'order';

export interface Row {
  photos: SeenPhoto[];
  series: Series;
  /** Of each step but the first, its share of the picture that changed. */
  shares: (number | null)[];
}

/** All photos of a painting that have their corners, one after the other; null while it is worked out. */
export function useSeries(painting: Painting, works: readonly Picture[]): Row | null {
  const sessions = useSessions();
  const [row, setRow] = useState<Row | null>(null);
  const seen = JSON.stringify({ ...NO_LOOKING, outlines: lookingOf(painting).outlines });
  const passageIds = JSON.stringify(painting.passages.map((p) => p.id));
  useEffect(() => {
    let here = true;
    const shown = works.filter((p) => p.corners).slice(-MOST_PHOTOS);
    const work = async () => {
      const photos: SeenPhoto[] = [];
      const steps: Step[] = [];
      const shares: (number | null)[] = [];
      let before: { picture: Picture; jpeg: string } | null = null;
      for (const picture of shown) {
        const jpeg = await keptOrMade(picture.id).catch(() => null);
        if (!here) return;
        if (jpeg === null) continue;
        const { values, level, change } = await lookStep({
          support: painting.support,
          looking: JSON.parse(seen) as Looking,
          passageIds: JSON.parse(passageIds) as string[],
          before,
          now: { picture, jpeg },
        });
        if (!here) return;
        const last = photos.at(-1);
        if (last && change) {
          // Without values on both a change of exposure would be taken for work.
          const both = level !== 'order' && last.level !== 'order';
          const hours =
            minutesWithin(
              sessions,
              painting.id,
              Date.parse(last.picture.takenAt),
              Date.parse(picture.takenAt),
            ) / 60;
          steps.push({
            hours: both ? hours : 0,
            work: change.work,
            passages: both ? change.passages : [],
          });
          shares.push(both ? change.shareChanged : null);
        }
        photos.push({ picture, values, level });
        before = { picture, jpeg };
      }
      setRow({ photos, series: seriesOf(steps), shares });
    };
    // What cannot be looked at is told where the photo itself is looked at.
    void work().catch(() => undefined);
    return () => {
      here = false;
    };
  }, [painting.support, passageIds, painting.id, works, seen, sessions]);
  return row;
}
