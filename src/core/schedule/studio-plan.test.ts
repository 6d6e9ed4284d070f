import { REFERENCE_CLIMATE } from '../drying';
import { assessPainting } from '../painting';
import { layCoat } from '../painting/events';
import { USUAL_DEADLINE } from '../painting/deadline';
import type { Deadline } from '../painting/deadline-schema';
import type { Coat, Painting } from '../painting/schema';
import { making, NOW, NOW_MS, optionsAt, stackOf } from '../tests/paintings';
import { part, recipe, tube } from '../tests/recipes';
import { USUAL_HABITS } from '../session/habits';
import { USUAL_PACE } from '../session/pace';
import { buildPlan, type Built } from './build';
import { keepForecasts, scoreOf, weeksOf } from '../plan-record/look-back';
import { mergeRecords, NEW_PLAN_RECORD } from '../plan-record/record';
import { keepOut, pinWorks } from '../plan-record/record-edit';
import { totalSigma } from './stage-dose';
import { stepsOf } from './steps';
import { planStudio, type StudioPlan, type StudioPlanInput } from './studio-plan';
import { suppose, takesAlkyd } from './what-if';

const WHITE = [tube('titanium-white')];
const OCHRE = [tube('yellow-ochre')];
const DAY = 86_400_000;

const planned = (over: Partial<Coat>[], planning: Partial<Deadline> = {}): Painting => ({
  ...stackOf(
    over.map((_, i) => recipe(i % 2 ? WHITE : OCHRE, 0.1, [part('stand-oil')], 40)),
    over,
  ),
  touches: [],
  planning: { ...USUAL_DEADLINE, ...planning },
});

const built = (painting: Painting, nowMs = NOW_MS): Built =>
  buildPlan({
    assessments: [assessPainting(painting, optionsAt(nowMs))],
    assess: optionsAt(nowMs),
    pace: USUAL_PACE,
    windows: [],
    pins: {},
    keptOut: {},
    redo: 0,
  });

const studio = (paintings: Painting[], over: Partial<StudioPlanInput> = {}): StudioPlanInput => ({
  paintings,
  record: NEW_PLAN_RECORD,
  pace: USUAL_PACE,
  habits: USUAL_HABITS,
  climate: REFERENCE_CLIMATE,
  air: null,
  learned: null,
  nowMs: NOW_MS,
  timeZone: 'Europe/Berlin',
  latitudeDeg: 50,
  whatIf: [],
  seed: 1,
  draws: 1000,
  quick: false,
  ...over,
});

