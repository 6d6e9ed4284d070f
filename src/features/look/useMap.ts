import { useEffect, useState } from 'react';
import type { MapAsked } from '@/core/looking/maps';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { drawMap } from '@/workers/looking-client';
import type { MapReply } from '@/workers/looking-protocol';
import { useJpeg } from './usePictures';

/** A picture as it is, as large as a phone is wide. */
export const PLAIN: MapAsked = {
  view: 'colour',
  k: 5,
  way: 'breaks',
  thresholds: null,
  squintMm: 0,
  distanceM: null,
  mostPx: 900,
  key: 'fit',
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
