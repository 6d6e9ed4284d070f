import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { dryingRate } from '@/core/drying';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import type { TodayGroup, TodayRow } from '@/core/today';
import { temperatureWords } from '@/features/units';
import { useTemperatureUnit } from '@/features/useTemperature';
import { useAssessOptions, useNow, usePaintings, useStoreSelector } from '@/store/hooks';
import { assessAhead } from '@/store/assess-all';
import { selectOptions, selectPaintings, selectToday } from '@/store/select';
import type { Store } from '@/store/store';

/** "about as usual" against the reference climate of the tables. */
function rateWords(rate: number): string {
  if (rate === 0) return 'drying stands still';
  if (rate > 0.9 && rate < 1.1) return 'drying about as usual';
  const factor = rate < 1 ? 1 / rate : rate;
  return `drying ${factor.toFixed(1)} times ${rate < 1 ? 'slower' : 'faster'} than usual`;
}

/** Studios whose paintings have all been judged once; from then on a look costs what has changed. */
const judged = new WeakSet<Store>();

/** Whether all paintings are judged: after opening a studio that takes a moment, in which the page answers. */
export function useAllJudged(): boolean {
  const store = useStore() as Store;
  const [done, setDone] = useState(judged.has(store));
  useEffect(() => {
    if (done) return;
    const state = store.getState();
    void assessAhead(selectPaintings(state), selectOptions(state)).then(() => {
      judged.add(store);
      setDone(true);
    });
  }, [done, store]);
  return done;
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
  const unit = useTemperatureUnit();
  return {
    nowMs,
    empty: paintings.length === 0,
    climateLine: `${temperatureWords(climate.temperatureC, unit)}  ${Math.round(climate.relativeHumidityPct)} %`,
    rateLine: rateWords(dryingRate(STUDIO_HANDBOOK.constants, climate)),
    rows,
  };
}
