import { constantAir, DAY_MS } from '../drying';
import type { DryingTimes } from '../drying';
import type { AssessOptions } from './layer';

/**
 * Days from now until a film laid now has had a dose, in the air of the studio; null where drying stands still before it.
 * Coat editor, bench and search ask here.
 */
export function daysToReach(
  kind: DryingTimes['kind'],
  dose: number,
  { air, handbook, climate, nowMs }: Pick<AssessOptions, 'air' | 'handbook' | 'climate' | 'nowMs'>,
): number | null {
  const at = (air ?? constantAir(handbook.constants, climate))
    .clock(kind, nowMs, null)
    .timeOf(dose);
  return at === null ? null : (at - nowMs) / DAY_MS;
}
