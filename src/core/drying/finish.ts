import type { Constants } from '@/data/constants';
import type { DryingTimes } from './kinetics';
import { quantileOf } from './lognormal';
import { windowOf, type DryingClock, type StageWindow } from './windows';

/** What may come after a film has dried: the next coat, a retouch varnish, a hand on it, the final varnish by two rules. */
export const FINISH_STAGES = [
  'recoat',
  'retouch',
  'handled',
  'varnishModern',
  'varnishTraditional',
] as const;
export type FinishStage = (typeof FINISH_STAGES)[number];
export type FinishWindows = Record<FinishStage, StageWindow>;

/** What a school lets the next coat wait for. */
export type RecoatRule = 'touch-dry' | 'recoat' | 'through-dry';

/**
 * The dose a final varnish waits for, reference-days from the laying of the film below: natural resin three
 * times through-dry, half a year to two years; modern resin through-dry, two weeks at least.
 * @param throughDays through-dry of the film below, reference-days
 */
export const varnishDoseDays = (
  c: Pick<
    Constants,
    'modernVarnishMinDays' | 'varnishMinDays' | 'varnishMaxDays' | 'varnishThroughMultiple'
  >,
  material: 'resin-varnish' | 'synthetic-varnish',
  throughDays: number,
): number =>
  material === 'synthetic-varnish'
    ? Math.max(c.modernVarnishMinDays, throughDays)
    : Math.min(
        c.varnishMaxDays,
        Math.max(c.varnishMinDays, c.varnishThroughMultiple * throughDays),
      );

const SHARE_OF_TOUCH: Record<RecoatRule, (c: Constants) => number> = {
  'touch-dry': () => 1,
  recoat: (c) => c.recoatOverTouch,
  'through-dry': () => Infinity,
};

/**
 * The dose at which the film takes what comes after it, at a chance. Every rule is a function of the dose that never
 * falls, so its quantiles are the rule of the quantiles.
 */
export function finishDoses(
  c: Constants,
  { touch, through }: Pick<DryingTimes, 'touch' | 'through'>,
  rule: RecoatRule,
): Record<FinishStage, (p: number) => number> {
  const share = SHARE_OF_TOUCH[rule](c);
  const at =
    (dose: (touchDays: number, throughDays: number) => number) =>
    (p: number): number =>
      dose(quantileOf(touch, p), quantileOf(through, p));
  return {
    recoat: at((t, d) =>
      share === Infinity ? Math.max(t, d) : Math.min(share * t, Math.max(t, d)),
    ),
    retouch: at((t, d) => Math.min(c.retouchOverTouch * t, Math.max(t, d))),
    handled: at((t, d) => Math.min(c.dryHardOverTouch * t, Math.max(t, d))),
    varnishModern: at((_, d) => varnishDoseDays(c, 'synthetic-varnish', d)),
    varnishTraditional: at((_, d) => varnishDoseDays(c, 'resin-varnish', d)),
  };
}

/**
 * When the film takes what comes after it. The date of a final varnish is never its permission: the swab, nail
 * and pressure tests on a witness decide, on the thickest passage.
 */
export function finishWindows(
  c: Constants,
  times: Pick<DryingTimes, 'touch' | 'through'>,
  clock: DryingClock,
  rule: RecoatRule,
): FinishWindows {
  const doses = finishDoses(c, times, rule);
  return {
    recoat: windowOf(clock, doses.recoat),
    retouch: windowOf(clock, doses.retouch),
    handled: windowOf(clock, doses.handled),
    varnishModern: windowOf(clock, doses.varnishModern),
    varnishTraditional: windowOf(clock, doses.varnishTraditional),
  };
}