describe('coats as works', () => {
  test('minutes by area and pace, in sittings where it may be interrupted', () => {
    const painting = planned([{ role: 'tone' }, { role: 'overpainting' }]);
    const [tone, over] = stepsOf(painting, USUAL_PACE);
    // 2000 cm2: minutes of the table at 1000 by the square root of two, to the next five; the long one in sittings.
    expect(tone).toMatchObject({ minutes: 25, workIds: [tone!.id] });
    expect(over).toMatchObject({ minutes: 215 });
    expect(over!.workIds).toHaveLength(2);
    const [fine] = stepsOf(planned([{ role: 'overpainting', fineness: 'fine' }]), USUAL_PACE);
    expect(fine!.minutes).toBe(385);
    const once = stepsOf(
      planned([{ role: 'overpainting', oneSitting: true, minutes: 90 }]),
      USUAL_PACE,
    );
    expect(once[0]).toMatchObject({ minutes: 90, workIds: [once[0]!.id] });
  });

  test('each coat waits for the one below at the chance and stage of its painting', () => {
    const dose = (planning: Partial<Deadline>) =>
      built(planned([{ role: 'tone' }, { role: 'glaze' }], planning)).problem.works[1]!.lags[0]!;
    expect(dose({})).toMatchObject({ stage: 'touch-dry' });
    expect(dose({ chance: 0.9 }).dose).toBeGreaterThan(dose({}).dose);
    expect(dose({ stage: 'recoat' }).dose).toBeGreaterThan(dose({}).dose);
  });

  test('a coat laid already is waited for by what is left of its dose', () => {
    const painting = planned([{ role: 'tone' }, { role: 'glaze' }]);
    const laid = layCoat(
      painting,
      {
        coatId: 'c0',
        passageIds: painting.coats[0]!.passageIds,
        at: NOW,
        intoWet: false,
        spot: null,
      },
      making(),
    );
    const lag = built(laid, NOW_MS + DAY).problem.works[0]!.lags[0]!;
    expect(lag.after).toBeNull();
    expect(lag.had).toBeCloseTo(1, 2);
  });

  test('wet into wet is a wait at the most', () => {
    const { works } = built(
      planned([{ role: 'tone' }, { role: 'overpainting', onto: 'wet' }]),
    ).problem;
    expect(works[1]!.lags).toEqual([]);
    expect(works[1]!.wets[0]).toMatchObject({ after: works[0]!.id });
  });

  test('varnish waits by its own rule', () => {
    const varnish: Partial<Coat> = {
      role: 'varnish',
      recipe: { ...recipe([], 0, [], 10), material: 'synthetic-varnish' },
    };
    const { works } = built(planned([{ role: 'tone' }, varnish])).problem;
    expect(works[1]!.lags[0]).toMatchObject({ stage: 'varnish-modern' });
    expect(works[1]!.lags[0]!.dose).toBeGreaterThanOrEqual(14);
  });

  test('a varnish waits for the knife coat that is planned under a thin glaze, longer than for one that lies free', () => {
    const thick = { ...planned([{ role: 'tone' }]).coats[0]!.recipe, thicknessUm: 300 };
    const varnish: Partial<Coat> = {
      role: 'varnish',
      recipe: { ...recipe([], 0, [], 10), material: 'synthetic-varnish' },
    };
    const waits = (coats: Partial<Coat>[]) =>
      built(planned([...coats, varnish])).problem.works.at(-1)!.lags;
    const under = waits([{ recipe: thick }, { role: 'glaze' }]);
    const free = waits([{ recipe: thick }])[0]!;
    const deep = under.find((l) => l.stage === 'varnish-modern-below')!;
    expect(deep.dose).toBeGreaterThan(1.5 * free.dose);
    expect(Math.max(...under.map((l) => l.dose))).toBe(deep.dose);
    // Where no varnish is planned, so does the date at which one may go on.
    const { goals } = built(
      planned([{ recipe: thick }, { role: 'glaze' }], { milestone: 'varnished' }),
    ).problem;
    expect(goals[0]!.ends.map((l) => l.stage)).toContain('varnish-modern-below');
  });
});

describe('coats done over', () => {
  const redoOf = (painting: Painting, redo: number) =>
    buildPlan({
      assessments: [assessPainting(painting, optionsAt(NOW_MS))],
      assess: optionsAt(NOW_MS),
      pace: USUAL_PACE,
      windows: [],
      pins: {},
      keptOut: {},
      redo,
    }).problem.works.map((w) => w.redo);
  const [both] = planned([{}]).coats.map((c) => c.passageIds.length);

  test('a step is asked once, when its last part is laid, and takes one of its passages', () => {
    const parts = stepsOf(planned([{ role: 'overpainting' }]), USUAL_PACE)[0]!.workIds.length;
    expect([parts, both]).toEqual([2, 2]);
    const [first, last] = redoOf(planned([{ role: 'overpainting' }]), 0.1);
    expect(first).toBeUndefined();
    // Two passages in two sittings: either is done over with chance 0.1, in one sitting as long.
    expect(last).toMatchObject({ chance: 0.2, sittings: 1, share: 1 });
  });

  test('not a tone, and nothing where the log shows none', () => {
    expect(redoOf(planned([{ role: 'tone' }]), 0.1)).toEqual([undefined]);
    expect(redoOf(planned([{ role: 'glaze' }]), 0)).toEqual([undefined]);
  });
});

