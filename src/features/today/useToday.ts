import { startOfDay } from 'date-fns/startOfDay';
import { useMemo } from 'react';
import { getTimes } from 'suncalc';
import { dryingRate } from '@/core/drying';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { today, type TodayGroup, type TodayRow } from '@/core/today';
import {
  useAssessments,
  useAssessOptions,
  useNow,
  usePaintings,
  useStoreSelector,
} from '@/store/hooks';

export interface Daylight {
  dayStartMs: number;
  dawnMs: number | null;
  duskMs: number | null;
}

const MS_PER_DEGREE_OF_LONGITUDE = 240_000;

/** Sunrise and sunset at the studio's latitude; the longitude is taken from the clock's offset, good to half an hour. */
function daylightOf(nowMs: number, latitudeDeg: number): Daylight {
  const longitude = (-new Date(nowMs).getTimezoneOffset() * 60_000) / MS_PER_DEGREE_OF_LONGITUDE;
  const dayStartMs = startOfDay(nowMs).getTime();
  const times = getTimes(new Date(dayStartMs + 12 * 3_600_000), latitudeDeg, longitude);
  const ms = (date: Date | null | undefined) =>
    date && !Number.isNaN(date.getTime()) ? date.getTime() : null;
  return { dayStartMs, dawnMs: ms(times.sunrise), duskMs: ms(times.sunset) };
}

/** "about as usual" against the reference climate of the tables. */
function rateWords(rate: number): string {
  if (rate === 0) return 'drying stands still';
  if (rate > 0.9 && rate < 1.1) return 'drying about as usual';
  const factor = rate < 1 ? 1 / rate : rate;
  return `drying ${factor.toFixed(1)} times ${rate < 1 ? 'slower' : 'faster'} than usual`;
}

export interface TodayView {
  nowMs: number;
  empty: boolean;
  climateLine: string;
  rateLine: string;
  daylight: Daylight;
  rows: Record<TodayGroup, TodayRow[]>;
}

export function useToday(): TodayView {
  const nowMs = useNow();
  const paintings = usePaintings();
  const assessments = useAssessments(paintings, nowMs);
  const latitudeDeg = useStoreSelector((state) => state.studio.latitudeDeg);
  const { climate } = useAssessOptions(nowMs);
  const rows = useMemo(() => today(assessments, nowMs), [assessments, nowMs]);
  return {
    nowMs,
    empty: paintings.length === 0,
    climateLine: `${+climate.temperatureC.toFixed(1)} °C  ${Math.round(climate.relativeHumidityPct)} %`,
    rateLine: rateWords(dryingRate(STUDIO_HANDBOOK.constants, climate)),
    daylight: useMemo(() => daylightOf(nowMs, latitudeDeg), [nowMs, latitudeDeg]),
    rows,
  };
}
