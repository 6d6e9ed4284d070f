import { SEARCH } from '@/data/search';
import { foundOf, type Found } from './anneal';
import type { Compiled } from './compile';
import { Front, frontOf } from './front';
import { valueOf, valueRoom } from './front-value';
import type { PlanWeights } from './problem';
import { SessionChoice, type Mood } from './session-choice';

export interface BeamOptions {
  /** Plans that are kept at each window, and ways each of them is gone on with. */
  width: number;
  tries: number;
  /** Plans that are given back at most. */
  most: number;
  /** A plan that stands as it is up to a window. */
  from?: { plan: Found; window: number };
  /** Room of earlier walks, used again. */
  spare: Front[];
  /** Asked at each window; true ends it without a plan. */
  stopped(): boolean;
}

/**
 * Beam search: the calendar walked window by window; each plan as far as it goes is gone on with in some ways, and of
 * all those the most promising are kept, by what they will cost, about. What fills a session, with one medium if
 * it can be, is decided here for the session as a whole; moving single works afterwards seldom finds that.
 * Ow & Morton, International Journal of Production Research 26 (1988), for the scheme; from memory.
 * @param tails what must still follow each work, days
 * @returns whole plans, the best first; none where nothing is to be finished, or when it was stopped
 */
export function beam(
  of: Compiled,
  weights: PlanWeights,
  tails: Float64Array,
  random: () => number,
  { width, tries, most, from, spare, stopped }: BeamOptions,
): Found[] {
  if (of.goals.length === 0) return [];
  const { slots, goals } = of;
  const windows = slots.first.length;
  const room = valueRoom(of);
  const choices = new SessionChoice(of);
  const more = new SessionChoice(of);
  const first = frontOf(of, weights, from ?? null);
  let kept: Front[] = [first];
  let scratch = spare.pop() ?? new Front(of, weights);
  const mood: Mood = {
    bonus: 0,
    fill: 0,
    tail: 1,
    load: 1,
    offset: new Float64Array(goals.length),
  };
  for (let w = from?.window ?? 0; w < windows; w++) {
    if (kept[0]!.count === 0) break;
    if (stopped()) return [];
    const end = slots.end[w]!;
    if (kept.every((f) => f.state.free[w]! === 0 || !anyReady(f, end))) continue;
    const next: Front[] = [];
    const seen = new Set<number>();
    const tried = new Set<number>();
    for (const parent of kept) {
      tried.clear();
      choices.look(parent, w);
      for (let k = 0; k < tries; k++) {
        mood.bonus = SEARCH.walkBonusMost * random();
        mood.fill = random() < SEARCH.walkFillNone ? 0 : SEARCH.walkBonusMost * random();
        mood.tail = SEARCH.walkTailMost * random();
        mood.load = SEARCH.beamLoad * random();
        const size = SEARCH.beamNoise * random();
        for (let g = 0; g < goals.length; g++) mood.offset[g] = size * random();
        const skips = parent.state.used[w] === 0 && k === tries - 1 && random() < SEARCH.beamSkip;
        const told = skips ? 0 : choices.choose(parent, w, mood, tails);
        if (tried.has(told)) continue;
        tried.add(told);
        scratch.copy(parent);
        if (!skips) choices.put(scratch);
        // What may be begun in the same session once these are done.
        while (!skips && scratch.offered) {
          scratch.offered = false;
          more.look(scratch, w);
          more.choose(scratch, w, mood, tails);
          more.put(scratch);
        }
        scratch.value = valueOf(scratch, end, tails, room);
        // The same works done at the same cost are the same plan, as far as goes.
        const key = Math.round(scratch.value * 1e6);
        if (seen.has(key)) continue;
        if (next.length === width && scratch.value >= next[width - 1]!.value) continue;
        seen.add(key);
        let at = 0;
        for (let high = next.length; at < high;) {
          const middle = (at + high) >> 1;
          if (next[middle]!.value > scratch.value) high = middle;
          else at = middle + 1;
        }
        next.splice(at, 0, scratch);
        scratch =
          (next.length > width ? next.pop() : undefined) ?? spare.pop() ?? new Front(of, weights);
      }
    }
    spare.push(...kept);
    kept = next;
  }
  spare.push(...kept, scratch);
  for (const front of kept) front.value = front.state.cost();
  // Where the most promising has come to its end others have not yet; where the calendar has, all lack something.
  const lacks = Math.min(...kept.map((front) => front.state.unplaced));
  return kept
    .filter((front) => front.state.unplaced === lacks)
    .sort((a, b) => a.value - b.value)
    .slice(0, most)
    .map(({ state, value }) => foundOf(state, value));
}

function anyReady(front: Front, end: number): boolean {
  for (let k = 0; k < front.count; k++) if (front.ready[k]! < end) return true;
  return false;
}
