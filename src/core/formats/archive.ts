import {
  Deflate,
  strFromU8,
  strToU8,
  Unzip,
  UnzipInflate,
  UnzipPassThrough,
  Zip,
  ZipDeflate,
  ZipPassThrough,
  type AsyncFlateStreamHandler,
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

const SIGNATURES: [number, number][] = [
  [0x01, 0x02],
  [0x03, 0x04],
  [0x07, 0x08],
];

/**
 * Whether bytes hold what a reader of a stream would take for the end of them. An archive that is written piece by piece
 * tells the length of an entry after it, so its end is found by its mark (APPNOTE 4.3.7 to 4.3.12); among the pictures of
 * years one is bound to hold that by chance.
 */
function mistakable(bytes: Uint8Array): boolean {
  for (let i = bytes.indexOf(0x50); i !== -1; i = bytes.indexOf(0x50, i + 1))
    if (
      bytes[i + 1] === 0x4b &&
      SIGNATURES.some(([a, b]) => bytes[i + 2] === a && bytes[i + 3] === b)
    )
      return true;
  return false;
}

/** An entry whose packed bytes hold no such mark: stored (level 0) or packed, by the first level of these that does it. */
function entryOf(name: string, bytes: Uint8Array, levels: Level[]): ZipDeflate | ZipPassThrough {
  const level = levels.find((l) => !mistakable(l === 0 ? bytes : packed(bytes, l))) ?? levels[0]!;
  return level === 0 ? new ZipPassThrough(name) : new ZipDeflate(name, { level });
}
type Level = 0 | 1 | 2 | 3 | 4 | 5 | 6 | 7;
/** A JPEG is packed already. */
const PICTURE_LEVELS: Level[] = [0, 1, 2, 3];
const TEXT_LEVELS: Level[] = [6, 5, 7, 4];

/** As ZipDeflate packs it. */
function packed(bytes: Uint8Array, level: Level): Uint8Array {
  const chunks: Uint8Array[] = [];
  const deflate = new Deflate({ level }, (chunk) => chunks.push(chunk));
  deflate.push(bytes, true);
  return joined(
    chunks,
    chunks.reduce((sum, c) => sum + c.length, 0),
  );
}

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
  const text = strToU8(json);
  const first = entryOf(JSON_NAME, text, TEXT_LEVELS);
  zip.add(first);
  first.push(text, true);
  yield* written();
  for await (const { id, bytes } of pictures) {
    const entry = entryOf(`photos/${id}.jpg`, bytes, PICTURE_LEVELS);
    zip.add(entry);
    entry.push(bytes, true);
    yield* written();
  }
  zip.end();
  yield* written();
}

/** Where what is read goes. */
export interface ArchiveSink {
  /** Null: passed over. */
  json: ((text: string) => void | Promise<void>) | null;
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
    if (failure) return;
    const most = photo ? ARCHIVE_LIMITS.photoBytes : ARCHIVE_LIMITS.jsonBytes;
    const parts: Uint8Array[] = [];
    let length = 0;
    open += 1;
    file.ondata = (error, chunk, final) => {
      if (error) failure ??= refuse(file.name, `"${file.name}" in the file is damaged.`);
      if (failure) return;
      // What is passed over goes through all the same: an entry that is not begun would be held in memory.
      if (!(photo ? sink.photo : sink.json)) {
        if (!final) return;
        open -= 1;
        foundJson ||= !photo;
        return;
      }
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
        done.push(() => sink.json!(strFromU8(bytes)));
      }
    };
    file.start();
  });
  const wanted = (name: string): boolean => (name === JSON_NAME ? sink.json : sink.photo) !== null;
  unzip.register(
    class {
      static compression = UnzipInflate.compression;
      ondata: AsyncFlateStreamHandler = () => undefined;
      // What is passed over is not unpacked either.
      private readonly inner;
      constructor(name: string) {
        this.inner = wanted(name) ? new UnzipInflate() : new UnzipPassThrough();
        this.inner.ondata = (...data) => this.ondata(...data);
      }
      push(chunk: Uint8Array, final: boolean) {
        this.inner.push(chunk, final);
      }
    },
  );
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
