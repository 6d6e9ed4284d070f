import type { Cabinet } from '@/core/cabinet/schema';
import { saysTheSame } from '@/core/formats/bring-in';
import { takeHours } from '@/core/climate/readings';
import type { ClimateHour } from '@/core/climate/readings-schema';
import type { Making, Painting } from '@/core/painting';
import type { PlanRecord } from '@/core/plan-record/schema';
import type { Session } from '@/core/session/schema';
import { making } from './clock';
import { cabinetChanged, cabinetTakenBack } from './cabinet';
import { monthLeft, monthsChanged } from './climate';
import { planChanged, planRecordOf, planTakenBack } from './plan';
import { painterChanged, paintingTakenBack } from './paintings';
import { changeDeclined } from './saving';
import { sessionChanged, sessionTakenBack } from './sessions';
import type { Dispatch, State } from './store';
import { settingsTakenBack } from './studio';
import { changeDropped, changesJoined, type Change } from './undo';

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

/** Whatever `run` changes is one step to be taken back: a coat that is laid, and the work of the session that it was. */
export const inOneStep =
  (what: string, run: () => void): Thunk =>
  (dispatch, getState) => {
    const last = getState().undo.changes.at(-1);
    run();
    const { changes } = getState().undo;
    const count = changes.length - 1 - (last ? changes.indexOf(last) : -1);
    if (count > 1) dispatch(changesJoined({ what, count }));
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

/** Change what is said of the weeks to come; `change` may throw a CoreError, and then nothing has changed. */
export const changePlan =
  (what: string, change: (record: PlanRecord) => PlanRecord): Thunk =>
  (dispatch, getState) => {
    const before = planRecordOf(getState());
    const after = change(before);
    if (after !== before) dispatch(planChanged({ what, before, after }));
  };

/** Readings taken in, hour by hour. */
export const takeInHours =
  (hours: ClimateHour[]): Thunk<number> =>
  (dispatch, getState) => {
    const months = takeHours(getState().climate, hours);
    if (months.length > 0) dispatch(monthsChanged(months));
    return hours.length;
  };

/** What another tab, or a file, has added to since it was begun here: to take back the beginning would take that too. */
function addedTo(change: Change, state: State): string | null {
  if (change.of === 'several')
    return change.parts.reduce<string | null>((name, part) => name ?? addedTo(part, state), null);
  if ((change.of !== 'painting' && change.of !== 'session') || change.before || !change.after)
    return null;
  const kept = change.of === 'painting' ? state.paintings.entities : state.sessions.entities;
  const now = kept[change.after.id];
  if (!now || saysTheSame(now, change.after)) return null;
  return 'title' in now ? `“${now.title}”` : 'The session';
}

/** The last change is taken back; not where that would lose what others have added since. */
export const undone = (): Thunk => (dispatch, getState) => {
  const change = getState().undo.changes.at(-1);
  if (!change) return;
  const name = addedTo(change, getState());
  dispatch(changeDropped());
  if (name !== null)
    dispatch(
      changeDeclined(
        `Not taken back: ${name} has been added to since, in another tab or by a file. To be rid of it all the same, take it down on its own page.`,
      ),
    );
  else dispatch(takenBack(change));
};

const takenBack =
  (change: Change): Thunk =>
  (dispatch) => {
    switch (change.of) {
      case 'painting':
        dispatch(paintingTakenBack(change));
        break;
      case 'session':
        dispatch(sessionTakenBack(change));
        break;
      case 'plan':
        dispatch(planTakenBack(change));
        break;
      case 'cabinet':
        dispatch(cabinetTakenBack(change));
        break;
      case 'climate':
        if (change.before === null) dispatch(monthLeft(change.after.id));
        else dispatch(monthsChanged([{ ...change.before, revision: change.after.revision + 1 }]));
        break;
      case 'studio':
        if (change.before)
          dispatch(settingsTakenBack({ before: change.before, after: change.after }));
        break;
      case 'several':
        [...change.parts].reverse().forEach((part) => dispatch(takenBack(part)));
    }
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
