import { STUDIO_HANDBOOK } from '../handbook';
import { DAY_MS } from '../drying';
import { plan, type PlanProblem, type SharedLogNormal } from '.';
import { WALL_CLOCK } from './dose-table';
import { halfOfDraws, oddsFrom, oddsOf, told } from './odds';

/**
 * The reference is not a simulation: densities of log-normal waits on a fine grid, convolved by direct summation; with
 * a shared factor, conditional on it and then weighed by its own density. Fenton (1960) and the plain definition of a
 * convolution; common practice, no source for the waits.
 */
const STEP = 0.02;
const REACH_DAYS = 60;
const CELLS = REACH_DAYS / STEP;

const density = (median: number, sigma: number): Float64Array =>
  Float64Array.from({ length: CELLS }, (_, k) => {
    const x = (k + 0.5) * STEP;
    const z = Math.log(x / median) / sigma;
    return (Math.exp(-(z * z) / 2) / (x * sigma * Math.sqrt(2 * Math.PI))) * STEP;
  });

function convolved(a: Float64Array, b: Float64Array): Float64Array {
  const out = new Float64Array(CELLS);
  for (let i = 0; i < CELLS; i++) {
    if (a[i]! < 1e-12) continue;
    for (let j = 0; i + j < CELLS; j++) out[i + j]! += a[i]! * b[j]!;
  }
  return out;
}

/** Chance that waits with these medians and own spreads, all times one factor exp(s z), sum to at most `days`. */
function chanceBy(waits: { median: number; own: number }[], shared: number, days: number): number {
  const given = (factor: number): number => {
    const sum = waits
      .map((w) => density(w.median * factor, w.own))
      .reduce((a, b) => convolved(a, b));
    // A sum of n cells stands for its middle: half a step for each wait.
    const cells = Math.max(0, Math.round(days / STEP - waits.length / 2));
    return sum.subarray(0, cells).reduce((s, x) => s + x, 0);
  };
  if (shared === 0) return given(1);
  let total = 0;
  let weight = 0;
  for (let z = -3.5; z <= 3.5; z += 0.25) {
    const w = Math.exp((-z * z) / 2);
    total += w * given(Math.exp(shared * z));
    weight += w;
  }
  return total / weight;
}

const NOW = Date.UTC(2026, 1, 16);

/** A painter who is always there: an hour at a time, without a gap, and works of a minute; so only the waits count. */
function chain(
  waits: { median: number; own: number }[],
  shared: number,
  dueDays: number,
): PlanProblem {
  const HOUR_MS = DAY_MS / 24;
  const dose = (w: { median: number; own: number }): SharedLogNormal => ({
    ...w,
    shared: shared === 0 ? [] : [shared],
  });
  return {
    nowMs: NOW,
    slotMs: DAY_MS / 1440,
    windows: Array.from({ length: 24 * REACH_DAYS }, (_, h) => ({
      fromMs: NOW + h * HOUR_MS,
      toMs: NOW + (h + 1) * HOUR_MS,
    })),
    clocks: { oil: WALL_CLOCK(NOW), acrylic: WALL_CLOCK(NOW), wall: WALL_CLOCK(NOW) },
    films: waits.map((w) => ({
      clock: 'wall',
      openOverTouch: 0.35,
      touch: dose(w),
      through: dose(w),
    })),
    works: waits.map((_, i) => ({
      id: `w${i}`,
      project: 'p',
      slots: 1,
      medium: null,
      // Planned without patience, so that the plan itself holds nothing back.
      lags:
        i === 0
          ? []
          : [{ after: `w${i - 1}`, film: i - 1, stage: 'touch-dry', dose: 0.001, had: 0 }],
      wets: [],
      pinMs: null,
      notBeforeMs: null,
    })),
    goals: [
      {
        project: 'p',
        dueMs: NOW + dueDays * DAY_MS,
        weight: 1,
        ends: [
          {
            after: `w${waits.length - 1}`,
            film: waits.length - 1,
            stage: 'touch-dry',
            dose: 0,
            had: 0,
          },
        ],
      },
    ],
    constants: STUDIO_HANDBOOK.constants,
  };
}