describe('dates', () => {
  const goalOf = (milestone: Deadline['milestone']) =>
    built(planned([{ role: 'glaze' }], { milestone })).problem.goals[0]!.ends[0]!;

  test('a date is planned at nine chances in ten of touch-dry and of through-dry', () => {
    const { touch, through } = assessPainting(planned([{ role: 'glaze' }]), optionsAt())
      .passages[0]!.base.layers[0]!.times;
    const at = (x: { median: number; sigma: number }) =>
      x.median * Math.exp(1.2815515655 * x.sigma);
    const dry = Math.max(at(touch), at(through));
    const { dryHardOverTouch, recoatOverTouch } = optionsAt().handbook.constants;
    expect(goalOf('photographed').dose).toBeCloseTo(at(touch), 3);
    expect(goalOf('hung').dose).toBeCloseTo(Math.min(recoatOverTouch * at(touch), dry), 3);
    expect(goalOf('touch-dry').dose).toBeCloseTo(at(touch), 3);
    expect(goalOf('travel').dose).toBeCloseTo(Math.min(dryHardOverTouch * at(touch), dry), 3);
    expect(goalOf('varnished').dose).toBeCloseTo(Math.max(14, at(through)), 3);
  });

  test('a copy of a painting has films of its own', () => {
    const first = planned([{ role: 'glaze' }, { role: 'glaze' }]);
    const thick = (p: Painting): Painting => ({
      ...p,
      id: 'copy',
      coats: p.coats.map((c) => ({ ...c, recipe: { ...c.recipe, thicknessUm: 200 } })),
    });
    const both = [first, thick(first)].map((p) => assessPainting(p, optionsAt()));
    const { works } = buildPlan({
      assessments: both,
      assess: optionsAt(),
      pace: USUAL_PACE,
      windows: [],
      pins: {},
      keptOut: {},
      redo: 0,
    }).problem;
    const dose = (project: string) => works.filter((w) => w.project === project)[1]!.lags[0]!.dose;
    expect(dose('copy')).toBeGreaterThan(1.5 * dose(first.id));
  });
});

