import { varnishDoseDays } from '../drying/finish';
import type { LagStage, SharedLogNormal, StageConstants } from './problem';

/**
 * The dose a stage waits for, from the touch-dry and through-dry doses of the film. Never falls in either, so a
 * quantile of it is the rule of the quantiles. `travel`: dry-hard, at which a picture can be wrapped and carried.
 */
export function stageDose(
  c: StageConstants,
  stage: LagStage,
  touch: number,
  through: number,
): number {
  const dry = through > touch ? through : touch;
  switch (stage) {
    case 'order':
      return 0;
    case 'touch-dry':
      return touch;
    case 'recoat':
      return Math.min(c.recoatOverTouch * touch, dry);
    case 'travel':
      return Math.min(c.dryHardOverTouch * touch, dry);
    case 'through-dry':
      return dry;
    case 'varnish-modern':
      return varnishDoseDays(c, 'synthetic-varnish', through);
    case 'varnish-traditional':
      return varnishDoseDays(c, 'resin-varnish', through);
    case 'varnish-modern-below':
      return asIfFree(c, touch, varnishDoseDays(c, 'synthetic-varnish', through));
    case 'varnish-traditional-below':
      return asIfFree(c, touch, varnishDoseDays(c, 'resin-varnish', through));
  }
}

/**
 * A dose of a film that is covered as soon as it is touch-dry, as the dose that a free film has by then: what is covered
 * dries at a part of its rate. The soonest cover is assumed, so nothing is waited for too short.
 */
export const asIfFree = (
  { coveredRate }: Pick<StageConstants, 'coveredRate'>,
  touch: number,
  dose: number,
): number => (dose <= touch ? dose : touch + (dose - touch) / coveredRate);

/** Standard deviation of the logarithm, shared and own together. */
export const totalSigma = ({ own, shared }: SharedLogNormal): number =>
  Math.sqrt(shared.reduce((sum, x) => sum + x * x, own * own));