const CHAIN = [
  { median: 2, own: 0.3 },
  { median: 4, own: 0.45 },
  { median: 3, own: 0.6 },
];

describe('against the convolution of log-normal waits', () => {
  for (const shared of [0, 0.35])
    for (const due of [7, 10, 14])
      test(`three waits, shared factor ${shared}, ${due} days`, () => {
        const problem = chain(CHAIN, shared, due);
        const found = plan(problem, { rounds: 0 });
        const { chance } = oddsOf(problem, found, { draws: 10_000, seed: 4 }).goals[0]!;
        expect(Math.abs(chance! - chanceBy(CHAIN, shared, due))).toBeLessThan(0.015);
      });
});

describe('the traps of chained chances', () => {
  // Six waits planned at 90 %: their sum stays under the sum of the quantiles with 0.995 when independent, 0.93 when
  // the studio's factor is shared (models of the trade, computed independently).
  const six = Array.from({ length: 6 }, () => ({ median: 3, own: 0.28 }));
  test('a shared factor makes a chain less sure than independent waits of the same spread', () => {
    const total = Math.hypot(0.28, 0.35);
    const sum = 6 * 3 * Math.exp(1.2816 * total);
    const alone = chain(
      six.map((w) => ({ ...w, own: total })),
      0,
      sum,
    );
    const shared = chain(six, 0.35, sum);
    const of = (p: PlanProblem) =>
      oddsOf(p, plan(p, { rounds: 0 }), { draws: 10_000, seed: 9 }).goals[0]!.chance!;
    expect(of(alone)).toBeGreaterThan(0.985);
    expect(of(shared)).toBeGreaterThan(0.9);
    expect(of(shared)).toBeLessThan(0.965);
  });
});

test('the same seed gives the same odds, another one nearly the same', () => {
  const problem = chain(CHAIN, 0.35, 10);
  const found = plan(problem, { rounds: 0 });
  const of = (seed: number) => oddsOf(problem, found, { draws: 10_000, seed }).goals[0]!;
  expect(of(3).chance).toBe(of(3).chance);
  expect(Math.abs(of(3).chance! - of(8).chance!)).toBeLessThan(0.02);
});

test('no date, no chance; the finish is told all the same', () => {
  const base = chain(CHAIN, 0, 10);
  const problem = { ...base, goals: base.goals.map((g) => ({ ...g, dueMs: null })) };
  const goal = oddsOf(problem, plan(problem, { rounds: 0 }), { draws: 500, seed: 1 }).goals[0]!;
  expect(goal.chance).toBeNull();
  expect(goal.slackDays).toBeNull();
  expect(goal.p50Ms).toBeLessThan(goal.p90Ms);
});

test('a simulation that is stopped tells what it has', () => {
  const problem = chain(CHAIN, 0, 10);
  const odds = oddsOf(problem, plan(problem, { rounds: 0 }), {
    draws: 10_000,
    seed: 1,
    stop: (done) => done > 2000,
  });
  expect(odds.draws).toBeGreaterThan(2000);
  expect(odds.draws).toBeLessThan(10_000);
});

test('quantiles and the chance of a list of finishes', () => {
  const day = (d: number) => NOW + d * DAY_MS;
  const sorted = Float64Array.from([1, 2, 3, 4, 5, 6, 7, 8, 9, 10], day);
  expect(told(sorted, day(7))).toMatchObject({
    chance: 0.7,
    p50Ms: day(6),
    p90Ms: day(10),
    slackDays: 1,
  });
});

describe('the draws of a plan', () => {
  test('the halves of one seed are not the same draws, and make the whole together', () => {
    const problem = chain(CHAIN, 0.35, 10);
    const made = plan(problem, { rounds: 0 });
    const options = { draws: 1001, seed: 3 };
    const halves = [0, 1].map((half) => halfOfDraws(problem, made, half, options));
    expect(halves.map((h) => h.draws)).toEqual([501, 500]);
    expect(halves[0]!.finishes[0]!.slice(0, 500)).not.toEqual(halves[1]!.finishes[0]);
    const whole = oddsOf(problem, made, options);
    expect(whole).toEqual(oddsFrom(problem, made, halves));
    expect(whole.draws).toBe(1001);
    expect([...whole.goals[0]!.finishes]).toEqual(
      halves.flatMap((h) => [...h.finishes[0]!]).sort((a, b) => a - b),
    );
  });

  test('what has no place in the plan is never done, nor what ends with it', () => {
    const problem = chain(CHAIN, 0, 10);
    const made = plan(problem, { rounds: 0 });
    const without = {
      ...made,
      sessions: made.sessions
        .map((s) => ({ ...s, works: s.works.filter((w) => w.id !== problem.works.at(-1)!.id) }))
        .filter((s) => s.works.length > 0),
    };
    const goal = oddsOf(problem, without, { draws: 200, seed: 1 }).goals[0]!;
    expect(goal).toMatchObject({ chance: 0, p50Ms: Infinity });
  });
});

