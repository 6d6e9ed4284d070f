export { followedAir, type FollowedAir } from './air';
export { bandSdC, HOURS_PER_DAY, learnDay, type LearnedDay } from './day';
export type { DayNight } from './day-schema';
export {
  HOUR_MS,
  hoursOf,
  mergeHours,
  mergeMonths,
  monthOf,
  READING_LIMITS,
  takeHours,
  takeReading,
  type Reading,
} from './readings';
export { CLIMATE_MONTH_VERSION } from '../editions';
export type { ClimateHour, ClimateMonth } from './readings-schema';
export { timelineOf, type AirHour, type Timeline } from './timeline';
export type { AirRecord } from './record';
