import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { PLAN_ODDS } from '@/data/plan';
import { workingDays, type WorkingDay } from './calendar';
import { isIn } from './compile';
import type { Lag, PlanProblem, PlanWork, SharedLogNormal, Wet } from './problem';
import { stageDose } from './stage-dose';
import { stepIdOf } from './steps';

/** A day on which a coat may be laid, and the chance that what it is for can then begin in time. */
export interface ReadyByDay {
  /** Local date. */
  day: string;
  fromMs: number;
  chance: number;
}

/** One coat that has to come before. */
export interface ReadyByLink {
  /** Its step in the plan. */
  step: string;
  /** The last day on which the target still holds with nine chances in ten; null: none does. */
  lastSafe: ReadyByDay | null;
  /** The days from the last but few safe ones on, with their falling chances. */
  days: ReadyByDay[];
}

export interface ReadyBy {
  /** Chance that it can begin in time when the first coat is laid in the next hours for work. */
  chance: number;
  /** What has to be laid before, the first first. */
  links: ReadyByLink[];
}

export interface ReadyByOptions {
  timeZone: string;
  draws: number;
  seed: number;
}

/** One scenario: the doses of touch-dry and through-dry of every film. */
interface Scenario {
  touch: Float64Array;
  through: Float64Array;
}

function scenariosOf({ films }: PlanProblem, { draws, seed }: ReadyByOptions): Scenario[] {
  const rng = xoroshiro128plus(seed);
  const uniform = (): number => uniformFloat64(rng);
  const normal = (): number =>
    Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  const factors = Math.max(0, ...films.map((f) => f.touch.shared.length));
  return Array.from({ length: draws }, () => {
    const shared = Array.from({ length: factors }, normal);
    const value = ({ median, own, shared: loads }: SharedLogNormal): number =>
      median * Math.exp(loads.reduce((s, x, k) => s + x * shared[k]!, own * normal()));
    return {
      touch: Float64Array.from(films, (f) => value(f.touch)),
      through: Float64Array.from(films, (f) => value(f.through)),
    };
  });
}

/** Everything that has to be done before a work, the first first, and the work itself last. */
function chainTo(problem: PlanProblem, targetId: string): PlanWork[] {
  const byId = new Map(problem.works.map((w) => [w.id, w]));
  const out: PlanWork[] = [];
  const seen = new Set<string>();
  const visit = (id: string): void => {
    const work = byId.get(id);
    if (!work || seen.has(id)) return;
    seen.add(id);
    for (const before of [...work.lags, ...work.wets]) if (before.after) visit(before.after);
    out.push(work);
  };
  visit(targetId);
  return out;
}

/** When a work ends that begins as soon as it can in the hours for work; Infinity where none holds it. */
function endIn({ windows, slotMs }: PlanProblem, readyMs: number, work: PlanWork): number {
  const takes = work.slots * slotMs;
  let low = 0;
  let high = windows.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (windows[middle]!.toMs <= readyMs) low = middle + 1;
    else high = middle;
  }
  for (let w = low; w < windows.length; w++) {
    const start = Math.max(readyMs, windows[w]!.fromMs);
    if (work.notIn && isIn(work.notIn, windows[w]!.fromMs)) continue;
    if (start + takes <= windows[w]!.toMs) return start + takes;
  }
  return Infinity;
}

/**
 * "To paint this on Monday, by which day must I tone it?" For every coat that has to come before, the last day on which
 * the target can still begin at `atMs` with nine chances in ten, and the chances from day to day: the films drawn with
 * what they share, each further coat laid in the first hours for work in which what lies below it is ready, as if this
 * painting came before all others. A later day is never the better one.
 * @param targetId the first work of the coat that is to be painted
 * @param atMs when it is to begin
 */
