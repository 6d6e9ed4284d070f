import type { KeptPhoto } from '@/core/formats';
import { PHOTO_PREFIX } from './keep/documents';
import { browserStorage } from './storage';

const keyOf = (id: string): string => `${PHOTO_PREFIX}${id}`;

/** Photos are kept apart from the log, as JPEG in base 64, and read when they are looked at. */
export const keepPhoto = (id: string, jpeg: string): Promise<void> =>
  browserStorage().setItem(keyOf(id), jpeg);
export const readPhoto = (id: string): Promise<string | null> =>
  browserStorage().getItem(keyOf(id));
export const dropPhoto = (id: string): Promise<void> => browserStorage().removeItem(keyOf(id));

/** The photos of these sessions, for an export. */
export async function photosOf(ids: string[]): Promise<KeptPhoto[]> {
  const found = await browserStorage().getMany(ids.map(keyOf));
  return ids.flatMap((id) => {
    const jpeg = found[keyOf(id)];
    return jpeg ? [{ id, jpeg }] : [];
  });
}

export async function keepPhotos(photos: KeptPhoto[]): Promise<void> {
  for (const { id, jpeg } of photos) await keepPhoto(id, jpeg);
}
