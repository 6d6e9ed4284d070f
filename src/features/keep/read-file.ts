import { isArchive, readArchive } from '@/core/formats/archive';
import { CoreError } from '@/core/errors';
import { readExport, type ExportFile } from '@/core/formats/export';
import { base64Of, dropPhoto, keepPhoto, photosHere } from '@/store/photos';

/** More than this is no studio: it is refused before it is read. */
const MOST_JSON = 64_000_000;
const MOST_ARCHIVE = 4_000_000_000;

async function* chunksOf(blob: Blob): AsyncGenerator<Uint8Array> {
  const reader = blob.stream().getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    yield value;
  }
}

const megabytes = (bytes: number): string => `${Math.round(bytes / 1e6)} MB`;

/** A file that was chosen: what it says, and whether its pictures come in an archive. */
export interface ChosenFile {
  blob: Blob;
  archive: boolean;
  file: ExportFile;
}

/** Reads what a file says; its pictures are not read yet. Throws a CoreError in a painter's words. */
export async function readStudioFile(blob: Blob): Promise<ChosenFile> {
  const head = new Uint8Array(await blob.slice(0, 4).arrayBuffer());
  const archive = isArchive(head);
  const most = archive ? MOST_ARCHIVE : MOST_JSON;
  if (blob.size > most)
    throw new CoreError(
      'document-unreadable',
      'file',
      `The file has ${megabytes(blob.size)}; a studio${archive ? '' : ' without photos'} has at most ${megabytes(most)}.`,
    );
  if (!archive) return { blob, archive, file: readExport(await blob.text()) };
  let text = '';
  await readArchive(chunksOf(blob), { json: (json) => void (text = json), photo: null });
  return { blob, archive, file: readExport(text) };
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
  const named = new Set(file.sessions.flatMap((s) => s.photos.map((p) => p.id)));
  const here = await photosHere([...named]);
  const kept: string[] = [];
  const takeBack = async () => {
    for (const id of kept) await dropPhoto(id);
  };
  const keep = async (id: string, jpeg: () => string) => {
    if (named.has(id) && !here.has(id)) {
      await keepPhoto(id, jpeg());
      kept.push(id);
    }
    if (!onPicture(kept.length))
      throw new CoreError('document-unreadable', 'file', 'It was stopped.');
  };
  try {
    if (archive)
      await readArchive(chunksOf(blob), {
        json: () => undefined,
        photo: ({ id, bytes }) => keep(id, () => base64Of(bytes)),
      });
    for (const { id, jpeg } of file.photos) await keep(id, () => jpeg);
  } catch (error) {
    await takeBack().catch(() => undefined);
    throw error;
  }
  return takeBack;
}
