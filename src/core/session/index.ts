export { mergeSessions } from './merge';
export { paletteWindow, type PaletteWindow } from './palette';
export {
  REACHED,
  SESSION_SCHEMA_VERSION,
  sessionSchema,
  type PaletteMix,
  type Session,
  type SessionPhoto,
  type Stretch,
  type Work,
} from './schema';
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