describe('edges', () => {
  const [jars, wall] = stackOf([]).passages.map((p) => p.id) as [string, string];
  const one = (id: string): Partial<Coat> => ({
    role: 'overpainting',
    passageIds: [id],
    minutes: 60,
  });
  const withEdge = (
    intent: Deadline['edges'][number]['intent'],
    coats: Partial<Coat>[],
  ): Painting => {
    const painting = planned(coats);
    const [a, b] = painting.passages.map((p) => p.id) as [string, string];
    const moved = painting.coats.map((c) => ({
      ...c,
      passageIds: c.passageIds.map((id) => (id === jars ? a : id === wall ? b : id)),
    }));
    return {
      ...painting,
      coats: moved,
      planning: { ...USUAL_DEADLINE, edges: [{ between: [a, b], intent }] },
    };
  };

  test('the painter’s own order of the passages is kept where one wants it', () => {
    const lags = (inOrder: boolean) => {
      const painting = withEdge('soft', [{ role: 'block-in', apart: true }]);
      const { works } = built({
        ...painting,
        planning: { ...painting.planning!, edges: [], inOrder },
      }).problem;
      return works.map((w) => w.lags.filter((l) => l.stage === 'order').map((l) => l.after));
    };
    const [first, second] = lags(true);
    expect([first, second!.length]).toEqual([[], 1]);
    expect(lags(false)).toEqual([[], []]);
  });

  test('paint goes into a couch in the sitting of the couch', () => {
    const { works } = built(
      planned([{ role: 'oiling-out' }, { role: 'overpainting', onto: 'wet' }]),
    ).problem;
    const at = works[1]!.wets.map((w) => [w.after, w.sameSitting]);
    expect([...new Set(at.map(String))]).toEqual([`${works[0]!.id},true`]);
    const paint = built(planned([{ role: 'block-in' }, { role: 'overpainting', onto: 'wet' }]));
    expect(paint.problem.works[1]!.wets.map((w) => w.sameSitting)).not.toContain(true);
    expect(paint.problem.works[1]!.wets.length).toBeGreaterThan(0);
  });

  test('lost: both sides in one sitting; soft: one while the strip along the other is open', () => {
    const wet = (intent: 'lost' | 'soft') =>
      built(withEdge(intent, [one(jars), one(wall)])).problem.works.at(-1)!.wets[0];
    expect(wet('lost')).toMatchObject({ sameSitting: true });
    expect(wet('soft')).toMatchObject({ sameSitting: false });
    expect(wet('soft')!.dose).toBeGreaterThan(0);
  });

  test('crisp: one side dry before the other', () => {
    const { works } = built(withEdge('crisp', [one(jars), one(wall)])).problem;
    const first = works.find((w) => w.lags.length === 0)!;
    expect(works.at(-1)!.lags).toContainEqual(
      expect.objectContaining({ after: expect.stringContaining(first.id), stage: 'touch-dry' }),
    );
  });

  test('one coat over a crisp edge is laid side by side, one after the other', () => {
    const painting = withEdge('crisp', [{ role: 'overpainting' }]);
    expect(stepsOf(painting, USUAL_PACE).map((s) => s.passageIds.length)).toEqual([1, 1]);
    expect(stepsOf(withEdge('soft', [{ role: 'overpainting' }]), USUAL_PACE)).toHaveLength(1);
    // A tone goes over everything; its edges are nobody's.
    expect(stepsOf(withEdge('crisp', [{ role: 'tone' }]), USUAL_PACE)).toHaveLength(1);
  });

  test('fine work waits for a dry place for the hand, unless it rests on a stick', () => {
    const base = withEdge('lost', [one(wall), { role: 'detail', passageIds: [jars], minutes: 60 }]);
    const painting: Painting = {
      ...base,
      touches: [[base.passages[0]!.id, base.passages[1]!.id]],
      planning: USUAL_DEADLINE,
    };
    const lagsOf = (p: Painting) => built(p).problem.works.at(-1)!.lags;
    expect(lagsOf(painting)).toHaveLength(1);
    expect(lagsOf({ ...painting, planning: { ...USUAL_DEADLINE, handOnStick: true } })).toEqual([]);
  });
});

test('where the hours do not do for both, the painting that comes first is done first', async () => {
  const due = new Date(NOW_MS + 4 * DAY).toISOString();
  const one = (id: string, importance: Deadline['importance']): Painting => ({
    ...planned(
      [
        { role: 'tone', minutes: 110 },
        { role: 'glaze', minutes: 110 },
      ],
      {
        dueAt: due,
        importance,
      },
    ),
    id,
  });
  const finishes = async (a: Deadline['importance'], b: Deadline['importance']) => {
    const made = await planStudio(studio([one('a', a), one('b', b)], { draws: 100 }));
    const of = (id: string) => made.plan.goals.find((g) => g.project === id)!.finishMs;
    return of('a') - of('b');
  };
  expect(await finishes('first', 'may-slip')).toBeLessThan(0);
  expect(await finishes('may-slip', 'first')).toBeGreaterThan(0);
});

test('the spread of a film, shared and own together, is the spread that its windows tell', () => {
  const painting = planned([{ role: 'tone' }, { role: 'glaze' }]);
  const assessment = assessPainting(painting, optionsAt());
  const { films } = built(painting).problem;
  const layers = assessment.passages[0]!.base.layers;
  expect(totalSigma(films[0]!.touch)).toBeCloseTo(layers[0]!.times.touch.sigma, 6);
  expect(films[0]!.touch.shared.some((x) => x > 0.3)).toBe(true);
});

