import { startOfDay } from 'date-fns/startOfDay';
import { useMemo } from 'react';
import { getTimes } from 'suncalc';
import { useStoreSelector } from '@/store/hooks';
import { LightBand } from '@/ui/time/LightBand';

const MS_PER_DEGREE_OF_LONGITUDE = 240_000;

/** Sunrise and sunset at the studio's latitude; the longitude is taken from the clock's offset, good to half an hour. */
function daylightOf(nowMs: number, latitudeDeg: number) {
  const longitude = (-new Date(nowMs).getTimezoneOffset() * 60_000) / MS_PER_DEGREE_OF_LONGITUDE;
  const dayStartMs = startOfDay(nowMs).getTime();
  const times = getTimes(new Date(dayStartMs + 12 * 3_600_000), latitudeDeg, longitude);
  const ms = (date: Date | null | undefined) =>
    date && !Number.isNaN(date.getTime()) ? date.getTime() : null;
  return { dayStartMs, dawnMs: ms(times.sunrise), duskMs: ms(times.sunset) };
}

/** The light of the day at the studio; it comes a moment after the rows, which do not wait for the sun. */
export function DaylightBand({ width, nowMs }: { width: number; nowMs: number }) {
  const latitudeDeg = useStoreSelector((state) => state.studio.latitudeDeg);
  const daylight = useMemo(() => daylightOf(nowMs, latitudeDeg), [nowMs, latitudeDeg]);
  return <LightBand width={width} nowMs={nowMs} {...daylight} />;
}
