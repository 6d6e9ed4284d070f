import { TOLD } from '../drying';
import type { Cavity } from './cavity';
import { answerChance, STUDIO_NOISE, type IntervalTest } from './likelihood';
import type { Site } from './problem';

const GRID_POINTS = 161;
const GRID_REACH = 4.5;

/** What the tests of a film make of the forecast of the logarithm of its dose. */
export interface WithTests {
  quantiles: number[];
  /** Chance that each test was misread, given everything else. */
  misread: number[];
}

/** Whether a finding was made before the stage it speaks of, or after it. */
const isBefore = ({ high }: IntervalTest): boolean => high <= 0;
/** The least that paint of the last finding asks of its own dose: what still blends was not past open either. */
const leastDose = ({ d, high, blends }: IntervalTest): number => (blends ? d - high : d);

/** What a film's own tests make of what everything else says of it. */
export function withTests({ tests, last }: Site, cavity: Cavity[], widen: number): WithTests {
  const parts = cavity.map(({ mean, variance, chance }) => {
    const sd = widen * Math.sqrt(variance);
    return { mean, sd, height: chance / sd };
  });
  const seen = tests[last]!;
  const reach = GRID_REACH * Math.max(...parts.map((p) => p.sd));
  const from = Math.min(seen.d, ...parts.map((p) => p.mean)) - reach;
  const to = Math.max(leastDose(seen), ...parts.map((p) => p.mean)) + reach;
  const step = (to - from) / (GRID_POINTS - 1);
  const grid = new Float64Array(GRID_POINTS);
  for (let i = 0; i < GRID_POINTS; i++) grid[i] = from + i * step;
  const mass = new Float64Array(GRID_POINTS);
  for (const { mean, sd, height } of parts) {
    // A normal on an even grid: each point is the one before times a factor that itself shrinks evenly.
    const u = (from - mean) / sd;
    const v = step / sd;
    let value = height * Math.exp(-0.5 * u * u);
    let factor = Math.exp(-v * (u + 0.5 * v));
    const shrinks = Math.exp(-v * v);
    if (value === 0 || !Number.isFinite(factor)) {
      for (let i = 0; i < GRID_POINTS; i++) mass[i]! += height * Math.exp(-0.5 * (u + i * v) ** 2);
      continue;
    }
    for (let i = 0; i < GRID_POINTS; i++) {
      mass[i]! += value;
      value *= factor;
      factor *= shrinks;
    }
  }
  const chances = tests.map((t) =>
    grid.map((y, i) => {
      const chance = answerChance(t, y, STUDIO_NOISE);
      mass[i]! *= chance;
      return chance;
    }),
  );
  const total = mass.reduce((s, m) => s + m, 0);
  // What was seen last is so: paint that was tacky then was not dry before, whatever else is known of it.
  const seenMass = mass.map((m, i) =>
    (isBefore(seen) ? grid[i]! - step / 2 >= leastDose(seen) : grid[i]! + step / 2 <= seen.d)
      ? m
      : 0,
  );
  const seenTotal = seenMass.reduce((s, m) => s + m, 0);
  const misread = tests.map((t, j) => {
    let wrong = 0;
    for (let i = 0; i < GRID_POINTS; i++) wrong += (mass[i]! * t.floor) / chances[j]![i]!;
    return wrong / total;
  });
  const quantiles: number[] = [];
  let sum = 0;
  for (let i = 0; i < GRID_POINTS && quantiles.length < TOLD.length; i++) {
    const share = seenMass[i]! / seenTotal;
    while (quantiles.length < TOLD.length && sum + share >= TOLD[quantiles.length]!) {
      const part = (TOLD[quantiles.length]! - sum) / share;
      quantiles.push(grid[i]! + step * (part - 0.5));
    }
    sum += share;
  }
  return { quantiles, misread };
}
