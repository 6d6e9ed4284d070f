import { REFERENCE_CLIMATE } from '@/core/drying';
import { starterCabinet } from '@/core/cabinet';
import { glazeForPassage } from '@/core/glaze/for-passage';
import { NO_SWATCHES } from '@/core/optics/composition';
import { repairsFor } from '@/core/repair';
import { NOW_MS, optionsAt, stackOf } from '@/core/tests/paintings';
import { part, recipe, tube } from '@/core/tests/recipes';
import { NEW_PLAN_RECORD } from '@/core/plan-record/record';
import { USUAL_DEADLINE } from '@/core/painting/deadline';
import { planStudio } from '@/core/schedule/studio-plan';
import { USUAL_HABITS } from '@/core/session/habits';
import { USUAL_PACE } from '@/core/session/pace';
import { solveRepairs, solveWishes } from './client';
import { demoPhoto } from '../../demo/pictures';
import { demoStudio } from '../../demo/studio';
import {
  cornersReplySchema,
  lookReplySchema,
  mapReplySchema,
  stepReplySchema,
} from './looking-protocol';
import type { Photo } from '@/core/looking/photo';
import { looker } from './looking-solver';
import { COLOUR_SOLVER } from './colour-solver';
import { solveTarget } from './colour-client';
import { solvePlan } from './plan-client';
import { HELPER, PLANNER } from './planner';
import { reply, repairsSchema, unpack } from './protocol';
import { SOLVER } from './solver';

const WHITE = [tube('titanium-white')];
const painting = stackOf([
  recipe(WHITE, 0.3, [part('stand-oil')], 15),
  recipe(WHITE, 0.1, [part('stand-oil'), part('mineral-spirits')], 20),
]);
const request = {
  painting,
  coatId: 'c1',
  school: 'total-oil' as const,
  climate: REFERENCE_CLIMATE,
  air: null,
  learned: null,
  nowMs: NOW_MS,
};

test('what comes out of the worker is what the core says', async () => {
  const direct = repairsFor({ painting, coatId: 'c1', school: 'total-oil' }, optionsAt());
  expect(direct.length).toBeGreaterThan(0);
  await expect(solveRepairs(request)).resolves.toEqual(direct);
  // And it survives the crossing as plain data.
  expect(structuredClone(SOLVER.repairs(request))).toEqual({ ok: true, value: direct });
});

test('wishes cross too', async () => {
  const DAY = 86_400_000;
  const answers = await solveWishes({
    ...request,
    school: 'added-oil',
    wish: { kind: 'dry-by', atMs: NOW_MS + 4 * DAY, layAtMs: NOW_MS, chance: 0.75 },
  });
  expect(answers.length).toBeGreaterThan(0);
});

test('a request that is no good is refused with a reason; nothing is guessed', async () => {
  const bad = { ...request, climate: { ...REFERENCE_CLIMATE, temperatureC: 900 } };
  await expect(solveRepairs(bad)).rejects.toThrow(/Temperature must be between/);
  expect(SOLVER.wishes({ ...request, wish: null })).toMatchObject({ ok: false });
});

test('an answer that is no answer is not passed on', () => {
  expect(() => unpack(repairsSchema, { ok: true, value: [{ kind: 'magic' }] })).toThrow();
  expect(() =>
    unpack(
      repairsSchema,
      reply(() => {
        throw new RangeError('too far');
      }),
    ),
  ).toThrow('too far');
});