describe('what the log says of the painter', () => {
  test('a coat done over in one of three scenarios: the mixture of both chains', () => {
    const problem = chain(CHAIN, 0, 12);
    const redone: PlanProblem = {
      ...problem,
      works: problem.works.map((w, i) =>
        i === 1 ? { ...w, redo: { film: 1, chance: 1 / 3, sittings: 1, share: 1 } } : w,
      ),
    };
    const found = plan(redone, { rounds: 0 });
    const { chance } = oddsOf(redone, found, { draws: 10_000, seed: 4 }).goals[0]!;
    // Done over, it dries twice, and as slowly both times.
    const twice = CHAIN.map((w, i) => (i === 1 ? { ...w, median: 2 * w.median } : w));
    const once = chanceBy(CHAIN, 0, 12);
    const expected = once * (2 / 3) + chanceBy(twice, 0, 12) / 3;
    expect(Math.abs(chance! - expected)).toBeLessThan(0.015);
    expect(once - expected).toBeGreaterThan(0.05);
  });

  test('done over in three sittings it takes three more days of an hour each', () => {
    const problem = chain([{ median: 0.001, own: 0 }], 0, 4);
    const daily: PlanProblem = {
      ...problem,
      slotMs: DAY_MS / 24,
      windows: Array.from({ length: 30 }, (_, d) => ({
        fromMs: NOW + d * DAY_MS,
        toMs: NOW + d * DAY_MS + DAY_MS / 24,
      })),
      works: problem.works.map((w) => ({
        ...w,
        redo: { film: 0, chance: 0.25, sittings: 3, share: 1 },
      })),
      habits: { ownSd: 0, sharedSd: 0, hold: 1 },
    };
    const odds = (days: number): number => {
      const due = { ...daily, goals: [{ ...daily.goals[0]!, dueMs: NOW + days * DAY_MS }] };
      return oddsOf(due, plan(due, { rounds: 0 }), { draws: 4000, seed: 4 }).goals[0]!.chance!;
    };
    expect(Math.abs(odds(3) - 0.75)).toBeLessThan(0.02);
    expect(odds(4)).toBe(1);
  });

  /** Three works of an hour, an hour a day; done when three of the days were held: the binomial distribution. */
  test.each([
    [3, 0.75],
    [5, 0.75],
    [6, 0.5],
  ])('%i days, each held with chance %f', (days, hold) => {
    const problem = chain(
      [1, 1, 1].map(() => ({ median: 0.001, own: 0 })),
      0,
      days,
    );
    const hourly: PlanProblem = {
      ...problem,
      slotMs: DAY_MS / 24,
      windows: Array.from({ length: 30 }, (_, d) => ({
        fromMs: NOW + d * DAY_MS,
        toMs: NOW + d * DAY_MS + DAY_MS / 24,
      })),
      habits: { ownSd: 0, sharedSd: 0, hold },
    };
    const found = plan(hourly, { rounds: 0 });
    const { chance } = oddsOf(hourly, found, { draws: 10_000, seed: 4 }).goals[0]!;
    const binomial = (n: number, k: number): number =>
      k === 0 ? 1 : (binomial(n - 1, k - 1) * n) / k;
    const expected = Array.from({ length: days - 2 }, (_, j) => j + 3).reduce(
      (s, k) => s + binomial(days, k) * hold ** k * (1 - hold) ** (days - k),
      0,
    );
    expect(Math.abs(chance! - expected)).toBeLessThan(0.015);
  });
});
