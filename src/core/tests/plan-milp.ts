/** The time-indexed MILP of a plan in the LP format, for a general solver: see `docs/method.md`, "The plan". */
import { closesAt, compile, readyAt, type Compiled } from '../schedule/compile';
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
      if (t + length[i]! <= slots.end[slots.window[t]!]!) list.push(t);
    return list;
  });
  return { of, allowed, endOf: (i, t) => slots.start[t]! + length[i]! * slots.ms };
}

const x = (i: number, t: number) => `x${i}_${t}`;
const sum = (terms: string[]) => (terms.length === 0 ? '0 zero' : terms.join(' + '));

/** LP text whose optimum is the least J. Wet pairs are hard: the problem must allow them all. */
export function milpOf(problem: PlanProblem): string {
  const { of, allowed, endOf } = startsOf(problem);
  const { slots, length, n } = of;
  const rows: string[] = [];
  const row = (left: string, relation: string, right: string) =>
    rows.push(` r${rows.length}: ${left} ${relation} ${right}`);
  for (let i = 0; i < n; i++) row(sum(allowed[i]!.map((t) => x(i, t))), '=', '1');
  for (let t = 0; t < slots.count; t++) {
    const on: string[] = [];
    for (let i = 0; i < n; i++)
      for (const s of allowed[i]!) if (s <= t && t < s + length[i]!) on.push(x(i, s));
    if (on.length > 1) row(sum(on), '<=', '1');
  }
  for (let j = 0; j < n; j++) {
    const waits = [
      ...of.lags[j]!.map((lag) => ({
        from: lag.from,
        ready: (t: number) => readyAt(lag, endOf(lag.from, t)),
      })),
      ...of.wets[j]!.map((wet) => ({ from: wet.from, ready: (t: number) => endOf(wet.from, t) })),
    ];
    for (const { from, ready } of waits)
      for (const t of allowed[j]!) {
        // Started by t at the latest only if the other was ready by then.
        const mine = allowed[j]!.filter((s) => s <= t).map((s) => x(j, s));
        const theirs = allowed[from]!.filter((s) => ready(s) <= slots.start[t]!).map(
          (s) => ` - ${x(from, s)}`,
        );
        row(`${sum(mine)}${theirs.join('')}`, '<=', '0');
      }
    for (const wet of of.wets[j]!)
      for (const s of allowed[wet.from]!) {
        const late = closesAt(wet, slots.start[s]!);
        const fits = allowed[j]!.filter(
          (t) => t >= s + length[wet.from]! && endOf(j, t) <= late,
        ).map((t) => ` - ${x(j, t)}`);
        row(`${x(wet.from, s)}${fits.join('')}`, '<=', '0');
      }
  }
  const cost: string[] = [];
  of.goals.forEach((goal, g) => {
    cost.push(`${W.finishDay} F${g}`);
    for (const end of goal.ends) {
      if (end.from < 0) continue;
      const days = (t: number) => (readyAt(end, endOf(end.from, t)) - problem.nowMs) / DAY_MS;
      const terms = allowed[end.from]!.map((t) => ` - ${days(t).toFixed(9)} ${x(end.from, t)}`);
      row(`F${g}${terms.join('')}`, '>=', '0');
    }
    if (goal.dueMs === null) return;
    cost.push(`${W.lateDay * goal.weight} T${g}`);
    row(`T${g} - F${g}`, '>=', (-(goal.dueMs - problem.nowMs) / DAY_MS).toFixed(9));
  });
  const binaries: string[] = [];
  for (let w = 0; w < slots.first.length; w++) {
    const inside = (i: number) =>
      allowed[i]!.filter((t) => slots.window[t] === w).map((t) => x(i, t));
    const here = Array.from({ length: n }, (_, i) => i).filter((i) => inside(i).length > 0);
    if (here.length === 0) continue;
    cost.push(`${W.session} o${w}`);
    const mediums = new Set(here.map((i) => of.medium[i]!));
    for (const i of here) {
      const q = of.medium[i]! < 0 ? `o${w}` : `q${w}_${of.medium[i]!}`;
      row(`${inside(i).join(' + ')} - ${q}`, '<=', '0');
    }
    mediums.delete(-1);
    for (const m of mediums) row(`q${w}_${m} - o${w}`, '<=', '0');
    if (mediums.size > 1) {
      cost.push(`${W.mediumChange} c${w}`);
      row(`${[...mediums].map((m) => `q${w}_${m}`).join(' + ')} - c${w}`, '<=', '1');
    }
    binaries.push(`o${w}`, ...[...mediums].map((m) => `q${w}_${m}`));
  }
  for (let i = 0; i < n; i++) binaries.push(...allowed[i]!.map((t) => x(i, t)));
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
