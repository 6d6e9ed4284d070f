import { useEffect, useState } from 'react';
import { lookingOf } from '@/core/looking/edit';
import { NO_LOOKING } from '@/core/looking/none';
import type { Looking, Picture } from '@/core/looking/schema';
import { seriesOf, type Series, type Step } from '@/core/looking/series';
import type { PassageValue } from '@/core/looking/values';
import type { Painting } from '@/core/painting';
import { minutesByPainting } from '@/core/session';
import type { Session } from '@/core/session/schema';
import { useSessions } from '@/features/session/useSession';
import { lookStep } from '@/workers/looking-client';
import { keptOrMade } from './useLook';

/** So many photos of a row are looked at: the last ones. */
const MOST_PHOTOS = 12;

export interface SeenPhoto {
  picture: Picture;
  values: PassageValue[];
  /** Whether its values can be told. */
  tells: boolean;
}
export interface Row {
  photos: SeenPhoto[];
  series: Series;
  /** Of each step but the first, its share of the picture that changed. */
  shares: (number | null)[];
}

/** Hours at the easel on a painting between two photos. */
export function hoursBetween(
  sessions: readonly Session[],
  paintingId: string,
  from: string,
  to: string,
): number {
  const between = sessions.filter((s) => s.startedAt > from && s.startedAt <= to);
  return (minutesByPainting(between, Date.parse(to))[paintingId] ?? 0) / 60;
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
        const tells = level !== 'order';
        if (last && change) {
          // Without values on both a change of exposure would be taken for work.
          const both = tells && last.tells;
          const hours = hoursBetween(sessions, painting.id, last.picture.takenAt, picture.takenAt);
          steps.push({
            hours: both ? hours : 0,
            work: change.work,
            passages: both ? change.passages : [],
          });
          shares.push(both ? change.shareChanged : null);
        }
        photos.push({ picture, values, tells });
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
