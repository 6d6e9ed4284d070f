import type { Constants } from '@/data/constants';
import { DAY_MS, finishWindows } from '../drying';
import { latest } from '../drying/windows';
import type { PaintingAssessment } from '../painting/layer';
import type { Journey } from './schema';

export interface JourneyOutlook {
  /** Nine chances in ten that no film marks when it is held or carried, ms. */
  carriedFromMs: number | null;
  /** Nine in ten that every film is through-dry, ms: not before is anything laid against the paint. */
  wrappedFromMs: number | null;
  arrivesMs: number;
  /** How it may be packed on the day it leaves. */
  may: 'wrapped' | 'face-free' | 'not-yet';
  /** What is meant is no more than what may be. */
  fits: boolean;
}

/**
 * How a picture may travel. Dry to the touch it goes in a box with its face free and air to it, never wrapped: paper or
 * foil on fresh paint takes its print. Through-dry it may be wrapped, paint still not pressed. Common practice.
 */
export function journeyOutlook(
  { passages }: PaintingAssessment,
  constants: Constants,
  { leavesAt, days, packing }: Journey,
): JourneyOutlook {
  const layers = passages.flatMap(({ base, spots }) =>
    [base, ...spots].flatMap(({ layers: all }) => all.filter((l) => !l.planned && l.clock)),
  );
  const carriedFromMs = latest(
    layers.map((l) => finishWindows(constants, l.times, l.clock!, 'touch-dry').handled.p90),
  );
  const wrappedFromMs = latest(layers.map((l) => l.windows?.throughDry.p90 ?? null));
  const leavesMs = Date.parse(leavesAt);
  const by = (ms: number | null): boolean => ms !== null && ms <= leavesMs;
  const may = by(wrappedFromMs) ? 'wrapped' : by(carriedFromMs) ? 'face-free' : 'not-yet';
  const fits = may === 'wrapped' || (may === 'face-free' && packing !== 'wrapped');
  return { carriedFromMs, wrappedFromMs, arrivesMs: leavesMs + days * DAY_MS, may, fits };
}
