import { putMediums, putPaints } from '@/core/cabinet/edit';
import type { Cabinet } from '@/core/cabinet/schema';
import { takeHours, type ClimateHour } from '@/core/climate/readings';
import type { ExportFile, Studio } from '@/core/formats';
import type { Making, Painting } from '@/core/painting';
import type { Session } from '@/core/session/schema';
import { making } from './clock';
import { cabinetArrived, cabinetChanged, cabinetTakenBack } from './cabinet';
import { monthsChanged } from './climate';
import { painterChanged, paintingArrived, paintingTakenBack } from './paintings';
import { sessionArrived, sessionChanged, sessionTakenBack } from './sessions';
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

/** Change a session that is there; `change` may throw a CoreError, and then nothing has changed. */
export const changeSession =
  (id: string, what: string, change: (session: Session, making: Making) => Session): Thunk =>
  (dispatch, getState) => {
    const before = getState().sessions.entities[id];
    if (!before) return;
    const after = change(before, making());
    if (after !== before) dispatch(sessionChanged({ what, before, after }));
  };

export const addSession =
  (session: Session): Thunk =>
  (dispatch) => {
    dispatch(sessionChanged({ what: 'Began a session', before: null, after: session }));
  };

export const removeSession =
  (id: string): Thunk =>
  (dispatch, getState) => {
    const before = getState().sessions.entities[id];
    if (before) dispatch(sessionChanged({ what: 'Deleted a session', before, after: null }));
  };

/** Readings taken in, hour by hour. */
export const takeInHours =
  (hours: ClimateHour[]): Thunk<number> =>
  (dispatch, getState) => {
    const months = takeHours(getState().climate, hours);
    if (months.length > 0) dispatch(monthsChanged(months));
    return hours.length;
  };

/** The last change is taken back. */
export const undone = (): Thunk => (dispatch, getState) => {
  const change = getState().undo.changes.at(-1);
  if (!change) return;
  dispatch(changeDropped());
  if (change.of === 'painting') dispatch(paintingTakenBack(change));
  else if (change.of === 'session') dispatch(sessionTakenBack(change));
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
    file.sessions.forEach((session) => dispatch(sessionArrived(session)));
    dispatch(takeInHours(file.climate.flatMap((month) => month.hours)));
  };

const settingsOf = ({
  units,
  climate,
  dayNight,
  followReadings,
  loggerOn,
  forgotten,
  latitudeDeg,
  paintingOrder,
}: Studio) => ({
  units,
  climate,
  dayNight,
  followReadings,
  loggerOn,
  forgotten,
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
    for (const session of file.sessions) {
      const before = getState().sessions.entities[session.id] ?? null;
      // A session that went on here is not set back by an older file.
      if (before && before.revision >= session.revision) continue;
      dispatch(sessionChanged({ what: 'Imported a session', before, after: session }));
    }
    dispatch(takeInHours(file.climate.flatMap((month) => month.hours)));
    return file.paintings.length;
  };

/** Paintings of the file that are here already. */
export const conflictsOf = (state: State, file: ExportFile): Painting[] =>
  file.paintings.filter((p) => state.paintings.entities[p.id]);