describe('a studio planned', () => {
  const due = new Date(NOW_MS + 25 * DAY).toISOString();
  const paintings = [
    planned([{ role: 'tone' }, { role: 'glaze' }, { role: 'glaze' }], { dueAt: due }),
  ];
  let normal: StudioPlan;
  beforeAll(async () => {
    normal = await planStudio(studio(paintings));
  });

  test('sessions, odds and what delay costs', () => {
    expect(normal.plan.impossible).toEqual([]);
    const goal = normal.goals[0]!;
    expect(goal.chance).toBeGreaterThan(0.3);
    expect(goal.twenty).toHaveLength(20);
    const [delay] = normal.delays;
    expect(delay!.rows.length).toBeGreaterThan(3);
    const chances = delay!.rows.map((r) => r.chance);
    expect(Math.max(...chances)).toBe(chances[0]);
  });

  test('away for a fortnight: later, and less sure', async () => {
    const exception = {
      id: 'x',
      kind: 'away' as const,
      from: '2026-02-18',
      to: '2026-03-03',
      hours: null,
    };
    const away = await planStudio(studio(paintings, { whatIf: [{ kind: 'away', exception }] }));
    expect(away.goals[0]!.p50Ms).toBeGreaterThan(normal.goals[0]!.p50Ms + 5 * DAY);
    expect(away.goals[0]!.chance!).toBeLessThan(normal.goals[0]!.chance!);
    for (const s of away.plan.sessions)
      expect(
        s.fromMs < Date.parse('2026-02-17T23:00Z') || s.fromMs > Date.parse('2026-03-03T23:00Z'),
      ).toBe(true);
  });

  test('warmer, and with alkyd: sooner', async () => {
    const warm = await planStudio(studio(paintings, { whatIf: [{ kind: 'warmer', byC: 6 }] }));
    expect(warm.goals[0]!.p50Ms).toBeLessThan(normal.goals[0]!.p50Ms);
    const alkyd = await planStudio(
      studio(paintings, { whatIf: [{ kind: 'alkyd', paintingId: paintings[0]!.id }] }),
    );
    expect(alkyd.goals[0]!.p50Ms).toBeLessThan(normal.goals[0]!.p50Ms);
  });

  test('one coat less', () => {
    const { paintings: left } = suppose(paintings, NEW_PLAN_RECORD, [
      { kind: 'drop', paintingId: paintings[0]!.id, coatId: 'c2' },
    ]);
    expect(left[0]!.coats).toHaveLength(2);
    expect(paintings[0]!.coats).toHaveLength(3);
  });

  test('one coat less on one passage; what is laid of it stays', () => {
    const one = paintings[0]!;
    const ids = [one.passages[0]!.id, 'other'];
    const painting: Painting = {
      ...one,
      passages: [
        { ...one.passages[0]!, share: 0.5 },
        { ...one.passages[0]!, id: 'other', name: 'other', share: 0.5 },
      ],
      coats: one.coats.map((c) => ({ ...c, passageIds: ids })),
    };
    const drop = (p: Painting, passageIds?: string[]): string[][] =>
      suppose([p], NEW_PLAN_RECORD, [
        { kind: 'drop', paintingId: p.id, coatId: p.coats[0]!.id, passageIds },
      ]).paintings[0]!.coats.map((c) => c.passageIds);
    expect(drop(painting, ['other'])).toEqual([[ids[0]], ids, ids]);
    expect(drop(painting)).toEqual([ids, ids]);
    const laid = layCoat(
      painting,
      { coatId: painting.coats[0]!.id, passageIds: [ids[0]!], at: NOW, spot: null, intoWet: false },
      making(),
    );
    expect(drop(laid)).toEqual([[ids[0]], ids, ids]);
  });

  test('alkyd goes into oil paint with a medium alone', () => {
    const painting = paintings[0]!;
    const into = (change: (c: Coat) => Coat): boolean =>
      takesAlkyd(painting, change({ ...painting.coats.at(-1)!, role: 'glaze' }));
    const paint = (
      c: Coat,
      binder: 'linseed' | 'water-mixable' | 'acrylic',
      mediumShare = 0.3,
    ): Coat => ({
      ...c,
      recipe: {
        ...c.recipe,
        mix: [{ pigment: 'burnt-umber', binder, parts: 1 }],
        mediumShare,
        medium: [{ ingredient: 'stand-oil', parts: 1 }],
      },
    });
    expect(into((c) => paint(c, 'linseed'))).toBe(true);
    expect(into((c) => paint(c, 'linseed', 0))).toBe(false);
    expect(into((c) => paint(c, 'water-mixable'))).toBe(false);
    expect(into((c) => paint(c, 'acrylic'))).toBe(false);
    expect(into((c) => ({ ...paint(c, 'linseed'), role: 'varnish' }))).toBe(false);
  });

  test('the end can be stopped, and what there is comes back', async () => {
    const cut = await planStudio(studio(paintings), () => true);
    expect(cut.plan.stopped).toBe(true);
    expect(cut.plan.sessions.length).toBeGreaterThan(0);
  });

  test('a record from the worker survives the crossing', () => {
    expect(structuredClone(normal)).toEqual(normal);
  });

  test('forecasts are kept once a week and judged when their day is over', () => {
    const odds = { draws: 1000, goals: [], works: normal.works };
    const kept = keepForecasts(
      NEW_PLAN_RECORD,
      normal.plan,
      odds,
      normal.steps,
      NOW_MS,
      'Europe/Berlin',
    );
    expect(kept.forecasts.length).toBeGreaterThan(0);
    expect(kept.weeks[0]!.planned.length).toBeGreaterThan(0);
    expect(
      keepForecasts(kept, normal.plan, odds, normal.steps, NOW_MS + DAY, 'Europe/Berlin'),
    ).toBe(kept);

    const painting = paintings[0]!;
    const laid = layCoat(
      painting,
      {
        coatId: 'c0',
        passageIds: painting.coats[0]!.passageIds,
        at: NOW,
        intoWet: false,
        spot: null,
      },
      making(),
    );
    const after = { [painting.id]: laid };
    const score = scoreOf(kept.forecasts, after, NOW_MS + 60 * DAY);
    expect(score.nineInTen).toEqual({ said: kept.forecasts.length, held: 1 });
    expect(scoreOf(kept.forecasts, after, NOW_MS).nineInTen).toEqual({ said: 1, held: 1 });
    const [week] = weeksOf(kept, after, [], NOW_MS, 'Europe/Berlin');
    expect(week).toMatchObject({ doneSteps: 1, workedMinutes: 0 });
    expect(week!.plannedSteps).toBe(kept.weeks[0]!.planned.length);
  });
});

describe('the record', () => {
  test('a pin and a wait of one work exclude each other', () => {
    const pinned = pinWorks(NEW_PLAN_RECORD, { a: NOW_MS });
    expect(pinned.pins).toEqual([{ id: 'a', at: NOW }]);
    const waiting = keepOut(pinned, ['a'], { fromMs: NOW_MS, toMs: NOW_MS + DAY });
    expect(waiting.pins).toEqual([]);
    expect(pinWorks(waiting, { a: NOW_MS }).waits).toEqual([]);
  });

  test('two tabs lose nothing', () => {
    const mine = pinWorks(NEW_PLAN_RECORD, { a: NOW_MS });
    const theirs = { ...pinWorks(NEW_PLAN_RECORD, { b: NOW_MS }), alarmMinutes: 30 };
    const merged = mergeRecords(NEW_PLAN_RECORD, mine, theirs);
    expect(merged.pins.map((p) => p.id)).toEqual(['a', 'b']);
    expect(merged.alarmMinutes).toBe(30);
    expect(merged.revision).toBe(2);
  });
});
