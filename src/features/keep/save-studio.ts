import { photoIdsOf } from '@/core/looking/edit';
import { writeArchive } from '@/core/formats/archive';
import { exportFile, type ExportFile } from '@/core/formats/export';
import { PLAN_RECORD_ID } from '@/core/plan-record/record';
import { recordOf } from '@/store/bring-in';
import { making, nowIso } from '@/store/clock';
import { lineageWith, noteExchange, readExchange } from '@/store/exchange';
import { pictures } from '@/store/photos';
import { browserStorage } from '@/store/storage';
import type { State } from '@/store/store';
import { fileName, saveBlob, saveExport } from './files';

/** Bytes that are gathered before they are handed to the browser, which may put them on the disk. */
const GATHERED = 8_000_000;

/** The painter stopped it; nothing was written. */
export class Stopped extends Error {}

async function archiveOf(
  file: ExportFile,
  ids: string[],
  missing: (id: string) => void,
  onPicture: (done: number) => boolean,
): Promise<Blob> {
  const blobs: Blob[] = [];
  let gathered: Uint8Array<ArrayBuffer>[] = [];
  let bytes = 0;
  let done = 0;
  const counted = async function* () {
    for await (const picture of pictures(ids, missing)) {
      yield picture;
      if (!onPicture(++done)) throw new Stopped();
    }
  };
  for await (const chunk of writeArchive(JSON.stringify(file), counted())) {
    gathered.push(chunk);
    bytes += chunk.length;
    if (bytes < GATHERED) continue;
    blobs.push(new Blob(gathered));
    [gathered, bytes] = [[], 0];
  }
  return new Blob([...blobs, ...gathered], { type: 'application/zip' });
}

/**
 * The whole studio as a file, from what is in memory: it needs no storage but for the photos. With photos it is a zip.
 * @param onPicture told after each photo; gives false to stop, and then it throws Stopped
 * @returns what is missing in the file and why; null when it is whole
 */
export async function saveStudio(
  state: State,
  onPicture: (done: number, of: number) => boolean = () => true,
): Promise<string | null> {
  const storage = browserStorage();
  const exchange = await readExchange(storage);
  const id = making().newId();
  const record = recordOf(state);
  const sessions = Object.values(record.session);
  const file = exportFile(
    'studio',
    Object.values(record.painting),
    state.studio,
    nowIso(),
    state.cabinet,
    {
      id,
      lineage: lineageWith(exchange, id),
      sessions,
      climate: Object.values(record.climate),
      plan: record.plan[PLAN_RECORD_ID] ?? null,
      unreadable: state.saving.unreadable.map(({ key, raw }) => ({ key, raw })),
    },
  );
  const wanted = photoIdsOf(sessions, file.paintings);
  let missing = 0;
  if (wanted.length === 0) saveExport(file);
  else {
    const blob = await archiveOf(
      file,
      wanted,
      () => (missing += 1),
      (done) => onPicture(done, wanted.length),
    );
    saveBlob(fileName(file, 'zip'), blob);
  }
  await noteExchange(storage, { id, at: file.exportedAt, lineage: file.lineage, record });
  return missing > 0
    ? `The file holds everything but ${missing === 1 ? 'one photo' : `${missing} photos`} that the browser's store does not give.`
    : null;
}
