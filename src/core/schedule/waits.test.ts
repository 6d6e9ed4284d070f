import fc from 'fast-check';
import { USUAL_WEIGHTS, type PlanProblem } from '.';
import { DAY_MS } from '../drying';
import { instance, STUDIO, uniformOf, type InstanceShape } from '../tests/plan-instances';
import { all } from './anneal';
import { compile, type Compiled } from './compile';
import { forward } from './forward';
import { meetingFrom } from './meeting';
import { layOut, PlanState } from './state';
import { reachOf, tailsOf } from './tails';
import { closedAfter, closesAt, doneAfter, driesAt, readyAt, slotAfter } from './waits';

const SEED = 20261130;
const WET: InstanceShape = { ...STUDIO[0]!, wetShare: 0.5, days: 40 };
const seeds = fc.integer({ min: 1, max: 1e6 });
const some = { numRuns: 6, seed: SEED };

const endOf = ({ slots, length }: Compiled, i: number, t: number): number =>
  slots.start[t]! + length[i]! * slots.ms;

describe('waits', () => {
  test('looked up by slot they are what the clocks say, asked once or twice', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const of = compile(instance(seed, WET));
        const lags = of.lags.flat();
        expect(lags.length).toBeGreaterThan(0);
        for (const lag of lags)
          for (let t = 0; t < of.slots.count; t += 7) {
            const ready = readyAt(lag, endOf(of, lag.from, t));
            for (let again = 0; again < 2; again++) {
              expect(slotAfter(of, lag, t)).toBe(of.slots.from(ready));
              expect(doneAfter(of, lag, t)).toBe(ready);
            }
          }
        for (const wet of of.wets.flat())
          for (let t = 0; t < of.slots.count; t += 7)
            for (let again = 0; again < 2; again++)
              expect(closedAfter(of, wet, t)).toBe(closesAt(wet, of.slots.start[t]!));
      }),
      some,
    );
  });

  test('paint dries after it has closed, and both come later for what is laid later', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const of = compile(instance(seed, WET));
        for (const wet of of.wets.flat()) {
          let before = 0;
          for (let t = 0; t < of.slots.count; t++) {
            const closes = closesAt(wet, of.slots.start[t]!);
            expect(closes).toBeGreaterThan(of.slots.start[t]!);
            expect(driesAt(wet, of.slots.start[t]!)).toBeGreaterThan(closes);
            expect(closes).toBeGreaterThanOrEqual(before);
            before = closes;
          }
        }
      }),
      some,
    );
  });
});

/** Every way of placing a block in an empty calendar from a slot on, by trying all of them. */
function canBeHad(of: Compiled, block: number[], begun: number): boolean {
  const { slots, length, wets, lags } = of;
  const at = new Map([[block[0]!, begun]]);
  const fits = (i: number, t: number) =>
    t + length[i]! <= slots.count &&
    slots.window[t] === slots.window[t + length[i]! - 1] &&
    [...at].every(([j, s]) => j === i || t >= s + length[j]! || t + length[i]! <= s) &&
    lags[i]!.every(
      (lag) =>
        !at.has(lag.from) ||
        slots.start[t]! >= readyAt(lag, endOf(of, lag.from, at.get(lag.from)!)),
    ) &&
    wets[i]!.every((wet) => {
      const from = at.get(wet.from);
      return (
        from === undefined ||
        (slots.start[t]! >= endOf(of, wet.from, from) &&
          endOf(of, i, t) <= closesAt(wet, slots.start[from]!) &&
          (!wet.sameSitting || slots.window[from] === slots.window[t]))
      );
    });
  const rest = (k: number): boolean => {
    const i = block[k];
    if (i === undefined) return true;
    for (let t = begun; t < slots.count; t++) {
      if (!fits(i, t)) continue;
      at.set(i, t);
      if (rest(k + 1)) return true;
      at.delete(i);
    }
    return false;
  };
  return fits(block[0]!, begun) && rest(1);
}

