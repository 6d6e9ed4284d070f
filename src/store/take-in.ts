import { putMediums, putPaints } from '@/core/cabinet/edit';
import type { ExportFile, Studio } from '@/core/formats';
import type { Painting } from '@/core/painting';
import { changeCabinet, takeInHours } from './actions';
import { cabinetArrived } from './cabinet';
import { making } from './clock';
import { painterChanged, paintingArrived } from './paintings';
import { planNoted, planRecordOf } from './plan';
import { sessionArrived, sessionChanged } from './sessions';
import type { Dispatch, State } from './store';
import { settingsChanged } from './studio';

/** Whole files taken in: apart from what the painter does, since a visit seldom begins with one. */

type Thunk<T = void> = (dispatch: Dispatch, getState: () => State) => T;

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
    if (file.plan) dispatch(planNoted(file.plan));
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
    if (file.plan) {
      const here = planRecordOf(getState());
      // Like a session, what went on here is not set back by an older file.
      if (file.plan.revision > here.revision) dispatch(planNoted(file.plan));
    }
    dispatch(takeInHours(file.climate.flatMap((month) => month.hours)));
    return file.paintings.length;
  };

/** Paintings of the file that are here already. */
export const conflictsOf = (state: State, file: ExportFile): Painting[] =>
  file.paintings.filter((p) => state.paintings.entities[p.id]);
