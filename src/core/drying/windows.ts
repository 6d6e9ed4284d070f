import type { Constants } from '@/data/constants';
import type { DryingTimes } from './kinetics';
import { blurred, quantileOf, scaled, type LogNormal } from './lognormal';
import { acrylicRate, dryingRate } from './rate';
import type { Climate } from './climate-schema';

export const DAY_MS = 86_400_000;

/** The dose a film has had and will have: full rate until it is covered, part of it from then on. */
export interface DryingClock {
  /** Dose in reference-days at a time, ms since the epoch; 0 before the film was laid. */
  doseAt(ms: number): number;
  /** Time at which a dose is reached; null when drying stands still before it. */
  timeOf(dose: number): number | null;
}

/** Clock of a film in a constant climate. `coveredAtMs` is the first cover; later ones change nothing. */
export function dryingClock(
  constants: Constants,
  kind: DryingTimes['kind'],
  climate: Climate,
  laidAtMs: number,
  coveredAtMs: number | null,
): DryingClock {
  const rate =
    kind === 'acrylic' ? acrylicRate(constants, climate) : dryingRate(constants, climate);
  const perMs = rate / DAY_MS;
  const coveredPerMs = perMs * (kind === 'acrylic' ? 1 : constants.coveredRate);
  const freeMs = coveredAtMs === null ? Infinity : Math.max(0, coveredAtMs - laidAtMs);
  const freeDose = freeMs * perMs;
  return {
    doseAt(ms) {
      const age = Math.max(0, ms - laidAtMs);
      return age <= freeMs ? age * perMs : freeDose + (age - freeMs) * coveredPerMs;
    },
    timeOf(dose) {
      if (perMs === 0) return null;
      return dose <= freeDose || freeMs === Infinity
        ? laidAtMs + dose / perMs
        : laidAtMs + freeMs + (dose - freeDose) / coveredPerMs;
    },
  };
}

export const STAGES = ['openUntil', 'set', 'touchDry', 'throughDry'] as const;
export type Stage = (typeof STAGES)[number];

/** Times (ms) at which a stage is reached with 10, 25, 50, 75 and 90 % chance; null when never. */
export interface StageWindow {
  p10: number | null;
  p25: number | null;
  p50: number | null;
  p75: number | null;
  p90: number | null;
}

export type DryingWindows = Record<Stage, StageWindow>;

/** The dose up to which a film is open: its share of touch-dry, and how sure that share is besides. */
export const openDose = (
  { sigmaOpen }: Pick<Constants, 'sigmaOpen'>,
  { touch, openOverTouch }: Pick<DryingTimes, 'touch' | 'openOverTouch'>,
): LogNormal => blurred(scaled(touch, openOverTouch), sigmaOpen);

/** The doses of all stages, as fractions of touch-dry and through-dry. */
export function stageDoses(constants: Constants, times: DryingTimes): Record<Stage, LogNormal> {
  const { touch, through } = times;
  return {
    openUntil: openDose(constants, times),
    set: scaled(touch, times.setOverTouch),
    touchDry: touch,
    throughDry: through,
  };
}

/** The last of several days; null where one of them never comes, 0 where there is none to wait for. */
export const latest = (times: readonly (number | null)[]): number | null =>
  times.reduce<number | null>((a, b) => (a === null || b === null ? null : Math.max(a, b)), 0);

/** @param doseAt the dose that decides, at a chance */
export const windowOf = (clock: DryingClock, doseAt: (p: number) => number): StageWindow => ({
  p10: clock.timeOf(doseAt(0.1)),
  p25: clock.timeOf(doseAt(0.25)),
  p50: clock.timeOf(doseAt(0.5)),
  p75: clock.timeOf(doseAt(0.75)),
  p90: clock.timeOf(doseAt(0.9)),
});

/**
 * When each stage is reached. Quantiles are taken on the dose and then turned into time, so they hold
 * for any clock. For "open until" the safe side is early: p10 is the time to which the paint is open
 * with 90 % chance.
 */
export function dryingWindows(
  constants: Constants,
  times: DryingTimes,
  clock: DryingClock,
): DryingWindows {
  const doses = stageDoses(constants, times);
  const window = (dose: LogNormal): StageWindow => windowOf(clock, (p) => quantileOf(dose, p));
  return {
    openUntil: window(doses.openUntil),
    set: window(doses.set),
    touchDry: window(doses.touchDry),
    throughDry: window(doses.throughDry),
  };
}

/** The finer stages of a film test, besides the four of the forecast. */
export const FILM_TEST_STAGES = ['dustFree', 'tackFree', 'recoat', 'dryHard'] as const;
export type FilmTestStage = (typeof FILM_TEST_STAGES)[number];

/**
 * Median doses of the finer stages, reference-days: dust-free, tack-free, recoat and dry-hard are shares
 * of touch-dry. A film that is dry through has passed them all, so none comes later than that.
 * Order from ASTM D1640, ratios judgement; from memory.
 */
export function filmTestDoses(
  constants: Constants,
  { touch, through }: Pick<DryingTimes, 'touch' | 'through'>,
): Record<FilmTestStage, number> {
  const share = (ofTouch: number): number => Math.min(ofTouch * touch.median, through.median);
  return {
    dustFree: share(constants.dustFreeOverTouch),
    tackFree: share(constants.tackFreeOverTouch),
    recoat: share(constants.recoatOverTouch),
    dryHard: share(constants.dryHardOverTouch),
  };
}

export const DRY_STATES = ['open', 'setting', 'tacky', 'touch-dry', 'through-dry'] as const;
export type DryState = (typeof DRY_STATES)[number];

/** State by the medians: open for its share of touch-dry, setting (no transfer to the finger) to where its oil turns tacky, tacky to 1. */
export function dryState(times: DryingTimes, dose: number): DryState {
  if (dose >= times.through.median) return 'through-dry';
  const touch = times.touch.median;
  if (dose >= touch) return 'touch-dry';
  if (dose >= times.setOverTouch * touch) return 'tacky';
  return dose >= times.openOverTouch * touch ? 'setting' : 'open';
}

/** Cure 0-1 of a film by its dose; drives the drying of a film laid on it. */
export const cureFraction = (times: DryingTimes, dose: number): number =>
  Math.min(1, dose / times.through.median);
