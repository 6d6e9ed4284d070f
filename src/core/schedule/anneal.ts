import { SEARCH, SEARCH_NOISE_DAYS, SEARCH_SHAKE_DAYS, SEARCH_SHIFT_DAYS } from '@/data/search';
import { DAY_MS } from '../drying';
import type { Compiled } from './compile';
import { decode } from './decode';
import { exchange } from './exchange';
import { polish } from './polish';
import { LARGE, ruin } from './ruin';
import { UNPLACED, type PlanState } from './state';

/** Every work, by its place. */
export const all = ({ n }: Compiled): number[] => Array.from({ length: n }, (_, i) => i);

/** The best that a search came by. */
export interface Found {
  cost: number;
  start: Int32Array;
  missed: number[];
}

/** A plan as it stands. */
export const foundOf = (state: PlanState, cost: number): Found => ({
  cost,
  start: state.start.slice(),
  missed: all(state.of).filter(state.wasMissed),
});

/** Urgencies by which a part that was torn down is built again, days: see `SEARCH.orderStays`. */
function urge(
  { slots, project }: Compiled,
  before: { i: number; t: number }[],
  projects: number[],
  { slack, tails }: { slack: Float64Array; tails: Float64Array },
  random: () => number,
  urgency: Float64Array,
): void {
  const any = <T>(list: readonly T[]): T => list[(random() * list.length) | 0]!;
  const how = random();
  const strict = how < SEARCH.rankPaintings;
  const asTheyStood = how > 1 - SEARCH.orderStays;
  const shake = any(asTheyStood ? SEARCH_SHAKE_DAYS : SEARCH_NOISE_DAYS);
  let apart = 0;
  if (strict) apart = SEARCH.paintingsApart;
  else if (!asTheyStood && random() < SEARCH.apartBySlack) apart = any(SEARCH_SHIFT_DAYS);
  const offsets = projects.map(() => (apart > 0 ? apart * random() : 0));
  if (asTheyStood) {
    const luck = random();
    const shifted = luck < SEARCH.shiftNone ? 0 : luck < SEARCH.shiftOne ? 1 : 2;
    for (let k = 0; k < shifted; k++)
      offsets[(random() * offsets.length) | 0] = 2 * (random() - 0.5) * any(SEARCH_SHIFT_DAYS);
  }
  for (const { i, t } of before) {
    const stood = asTheyStood && t !== UNPLACED ? slots.start[t]! / DAY_MS : slack[i]!;
    urgency[i] =
      (offsets[projects.indexOf(project[i]!)] ?? 0) +
      (strict ? -tails[i]! : stood) +
      shake * random();
  }
}

/**
 * Large-neighbourhood search from a plan: take a part of it out (the rest of a painting or two, a session and what
 * follows from it, a stretch of the calendar), build it anew at random, and keep it by the rule of simulated annealing.
 * Shaw (1998) and Pisinger & Ropke (2010) for the scheme; from memory.
 * @param asked told how many rounds are done; true ends it
 */
export function anneal(
  state: PlanState,
  { slack, tails }: { slack: Float64Array; tails: Float64Array },
  random: () => number,
  rounds: number,
  asked: (done: number) => boolean,
): Found {
  const { of } = state;
  const largest = of.n > LARGE;
  if (!largest) polish(state);
  let current = state.cost();
  let best = foundOf(state, current);
  const closed = new Uint8Array(of.slots.first.length);
  const urgency = slack.slice();
  const small = of.n <= SEARCH.smallWorks;
  const share = small ? SEARCH.warmShare : SEARCH.warmShareStudio;
  const warmest = largest
    ? SEARCH.warmLarge
    : Math.max(
        small ? SEARCH.warmLeast : SEARCH.warmLeastStudio,
        share * Math.min(current, SEARCH.warmMostCost),
      );
  const keep = () => {
    if (current < best.cost - 1e-9) best = foundOf(state, current);
  };
  for (let done = 0; done < rounds; done++) {
    if (done % SEARCH.askEvery === 0 && asked(done)) break;
    // Small problems are heated anew some times: cheaper than one long search, and it leaves corners it got stuck in.
    const cycle = small ? Math.min(SEARCH.cycle, rounds) : rounds;
    const heat = warmest * (1 - (done % cycle) / cycle) ** 2;
    if (largest && done % SEARCH.ruinEvery !== 0) {
      current += exchange(state, random, heat, SEARCH.exchanges);
      keep();
      continue;
    }
    const out = ruin(state, random, closed);
    if (out.length === 0) continue;
    const before = out.map((i) => ({ i, t: state.start[i]!, missed: state.wasMissed(i) }));
    const projects = [...new Set(out.map((i) => of.project[i]!))].filter((g) => g >= 0);
    const costOf = () => projects.reduce((sum, g) => sum + state.goalCost(g), state.otherCost());
    const was = costOf();
    for (const i of out) state.take(i);
    urge(of, before, projects, { slack, tails }, random, urgency);
    decode(state, out, urgency, {
      random,
      join: random() < SEARCH.joinNever ? 0 : random(),
      passMedium: random() < SEARCH.passMediumNever ? 0 : random(),
      skip: random() < SEARCH.skipNever ? 0 : SEARCH.skipMost * random(),
      closed: random() < SEARCH.keepShut ? closed : null,
    });
    const change = costOf() - was;
    if (change <= 0 || random() < Math.exp(-change / Math.max(heat, 1e-9))) {
      current += change;
      keep();
    } else {
      for (const i of out) state.take(i);
      for (const { i, t, missed } of before) if (t !== UNPLACED) state.put(i, t, missed);
    }
  }
  return best;
}