describe('the planning worker', () => {
  const studio = {
    paintings: [painting],
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
    draws: 400,
    quick: true,
  };

  test('what comes out is what the core says', async () => {
    const { result } = solvePlan(studio, () => undefined);
    await expect(result).resolves.toEqual({ ended: 'done', plan: await planStudio(studio) });
  });

  test('one that is cancelled answers that it was, and tells no more', async () => {
    const told = jest.fn();
    const job = solvePlan(studio, told);
    job.cancel();
    await expect(job.result).resolves.toEqual({ ended: 'cancelled' });
    told.mockClear();
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(told).not.toHaveBeenCalled();
  });

  test('with a second one at work it is the same plan', async () => {
    const dated = {
      ...studio,
      quick: false,
      paintings: studio.paintings.map((p) => ({
        ...p,
        planning: { ...USUAL_DEADLINE, dueAt: '2026-06-30T12:00:00.000Z' },
      })),
    };
    const draw = jest.fn(HELPER.draw);
    const delay = jest.fn(HELPER.delay);
    const both = await PLANNER.plan(dated, undefined, { ...HELPER, draw, delay });
    expect(draw).toHaveBeenCalledTimes(1);
    expect(both).toEqual({ ok: true, value: await planStudio(dated) });
  });

  test('what the second one fails at is done by the first', async () => {
    const longer = { ...studio, quick: false };
    const fails = () => ({ ok: false, code: 'failed', message: 'no' }) as const;
    const answer = await PLANNER.plan(longer, undefined, { ...HELPER, prepare: fails });
    expect(answer).toEqual({ ok: true, value: await planStudio(longer) });
  });

  test('progress is told, to the end', async () => {
    const told: number[] = [];
    await expect(PLANNER.plan(studio, (done) => told.push(done))).resolves.toMatchObject({
      ok: true,
    });
    expect(told.length).toBeGreaterThan(3);
    expect(told.at(-1)).toBe(1);
    expect([...told].sort((a, b) => a - b)).toEqual(told);
  });

  test('a request that is no good is refused with a reason', async () => {
    const { result } = solvePlan({ ...studio, draws: 0 }, () => undefined);
    await expect(result).rejects.toThrow(/draws/);
  });
});

describe('the colour worker', () => {
  const asked = {
    painting,
    passageId: painting.passages[0]!.id,
    tubes: [tube('titanium-white'), tube('burnt-sienna')],
    medium: [part('stand-oil')],
    mostMediumShare: 0.9,
    leastUm: 3,
    mostUm: 40,
    usualUm: 12,
    uneven: 0.3,
    wanted: [60, 25, 40] as [number, number, number],
    mostPaints: 1 as const,
  };
  const about = {
    cabinet: starterCabinet(),
    climate: REFERENCE_CLIMATE,
    air: null,
    learned: null,
    nowMs: NOW_MS,
  };
  const target = { ...asked, ...about };

  test('what comes out is what the core says, and survives the crossing', async () => {
    const direct = glazeForPassage(asked, optionsAt(), NO_SWATCHES);
    expect(direct?.answers.length).toBeGreaterThan(0);
    const told: number[] = [];
    const { result } = solveTarget(target, (share) => told.push(share));
    await expect(result).resolves.toEqual(direct);
    expect(told.length).toBeGreaterThan(0);
  });

  test('a passage that is gone, and a request that is none, are refused in words', async () => {
    const gone = solveTarget({ ...target, passageId: 'gone' }, () => undefined);
    await expect(gone.result).rejects.toThrow('That passage is not there any more.');
    expect(COLOUR_SOLVER.target({ ...target, uneven: 2 })).toMatchObject({ ok: false });
  });
});

