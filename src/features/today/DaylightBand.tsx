import { startOfDay } from 'date-fns/startOfDay';
import { useMemo } from 'react';
import { dateIn, daylightOf } from '@/core/schedule/calendar';
import { useStoreSelector } from '@/store/hooks';
import { localZone } from '@/store/select-work';
import { LightBand } from '@/ui/time/LightBand';

const HALF_DAY_MS = 12 * 3_600_000;

/** The light of the day at the studio; it comes a moment after the rows, which do not wait for the sun. */
export function DaylightBand({ width, nowMs }: { width: number; nowMs: number }) {
  const latitudeDeg = useStoreSelector((state) => state.studio.latitudeDeg);
  const dayStartMs = startOfDay(nowMs).getTime();
  const light = useMemo(() => {
    const zone = localZone();
    return daylightOf(dateIn(dayStartMs + HALF_DAY_MS, zone), zone, latitudeDeg);
  }, [dayStartMs, latitudeDeg]);
  // A day on which the sun does not rise has none between its dawn and its dusk.
  const noonMs = dayStartMs + HALF_DAY_MS;
  return (
    <LightBand
      width={width}
      nowMs={nowMs}
      dayStartMs={dayStartMs}
      dawnMs={light?.fromMs ?? noonMs}
      duskMs={light?.toMs ?? noonMs}
    />
  );
}
