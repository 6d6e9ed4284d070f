import { format } from 'date-fns/format';
import { dateIn, daylightOf, momentOf, nextDay } from '@/core/schedule/calendar';
import type { BandDay } from '@/ui/time/WeeksBand';
import { localZone } from '@/store/select-work';

const DAY_MS = 86_400_000;

type Light = ReturnType<typeof daylightOf>;
/** The sun keeps its hours: each day is worked out once a visit. */
const known = new Map<string, Light>();
function lightOf(day: string, zone: string, latitudeDeg: number): Light {
  const key = `${day} ${zone} ${latitudeDeg}`;
  const found = known.get(key);
  if (found !== undefined) return found;
  const light = daylightOf(day, zone, latitudeDeg);
  known.set(key, light);
  return light;
}

/** The columns of the band: light, and a label on Mondays (every other one where there are many). */
export function bandLight(
  fromMs: number,
  toMs: number,
  nowMs: number,
  latitudeDeg: number,
  labels: number,
): (Omit<BandDay, 'hours'> & { endMs: number })[] {
  const zone = localZone();
  const out: (Omit<BandDay, 'hours'> & { endMs: number })[] = [];
  let day = dateIn(fromMs, zone);
  let mondays = 0;
  const weeks = (toMs - fromMs) / (7 * DAY_MS);
  const every = Math.max(1, Math.ceil(weeks / labels));
  for (let start = momentOf(day, 0, zone); start < toMs;) {
    const next = nextDay(day, 1);
    const end = momentOf(next, 0, zone);
    const light = lightOf(day, zone, latitudeDeg);
    const monday = new Date(start).getDay() === 1;
    if (monday) mondays += 1;
    const today = nowMs >= start && nowMs < end;
    out.push({
      startMs: start,
      endMs: end,
      dawnMs: light?.fromMs ?? null,
      duskMs: light?.toMs ?? null,
      label: today
        ? ''
        : monday && mondays % every === 0
          ? format(start, new Date(start).getDate() <= 7 ? 'd MMM' : 'd')
          : '',
    });
    day = next;
    start = end;
  }
  return out;
}