describe('the worker that looks at pictures', () => {
  const still = demoStudio(NOW_MS).paintings.find((p) => p.looking)!;
  const { looking } = still;
  const shotOf = (id: string) => ({
    picture: looking!.pictures.find((p) => p.id === id)!,
    jpeg: id,
  });
  // Making them is the slow part here: each once.
  const made = new Map<string, Photo>();
  const decoded = jest.fn((id: string) => {
    const photo = made.get(id) ?? demoPhoto(id)!;
    made.set(id, photo);
    return Promise.resolve(photo);
  });
  const jobs = looker(decoded);
  const request = {
    support: still.support,
    work: shotOf('demo-look-3'),
    design: shotOf('demo-look-design'),
    before: null,
    looking,
    passageIds: still.passages.map((p) => p.id),
    edges: false,
    distancesM: [3],
    viewM: 1.5,
    brushMm: 2,
  };

  test('it tells the slate, decodes each photo once, and draws what is asked', async () => {
    const told: number[] = [];
    const answer = await jobs.look(request, (share) => told.push(share));
    const { looked, histograms, marks } = unpack(lookReplySchema, answer);
    const slate = still.passages.find((p) => p.name === 'slate')!.id;
    expect(looked.key!.residuals.find((r) => r.id === slate)!.L).toBeGreaterThan(10);
    expect(histograms.map((h) => h.work.reduce((s, v) => s + v, 0))).toEqual(
      histograms.map(() => expect.closeTo(1, 6)),
    );
    expect(marks!.share).toBeLessThan(0.1);
    expect(told.at(-1)).toBeGreaterThan(0.8);
    const drawn = {
      k: 5,
      way: 'breaks',
      thresholds: null,
      squintMm: 0,
      distanceM: null,
      mostPx: 120,
      key: 'fit',
      against: null,
    };
    const map = async (view: string) =>
      unpack(
        mapReplySchema,
        await jobs.map({ support: still.support, shot: shotOf('demo-look-3'), view, ...drawn }),
      );
    const masses = await map('masses');
    expect(new Set(masses.rgba.filter((_, i) => i % 4 === 0)).size).toBe(5);
    expect(masses.shares.reduce((s, v) => s + v, 0)).toBeCloseTo(1, 9);
    expect((await map('grey')).width).toBeLessThanOrEqual(120);
    expect(decoded).toHaveBeenCalledTimes(2);
  });

  test('corners: proposed, and those of a finger moved to the sides', async () => {
    const { picture, jpeg } = shotOf('demo-look-3');
    const truth = picture.corners!;
    const off = (found: readonly (readonly [number, number])[]) =>
      Math.max(
        ...found.map(([x, y], i) =>
          Math.hypot((x - truth[i]![0]) * picture.width, (y - truth[i]![1]) * picture.height),
        ),
      );
    const ask = async (corners: [number, number][] | null) =>
      unpack(cornersReplySchema, await jobs.corners({ support: still.support, jpeg, corners }));
    const proposed = await ask(null);
    expect(proposed.found).toBe(true);
    expect(off(proposed.corners!)).toBeLessThan(1);
    const tapped = truth.map(([x, y], i): [number, number] => [x + 0.006 * (i % 2), y - 0.005]);
    expect(off((await ask(tapped)).corners!)).toBeLessThan(0.5);
  });

  test('one photo after the other: values, and what changed between', async () => {
    const { support, passageIds } = request;
    const [one, two] = [shotOf('demo-look-2'), shotOf('demo-look-3')];
    const first = unpack(
      stepReplySchema,
      await jobs.step({ support, looking, passageIds, before: null, now: one }),
    );
    expect(first.change).toBeNull();
    const next = unpack(
      stepReplySchema,
      await jobs.step({ support, looking, passageIds, before: one, now: two }),
    );
    const slate = still.passages.find((p) => p.name === 'slate')!.id;
    // The demo lays it four values of L* darker between the two.
    expect(next.change!.passages.find((p) => p.id === slate)!.byL).toBeCloseTo(-4, 0);
    expect(next.change!.registeredMm!).toBeLessThan(1);
    expect(next.level).toBe('relative');
  });

  test('a request that is none is refused; corners that cannot be right are told', async () => {
    expect(await jobs.look({ ...request, support: null })).toMatchObject({ ok: false });
    const crossed = {
      ...request.work,
      picture: {
        ...request.work.picture,
        corners: [
          [0, 0],
          [1, 1],
          [1, 0],
          [0, 1],
        ],
      },
    };
    expect(await jobs.look({ ...request, work: crossed })).toMatchObject({
      ok: false,
      message: expect.stringMatching(/corners/),
    });
  });
});
