import { useEffect, useMemo, useRef, useState } from 'react';
import { lookingOf, outlinesOf } from '@/core/looking/edit';
import { NO_LOOKING } from '@/core/looking/none';
import type { Pair } from '@/core/looking/relations';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { lookAt, stopLooking } from '@/workers/looking-client';
import type { LookReply } from '@/workers/looking-protocol';
import { useJpeg } from './usePictures';

/** Answers that stay at hand. */
const LOOKS = 8;

/** What of it is looked at. */
interface Asks {
  edges: boolean;
  viewM: number;
  distanceM: number | null;
  brushMm: number | null;
}

export type LookState =
  | { at: 'rest' }
  | { at: 'work'; done: number }
  | { at: 'found'; found: LookReply; of: string }
  | { at: 'failed'; why: string };

/** What the work's photo says, against the design and the photo before it; anew when anything of it has changed. */
export function useLook(
  painting: Painting,
  work: Picture | null,
  design: Picture | null,
  before: Picture | null,
  { edges, viewM, distanceM, brushMm }: Asks,
): { state: LookState; pairs: Pair[] } {
  const asks = useMemo(
    (): Asks => ({ edges, viewM, distanceM, brushMm }),
    [edges, viewM, distanceM, brushMm],
  );
  const jpeg = useJpeg(work?.id ?? null);
  const designJpeg = useJpeg(design?.id ?? null);
  const beforeJpeg = useJpeg(before?.id ?? null);
  const looking = lookingOf(painting);
  const outlines = outlinesOf(painting);
  // What a look depends on: an order of the eye or a border that is said changes nothing that is measured.
  const seen = JSON.stringify({
    ...NO_LOOKING,
    outlines,
    points: looking.points,
    intents: looking.intents.map(({ id, departs, graded }) => ({ id, departs, graded, why: '' })),
  });
  const passageIds = JSON.stringify(painting.passages.map((p) => p.id));
  const [state, setState] = useState<LookState>({ at: 'rest' });
  const looks = useRef(new Map<string, LookReply>());
  const { support } = painting;
  const asked = useRef(0);
  const ready =
    work?.corners &&
    jpeg &&
    outlines.length > 0 &&
    designJpeg !== undefined &&
    beforeJpeg !== undefined;
  useEffect(() => {
    if (!ready) return;
    const mine = ++asked.current;
    const told = (next: LookState) => {
      if (asked.current !== mine) return;
      // What was found stays in sight while the same is asked again.
      setState((now) => (next.at === 'work' && now.at === 'found' && now.of === of ? now : next));
    };
    const of = JSON.stringify([work.id, design?.id, before?.id, asks]);
    // To and fro between questions nothing is looked at twice.
    const key = JSON.stringify([of, work, design, before, support, seen, passageIds]);
    const known = looks.current.get(key);
    if (known) {
      told({ at: 'found', found: known, of });
      return;
    }
    told({ at: 'work', done: 0 });
    lookAt(
      {
        support,
        work: { picture: work, jpeg },
        design: design && designJpeg ? { picture: design, jpeg: designJpeg } : null,
        before: before && beforeJpeg ? { picture: before, jpeg: beforeJpeg } : null,
        looking: JSON.parse(seen) as typeof looking,
        passageIds: JSON.parse(passageIds) as string[],
        edges: asks.edges,
        distancesM: asks.distanceM === null ? [] : [asks.distanceM],
        viewM: asks.viewM,
        brushMm: asks.brushMm,
      },
      (done) => told({ at: 'work', done }),
    ).then(
      (found) => {
        looks.current.set(key, found);
        while (looks.current.size > LOOKS) looks.current.delete(looks.current.keys().next().value!);
        told({ at: 'found', found, of });
      },
      (error: Error) => told({ at: 'failed', why: error.message }),
    );
    return () => {
      asked.current += 1;
    };
  }, [ready, support, passageIds, work, jpeg, design, designJpeg, before, beforeJpeg, seen, asks]);
  useEffect(() => stopLooking, []);
  const pairs = useMemo((): Pair[] => {
    if (state.at !== 'found') return [];
    const { looked, design: meant } = state.found;
    return looked.values.flatMap((v) => {
      const d = meant.find((m) => m.id === v.id);
      if (!d) return [];
      const departs = looking.intents.find((i) => i.id === v.id)?.departs ?? null;
      return [
        {
          id: v.id,
          designL: d.L,
          workL: v.L,
          ...(departs !== null && { departure: departs === 'free' ? departs : { L: departs } }),
        },
      ];
    });
  }, [state, looking.intents]);
  if (jpeg === null && work)
    return {
      state: {
        at: 'failed',
        why: 'The photo of this picture is not in this browser. Take in the studio’s file with its photos, or choose another picture.',
      },
      pairs: [],
    };
  return { state: ready ? state : { at: 'rest' }, pairs };
}
