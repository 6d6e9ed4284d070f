import { putMediums, putPaints } from '@/core/cabinet/edit';
import type { Cabinet } from '@/core/cabinet/schema';
import type { ExportFile, Studio } from '@/core/formats';
import type { Making, Painting } from '@/core/painting';
import { making } from './clock';
import { cabinetArrived, cabinetChanged, cabinetTakenBack } from './cabinet';
import { painterChanged, paintingArrived, paintingTakenBack } from './paintings';
import type { Dispatch, State } from './store';
import { settingsChanged } from './studio';
import { changeDropped } from './undo';

type Thunk<T = void> = (dispatch: Dispatch, getState: () => State) => T;

/**
 * Do something to a painting that is there. `change` may throw a CoreError; then nothing has changed.
 * @param what how the change is called when it can be undone, e.g. "Laid the glaze"
 */
export const changePainting =
  (id: string, what: string, change: (painting: Painting, making: Making) => Painting): Thunk =>
  (dispatch, getState) => {
    const before = getState().paintings.entities[id];
    if (!before) return;
    const after = change(before, making());
    if (after !== before) dispatch(painterChanged({ what, before, after }));
  };

/** Change the cabinet; `change` may throw a CoreError, and then nothing has changed. */
export const changeCabinet =
  (what: string, change: (cabinet: Cabinet) => Cabinet): Thunk =>
  (dispatch, getState) => {
    const before = getState().cabinet;
    const after = change(before);
    if (after !== before) dispatch(cabinetChanged({ what, before, after }));
  };

/** The last change is taken back. */
export const undone = (): Thunk => (dispatch, getState) => {
  const change = getState().undo.changes.at(-1);
  if (!change) return;
  dispatch(changeDropped());
  if (change.of === 'painting') dispatch(paintingTakenBack(change));
  else dispatch(cabinetTakenBack(change));
};

export const addPainting =
  (painting: Painting): Thunk =>
  (dispatch) => {
    dispatch(painterChanged({ what: `Started ${painting.title}`, before: null, after: painting }));
  };

export const removePainting =
  (id: string): Thunk =>
  (dispatch, getState) => {
    const before = getState().paintings.entities[id];
    if (before)
      dispatch(painterChanged({ what: `Took down ${before.title}`, before, after: null }));
  };

/** What to do with a painting of a file that is here already. */
export type OnConflict = 'replace' | 'keep-both';

/** The demo studio as it is opened: there is nothing before it to go back to. */
export const openDemo =
  (file: ExportFile): Thunk =>
  (dispatch) => {
    file.paintings.forEach((painting) => dispatch(paintingArrived(painting)));
    if (file.studio) dispatch(settingsChanged(settingsOf(file.studio)));
    if (file.cabinet) dispatch(cabinetArrived(file.cabinet));
  };

const settingsOf = ({ units, climate, latitudeDeg, paintingOrder }: Studio) => ({
  units,
  climate,
  latitudeDeg,
  paintingOrder,
});

/** Take in an exported file that has been read and checked. */
export const takeIn =
  (file: ExportFile, onConflict: OnConflict): Thunk<number> =>
  (dispatch, getState) => {
    for (const painting of file.paintings) {
      const here = getState().paintings.entities[painting.id] ?? null;
      if (here && onConflict === 'keep-both') {
        const copy = { ...painting, id: making().newId(), title: `${painting.title} (copy)` };
        dispatch(painterChanged({ what: `Imported ${copy.title}`, before: null, after: copy }));
      } else {
        const revision = Math.max(painting.revision, here?.revision ?? 0) + 1;
        dispatch(
          painterChanged({
            what: `Imported ${painting.title}`,
            before: here,
            after: { ...painting, revision },
          }),
        );
      }
    }
    if (file.studio) dispatch(settingsChanged(settingsOf(file.studio)));
    const { cabinet } = file;
    // Entries of the file replace those with the same id; the others here stay.
    if (cabinet)
      dispatch(
        changeCabinet('Imported the cabinet', (here) =>
          putMediums(putPaints(here, cabinet.paints), cabinet.mediums),
        ),
      );
    return file.paintings.length;
  };

/** Paintings of the file that are here already. */
export const conflictsOf = (state: State, file: ExportFile): Painting[] =>
  file.paintings.filter((p) => state.paintings.entities[p.id]);
