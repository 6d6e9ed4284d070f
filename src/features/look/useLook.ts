import { useEffect, useMemo, useRef, useState } from 'react';
import { lookingOf, outlinesOf } from '@/core/looking/edit';
import type { MapAsked } from '@/core/looking/maps';
import { NO_LOOKING } from '@/core/looking/none';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import type { Pair } from '@/core/looking/relations';
import { useSessions } from '@/features/session/useSession';
import { base64Of, keepPhoto, readPhoto } from '@/store/photos';
import { demoJpeg } from '@/workers/demo-photo-client';
import { drawMap, lookAt, stopLooking } from '@/workers/looking-client';
import type { LookReply, MapReply } from '@/workers/looking-protocol';

export const DISTANCES = [1, 3, 6, 12] as const;

/** The pictures of a painting: its own, and the photos of the log, which are the same ones; oldest first. */
export function usePictures(painting: Painting): Picture[] {
  const sessions = useSessions();
  return useMemo(() => {
    const own = lookingOf(painting).pictures;
    const known = new Set(own.map((p) => p.id));
    const logged = sessions
      .flatMap((s) => s.photos)
      .filter((p) => p.paintingId === painting.id && !known.has(p.id))
      .map(({ id, takenAt, width, height }): Picture => ({
        id,
        kind: 'progress',
        purpose: '',
        takenAt,
        width,
        height,
        corners: null,
        patches: [],
        marks: [],
      }));
    return [...own, ...logged].sort((a, b) => a.takenAt.localeCompare(b.takenAt));
  }, [painting, sessions]);
}

/** The photos of the demo are made by code when they are first looked at, and kept like any other. */
export async function keptOrMade(id: string): Promise<string | null> {
  const kept = await readPhoto(id).catch(() => null);
  if (kept !== null) return kept;
  const made = await demoJpeg(id);
  if (!made) return null;
  const jpeg = await base64Of(made);
  await keepPhoto(id, jpeg).catch(() => undefined);
  return jpeg;
}

/** The JPEG of a picture; undefined while it is read, null where the store does not have it. */
export function useJpeg(id: string | null): string | null | undefined {
  const [read, setRead] = useState<{ id: string; jpeg: string | null } | null>(null);
  useEffect(() => {
    if (id === null) return;
    let here = true;
    void keptOrMade(id)
      .catch(() => null)
      .then((jpeg) => here && setRead({ id, jpeg }));
    return () => {
      here = false;
    };
  }, [id]);
  return id === null ? null : read?.id === id ? read.jpeg : undefined;
}

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

/** A picture as it is, as large as a phone is wide. */
export const PLAIN: MapAsked = {
  view: 'colour',
  k: 5,
  way: 'breaks',
  thresholds: null,
  squintMm: 0,
  distanceM: null,
  mostPx: 900,
  key: null,
};

/**
 * A picture drawn on its support; the last one stays until the next is there.
 * @param against the design, for the view of the difference
 */
export function useMap(
  { kind, widthMm, heightMm }: Painting['support'],
  picture: Picture | null,
  { view, k, way, thresholds, squintMm, distanceM, mostPx, key }: MapAsked,
  against: Picture | null = null,
): MapReply | null {
  const jpeg = useJpeg(picture?.id ?? null);
  const againstJpeg = useJpeg(against?.id ?? null);
  const [map, setMap] = useState<{ of: string; reply: MapReply } | null>(null);
  const of = picture?.id ?? '';
  // What was worked out anew and is the same asks for no new drawing.
  const limits = JSON.stringify(thresholds);
  const keyed = JSON.stringify(key);
  useEffect(() => {
    if (!picture || !jpeg || againstJpeg === undefined) return;
    let here = true;
    drawMap({
      support: { kind, widthMm, heightMm },
      shot: { picture, jpeg },
      against: against && againstJpeg ? { picture: against, jpeg: againstJpeg } : null,
      view,
      k,
      way,
      thresholds: JSON.parse(limits) as number[] | null,
      squintMm,
      distanceM,
      mostPx,
      key: JSON.parse(keyed) as MapAsked['key'],
    }).then(
      (reply) => here && setMap({ of: picture.id, reply }),
      () => here && setMap(null),
    );
    return () => {
      here = false;
    };
  }, [
    kind,
    widthMm,
    heightMm,
    picture,
    jpeg,
    against,
    againstJpeg,
    view,
    k,
    way,
    limits,
    squintMm,
    distanceM,
    mostPx,
    keyed,
  ]);
  return map?.of === of ? map.reply : null;
}
