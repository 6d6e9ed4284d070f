export { mergeSessions } from './merge';
export { paletteWindow, type PaletteWindow } from './palette';
export type { PaletteMix, Session, SessionPhoto, Stretch, Work } from './schema';
export { REACHED } from './vocabulary';
export { SESSION_SCHEMA_VERSION } from '../editions';
export {
  addPhoto,
  addWork,
  beginSession,
  changeMix,
  coverPalette,
  editSession,
  endSession,
  finishWork,
  isPaused,
  isRunning,
  pause,
  putOut,
  removePhoto,
  removeWork,
  resume,
  runningWork,
  takeUp,
  type SessionEdit,
  type SessionPlan,
} from './session';
export {
  minutesByPainting,
  paceOf,
  passagesCm2,
  pausedMinutes,
  sessionMinutes,
  timeBoxOf,
  workedMinutes,
  type TimeBox,
} from './time';
