import { addDays } from 'date-fns/addDays';
import { format } from 'date-fns/format';
import { startOfDay } from 'date-fns/startOfDay';
import { useMemo } from 'react';
import { bandSdC, HOUR_MS, followedAir, type FollowedAir } from '@/core/climate';
import { dryingRate, type Climate } from '@/core/drying';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { useAir, useNow, useStoreSelector } from '@/store/hooks';
import type { ChartHour } from '@/ui/time/ClimateChart';

const PAST_DAYS = 5;
const NEXT_DAYS = 5;
const HOURS_PER_DAY = 24;
/** 18 chances in 20 of a normal spread. */
const Z90 = 1.645;

export interface ClimateView {
  nowMs: number;
  climate: Climate;
  /** What the air is now, and whether somebody measured it. */
  now: { temperatureC: number; relativeHumidityPct: number; measured: boolean };
  /** How old the last reading is, ms; null without any. */
  lastReadingAgeMs: number | null;
  /** Against the rate of the tables; the mean of the last and the next day. */
  rateNow: number;
  rateMean: number;
  /** What the mean temperature alone would say of the shown days: always less, or as much. */
  rateOfMean: number;
  hours: ChartHour[];
  days: { ms: number; name: string }[];
  readings: number;
}

function hoursIn(air: FollowedAir, stated: Climate, nowMs: number): ChartHour[] {
  const from = Math.floor(nowMs / HOUR_MS) - PAST_DAYS * HOURS_PER_DAY;
  return Array.from({ length: (PAST_DAYS + NEXT_DAYS) * HOURS_PER_DAY + 1 }, (_, i): ChartHour => {
    const ms = (from + i) * HOUR_MS;
    const at = air.timeline.at(from + i);
    const ahead =
      air.lastReadingMs === null ? 0 : (ms - air.lastReadingMs) / (HOURS_PER_DAY * HOUR_MS);
    return {
      ms,
      ...at,
      rate: dryingRate(STUDIO_HANDBOOK.constants, {
        ...stated,
        temperatureC: at.temperatureC,
        relativeHumidityPct: at.relativeHumidityPct,
      }),
      bandC: air.learned && ahead > 0 ? Z90 * bandSdC(air.learned, ahead) : 0,
    };
  });
}

const mean = (xs: number[]): number => xs.reduce((s, x) => s + x, 0) / xs.length;

export function useClimate(): ClimateView {
  const nowMs = useNow();
  const climate = useStoreSelector((state) => state.studio.climate);
  const months = useStoreSelector((state) => state.climate);
  const followed = useAir();
  return useMemo(() => {
    const air =
      followed ??
      followedAir(STUDIO_HANDBOOK.constants, {
        climate,
        dayNight: null,
        hours: [],
        utcOffsetHours: 0,
      });
    const hours = hoursIn(air, climate, nowMs);
    const here = air.timeline.at(Math.floor(nowMs / HOUR_MS));
    const rate = (temperatureC: number, relativeHumidityPct: number) =>
      dryingRate(STUDIO_HANDBOOK.constants, { ...climate, temperatureC, relativeHumidityPct });
    return {
      nowMs,
      climate,
      now: here,
      lastReadingAgeMs: air.lastReadingMs === null ? null : Math.max(0, nowMs - air.lastReadingMs),
      rateNow: rate(here.temperatureC, here.relativeHumidityPct),
      rateMean: mean(hours.map((h) => h.rate)),
      rateOfMean: rate(
        mean(hours.map((h) => h.temperatureC)),
        mean(hours.map((h) => h.relativeHumidityPct)),
      ),
      hours,
      days: Array.from({ length: PAST_DAYS + NEXT_DAYS }, (_, i) => {
        const ms = startOfDay(addDays(nowMs, i + 1 - PAST_DAYS)).getTime();
        return { ms, name: format(ms, 'EEE') };
      }),
      readings: Object.values(months).reduce((n, m) => n + (m?.hours.length ?? 0), 0),
    };
  }, [followed, climate, months, nowMs]);
}
