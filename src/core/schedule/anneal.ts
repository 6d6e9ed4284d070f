import { SEARCH, SEARCH_NOISE_DAYS, SEARCH_SHAKE_DAYS, SEARCH_SHIFT_DAYS } from '@/data/search';
import { DAY_MS } from '../drying';
import type { Compiled } from './compile';
import { decode } from './decode';
import { exchange } from './exchange';
import { forward } from './forward';
import { polish } from './polish';
import { EARLIEST, type PlacePolicy } from './place';
import { isStudio, LARGE, Part, ruin, shutSome } from './ruin';
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

const any = <T>(list: readonly T[], random: () => number): T => list[(random() * list.length) | 0]!;

/** Urgencies by which a part that was torn down is built again, days: see `SEARCH.orderStays`. */
function urge(
  { slots, project }: Compiled,
  part: Part,
  { slack, tails }: { slack: Float64Array; tails: Float64Array },
  random: () => number,
  { urgency, offset }: { urgency: Float64Array; offset: Float64Array },
): void {
  const { works, projects } = part;
  const how = random();
  const strict = how < SEARCH.rankPaintings;
  const asTheyStood = how > 1 - SEARCH.orderStays;
  const shake = any(asTheyStood ? SEARCH_SHAKE_DAYS : SEARCH_NOISE_DAYS, random);
  let apart = 0;
  if (strict) apart = SEARCH.paintingsApart;
  else if (!asTheyStood && random() < SEARCH.apartBySlack) apart = any(SEARCH_SHIFT_DAYS, random);
  for (const g of projects) offset[g] = apart > 0 ? apart * random() : 0;
  if (asTheyStood && projects.length > 0) {
    const luck = random();
    const shifted = luck < SEARCH.shiftNone ? 0 : luck < SEARCH.shiftOne ? 1 : 2;
    for (let k = 0; k < shifted; k++)
      offset[any(projects, random)] = 2 * (random() - 0.5) * any(SEARCH_SHIFT_DAYS, random);
  }
  for (const i of works) {
    const t = part.stood(i);
    const stood = asTheyStood && t !== UNPLACED ? slots.start[t]! / DAY_MS : slack[i]!;
    const g = project[i]!;
    urgency[i] = (g < 0 ? 0 : offset[g]!) + (strict ? -tails[i]! : stood) + shake * random();
  }
}

/** Parts of a plan torn down and built anew, with the room that takes. */
class Rebuilding {
  private readonly closed: Uint8Array;
  private readonly part: Part;
  private readonly room: { urgency: Float64Array; offset: Float64Array };
  private readonly policy: PlacePolicy;

  constructor(
    private readonly state: PlanState,
    private readonly order: { slack: Float64Array; tails: Float64Array },
    private readonly random: () => number,
  ) {
    const { of } = state;
    this.closed = new Uint8Array(of.slots.first.length);
    this.part = new Part(of);
    this.room = { urgency: order.slack.slice(), offset: new Float64Array(of.goals.length) };
    this.policy = { ...EARLIEST, random };
  }

  /** A part built anew, and kept by the rule of simulated annealing. Returns the change of J. */
  round(heat: number): number {
    const { state, order, random, closed, part, room, policy } = this;
    ruin(state, random, closed, part);
    if (part.works.length === 0) return 0;
    const was = part.costIn(state);
    part.take(state);
    urge(state.of, part, order, random, room);
    policy.join = random() < SEARCH.joinNever ? 0 : random();
    policy.passMedium = random() < SEARCH.passMediumNever ? 0 : random();
    policy.skip = random() < SEARCH.skipNever ? 0 : SEARCH.skipMost * random();
    policy.closed = random() < SEARCH.keepShut ? closed : null;
    if (policy.closed) shutSome(state, random, closed);
    if (isStudio(state.of) && random() < SEARCH.rebuildForward)
      forward(state, part.works, room.urgency, {
        bonus: random() < SEARCH.walkBonusNone ? 0 : SEARCH.walkBonusMost * random() ** 3,
        fill: random() < SEARCH.walkFillNone ? 0 : SEARCH.walkBonusMost * random() ** 2,
        least: (random() * (SEARCH.walkLeastMost + 1)) | 0,
      });
    else decode(state, part.works, room.urgency, policy);
    const change = part.costIn(state) - was;
    if (change <= 0 || random() < Math.exp(-change / Math.max(heat, 1e-9))) return change;
    part.putBack(state);
    return 0;
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
  order: { slack: Float64Array; tails: Float64Array },
  random: () => number,
  rounds: number,
  asked: (done: number) => boolean,
): Found {
  const { of } = state;
  const largest = of.n > LARGE;
  if (!largest) polish(state);
  let current = state.cost();
  let best = foundOf(state, current);
  const rebuilding = new Rebuilding(state, order, random);
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
    current += rebuilding.round(heat);
    keep();
  }
  return best;
}
