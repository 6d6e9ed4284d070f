import { photoIdsOf } from '@/core/looking/edit';
import { readArchive } from '@/core/formats/archive';
import { CoreError } from '@/core/errors';
import { base64Of, dropPhoto, keepPhoto, photosHere } from '@/store/photos';
import { readStudio } from '@/workers/files-client';
import { chunksOf, type StudioFile } from '@/workers/studio-file';

/** A file that was chosen, and what it says. */
export interface ChosenFile extends StudioFile {
  blob: Blob;
}

/** Reads what a file says; its pictures are not read yet. Rejects with a CoreError in a painter's words. */
export const readStudioFile = async (blob: Blob): Promise<ChosenFile> => ({
  blob,
  ...(await readStudio(blob)),
});

/**
 * Keeps the pictures that a file brings, before the log that names them. Those that are here stay as they are.
 * @param onPicture told after each; gives false to stop
 * @returns how to take back what was kept
 */
export async function keepPictures(
  { blob, archive, file }: ChosenFile,
  onPicture: (done: number) => boolean,
): Promise<() => Promise<void>> {
  const named = new Set(photoIdsOf(file.sessions, file.paintings));
  const here = await photosHere([...named]);
  const kept: string[] = [];
  const takeBack = async () => {
    for (const id of kept) await dropPhoto(id);
  };
  const keep = async (id: string, jpeg: () => string | Promise<string>) => {
    if (named.has(id) && !here.has(id)) {
      await keepPhoto(id, await jpeg());
      kept.push(id);
    }
    if (!onPicture(kept.length))
      throw new CoreError('document-unreadable', 'file', 'It was stopped.');
  };
  try {
    if (archive)
      await readArchive(chunksOf(blob), {
        json: null,
        photo: ({ id, bytes }) => keep(id, () => base64Of(bytes)),
      });
    for (const { id, jpeg } of file.photos) await keep(id, () => jpeg);
  } catch (error) {
    await takeBack().catch(() => undefined);
    throw error;
  }
  return takeBack;
}
