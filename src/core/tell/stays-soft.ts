import { STUDIO_CONSTANTS } from '@/data/constants';
import { MATERIALS } from '@/data/materials';
import type { Layer } from '../painting';

const YEAR_DAYS = 365.25;
/** Up to so many days one speaks of weeks. */
const WEEKS_TO_DAYS = 60;

/** How long the inside takes, in the words for a time that no calendar is kept for. */
function howLong(days: number): string {
  const years = days / YEAR_DAYS;
  if (days < WEEKS_TO_DAYS) return 'for weeks';
  if (years < 1) return 'for months';
  if (years < 2) return 'for a year or two';
  return years < 10 ? 'for years' : 'for decades';
}

/** What a painter has to know of a film that stays soft: thick paint below its skin, and what never dries at all. */
export function staysSoft({ kept, times, thicknessUm, state }: Layer): string[] {
  if (kept.material === 'oil-pastel' || kept.material === 'wax-polish')
    return [
      `${MATERIALS[kept.material].name.replace(/^./, (c) => c.toUpperCase())} never dries: it stays soft and takes dust. No paint holds on it, and a brushed varnish drags it.`,
    ];
  const thick = times.kind === 'oil' && thicknessUm >= STUDIO_CONSTANTS.veryThickUm;
  if (!thick || state === 'through-dry') return [];
  return [
    `Thick paint: touch-dry is its skin. Below that it stays soft ${howLong(times.through.median)}: do not press, roll or pack it face to face. A varnish waits for the inside; try the thickest place.`,
  ];
}
