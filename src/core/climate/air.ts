import type { Constants } from '@/data/constants';
import type { StudioAir } from '../drying';
import type { AirRecord } from './record';
import {
  constantDay,
  dayNightDay,
  hoursAhead,
  learnDay,
  meanBandSdC,
  type LearnedDay,
} from './day';
import { HOUR_MS } from './readings';
import { timelineOf, type Timeline } from './timeline';

/** The air with what can be drawn and said of it. */
export interface FollowedAir extends StudioAir {
  timeline: Timeline;
  learned: LearnedDay | null;
  /** When the last reading's hour ended; null without readings. */
  lastReadingMs: number | null;
}

const CELSIUS_ZERO_K = 273.15;
const HOURS_PER_DAY = 24;
const DAY_MS = HOURS_PER_DAY * HOUR_MS;

/**
 * The air hour by hour: readings where there are any, else the pattern that was learned from them, else what
 * the painter says. Ahead of the last reading the forecast widens by what days have strayed from the pattern.
 */
export function followedAir(constants: Constants, record: AirRecord): FollowedAir {
  const { climate, dayNight, hours, utcOffsetHours } = record;
  const learned = learnDay(hours);
  const last = hours.at(-1);
  const stated = dayNight ? dayNightDay(climate, dayNight, utcOffsetHours) : constantDay(climate);
  const pattern = learned?.pattern ?? stated;
  const timeline = timelineOf({
    constants,
    light: climate.light,
    air: climate.air,
    pattern,
    hours,
    ahead: learned && last ? hoursAhead(learned, last[0]) : [],
  });
  const lastReadingMs = last ? (last[0] + 1) * HOUR_MS : null;

  const mean = (of: 'inverseT' | 'humidity', fromMs: number, toMs: number): number => {
    // A stretch of no length still has a climate: that of its hour.
    const end = Math.max(toMs, fromMs + HOUR_MS);
    return (
      ((timeline.integral(of, end) - timeline.integral(of, fromMs)) * HOUR_MS) / (end - fromMs)
    );
  };

  return {
    timeline,
    learned,
    lastReadingMs,
    clock(kind, laidAtMs, coveredAtMs) {
      const of = kind === 'acrylic' ? 'acrylic' : 'oil';
      const slowed = kind === 'acrylic' ? 1 : constants.coveredRate;
      const start = timeline.integral(of, laidAtMs);
      const cover = coveredAtMs === null ? null : Math.max(coveredAtMs, laidAtMs);
      const atCover = cover === null ? Infinity : timeline.integral(of, cover);
      return {
        doseAt(ms) {
          if (ms <= laidAtMs) return 0;
          const now = timeline.integral(of, ms);
          return cover === null || ms <= cover
            ? now - start
            : atCover - start + slowed * (now - atCover);
        },
        timeOf(dose) {
          const free = atCover - start;
          const value = dose <= free ? start + dose : atCover + (dose - free) / slowed;
          return timeline.inverse(of, value);
        },
      };
    },
    meanBetween: (fromMs, toMs) => ({
      ...climate,
      temperatureC: 1 / mean('inverseT', fromMs, toMs) - CELSIUS_ZERO_K,
      relativeHumidityPct: mean('humidity', fromMs, toMs),
    }),
    weatherSigma(fromMs, toMs) {
      if (!learned || lastReadingMs === null || toMs <= lastReadingMs) return 0;
      const ahead = Math.max(fromMs, lastReadingMs);
      const days = (toMs - ahead) / DAY_MS;
      // Weather that is past is known: only the share of the dose still to come is in doubt.
      const share = (toMs - ahead) / Math.max(toMs - fromMs, 1);
      const t = 1 / mean('inverseT', ahead, toMs);
      const perKelvin = constants.activationEnergyJ / constants.gasConstant / t ** 2;
      return share * perKelvin * meanBandSdC(learned, (ahead - lastReadingMs) / DAY_MS, days);
    },
  };
}
