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
  noteLaid,
  pause,
  putDown,
  putOut,
  removePhoto,
  removeWork,
  resume,
  runningWork,
  shareOut,
  takeUp,
  type SessionEdit,
  type SessionPlan,
} from './session';
export {
  minutesBetween,
  minutesByPainting,
  minutesWithin,
  pausedMinutes,
  sessionMinutes,
  timeBoxOf,
  workedMinutes,
  type TimeBox,
} from './time';
export { laidCm2, mayBeParted, minutesOf, paceOf, toLayCm2, USUAL_PACE, type Pace } from './pace';
export { usesOil } from './oil';
export { heapOf, keptMixes, knownMixes, servedBy, type KeptMix } from './premix';
