export { followedAir, type FollowedAir } from './air';
export {
  bandSdC,
  dayNightSchema,
  HOURS_PER_DAY,
  learnDay,
  type DayNight,
  type LearnedDay,
} from './day';
export {
  CLIMATE_MONTH_VERSION,
  climateMonthSchema,
  HOUR_MS,
  hoursOf,
  mergeHours,
  mergeMonths,
  monthOf,
  READING_LIMITS,
  readingSchema,
  takeHours,
  takeReading,
  type ClimateHour,
  type ClimateMonth,
  type Reading,
} from './readings';
export { timelineOf, type AirHour, type Timeline } from './timeline';
export type { AirRecord } from './record';
