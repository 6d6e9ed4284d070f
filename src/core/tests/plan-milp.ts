/** The time-indexed MILP of a plan in the LP format, for a general solver: see `docs/method.md`, "The plan". */
import { compile, type Compiled } from '../schedule/compile';
import { mayBeIn } from '../schedule/place';
import { closesAt, readyAt } from '../schedule/waits';
import { USUAL_WEIGHTS as W, type PlanProblem } from '../schedule';

const DAY_MS = 86_400_000;

interface Starts {
  of: Compiled;
  /** Slots at which each work may start: inside one window, after its release. */
  allowed: number[][];
  endOf(i: number, t: number): number;
}

function startsOf(problem: PlanProblem): Starts {
  const of = compile(problem);
  const { slots, length, release } = of;
  const allowed = Array.from({ length: of.n }, (_, i) => {
    const list: number[] = [];
    for (let t = release[i]!; t < slots.count; t++)
      if (t + length[i]! <= slots.end[slots.window[t]!]! && mayBeIn(of, i, t)) list.push(t);
    return list;
  });
  return { of, allowed, endOf: (i, t) => slots.start[t]! + length[i]! * slots.ms };
}

/** Sums of variables with a factor each; the empty sum is a variable that is nothing. */
type Term = [factor: number, variable: string];
const sum = (terms: Term[]): string =>
  terms.length === 0
    ? '0 zero'
    : terms.map(([f, v]) => `${f < 0 ? '-' : '+'} ${Math.abs(f).toFixed(9)} ${v}`).join(' ');

/**
 * LP text whose optimum is the least J. Wet pairs are hard: the problem must allow them all. The variables are "begun by
 * slot t", not "begins at t": waits then join two variables each, and the solver is some ten times as quick (Pritsker &
 * Watters' step form; from memory).
 */
export function milpOf(problem: PlanProblem): string {
  const { of, allowed, endOf } = startsOf(problem);
  const { slots, length, n } = of;
  const rows: string[] = [];
  const row = (left: Term[], relation: string, right: string) =>
    rows.push(` r${rows.length}: ${sum(left)} ${relation} ${right}`);
  /** Begun by the k-th of the slots it may begin at; nothing before the first. */
  const by = (i: number, k: number, factor = 1): Term[] => (k < 0 ? [] : [[factor, `y${i}_${k}`]]);
  /** Begins at one of the slots it may begin at from the a-th on, before the b-th. */
  const within = (i: number, a: number, b: number, factor = 1): Term[] =>
    b <= a ? [] : [...by(i, b - 1, factor), ...by(i, a - 1, -factor)];
  /** How many of the slots a work may begin at come before one. */
  const before = (i: number, t: number): number => {
    let low = 0;
    let high = allowed[i]!.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (allowed[i]![middle]! < t) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  for (let i = 0; i < n; i++) {
    row(by(i, allowed[i]!.length - 1), '=', '1');
    for (let k = 1; k < allowed[i]!.length; k++) row([...by(i, k - 1), ...by(i, k, -1)], '<=', '0');
  }
  for (let t = 0; t < slots.count; t++) {
    const on: Term[] = [];
    for (let i = 0; i < n; i++)
      on.push(...within(i, before(i, t - length[i]! + 1), before(i, t + 1)));
    if (on.length > 1) row(on, '<=', '1');
  }
  for (let j = 0; j < n; j++) {
    const waits = [
      ...of.lags[j]!.map((lag) => ({
        from: lag.from,
        ready: (t: number) => readyAt(lag, endOf(lag.from, t)),
      })),
      ...of.wets[j]!.map((wet) => ({ from: wet.from, ready: (t: number) => endOf(wet.from, t) })),
    ];
    for (const { from, ready } of waits) {
      let soon = 0;
      allowed[j]!.forEach((t, k) => {
        // Begun by t at the latest only if the other was ready by then.
        while (soon < allowed[from]!.length && ready(allowed[from]![soon]!) <= slots.start[t]!)
          soon += 1;
        row([...by(j, k), ...by(from, soon - 1, -1)], '<=', '0');
      });
    }
    for (const wet of of.wets[j]!)
      allowed[wet.from]!.forEach((s, k) => {
        const late = closesAt(wet, slots.start[s]!);
        const a = before(j, s + length[wet.from]!);
        let b = a;
        while (b < allowed[j]!.length && endOf(j, allowed[j]![b]!) <= late) b += 1;
        row([...within(wet.from, k, k + 1), ...within(j, a, b, -1)], '<=', '0');
      });
  }
  const cost: string[] = [];
  of.goals.forEach((goal, g) => {
    cost.push(`${W.finishDay} F${g}`);
    for (const end of goal.ends) {
      const i = end.from;
      if (i < 0) continue;
      const days = allowed[i]!.map((t) => (readyAt(end, endOf(i, t)) - problem.nowMs) / DAY_MS);
      // As late as the last slot, less what it is earlier when it has begun before.
      const earlier = days.slice(0, -1).map((d, k): Term => [days[k + 1]! - d, `y${i}_${k}`]);
      row([[1, `F${g}`], ...earlier], '>=', days.at(-1)!.toFixed(9));
    }
    if (goal.dueMs === null) return;
    cost.push(`${W.lateDay * goal.weight} T${g}`);
    row(
      [
        [1, `T${g}`],
        [-1, `F${g}`],
      ],
      '>=',
      (-(goal.dueMs - problem.nowMs) / DAY_MS).toFixed(9),
    );
  });
  const binaries: string[] = [];
  for (let w = 0; w < slots.first.length; w++) {
    const inside = (i: number): Term[] =>
      within(i, before(i, slots.first[w]!), before(i, slots.end[w]!));
    const here = Array.from({ length: n }, (_, i) => i).filter((i) => inside(i).length > 0);
    if (here.length === 0) continue;
    cost.push(`${W.session} o${w}`);
    const mediums = new Set(here.map((i) => of.medium[i]!));
    for (const i of here) {
      const q = of.medium[i]! < 0 ? `o${w}` : `q${w}_${of.medium[i]!}`;
      row([...inside(i), [-1, q]], '<=', '0');
    }
    mediums.delete(-1);
    for (const m of mediums)
      row(
        [
          [1, `q${w}_${m}`],
          [-1, `o${w}`],
        ],
        '<=',
        '0',
      );
    if (mediums.size > 1) {
      cost.push(`${W.mediumChange} c${w}`);
      row([...[...mediums].map((m): Term => [1, `q${w}_${m}`]), [-1, `c${w}`]], '<=', '1');
    }
    binaries.push(`o${w}`, ...[...mediums].map((m) => `q${w}_${m}`));
  }
  for (let i = 0; i < n; i++) binaries.push(...allowed[i]!.map((_, k) => `y${i}_${k}`));
  return [
    'Minimize',
    ` j: ${cost.join(' + ')}`,
    'Subject To',
    ...rows,
    'Bounds',
    ' zero = 0',
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
  ].join('\n');
}
