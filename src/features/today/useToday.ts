import { dryingRate } from '@/core/drying';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import type { TodayGroup, TodayRow } from '@/core/today';
import { useAssessOptions, useNow, usePaintings, useStoreSelector } from '@/store/hooks';
import { selectToday } from '@/store/select';

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
  rows: Record<TodayGroup, TodayRow[]>;
}

export function useToday(): TodayView {
  const nowMs = useNow();
  const paintings = usePaintings();
  const { climate } = useAssessOptions();
  const rows = useStoreSelector(selectToday);
  return {
    nowMs,
    empty: paintings.length === 0,
    climateLine: `${+climate.temperatureC.toFixed(1)} °C  ${Math.round(climate.relativeHumidityPct)} %`,
    rateLine: rateWords(dryingRate(STUDIO_HANDBOOK.constants, climate)),
    rows,
  };
}
