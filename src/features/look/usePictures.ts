import { useEffect, useMemo, useState } from 'react';
import { lookingOf } from '@/core/looking/edit';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { useSessions } from '@/features/session/useSession';
import { base64Of, keepPhoto, readPhoto } from '@/store/photos';
import { demoJpeg } from '@/workers/demo-photo-client';

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
