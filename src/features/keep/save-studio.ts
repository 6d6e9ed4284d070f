import { exportFile } from '@/core/formats/export';
import { PLAN_RECORD_ID } from '@/core/plan-record/record';
import { nowIso } from '@/store/clock';
import { photosOf } from '@/store/photos';
import type { State } from '@/store/store';
import { saveExport } from './files';

/**
 * The whole studio as a file, from what is in memory: it needs no storage but for the photos.
 * @returns what is missing in the file and why; null when it is whole
 */
export async function saveStudio(state: State): Promise<string | null> {
  const sessions = Object.values(state.sessions.entities);
  const wanted = sessions.flatMap((s) => s.photos.map((p) => p.id));
  const found = await photosOf(wanted).catch(() => []);
  saveExport(
    exportFile(
      'studio',
      Object.values(state.paintings.entities),
      state.studio,
      nowIso(),
      state.cabinet,
      {
        sessions,
        climate: Object.values(state.climate).filter((m) => m !== undefined),
        photos: found,
        plan: state.plan[PLAN_RECORD_ID] ?? null,
        unreadable: state.saving.unreadable.map(({ key, raw }) => ({ key, raw })),
      },
    ),
  );
  const missing = wanted.length - found.length;
  return missing > 0
    ? `The file holds everything but ${missing === 1 ? 'one photo' : `${missing} photos`} that the browser's store does not give.`
    : null;
}
