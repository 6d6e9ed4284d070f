import { CoreError } from '../errors';
import type { PlanProblem, PlanWork } from './problem';

const fail = (code: 'plan-unreadable' | 'plan-circle', where: string, message: string): never => {
  throw new CoreError(code, where, message);
};

/**
 * Refuses a problem that no plan can answer: works of the same name, waits for works that are not there, works that
 * wait for each other in a circle, windows out of order. Throws CoreError naming the work.
 */
export function checkProblem(problem: PlanProblem): void {
  const byId = new Map<string, PlanWork>();
  problem.works.forEach((work, i) => {
    if (byId.has(work.id))
      fail('plan-unreadable', `works.${i}.id`, `Two works have the id "${work.id}".`);
    if (!Number.isInteger(work.slots) || work.slots < 1)
      fail(
        'plan-unreadable',
        `works.${i}.slots`,
        `The work "${work.id}" must last a whole number of slots, 1 or more; got ${work.slots}.`,
      );
    byId.set(work.id, work);
  });
  const known = (id: string | null, where: string): void => {
    if (id !== null && !byId.has(id))
      fail('plan-unreadable', where, `Waits for the work "${id}", which is not in the plan.`);
  };
  problem.works.forEach((work, i) => {
    work.lags.forEach((lag, k) => known(lag.after, `works.${i}.lags.${k}`));
    work.wets.forEach((wet, k) => known(wet.after, `works.${i}.wets.${k}`));
  });
  problem.goals.forEach((goal, i) => {
    goal.ends.forEach((end, k) => known(end.after, `goals.${i}.ends.${k}`));
  });
  problem.windows.forEach(({ fromMs, toMs }, i) => {
    if (toMs < fromMs || (i > 0 && fromMs < problem.windows[i - 1]!.toMs))
      fail('plan-unreadable', `windows.${i}`, 'Windows must be in order and must not overlap.');
  });
  checkCircles(problem.works);
}

/** What must be done before a work: what it waits for, and what it is laid into. */
export const predecessorsOf = (work: PlanWork): string[] => [
  ...work.lags.flatMap((lag) => (lag.after === null ? [] : [lag.after])),
  ...work.wets.flatMap((wet) => (wet.after === null ? [] : [wet.after])),
];

function checkCircles(works: PlanWork[]): void {
  const byId = new Map(works.map((w) => [w.id, w]));
  const state = new Map<string, 'open' | 'done'>();
  const visit = (id: string, path: string[]): void => {
    if (state.get(id) === 'done') return;
    if (state.get(id) === 'open') {
      const circle = [...path.slice(path.indexOf(id)), id];
      fail(
        'plan-circle',
        id,
        `These works wait for each other in a circle: ${circle.join(' after ')}. Take one of the waits out.`,
      );
    }
    state.set(id, 'open');
    for (const before of predecessorsOf(byId.get(id)!)) visit(before, [...path, id]);
    state.set(id, 'done');
  };
  for (const { id } of works) visit(id, []);
}
