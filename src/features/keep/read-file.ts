import { photoIdsOf } from '@/core/looking/edit';
import { readArchive } from '@/core/formats/archive';
import { CoreError } from '@/core/errors';
import { base64Of, dropPhoto, keepPhoto, photosHere } from '@/store/photos';
import type { Painting } from '@/core/painting';
import type { Session } from '@/core/session';
import { readStudio } from '@/workers/files-client';
import { readRecord, type ReadRecord } from '@/workers/papers-client';
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

/** How files of a studio begin: JSON, or a zip. What begins otherwise is a page, a drawing or a table of ours. */
const STUDIO_HEADS = ['{', '[', 'PK'];

/** The same of anything that this app saves; rows of a table that cannot be read are named. */
export async function readAnyFile(
  blob: Blob,
  here: { paintings: Painting[]; sessions: Session[] },
  now: string,
): Promise<{ chosen: ChosenFile; bad: ReadRecord['bad'] }> {
  const head = (await blob.slice(0, 16).text()).replace(/^\uFEFF/, '').trimStart();
  if (head === '' || STUDIO_HEADS.some((start) => head.startsWith(start)))
    return { chosen: await readStudioFile(blob), bad: [] };
  const { json, bad } = await readRecord(blob, here, now);
  return { chosen: await readStudioFile(new Blob([json])), bad };
}

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
