import fc from 'fast-check';
import { USUAL_WEIGHTS } from '.';
import { instance, STUDIO, uniformOf } from '../tests/plan-instances';
import { all } from './anneal';
import { compile } from './compile';
import { forward } from './forward';
import { Front, frontOf } from './front';
import { valueOf, valueRoom } from './front-value';
import { PENALTY } from './problem';
import { Part, ruin } from './ruin';
import { SessionChoice, type Mood } from './session-choice';
import { PlanState, UNPLACED } from './state';
import { tailsOf } from './tails';

const seeds = fc.integer({ min: 1, max: 1e6 });
const some = { numRuns: 10, seed: 20261130 };

const studio = (seed: number, which = 1) => {
  const of = compile(instance(seed, STUDIO[which]!));
  return { of, tails: tailsOf(of), front: frontOf(of, USUAL_WEIGHTS, null) };
};
const moodOf = (goals: number, given: Partial<Mood> = {}): Mood => ({
  bonus: 0,
  fill: 0,
  tail: 1,
  load: 0,
  offset: new Float64Array(goals),
  ...given,
});

describe('what a session is filled with', () => {
  test('is ready, fits, stands once, and is told by its number', () => {
    fc.assert(
      fc.property(seeds, seeds, (seed, luck) => {
        const { of, tails, front } = studio(seed);
        const random = uniformOf(luck);
        const choices = new SessionChoice(of);
        const mood = moodOf(of.goals.length, { bonus: 20 * random(), load: 4 * random() });
        for (let w = 0; w < 12; w++) {
          choices.look(front, w);
          const told = choices.choose(front, w, mood, tails);
          const picks = Array.from(choices.pick.subarray(0, choices.picks));
          const at = Array.from(choices.at.subarray(0, choices.picks));
          expect(new Set(picks).size).toBe(picks.length);
          picks.forEach((i, k) => {
            const place = front.open.subarray(0, front.count).indexOf(i);
            expect(front.ready[place]!).toBeLessThanOrEqual(at[k]!);
            expect(at[k]!).toBeGreaterThanOrEqual(of.slots.first[w]!);
            expect(at[k]! + of.length[i]!).toBeLessThanOrEqual(at[k + 1] ?? of.slots.end[w]!);
          });
          // The same plan and mood choose the same.
          expect(choices.choose(front, w, mood, tails)).toBe(told);
          const before = front.count;
          choices.put(front);
          expect(picks.every((i, k) => front.state.start[i] === at[k])).toBe(true);
          // What was begun is open no more; what waits for it may be.
          const open = Array.from(front.open.subarray(0, front.count));
          expect(open.some((i) => picks.includes(i))).toBe(false);
          expect(front.count).toBeGreaterThanOrEqual(before - picks.length);
        }
      }),
      some,
    );
  });

  test('is the most urgent painting first, and one medium where that is worth enough', () => {
    let mixed = 0;
    fc.assert(
      fc.property(seeds, (seed) => {
        const { of, tails, front } = studio(seed, 4);
        const choices = new SessionChoice(of);
        const sooner = of.goals.length - 1;
        const offset = Float64Array.from(of.goals, (_, g) => (g === sooner ? -1e6 : 0));
        choices.look(front, 0);
        choices.choose(front, 0, moodOf(of.goals.length, { offset }), tails);
        expect(of.project[choices.pick[0]!]).toBe(sooner);
        const mediums = (bonus: number) => {
          choices.choose(front, 0, moodOf(of.goals.length, { bonus }), tails);
          return new Set(Array.from(choices.pick.subarray(0, choices.picks), (i) => of.medium[i]!));
        };
        const [usual, kept] = [mediums(0), mediums(1e6)];
        if (usual.size > kept.size) mixed += 1;
        expect(kept.size).toBeLessThanOrEqual(usual.size);
        // Another is put out only where nothing of the first fits any more.
        const room = of.slots.end[0]! - of.slots.first[0]!;
        const first = of.medium[choices.pick[0]!]!;
        const its = Array.from({ length: front.count }, (_, k) => front.open[k]!)
          .filter((i) => of.medium[i] === first && of.length[i]! === 1)
          .reduce((sum) => sum + 1, 0);
        if (its >= room) expect(kept.size).toBe(1);
      }),
      { ...some, numRuns: 20 },
    );
    expect(mixed).toBeGreaterThan(0);
  });
});

