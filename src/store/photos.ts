import type { Picture } from '@/core/formats/archive';
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

/** Those of these photos that are here. */
export async function photosHere(ids: string[]): Promise<Set<string>> {
  const keys = new Set(await browserStorage().getAllKeys());
  return new Set(ids.filter((id) => keys.has(keyOf(id))));
}

export async function keepPhotos(photos: KeptPhoto[]): Promise<void> {
  for (const { id, jpeg } of photos) await keepPhoto(id, jpeg);
}

/** A JPEG as text, as it is stored; by the browser's own means, off the screen's thread. */
export const base64Of = (bytes: Uint8Array): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onerror = () => reject(reader.error ?? new Error('It cannot be read.'));
    reader.onload = () => {
      const url = reader.result as string;
      resolve(url.slice(url.indexOf(',') + 1));
    };
    reader.readAsDataURL(new Blob([bytes as Uint8Array<ArrayBuffer>]));
  });

/** And back. */
export function bytesOf(base64: string): Uint8Array {
  const letters = atob(base64);
  const bytes = new Uint8Array(letters.length);
  for (let i = 0; i < letters.length; i++) bytes[i] = letters.charCodeAt(i);
  return bytes;
}

/**
 * The pictures of these ids one by one, each read when it is asked for; one that is not there, or that the store does
 * not give, is passed over and told.
 */
export async function* pictures(
  ids: string[],
  missing: (id: string) => void,
): AsyncGenerator<Picture> {
  for (const id of ids) {
    const jpeg = await readPhoto(id).catch(() => null);
    if (jpeg === null) missing(id);
    else yield { id, bytes: bytesOf(jpeg) };
  }
}