export function readyBy(
  problem: PlanProblem,
  targetId: string,
  atMs: number,
  options: ReadyByOptions,
): ReadyBy {
  const chain = chainTo(problem, targetId);
  const target = chain.at(-1);
  if (!target || target.id !== targetId) return { chance: 0, links: [] };
  const before = chain.slice(0, -1);
  const scenarios = scenariosOf(problem, options);
  const days = workingDays(problem, atMs, options.timeZone).filter((d) => d.fromMs < atMs);
  const clockOf = (film: number) => problem.clocks[problem.films[film]!.clock];

  const dryAt = (lag: Lag, endMs: number, { touch, through }: Scenario): number => {
    if (lag.film === null || lag.stage === 'order') return endMs;
    const dose = stageDose(problem.constants, lag.stage, touch[lag.film]!, through[lag.film]!);
    const clock = clockOf(lag.film);
    const from = lag.after === null ? -lag.had : clock.doseAt(endMs);
    return clock.timeOf(from + dose) ?? Infinity;
  };
  /** When everything below a work is ready; of what is not on the way it is taken that it is. */
  const readyOf = (work: PlanWork, ends: Map<string, number>, s: Scenario): number => {
    let ready = work.notBeforeMs ?? -Infinity;
    const wait = (before: Lag | Wet, at: (endMs: number) => number): void => {
      if (before.after === null) ready = Math.max(ready, at(problem.nowMs));
      else if (ends.has(before.after)) ready = Math.max(ready, at(ends.get(before.after)!));
    };
    for (const lag of work.lags) wait(lag, (end) => dryAt(lag, end, s));
    for (const wet of work.wets) if (wet.after !== null) wait(wet, (end) => end);
    return ready;
  };
  /** Chance that the target can begin in time when a coat is begun no earlier than a moment. */
  const chanceFrom = (first: number, fromMs: number): number => {
    let inTime = 0;
    for (const s of scenarios) {
      const ends = new Map<string, number>();
      for (let k = first; k < before.length; k++) {
        const work = before[k]!;
        const comesAfter =
          k === first || [...work.lags, ...work.wets].some((x) => x.after && ends.has(x.after));
        // What does not wait for the coat that is asked about is another line to the same target.
        if (!comesAfter && first > 0) continue;
        const ready = Math.max(readyOf(work, ends, s), k === first ? fromMs : problem.nowMs);
        ends.set(work.id, endIn(problem, ready, work));
      }
      if (readyOf(target, ends, s) <= atMs) inTime += 1;
    }
    return inTime / scenarios.length;
  };

  const link = (first: number, step: string): ReadyByLink => {
    const known = new Map<number, number>();
    const chance = (d: number): number => {
      const found = known.get(d) ?? chanceFrom(first, days[d]!.fromMs);
      known.set(d, found);
      return found;
    };
    const told = (d: number): ReadyByDay => ({ ...pick(days[d]!), chance: chance(d) });
    let low = -1;
    let high = days.length;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (chance(middle) >= PLAN_ODDS.safeChance) low = middle;
      else high = middle;
    }
    const shownFrom = Math.max(0, Math.min(low, days.length - PLAN_ODDS.delayDays));
    return {
      step,
      lastSafe: low < 0 ? null : told(low),
      days: days
        .slice(shownFrom, shownFrom + PLAN_ODDS.delayDays)
        .map((_, k) => told(shownFrom + k)),
    };
  };
  const firstOfStep = before
    .map((work, k) => ({ step: stepIdOf(work.id), k }))
    .filter(({ step }, i, all) => all.findIndex((other) => other.step === step) === i)
    .filter(({ step }) => step !== stepIdOf(targetId));
  return {
    chance:
      before.length === 0 ? laidChance() : days.length === 0 ? 0 : chanceFrom(0, problem.nowMs),
    links: firstOfStep.map(({ step, k }) => link(k, step)),
  };

  /** Nothing is left to be laid below: only the film there has to get ready. */
  function laidChance(): number {
    const none = new Map<string, number>();
    return scenarios.filter((s) => readyOf(target!, none, s) <= atMs).length / scenarios.length;
  }
}

const pick = ({ day, fromMs }: WorkingDay): { day: string; fromMs: number } => ({ day, fromMs });
