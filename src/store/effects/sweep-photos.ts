import { readSession } from '@/core/formats/documents';
import { PHOTO_PREFIX, PREFIX } from '../keep/documents';
import { isSetAside, keyOfAside } from '../keep/set-aside';
import type { Storage } from '../storage';

/** Long enough for a photo that was just taken to be named by its session. */
const WAIT_MS = 60_000;

/** Photos that every stored session names; null when one of them cannot be read: it might name any. */
async function namedPhotos(storage: Storage): Promise<Set<string> | null> {
  const all = await storage.getAllKeys();
  if (all.some((key) => isSetAside(key) && keyOfAside(key).startsWith(PREFIX.session))) return null;
  const keys = all.filter((key) => key.startsWith(PREFIX.session));
  const sessions = await storage.getMany(keys);
  try {
    return new Set(
      Object.values(sessions)
        .filter((raw) => raw !== null)
        .flatMap((raw) => readSession(JSON.parse(raw)).photos.map((p) => PHOTO_PREFIX + p.id)),
    );
  } catch {
    return null;
  }
}

/**
 * Takes out the photos of sessions that were deleted on an earlier visit, when nothing can be undone any more, and
 * those that a crash left without a session. Only photos that were there before the wait, and that no session names
 * after it.
 * @returns how many went
 */
export async function sweepPhotos(
  storage: Storage,
  wait: (ms: number) => Promise<void>,
): Promise<number> {
  const before = (await storage.getAllKeys()).filter((key) => key.startsWith(PHOTO_PREFIX));
  if (before.length === 0) return 0;
  await wait(WAIT_MS);
  const named = await namedPhotos(storage);
  const orphans = named ? before.filter((key) => !named.has(key)) : [];
  if (orphans.length > 0) await storage.removeMany(orphans);
  return orphans.length;
}
