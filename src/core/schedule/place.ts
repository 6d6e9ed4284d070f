import type { Block } from './blocks';
import { NO_PIN, type Compiled } from './compile';
import { meetingFrom } from './meeting';
import { closedAfter, closesAt, driesAt, slotAfter } from './waits';
import { FREE, UNPLACED, type PlanState } from './state';

/** What is decided by chance when a work is placed. */
export const CHOICES = { join: 0, medium: 1, skip: 2, any: 3 } as const;

/** How a place is chosen where more than one would do. */
export interface PlacePolicy {
  /** A number in [0, 1) for a choice about a work. */
  random(i: number, choice: number): number;
  /** Chance to wait for a session that is held anyway instead of beginning one. */
  join: number;
  /** Chance to pass a session in which another medium is on the palette. */
  passMedium: number;
  /** Chance to pass the first session that would do, whatever it is. */
  skip: number;
  /** Windows that are not used this time; null: all are. */
  closed: Uint8Array | null;
  /** Where a work stood before; it stays there when it can. */
  wanted?(i: number): number;
}

export const EARLIEST: PlacePolicy = {
  random: () => 0,
  join: 0,
  passMedium: 0,
  skip: 0,
  closed: null,
};

/** Windows that are tried for a better place after the first that would do. */
const LOOK_AHEAD = 6;

/** First slot at or after `from` at which a work has room inside one window that is one for it; -1 when there is none. */
export function firstFit(
  state: PlanState,
  from: number,
  i: number,
  closed: Uint8Array | null,
): number {
  const { slots } = state.of;
  const { owner, free, used } = state;
  const length = state.of.length[i]!;
  const barred = state.of.barred[i]!;
  if (from >= slots.count) return UNPLACED;
  let t = from;
  for (let w = slots.window[from]!; ;) {
    const end = slots.end[w]!;
    if (free[w]! >= length && closed?.[w] !== 1 && barred?.[w] !== 1) {
      if (used[w] === 0 && state.noneReserved && t + length <= end) return t;
      let run = 0;
      for (; t < end; t++) {
        run = owner[t] === FREE ? run + 1 : 0;
        if (run === length) return t - length + 1;
      }
    }
    w = state.roomFrom(w + 1);
    if (w >= free.length) return UNPLACED;
    t = slots.first[w]!;
  }
}

/** The first slot at which everything a work waits for is ready; `count` when something is not placed. */
export function readySlot(state: PlanState, i: number): number {
  const { lags, wets, release, slots } = state.of;
  let ready = release[i]!;
  for (const lag of lags[i]!) {
    const begun = state.start[lag.from]!;
    if (begun === UNPLACED) return slots.count;
    const t = slotAfter(state.of, lag, begun);
    if (t > ready) ready = t;
  }
  for (const wet of wets[i]!) {
    if (wet.from < 0) continue;
    if (state.start[wet.from] === UNPLACED) return slots.count;
    const t = slots.from(state.endMs(wet.from));
    if (t > ready) ready = t;
  }
  return ready;
}

/** Whether the painter keeps a work out of the window of a slot. */
export const mayBeIn = ({ barred, slots }: Compiled, i: number, t: number): boolean =>
  barred[i]?.[slots.window[t]!] !== 1;

/** Whether a work at `t` ends while everything it is laid into is open. */
export function caughtOpen(state: PlanState, i: number, t: number): boolean {
  const { wets, slots, length } = state.of;
  const end = slots.start[t]! + length[i]! * slots.ms;
  return wets[i]!.every((wet) => {
    if (wet.from < 0) return end <= closesAt(wet, 0);
    const begun = state.start[wet.from]!;
    return (
      end <= closedAfter(state.of, wet, begun) &&
      (!wet.sameSitting || slots.window[begun] === slots.window[t])
    );
  });
}

/** The slot for one work, by the policy; UNPLACED when there is none. */
function choose(state: PlanState, i: number, from: number, policy: PlacePolicy): number {
  const { slots, medium } = state.of;
  const first = firstFit(state, from, i, policy.closed);
  if (first === UNPLACED) return firstFit(state, from, i, null);
  const w = slots.window[first]!;
  const opens =
    state.used[w] === 0 && policy.join > 0 && policy.random(i, CHOICES.join) < policy.join;
  const mixes =
    policy.passMedium > 0 &&
    !state.hasMedium(w, medium[i]!) &&
    policy.random(i, CHOICES.medium) < policy.passMedium;
  const skips = policy.skip > 0 && policy.random(i, CHOICES.skip) < policy.skip;
  if (!opens && !mixes && !skips) return first;
  const anyMedium = policy.random(i, CHOICES.any) < 0.5;
  let t = first;
  for (let k = 0; k < LOOK_AHEAD; k++) {
    t = firstFit(state, slots.end[slots.window[t]!]!, i, policy.closed);
    if (t === UNPLACED) return first;
    const other = slots.window[t]!;
    if (skips || (state.used[other]! > 0 && (anyMedium || state.hasMedium(other, medium[i]!))))
      return t;
  }
  return first;
}

