import { AIR, LIGHT, type AirKey, type LightKey } from '@/data/climate';
import type { Constants } from '@/data/constants';
import { acrylicRate, dryingRate } from '../drying';
import { inverseKelvin } from '../drying/rate';
import { HOURS_PER_DAY, type DayPattern } from './day';
import { HOUR_MS } from './readings';
import type { ClimateHour } from './readings-schema';

/** What is summed hour by hour: dose of oil and of acrylic (reference-days), 1/T (1/K) and humidity (%). */
const SUMS = ['oil', 'acrylic', 'inverseT', 'humidity'] as const;
type Summed = (typeof SUMS)[number];

/** One hour of air: where the figures come from. */
export interface AirHour {
  temperatureC: number;
  relativeHumidityPct: number;
  measured: boolean;
}

/**
 * Air hour by hour from the first reading to the last, gaps filled with the pattern, the pattern before and
 * after; with running sums, so that the dose between two moments is one subtraction.
 */
export interface Timeline {
  /** First hour of the table, since the epoch; the table has `length` hours. */
  startHour: number;
  length: number;
  /** Integral of a quantity from the start of the table to a moment; negative before it. */
  integral(of: Summed, ms: number): number;
  /** The moment at which an integral is reached; null when it never is. */
  inverse(of: Summed, value: number): number | null;
  at(hour: number): AirHour;
}

/** Oil is per day, so that an hour counts a 24th; the means of 1/T and humidity are integrals over hours. */
const perHour = (
  constants: Constants,
  light: LightKey,
  air: AirKey,
  temperatureC: number,
  relativeHumidityPct: number,
): Record<Summed, number> => {
  const climate = { temperatureC, relativeHumidityPct, light, air };
  return {
    oil: dryingRate(constants, climate) / HOURS_PER_DAY,
    acrylic: acrylicRate(constants, climate) / HOURS_PER_DAY,
    inverseT: inverseKelvin(constants, temperatureC),
    humidity: relativeHumidityPct,
  };
};

export interface TimelineInput {
  constants: Constants;
  light: LightKey;
  air: AirKey;
  pattern: DayPattern;
  /** In order, without doubles. */
  hours: ClimateHour[];
  /** Expected after the last of them, hour by hour. */
  ahead: ClimateHour[];
}

const running = (values: Float64Array): Float64Array => {
  const sums = new Float64Array(values.length + 1);
  for (let i = 0; i < values.length; i++) sums[i + 1] = sums[i]! + values[i]!;
  return sums;
};

/** A dose a day this small is none: no paint dries in a million years. */
const STANDSTILL = 1e-9;

/** Index of the last sum that is at most `value`; sums never fall. */
function lastAtMost(sums: Float64Array, value: number): number {
  let low = 0;
  let high = sums.length - 1;
  while (low < high) {
    const mid = (low + high + 1) >> 1;
    if (sums[mid]! <= value) low = mid;
    else high = mid - 1;
  }
  return low;
}

/** The air hour by hour, and the drying it has done since any hour: what clocks of films are made from. */
export function timelineOf({
  constants,
  light,
  air,
  pattern,
  hours: measured,
  ahead,
}: TimelineInput): Timeline {
  const hours = [...measured, ...ahead];
  const lastMeasured = measured.at(-1)?.[0] ?? -Infinity;
  if (!LIGHT[light] || !AIR[air]) throw new RangeError(`No such light or air: ${light}, ${air}.`);
  const first = hours[0]?.[0] ?? 0;
  const length = hours.length === 0 ? 0 : hours.at(-1)![0] - first + 1;
  const day = Object.fromEntries(SUMS.map((s) => [s, new Float64Array(HOURS_PER_DAY)])) as Record<
    Summed,
    Float64Array
  >;
  for (let h = 0; h < HOURS_PER_DAY; h++) {
    const values = perHour(
      constants,
      light,
      air,
      pattern.temperatureC[h]!,
      pattern.relativeHumidityPct[h]!,
    );
    for (const s of SUMS) day[s][h] = values[s];
  }
  const table = Object.fromEntries(SUMS.map((s) => [s, new Float64Array(length)])) as Record<
    Summed,
    Float64Array
  >;
  const known = new Map(hours.map((h) => [h[0], h]));
  for (let i = 0; i < length; i++) {
    const hour = known.get(first + i);
    const values = hour ? perHour(constants, light, air, hour[1], hour[2]) : null;
    for (const s of SUMS) table[s][i] = values ? values[s] : day[s][(first + i) % HOURS_PER_DAY]!;
  }
  const daySums = Object.fromEntries(SUMS.map((s) => [s, running(day[s])])) as Record<
    Summed,
    Float64Array
  >;
  const tableSums = Object.fromEntries(SUMS.map((s) => [s, running(table[s])])) as Record<
    Summed,
    Float64Array
  >;

  /** Integral of the pattern from the epoch to an hour (with a fraction). */
  const patternTo = (of: Summed, hour: number): number => {
    const days = Math.floor(hour / HOURS_PER_DAY);
    const rest = hour - days * HOURS_PER_DAY;
    const whole = Math.floor(rest);
    const sums = daySums[of];
    return days * sums[HOURS_PER_DAY]! + sums[whole]! + (rest - whole) * (day[of][whole] ?? 0);
  };
  /** The hour at which the pattern's integral from the epoch is `value`; null where it never rises so far. */
  const patternInverse = (of: Summed, value: number): number | null => {
    const perDay = daySums[of][HOURS_PER_DAY]!;
    if (perDay < STANDSTILL) return null;
    const days = Math.floor(value / perDay);
    const rest = value - days * perDay;
    const i = Math.min(HOURS_PER_DAY - 1, lastAtMost(daySums[of], rest));
    const rate = day[of][i]!;
    return days * HOURS_PER_DAY + i + (rate > 0 ? (rest - daySums[of][i]!) / rate : 0);
  };

  return {
    startHour: first,
    length,
    integral(of, ms) {
      const hour = ms / HOUR_MS;
      const i = hour - first;
      if (i < 0) return patternTo(of, hour) - patternTo(of, first);
      if (i >= length)
        return tableSums[of][length]! + patternTo(of, hour) - patternTo(of, first + length);
      const whole = Math.floor(i);
      return tableSums[of][whole]! + (i - whole) * table[of][whole]!;
    },
    inverse(of, value) {
      const total = tableSums[of][length]!;
      if (value < 0 || value > total || length === 0) {
        const offset = value < 0 ? first : first + length;
        const rest = value < 0 ? value : value - total;
        const hour = patternInverse(of, patternTo(of, offset) + rest);
        return hour === null ? null : hour * HOUR_MS;
      }
      const i = lastAtMost(tableSums[of], value);
      if (i >= length) return (first + length) * HOUR_MS;
      const rate = table[of][i]!;
      return (first + i + (rate > 0 ? (value - tableSums[of][i]!) / rate : 0)) * HOUR_MS;
    },
    at(hour) {
      const reading = known.get(hour);
      const h = ((hour % HOURS_PER_DAY) + HOURS_PER_DAY) % HOURS_PER_DAY;
      return reading
        ? {
            temperatureC: reading[1],
            relativeHumidityPct: reading[2],
            measured: hour <= lastMeasured,
          }
        : {
            temperatureC: pattern.temperatureC[h]!,
            relativeHumidityPct: pattern.relativeHumidityPct[h]!,
            measured: false,
          };
    },
  };
}
