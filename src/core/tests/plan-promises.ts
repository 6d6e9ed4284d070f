import { type Plan, type PlanProblem } from '../schedule';
import { compile } from '../schedule/compile';
import { closesAt, readyAt } from '../schedule/waits';

/** Everything a plan promises, of any problem; names the seed where it does not hold. */
export function holds(problem: PlanProblem, p: Plan): void {
  const of = compile(problem);
  const at = new Map(p.sessions.flatMap((s) => s.works.map((w) => [w.id, w] as const)));
  const missed = new Set(p.impossible.flatMap((x) => (x.kind === 'missed-wet' ? [x.work] : [])));
  const placed = [...at.values()].sort((a, b) => a.startMs - b.startMs);
  placed.forEach((w, k) => {
    if (k > 0) expect(w.startMs).toBeGreaterThanOrEqual(placed[k - 1]!.endMs);
    const inside = problem.windows.some((h) => w.startMs >= h.fromMs && w.endMs <= h.toMs);
    expect(inside).toBe(true);
  });
  problem.works.forEach((work, i) => {
    const mine = at.get(work.id);
    if (!mine) return;
    expect(mine.startMs).toBeGreaterThanOrEqual(work.notBeforeMs ?? problem.nowMs);
    for (const lag of of.lags[i]!) {
      const before = at.get(problem.works[lag.from]!.id)!;
      expect(mine.startMs).toBeGreaterThanOrEqual(readyAt(lag, before.endMs) - 1);
    }
    for (const wet of of.wets[i]!) {
      const before = at.get(problem.works[wet.from]!.id)!;
      expect(mine.startMs).toBeGreaterThanOrEqual(before.endMs);
      if (!missed.has(work.id))
        expect(mine.endMs).toBeLessThanOrEqual(closesAt(wet, before.startMs));
    }
  });
  expect(at.size + p.impossible.filter((x) => x.kind === 'no-room').length).toBe(
    problem.works.length,
  );
  expect(p.bound).toBeLessThanOrEqual(p.objective + 1e-6);
}
