import { STUDIO_HANDBOOK } from '../handbook';
import { DAY_MS } from '../drying';
import { normalCdf } from '../drying/lognormal';
import { WALL_CLOCK } from './dose-table';
import type { PlanProblem, PlanWork } from './problem';
import { readyBy } from './ready-by';

const NOW = Date.UTC(2026, 1, 16);
const HOUR = 3_600_000;
const at = (day: number, hour: number): number => NOW + day * DAY_MS + hour * HOUR;

/** Coats of half an hour one on the other, the last the one that is asked about; two hours for work a day. */
function problem(
  waits: { median: number; own: number; shared?: number }[],
  days = 40,
): PlanProblem {
  const work = (k: number): PlanWork => ({
    id: `p/c${k}`,
    project: 'p',
    slots: 1,
    medium: null,
    lags:
      k === 0
        ? []
        : [
            {
              after: `p/c${k - 1}`,
              film: k - 1,
              stage: 'touch-dry',
              dose: waits[k - 1]!.median,
              had: 0,
            },
          ],
    wets: [],
    pinMs: null,
    notBeforeMs: null,
  });
  return {
    nowMs: NOW,
    slotMs: HOUR / 2,
    windows: Array.from({ length: days }, (_, d) => ({ fromMs: at(d, 8), toMs: at(d, 10) })),
    clocks: { oil: WALL_CLOCK(NOW), acrylic: WALL_CLOCK(NOW), wall: WALL_CLOCK(NOW) },
    films: waits.map(({ median, own, shared }) => {
      const dose = { median, own, shared: [shared ?? 0] };
      return { clock: 'wall' as const, openOverTouch: 0.35, touch: dose, through: dose };
    }),
    works: [...waits, null].map((_, k) => work(k)),
    goals: [],
    constants: STUDIO_HANDBOOK.constants,
  };
}
const OPTIONS = { timeZone: 'UTC', draws: 4000, seed: 3 };

test('a wait that is known to the hour: the last safe day is the last from which it comes out', () => {
  // Laid at 8, done at 8:30, dry three days later: for Monday week at 8 it has to be laid the Thursday before.
  const told = readyBy(problem([{ median: 3, own: 0 }]), 'p/c1', at(7, 8), OPTIONS);
  expect(told.links.map((l) => [l.step, l.lastSafe?.day])).toEqual([['p/c0', '2026-02-19']]);
  expect(told.chance).toBe(1);
  const chances = told.links[0]!.days.map((d) => d.chance);
  expect(chances).toEqual([1, 1, 1, 0, 0, 0]);
});

test('one log-normal wait: the chances are those of its distribution function', () => {
  const sigma = 0.45;
  const { links } = readyBy(problem([{ median: 4, own: sigma }]), 'p/c1', at(14, 8), OPTIONS);
  const days = links[0]!.days;
  expect(days.length).toBeGreaterThan(3);
  for (const { fromMs, chance } of days) {
    const left = (at(14, 8) - fromMs - HOUR / 2) / DAY_MS;
    const exact = left <= 0 ? 0 : normalCdf(Math.log(left / 4) / sigma);
    // Four thousand draws: three standard errors are 0.024.
    expect(Math.abs(chance - exact)).toBeLessThan(0.024);
  }
  // Falling from day to day, and different where they differ.
  const falling = days.map((d) => d.chance);
  expect([...falling].sort((a, b) => b - a)).toEqual(falling);
  expect(new Set(falling).size).toBe(falling.length);
});

test('every coat of a chain has its own last safe day, each later than the one before', () => {
  const waits = [
    { median: 2, own: 0.3, shared: 0.35 },
    { median: 3, own: 0.3, shared: 0.35 },
    { median: 1, own: 0.3, shared: 0.35 },
  ];
  const { links, chance } = readyBy(problem(waits), 'p/c3', at(30, 8), OPTIONS);
  expect(links.map((l) => l.step)).toEqual(['p/c0', 'p/c1', 'p/c2']);
  const safe = links.map((l) => l.lastSafe!.fromMs);
  expect([...safe].sort((a, b) => a - b)).toEqual(safe);
  expect(new Set(safe).size).toBe(3);
  for (const { lastSafe } of links) expect(lastSafe!.chance).toBeGreaterThanOrEqual(0.9);
  expect(chance).toBeGreaterThan(0.99);
});

test('too soon: no day is safe; what lies there already is waited for by what is left of it', () => {
  const soon = readyBy(problem([{ median: 5, own: 0.4 }]), 'p/c1', at(3, 8), OPTIONS);
  expect(soon.links[0]!.lastSafe).toBeNull();
  expect(soon.chance).toBeLessThan(0.2);
  const laid = problem([{ median: 5, own: 0 }]);
  laid.works = [{ ...laid.works[1]!, lags: [{ ...laid.works[1]!.lags[0]!, after: null, had: 4 }] }];
  expect(readyBy(laid, 'p/c1', at(2, 8), OPTIONS)).toEqual({ chance: 1, links: [] });
  expect(readyBy(laid, 'p/c1', at(0, 8), OPTIONS).chance).toBe(0);
  // A coat that is not in the plan has no answer.
  expect(readyBy(laid, 'p/none', at(2, 8), OPTIONS)).toEqual({ chance: 0, links: [] });
});