describe('where paint can be caught open', () => {
  const sitting = (problem: PlanProblem): PlanProblem => ({
    ...problem,
    works: problem.works.map((w) => ({
      ...w,
      wets: w.wets.map((wet) => ({ ...wet, sameSitting: true })),
    })),
  });

  test('is where some way of placing the works finds them open, and nowhere else', () => {
    let blocks = 0;
    let never = 0;
    fc.assert(
      fc.property(seeds, fc.boolean(), (seed, same) => {
        const short = { ...WET, paintings: 3, days: 6 };
        const problem = instance(seed, short);
        const of = compile(same ? sitting(problem) : problem);
        of.blocks.forEach((block, b) => {
          if (block.length === 1) return;
          blocks += 1;
          const can = of.slots.start.map((_, t) => (canBeHad(of, block, t) ? 1 : 0));
          if (!can.includes(1)) never += 1;
          for (let t = 0; t <= of.slots.count; t++) {
            const next = can.indexOf(1, t);
            expect(meetingFrom(of, b, t)).toBe(next < 0 ? of.slots.count : next);
          }
        });
      }),
      { numRuns: 12, seed: SEED },
    );
    // Both kinds were met, else this says nothing.
    expect(never).toBeGreaterThan(0);
    expect(blocks).toBeGreaterThan(never);
  });

  test('paint that is laid already is caught before it closes, or not at all', () => {
    const problem = instance(7, { ...STUDIO[0]!, days: 10 });
    const { films, works } = problem;
    const wet = {
      after: null,
      film: 0,
      dose: films[0]!.touch.median * 0.9,
      had: 0,
      sameSitting: false,
      dryDose: films[0]!.touch.median,
    };
    const of = compile({
      ...problem,
      works: works.map((w, i) => (i === 0 ? { ...w, wets: [wet] } : w)),
    });
    const b = of.blockOf[0]!;
    const closes = closesAt(of.wets[0]![0]!, 0);
    const last = of.slots.start.findLastIndex(
      (_, t) =>
        endOf(of, 0, t) <= closes && of.slots.window[t] === of.slots.window[t + of.length[0]! - 1],
    );
    expect(last).toBeGreaterThanOrEqual(0);
    expect(meetingFrom(of, b, last)).toBe(last);
    expect(meetingFrom(of, b, last + 1)).toBe(of.slots.count);
  });
});

describe('what must still follow', () => {
  test('is never more than a plan with all the time there is takes', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const of = compile(instance(seed, STUDIO[1]!));
        const tails = tailsOf(of);
        const reach = reachOf(of);
        const state = new PlanState(of, USUAL_WEIGHTS);
        const random = uniformOf(seed);
        const urgency = Float64Array.from({ length: of.n }, random);
        forward(state, all(of), urgency, { bonus: 0, fill: 0, least: 0 });
        const { slots } = of;
        for (let i = 0; i < of.n; i++) {
          const g = of.project[i]!;
          const from = slots.start[state.start[i]!]!;
          // A day of the wall is a dose of a day, but for the swing of the instances: 0.16 at the most.
          expect(from + (tails[i]! - 0.17) * DAY_MS).toBeLessThanOrEqual(state.finishMs(g));
          const last = Math.max(...[...of.following[i]!].map((j) => state.endMs(j)));
          expect(from + (reach[i]! - 0.17 * 4) * DAY_MS).toBeLessThanOrEqual(last);
          expect(reach[i]!).toBeLessThanOrEqual(tails[i]!);
        }
      }),
      some,
    );
  });

  test('of a last work it is its own hours, and with its film what that still needs', () => {
    const problem = instance(3, STUDIO[0]!);
    const of = compile(problem);
    const tails = tailsOf(of);
    const reach = reachOf(of);
    for (const { ends } of of.goals)
      for (const end of ends) {
        const own = (of.length[end.from]! * of.slots.ms) / DAY_MS;
        expect(reach[end.from]).toBeCloseTo(own, 9);
        expect(tails[end.from]).toBeCloseTo(own + end.dose, 9);
      }
  });
});

test('parts laid out in one buffer do not touch, and begin at whole words', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 99 }), { minLength: 1 }), (bytes) => {
      const { buffer, at } = layOut(bytes);
      bytes.forEach((size, k) => {
        expect(at[k]! % 8).toBe(0);
        expect(at[k]! + size).toBeLessThanOrEqual(at[k + 1] ?? buffer.byteLength);
      });
    }),
    { numRuns: 50, seed: SEED },
  );
});

test('a copy of a plan is the plan, and goes its own way afterwards', () => {
  const of = compile(instance(5, STUDIO[0]!));
  const state = new PlanState(of, USUAL_WEIGHTS);
  const policy = { bonus: 3, fill: 0, least: 0 };
  forward(state, all(of), tailsOf(of), policy);
  const copy = new PlanState(of, USUAL_WEIGHTS);
  copy.copy(state);
  expect(copy.cost()).toBe(state.cost());
  expect([...copy.start]).toEqual([...state.start]);
  const cost = state.cost();
  copy.take(0);
  expect(state.cost()).toBe(cost);
  expect(copy.unplaced).toBe(1);
  expect(copy.roomFrom(0)).toBeLessThanOrEqual(state.roomFrom(0));
  copy.put(0, state.start[0]!);
  expect(copy.cost()).toBeCloseTo(cost, 9);
});
