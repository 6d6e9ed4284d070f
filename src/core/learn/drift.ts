import { LEARNING as L } from '@/data/learning';
import { DAY_MS } from '../drying';
import type { FilmEvidence } from './evidence';
import type { Features } from './features';

/** Stretches of time over which the whole studio may have wandered. */
export interface Drift {
  fromMs: number;
  stretchMs: number;
  /** Stretches after the first. */
  steps: number;
  sd: number;
}

/** More stretches than this are not told apart: a year of three weeks each. */
const MOST_STRETCHES = 16;

/** The stretches of time over which the studio may have changed its pace, and which of them each film falls into. */
export function driftOf(evidence: Pick<FilmEvidence, 'laidAtMs'>[]): Drift {
  const times = evidence.map((e) => e.laidAtMs);
  const fromMs = times.length === 0 ? 0 : Math.min(...times);
  const span = times.length === 0 ? 0 : Math.max(...times) - fromMs;
  const stretchMs = Math.max(L.driftDays * DAY_MS, span / MOST_STRETCHES);
  return {
    fromMs,
    stretchMs,
    steps: Math.floor(span / stretchMs),
    sd: L.driftSd * Math.sqrt(stretchMs / (L.driftDays * DAY_MS)),
  };
}

/** Steps of the studio's wandering that lie before a moment, as factors; and how many lie beyond what was tested. */
export function driftFeatures(drift: Drift, atMs: number): { features: Features; beyond: number } {
  const step = Math.max(0, Math.floor((atMs - drift.fromMs) / drift.stretchMs));
  const features: Features = {};
  for (let k = 1; k <= Math.min(step, drift.steps); k++) features[`drift:${k}`] = 1;
  return { features, beyond: Math.max(0, step - drift.steps) };
}

/** What of the spread of the tables is left for a single coat once its factors have had theirs. */
export const leftOver = (sheetVariance: number, factors: number): number =>
  Math.max(0, sheetVariance - factors);
