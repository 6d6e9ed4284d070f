import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { STUDIO_HANDBOOK } from '../handbook';
import { DAY_MS } from '../drying';
import { WALL_CLOCK } from '../schedule/dose-table';
import type { PlanFilm, PlanProblem, PlanWork, WorkWindow } from '../schedule';

/** Random problems for tests and the bench; the seed is printed where one fails. */
export interface InstanceShape {
  paintings: number;
  /** Chains of coats in each painting. */
  passages: number;
  coats: number;
  days: number;
  /** Working hours of a day. */
  hoursADay: number;
  slotMs: number;
  /** Slots of one work, at most. */
  longest: number;
  wetShare: number;
  mediums: number;
  /** Median days to touch-dry of the slowest film. */
  longestWait: number;
}

export const SMALL: InstanceShape = {
  paintings: 4,
  passages: 1,
  coats: 3,
  days: 11,
  hoursADay: 2,
  slotMs: DAY_MS / 48,
  longest: 2,
  wetShare: 0.15,
  mediums: 2,
  longestWait: 1.6,
};

/** Twenty paintings of six passages and ten coats, half a year. */
export const LARGE: InstanceShape = {
  paintings: 20,
  passages: 6,
  coats: 10,
  days: 182,
  hoursADay: 6,
  slotMs: DAY_MS / 96,
  longest: 3,
  wetShare: 0.05,
  mediums: 4,
  longestWait: 3,
};

const HOURLY = { ...SMALL, wetShare: 0, slotMs: DAY_MS / 24, hoursADay: 3 };
/** Twelve to twenty works, with whole hours, so that a general solver comes to the end of them. */
export const MIDDLE: InstanceShape[] = [
  { ...HOURLY, paintings: 4, coats: 4, days: 13 },
  { ...HOURLY, paintings: 5, coats: 4, days: 14 },
  { ...HOURLY, paintings: 6, coats: 3, days: 14 },
];

const EVENINGS = { ...SMALL, wetShare: 0 };
/** Some 30 to 150 works: the size of a studio. */
export const STUDIO: InstanceShape[] = [
  { ...EVENINGS, paintings: 5, passages: 2, coats: 3, days: 45 },
  { ...EVENINGS, paintings: 9, passages: 2, coats: 3, days: 60 },
  { ...EVENINGS, paintings: 10, passages: 2, coats: 4, days: 90 },
  { ...EVENINGS, paintings: 15, passages: 2, coats: 4, days: 130 },
  { ...EVENINGS, paintings: 12, passages: 4, coats: 3, days: 130, mediums: 4 },
];

export const INSTANCE_NOW = Date.UTC(2026, 1, 16, 6);

export function uniformOf(seed: number): () => number {
  const rng = xoroshiro128plus(seed);
  return () => (rng.next() >>> 0) / 4294967296;
}

/** Drying rate of the instances: slower by night than by day, so that dose and time are not the same. */
const swing = (nowMs: number) => {
  const dose = (ms: number): number => {
    const days = (ms - nowMs) / DAY_MS;
    return days + 0.08 * Math.sin(2 * Math.PI * days);
  };
  return {
    doseAt: dose,
    timeOf(value: number): number {
      let low = nowMs;
      let high = nowMs + (value + 1) * DAY_MS;
      for (let k = 0; k < 60; k++) {
        const middle = (low + high) / 2;
        if (dose(middle) < value) low = middle;
        else high = middle;
      }
      return high;
    },
  };
};

export function instance(seed: number, shape: InstanceShape): PlanProblem {
  const random = uniformOf(seed);
  const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  const nowMs = INSTANCE_NOW;
  const windows: WorkWindow[] = [];
  for (let d = 0; d < shape.days; d++) {
    if (random() < 0.2 && shape.days < 60) continue;
    const fromMs = nowMs + d * DAY_MS + whole(2, 6) * 3_600_000;
    windows.push({ fromMs, toMs: fromMs + shape.hoursADay * 3_600_000 });
  }
  const films: PlanFilm[] = [];
  const works: PlanWork[] = [];
  const goals: PlanProblem['goals'] = [];
  for (let p = 0; p < shape.paintings; p++) {
    const ends: PlanProblem['goals'][number]['ends'] = [];
    for (let s = 0; s < shape.passages; s++) {
      let last: PlanWork | null = null;
      const coats = shape.coats - (shape.paintings < 10 && random() < 0.25 ? 1 : 0);
      for (let k = 0; k < coats; k++) {
        const median = shape.longestWait * (0.25 + 0.75 * random());
        films.push({
          clock: 'oil',
          openOverTouch: 0.35,
          touch: { median, own: 0.3, shared: [0.35] },
          through: { median: 6 * median, own: 0.4, shared: [0.25] },
        });
        const film = films.length - 1;
        const work: PlanWork = {
          id: `p${p}s${s}k${k}`,
          project: `p${p}`,
          slots: whole(1, shape.longest),
          medium: `m${whole(1, shape.mediums)}`,
          lags: [],
          wets: [],
          pinMs: null,
          notBeforeMs: null,
        };
        if (last) {
          const dose = films[film - 1]!.touch.median * Math.exp(0.6745 * 0.46);
          if (random() < shape.wetShare)
            work.wets.push({
              after: last.id,
              film: film - 1,
              dose: 0.35 * films[film - 1]!.touch.median,
              had: 0,
              sameSitting: false,
              dryDose: dose,
            });
          else work.lags.push({ after: last.id, film: film - 1, stage: 'touch-dry', dose, had: 0 });
        }
        works.push(work);
        last = work;
      }
      ends.push({
        after: last!.id,
        film: films.length - 1,
        stage: 'touch-dry',
        dose: films.at(-1)!.touch.median * Math.exp(1.2816 * 0.46),
        had: 0,
      });
    }
    const dueDays = shape.days * (0.4 + 0.7 * random());
    goals.push({
      project: `p${p}`,
      dueMs: random() < 0.7 ? nowMs + dueDays * DAY_MS : null,
      weight: 1,
      ends,
    });
  }
  return {
    nowMs,
    slotMs: shape.slotMs,
    windows,
    clocks: { oil: swing(nowMs), acrylic: WALL_CLOCK(nowMs), wall: WALL_CLOCK(nowMs) },
    films,
    works,
    goals,
    constants: STUDIO_HANDBOOK.constants,
  };
}