/** A wanted slot, where it is free and everything is ready by then; else UNPLACED. */
function exactly(state: PlanState, i: number, t: number, ready: number): number {
  const { length, slots } = state.of;
  if (t < 0 || t >= slots.count || t < ready) return UNPLACED;
  if (t + length[i]! > slots.end[slots.window[t]!]!) return UNPLACED;
  for (let k = t; k < t + length[i]!; k++) if (state.owner[k] !== FREE) return UNPLACED;
  return t;
}

/** The place the painter pinned a work to, or where it stood before, when it can be there. */
function givenSlot(state: PlanState, i: number, ready: number, policy: PlacePolicy): number {
  const pinned = exactly(state, i, state.of.pin[i]!, ready);
  if (pinned !== UNPLACED || state.of.pin[i] !== NO_PIN || !policy.wanted) return pinned;
  const t = exactly(state, i, policy.wanted(i), ready);
  return t !== UNPLACED && mayBeIn(state.of, i, t) ? t : UNPLACED;
}

/** Tries for a block whose members have to catch each other's paint open. */
const MOST_TRIES = 400;

/**
 * The first slot, `t` or later, from which the first work of a block may begin so that what is laid into it has room, as
 * the calendar stands, before it closes; the number of slots where there is none.
 */
function openUntilRoom(state: PlanState, block: Block, t: number, policy: PlacePolicy): number {
  const { of } = state;
  const { slots, length, wets } = of;
  const lead = block[0]!;
  for (let k = 1; k < block.length; k++) {
    const i = block[k]!;
    for (const wet of wets[i]!) {
      if (wet.from !== lead) continue;
      const at = firstFit(state, t + length[lead]!, i, policy.closed);
      if (at === UNPLACED) return slots.count;
      const done = slots.start[at]! + length[i]! * slots.ms;
      // However late it begins, there is no sooner room for the other.
      while (t < slots.count && closedAfter(of, wet, t) < done) t += 1;
    }
  }
  return t;
}

/** Put a block where all of it holds; false leaves nothing of it behind. */
function putTogether(state: PlanState, block: Block, policy: PlacePolicy): boolean {
  const { slots, length, blockOf } = state.of;
  const lead = block[0]!;
  const b = blockOf[lead]!;
  let from = readySlot(state, lead);
  const room = block.reduce((sum, i) => sum + length[i]!, 0);
  for (let tries = 0; tries < MOST_TRIES && from < slots.count; tries++) {
    const pinned = givenSlot(state, lead, from, policy);
    const t =
      pinned !== UNPLACED ? pinned : choose(state, lead, meetingFrom(state.of, b, from), policy);
    if (t === UNPLACED) break;
    let can = meetingFrom(state.of, b, t);
    if (can === t) can = openUntilRoom(state, block, t, policy);
    if (can > t) {
      if (pinned !== UNPLACED && state.of.pin[lead] !== NO_PIN) return false;
      from = can;
      continue;
    }
    state.put(lead, t);
    let holds = caughtOpen(state, lead, t);
    for (let k = 1; k < block.length && holds; k++) {
      const i = block[k]!;
      const ready = readySlot(state, i);
      const given = givenSlot(state, i, ready, policy);
      const at = given !== UNPLACED ? given : firstFit(state, ready, i, policy.closed);
      holds = at !== UNPLACED && caughtOpen(state, i, at);
      if (holds) state.put(i, at);
    }
    if (holds) return true;
    for (const i of block) state.take(i);
    if (pinned !== UNPLACED && state.of.pin[lead] !== NO_PIN) return false;
    // A window with too little room for all of it is passed as a whole when it was the start that was in the way.
    const w = slots.window[t]!;
    from = state.free[w]! < room && block.every((i) => length[i]! <= 1) ? slots.end[w]! : t + 1;
  }
  return false;
}

/** Put a work where it is dry; a wet meeting that was missed is waited for as dry. */
function putDry(state: PlanState, i: number, policy: PlacePolicy): void {
  const { wets, slots } = state.of;
  let from = readySlot(state, i);
  let missed = false;
  for (const wet of wets[i]!) {
    if (wet.from >= 0 && state.start[wet.from] === UNPLACED) return;
    from = Math.max(from, slots.from(driesAt(wet, wet.from < 0 ? 0 : state.endMs(wet.from))));
    missed = true;
  }
  const given = givenSlot(state, i, from, policy);
  const t = given !== UNPLACED ? given : choose(state, i, from, policy);
  if (t !== UNPLACED) state.put(i, t, missed);
}

/** Put a block of works whose predecessors all have their places. What has no place stays without. */
export function putBlock(state: PlanState, block: Block, policy: PlacePolicy): void {
  const meets = block.length > 1 || state.of.wets[block[0]!]!.length > 0;
  if (meets && putTogether(state, block, policy)) return;
  for (const i of block) putDry(state, i, policy);
}
