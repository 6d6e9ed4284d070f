import type { Constants } from '@/data/constants';
import type { DryingTimes } from './kinetics';
import type { Climate } from './climate-schema';
import { dryingClock, type DryingClock } from './windows';

/** The air round the work over time, as far as drying asks for it. */
export interface StudioAir {
  clock(kind: DryingTimes['kind'], laidAtMs: number, coveredAtMs: number | null): DryingClock;
  /**
   * A constant climate with the same mean of 1/T (T held to the model's range) and the same mean humidity over a
   * stretch of time: what the uncertainty of a stage is taken from.
   */
  meanBetween(fromMs: number, toMs: number): Climate;
  /** Standard deviation that weather nobody knows yet adds to the logarithm of the dose over a stretch of time. */
  weatherSigma(fromMs: number, toMs: number): number;
}

/** Air that is always the same; the closed form. */
export const constantAir = (constants: Constants, climate: Climate): StudioAir => ({
  clock: (kind, laidAtMs, coveredAtMs) =>
    dryingClock(constants, kind, climate, laidAtMs, coveredAtMs),
  meanBetween: () => climate,
  weatherSigma: () => 0,
});