describe('what a plan on its way is worth', () => {
  test('is its cost once all of it stands, and the part that stands never costs more than is said', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const { of, tails, front } = studio(seed);
        const room = valueRoom(of);
        const choices = new SessionChoice(of);
        const mood = moodOf(of.goals.length, { bonus: 5 });
        for (let w = 0; w < of.slots.first.length && front.count > 0; w++) {
          choices.look(front, w);
          choices.choose(front, w, mood, tails);
          choices.put(front);
          const { sessions, mediumChanges } = front.state;
          const stands =
            USUAL_WEIGHTS.session * sessions + USUAL_WEIGHTS.mediumChange * mediumChanges;
          expect(valueOf(front, of.slots.end[w]!, tails, room)).toBeGreaterThan(stands);
        }
        expect(front.state.unplaced).toBe(0);
        expect(valueOf(front, of.slots.count, tails, room)).toBeCloseTo(front.state.cost(), 6);
      }),
      some,
    );
  });

  test('is dearer by more than anything else for each work that has no place', () => {
    const { of, tails, front } = studio(4);
    const room = valueRoom(of);
    const whole = valueOf(front, 0, tails, room);
    front.lost += 1;
    expect(valueOf(front, 0, tails, room)).toBeCloseTo(whole + PENALTY, 6);
    // Near the end of the calendar what does not fit any more is counted by how far it reaches over it.
    front.lost -= 1;
    expect(valueOf(front, of.slots.count - 1, tails, room)).toBeGreaterThan(whole + PENALTY);
  });

  test('a plan that is gone on with in two ways is not one', () => {
    const { of, tails, front } = studio(9);
    const other = new Front(of, USUAL_WEIGHTS);
    other.copy(front);
    const choices = new SessionChoice(of);
    choices.look(other, 0);
    choices.choose(other, 0, moodOf(of.goals.length), tails);
    choices.put(other);
    expect(other.state.unplaced).toBeLessThan(of.n);
    expect(front.state.unplaced).toBe(of.n);
    expect([...front.load].reduce((a, b) => a + b, 0)).toBeGreaterThan(
      [...other.load].reduce((a, b) => a + b, 0),
    );
  });
});

test('a part that is taken out and put back leaves the plan as it was, and its cost is what changes', () => {
  fc.assert(
    fc.property(seeds, fc.constantFrom(0, 1, 4), (seed, which) => {
      const { of, tails } = studio(seed, which);
      const state = new PlanState(of, USUAL_WEIGHTS);
      const policy = { bonus: 3, fill: 0, least: 0 };
      forward(
        state,
        all(of),
        tails.map((t) => -t),
        policy,
      );
      const random = uniformOf(seed);
      const part = new Part(of);
      const closed = new Uint8Array(of.slots.first.length);
      for (let k = 0; k < 20; k++) {
        const stood = [...state.start];
        const cost = state.cost();
        ruin(state, random, closed, part);
        if (part.works.length === 0) continue;
        // With a work goes everything that waits for it.
        const has = new Set(part.works);
        expect(part.works.every((i) => [...of.following[i]!].every((j) => has.has(j)))).toBe(true);
        const was = part.costIn(state);
        part.take(state);
        expect(part.works.every((i) => state.start[i] === UNPLACED)).toBe(true);
        expect(part.works.every((i) => part.stood(i) === stood[i])).toBe(true);
        expect(state.cost() - cost).toBeCloseTo(part.costIn(state) - was, 4);
        part.putBack(state);
        expect([...state.start]).toEqual(stood);
        expect(state.cost()).toBeCloseTo(cost, 6);
      }
    }),
    some,
  );
});
