import { isArchive, readArchive } from '@/core/formats/archive';
import { CoreError } from '@/core/errors';
import { readExport, type ExportFile } from '@/core/formats/export';

/** More than this is no studio: it is refused before it is read. */
const MOST_JSON = 64_000_000;
const MOST_ARCHIVE = 4_000_000_000;

/** A file's bytes, piece by piece. */
export async function* chunksOf(file: Blob): AsyncGenerator<Uint8Array> {
  const reader = file.stream().getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    yield value;
  }
}

const megabytes = (bytes: number): string => `${Math.round(bytes / 1e6)} MB`;

/** What a file of a studio says, and whether its pictures come in an archive. */
export interface StudioFile {
  archive: boolean;
  file: ExportFile;
}

/** Reads what a file says; its pictures are passed over. Throws a CoreError in a painter's words. */
export async function readStudioFile(blob: Blob): Promise<StudioFile> {
  const head = new Uint8Array(await blob.slice(0, 4).arrayBuffer());
  const archive = isArchive(head);
  const most = archive ? MOST_ARCHIVE : MOST_JSON;
  if (blob.size > most)
    throw new CoreError(
      'document-unreadable',
      'file',
      `The file has ${megabytes(blob.size)}; a studio${archive ? '' : ' without photos'} has at most ${megabytes(most)}.`,
    );
  if (!archive) return { archive, file: readExport(await blob.text()) };
  let text = '';
  await readArchive(chunksOf(blob), { json: (json) => void (text = json), photo: null });
  return { archive, file: readExport(text) };
}
