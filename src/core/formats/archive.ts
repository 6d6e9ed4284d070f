import {
  strFromU8,
  strToU8,
  Unzip,
  UnzipInflate,
  UnzipPassThrough,
  Zip,
  ZipDeflate,
  ZipPassThrough,
} from 'fflate';
import { CoreError } from '../errors';

/**
 * A studio with photos as one file: a zip of its JSON and its pictures, written and read piece by piece, so that none
 * of it is in memory as a whole but the JSON and one picture.
 */
const JSON_NAME = 'studio.json';
const PHOTO_NAME = /^photos\/([A-Za-z0-9_-]{1,80})\.jpg$/;

/** What is read of a file that anybody may have made. */
export const ARCHIVE_LIMITS = {
  entries: 20_001,
  jsonBytes: 64_000_000,
  photoBytes: 20_000_000,
  /** Unpacked over packed: real JSON packs to a tenth, a bomb to a thousandth. */
  ratio: 200,
} as const;

export interface Picture {
  id: string;
  bytes: Uint8Array;
}

const refuse = (where: string, message: string): CoreError =>
  new CoreError('document-unreadable', where, message);

/**
 * Writes the archive, piece by piece.
 * @param pictures asked for one after the other, each only when the last is written
 */
export async function* writeArchive(
  json: string,
  pictures: AsyncIterable<Picture>,
): AsyncGenerator<Uint8Array<ArrayBuffer>> {
  let ready: Uint8Array<ArrayBuffer>[] = [];
  let failure: Error | null = null;
  const zip = new Zip((error, chunk) => {
    if (error) failure = error;
    else ready.push(chunk as Uint8Array<ArrayBuffer>);
  });
  const written = (): Uint8Array<ArrayBuffer>[] => {
    if (failure) throw failure;
    const chunks = ready;
    ready = [];
    return chunks;
  };
  const text = new ZipDeflate(JSON_NAME, { level: 6 });
  zip.add(text);
  text.push(strToU8(json), true);
  yield* written();
  for await (const { id, bytes } of pictures) {
    // A JPEG is packed already.
    const entry = new ZipPassThrough(`photos/${id}.jpg`);
    zip.add(entry);
    entry.push(bytes, true);
    yield* written();
  }
  zip.end();
  yield* written();
}

/** Where what is read goes. */
export interface ArchiveSink {
  json(text: string): void | Promise<void>;
  /** Null: pictures are passed over. */
  photo: ((picture: Picture) => void | Promise<void>) | null;
}

const joined = (chunks: Uint8Array[], length: number): Uint8Array => {
  const all = new Uint8Array(length);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
};

/**
 * Reads an archive, piece by piece. Throws a CoreError when it is none, is cut off, holds what does not belong there,
 * or grows beyond ARCHIVE_LIMITS when it is unpacked; what the sink was given till then is the caller's to take back.
 */
export async function readArchive(
  chunks: AsyncIterable<Uint8Array>,
  sink: ArchiveSink,
): Promise<void> {
  let entries = 0;
  let read = 0;
  let unpacked = 0;
  let open = 0;
  let foundJson = false;
  let failure: Error | null = null;
  let done: (() => void | Promise<void>)[] = [];
  const unzip = new Unzip((file) => {
    entries += 1;
    const photo = PHOTO_NAME.exec(file.name);
    if (entries > ARCHIVE_LIMITS.entries)
      failure ??= refuse('file', 'The file holds too many pieces to be a studio.');
    if (!photo && file.name !== JSON_NAME)
      failure ??= refuse(
        file.name.slice(0, 80),
        `The file holds "${file.name.slice(0, 80)}", which does not belong into a studio.`,
      );
    if (failure || (photo && !sink.photo)) return;
    const most = photo ? ARCHIVE_LIMITS.photoBytes : ARCHIVE_LIMITS.jsonBytes;
    const parts: Uint8Array[] = [];
    let length = 0;
    open += 1;
    file.ondata = (error, chunk, final) => {
      if (error) failure ??= refuse(file.name, `"${file.name}" in the file is damaged.`);
      if (failure) return;
      length += chunk.length;
      unpacked += chunk.length;
      if (length > most || unpacked > Math.max(1e6, read * ARCHIVE_LIMITS.ratio))
        failure = refuse(
          file.name,
          `"${file.name}" in the file is too large to be what it says it is.`,
        );
      parts.push(chunk);
      if (!final || failure) return;
      open -= 1;
      const bytes = joined(parts, length);
      if (photo) done.push(() => sink.photo!({ id: photo[1]!, bytes }));
      else {
        foundJson = true;
        done.push(() => sink.json(strFromU8(bytes)));
      }
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  for await (const chunk of chunks) {
    read += chunk.length;
    try {
      unzip.push(chunk, false);
    } catch {
      failure ??= refuse('file', 'The file is damaged: it cannot be unpacked.');
    }
    if (failure) throw failure;
    for (const give of done) await give();
    done = [];
  }
  try {
    unzip.push(new Uint8Array(0), true);
  } catch {
    throw refuse('file', 'The file is cut off: its end is missing.');
  }
  for (const give of done) await give();
  if (failure) throw failure;
  if (open > 0) throw refuse('file', 'The file is cut off: its end is missing.');
  if (!foundJson) throw refuse('file', 'The file holds no studio.');
}

/** Whether bytes are the beginning of a zip archive (PKWARE APPNOTE 4.3.7: local file header signature). */
export const isArchive = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;
