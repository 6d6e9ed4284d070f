import type { ExportFile } from '@/core/formats';
import { takeInHours } from './actions';
import { cabinetArrived } from './cabinet';
import { paintingArrived } from './paintings';
import { planNoted } from './plan';
import { sessionArrived } from './sessions';
import type { Dispatch } from './store';
import { settingsChanged } from './studio';

type Thunk = (dispatch: Dispatch) => void;

/** The demo studio as it is opened: there is nothing before it to go back to. */
export const openDemo =
  (file: ExportFile): Thunk =>
  (dispatch) => {
    file.paintings.forEach((painting) => dispatch(paintingArrived(painting)));
    if (file.studio) {
      const { schemaVersion: _version, revision: _revision, ...settings } = file.studio;
      dispatch(settingsChanged(settings));
    }
    if (file.cabinet) dispatch(cabinetArrived(file.cabinet));
    file.sessions.forEach((session) => dispatch(sessionArrived(session)));
    if (file.plan) dispatch(planNoted(file.plan));
    dispatch(takeInHours(file.climate.flatMap((month) => month.hours)));
  };
