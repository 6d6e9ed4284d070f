import { learn, type Learning } from '@/core/learn/learn';
import type { Reading } from '@/core/climate';
import type { StudioPlan } from '@/core/schedule/studio-plan';
import { beginSession, addPhoto, endSession } from '@/core/session';
import { making, newPainting, NOW, NOW_MS } from '@/core/tests/paintings';
import type { PlanOutcome } from '@/workers/plan-client';
import type { PlanRequest } from '@/workers/plan-protocol';
import { takeInHours } from '../actions';
import { PHOTO_PREFIX, PREFIX } from '../keep/documents';
import { draftDropped, draftKept } from '../drafts';
import type { KeptDraft } from '../keep/draft-schema';
import { paintingArrived } from '../paintings';
import { planLeftAlone, planningStopped, planWatched } from '../planned';
import { ticked } from '../present';
import { planRecordOf } from '../plan';
import { selectPlanKey } from '../select-plan';
import { settingsChanged } from '../studio';
import { memoryStorage } from '../tests/memory-storage';
import { laidFirst, settled, storeWith, touched } from '../tests/studios';
import { keepDrafts } from '../keep/keep-drafts';
import { readKeptPlan, writeKeptPlan } from './kept-plan';
import { learnFromTests } from './learn';
import { keepLogger, type LoggerLine } from './logger';
import { keepPlanned } from './plan';
import { sweepPhotos } from './sweep-photos';
import { keepTime } from './tick';

beforeEach(() => jest.useFakeTimers({ now: NOW_MS, doNotFake: ['nextTick', 'queueMicrotask'] }));
afterEach(() => jest.useRealTimers());

/** Time goes on, and what waited for it is done. */
async function pass(ms: number): Promise<void> {
  await settled();
  await jest.advanceTimersByTimeAsync(ms);
  await settled();
}

describe('learning', () => {
  const untaught = learn([]);
  const learning = (tests: number): Learning => ({
    ...untaught,
    learned: { ...untaught.learned, tests },
  });

  test('is done at the start, and again only when what the tests say has changed', async () => {
    const painting = laidFirst();
    const store = storeWith(painting);
    const solve = jest.fn(({ evidence }) => Promise.resolve(learning(evidence.length)));
    learnFromTests(store, solve);
    await settled();
    store.dispatch(ticked(NOW_MS + 3_600_000));
    store.dispatch(paintingArrived({ ...painting, title: 'Renamed' }));
    await settled();
    expect(solve).toHaveBeenCalledTimes(1);
    store.dispatch(paintingArrived(touched(painting)));
    await settled();
    expect(solve).toHaveBeenCalledTimes(2);
    expect(store.getState().learned.learned).toMatchObject({ tests: 1 });
  });

  test('of two that are under way only the newer counts', async () => {
    const painting = laidFirst();
    const store = storeWith(painting);
    const answers: ((value: Learning) => void)[] = [];
    learnFromTests(store, () => new Promise((resolve) => answers.push(resolve)));
    store.dispatch(paintingArrived(touched(painting)));
    await settled();
    expect(answers).toHaveLength(2);
    answers[1]!(learning(1));
    await settled();
    answers[0]!(learning(0));
    await settled();
    expect(store.getState().learned.learned).toMatchObject({ tests: 1 });
  });

  test('that fails is said, and the forecasts stay as they were', async () => {
    const store = storeWith(touched(laidFirst()));
    learnFromTests(store, () => Promise.reject(new Error('too little memory')));
    await settled();
    expect(store.getState().learned).toMatchObject({
      learned: null,
      problem: 'too little memory',
    });
  });

  test('ended, it listens no more', async () => {
    const painting = laidFirst();
    const store = storeWith(painting);
    const solve = jest.fn(() => Promise.resolve(learning(0)));
    learnFromTests(store, solve)();
    store.dispatch(paintingArrived(touched(painting)));
    await settled();
    expect(solve).toHaveBeenCalledTimes(1);
  });
});

/** A plan of nothing, told apart by its draws. */
const planOf = (draws: number): StudioPlan => ({
  plan: {
    sessions: [],
    goals: [],
    impossible: [],
    objective: 0,
    bound: 0,
    firstObjective: 0,
    rounds: 0,
    stopped: false,
  },
  goals: [],
  works: [{ id: 'never', p50Ms: Infinity, p90Ms: Infinity }],
  draws,
  steps: [],
  refused: [],
  windows: [],
  delays: [],
});

/** A planner whose answers the test gives. */
function planner() {
  const jobs: {
    request: PlanRequest;
    answer: (draws: number) => void;
    fail: (reason: string) => void;
    cancelled: boolean;
  }[] = [];
  const solve = (request: PlanRequest) => {
    let answerNow: (outcome: PlanOutcome) => void = () => undefined;
    let failNow: (error: Error) => void = () => undefined;
    const result = new Promise<PlanOutcome>((resolve, reject) => {
      answerNow = resolve;
      failNow = reject;
    });
    const job = {
      request,
      answer: (draws: number) => answerNow({ ended: 'done', plan: planOf(draws) }),
      fail: (reason: string) => failNow(new Error(reason)),
      cancelled: false,
    };
    jobs.push(job);
    return {
      result,
      cancel() {
        job.cancelled = true;
        answerNow({ ended: 'cancelled' });
      },
    };
  };
  return { jobs, solve };
}

describe('the plan', () => {
  test('is made once for its input: a first one, then the settled one, which is kept', async () => {
    const store = storeWith(newPainting());
    const { storage } = memoryStorage();
    const { jobs, solve } = planner();
    keepPlanned(store, solve, storage);
    store.dispatch(planWatched());
    await pass(200);
    expect(jobs.map((j) => j.request.quick)).toEqual([true]);
    jobs[0]!.answer(1);
    await pass(0);
    expect(store.getState().planned).toMatchObject({ settled: false, plan: { draws: 1 } });
    jobs[1]!.answer(2);
    await pass(0);
    expect(store.getState().planned).toMatchObject({
      settled: true,
      progress: null,
      plan: { draws: 2 },
      key: selectPlanKey(store.getState()),
    });
    // Another screen of the plan is opened: nothing is made anew.
    store.dispatch(planWatched());
    await pass(1000);
    expect(jobs).toHaveLength(2);
    expect(await readKeptPlan(storage)).toMatchObject({ plan: { draws: 2 } });
  });

  test('the last one is shown at once on the next visit, and not made again where nothing has changed', async () => {
    const { storage } = memoryStorage();
    const painting = newPainting();
    const known = storeWith(painting);
    await writeKeptPlan(storage, selectPlanKey(known.getState()), planOf(7));
    const store = storeWith(painting);
    const { jobs, solve } = planner();
    keepPlanned(store, solve, storage);
    await pass(0);
    expect(store.getState().planned).toMatchObject({ settled: true, plan: { draws: 7 } });
    expect(store.getState().planned.plan!.works[0]!.p50Ms).toBe(Infinity);
    store.dispatch(planWatched());
    await pass(1000);
    expect(jobs).toHaveLength(0);
    store.dispatch(paintingArrived({ ...painting, revision: painting.revision + 1 }));
    await pass(1000);
    expect(jobs).toHaveLength(1);
    expect(store.getState().planned.plan).toMatchObject({ draws: 7 });
  });

  test('a change cancels what is under way, whose promise is settled', async () => {
    const painting = newPainting();
    const store = storeWith(painting);
    const { jobs, solve } = planner();
    keepPlanned(store, solve, memoryStorage().storage);
    store.dispatch(planWatched());
    await pass(200);
    store.dispatch(paintingArrived({ ...painting, revision: painting.revision + 1 }));
    await pass(200);
    expect(jobs.map((j) => j.cancelled)).toEqual([true, false]);
    jobs[1]!.answer(1);
    await pass(0);
    jobs[2]!.answer(2);
    await pass(0);
    expect(store.getState().planned).toMatchObject({ settled: true, plan: { draws: 2 } });
  });

  test('with no screen of it open it is made when the hand rests, so that forecasts are noted', async () => {
    const painting = newPainting();
    const store = storeWith(painting);
    const { jobs, solve } = planner();
    keepPlanned(store, solve, memoryStorage().storage);
    store.dispatch(planWatched());
    store.dispatch(planLeftAlone());
    store.dispatch(paintingArrived({ ...painting, revision: painting.revision + 1 }));
    await pass(10_000);
    const early = jobs.length;
    store.dispatch(paintingArrived({ ...painting, revision: painting.revision + 2 }));
    await pass(10_000);
    expect(jobs.length).toBe(early);
    await pass(11_000);
    expect(jobs.length).toBe(early + 1);
    const before = planRecordOf(store.getState());
    jobs.at(-1)!.answer(1);
    await pass(0);
    jobs.at(-1)!.answer(2);
    await pass(0);
    expect(store.getState().planned.settled).toBe(true);
    expect(planRecordOf(store.getState()).revision).toBeGreaterThanOrEqual(before.revision);
  });

  test('that fails is said with its reason, and tried again when it is looked at', async () => {
    const store = storeWith(newPainting());
    const { jobs, solve } = planner();
    keepPlanned(store, solve, memoryStorage().storage);
    store.dispatch(planWatched());
    await pass(200);
    jobs[0]!.fail('no worker');
    await pass(0);
    expect(store.getState().planned).toMatchObject({ problem: 'no worker', progress: null });
    store.dispatch(planWatched());
    await pass(200);
    expect(jobs).toHaveLength(2);
    expect(store.getState().planned.problem).toBeNull();
  });

  test('stopped by the painter, what there is stays', async () => {
    const store = storeWith(newPainting());
    const { jobs, solve } = planner();
    keepPlanned(store, solve, memoryStorage().storage);
    store.dispatch(planWatched());
    await pass(200);
    jobs[0]!.answer(1);
    await pass(0);
    store.dispatch(planningStopped());
    await pass(0);
    expect(jobs[1]!.cancelled).toBe(true);
    expect(store.getState().planned).toMatchObject({
      settled: false,
      progress: null,
      plan: { draws: 1 },
    });
  });

  test('a kept one that cannot be read is passed over', async () => {
    const { storage, data, fail } = memoryStorage();
    expect(await readKeptPlan(storage)).toBeNull();
    for (const raw of ['{', '{"key":"a","plan":{}}', 'null']) {
      data.set('planned', raw);
      expect(await readKeptPlan(storage)).toBeNull();
    }
    fail('full');
    await expect(writeKeptPlan(storage, 'a', planOf(1))).resolves.toBeUndefined();
  });
});

describe('the line to the logger', () => {
  const reading = (atMs: number): Reading => ({ atMs, temperatureC: 18, relativeHumidityPct: 55 });

  function line() {
    const heard: Parameters<LoggerLine['listen']>[0][] = [];
    let open = 0;
    const history = jest.fn((_from: number, _to: number) => Promise.resolve([reading(NOW_MS)]));
    const logger: LoggerLine = {
      listen(listener) {
        heard.push(listener);
        open += 1;
        return () => (open -= 1);
      },
      history,
    };
    return { logger, heard, history, open: () => open };
  }

  test('is held while it is wanted', async () => {
    const store = storeWith();
    const { logger, heard, open } = line();
    const end = keepLogger(store, logger);
    expect(open()).toBe(0);
    store.dispatch(settingsChanged({ loggerOn: true }));
    await settled();
    expect([open(), store.getState().logger.line]).toEqual([1, 'connecting']);
    heard[0]!.onOpen();
    expect(store.getState().logger.line).toBe('on');
    heard[0]!.onLost();
    expect(store.getState().logger.line).toBe('lost');
    store.dispatch(settingsChanged({ loggerOn: false }));
    await settled();
    expect([open(), store.getState().logger.line]).toEqual([0, 'off']);
    store.dispatch(settingsChanged({ loggerOn: true }));
    await settled();
    end();
    expect(open()).toBe(0);
  });

  test('when it comes, what was missed since the last kept hour is asked for', async () => {
    const store = storeWith();
    const hour = Math.floor(NOW_MS / 3_600_000);
    store.dispatch(takeInHours([[hour - 5, 18, 50, 1]]));
    store.dispatch(settingsChanged({ loggerOn: true }));
    const { logger, heard, history } = line();
    keepLogger(store, logger);
    heard[0]!.onOpen();
    await settled();
    expect(history).toHaveBeenCalledWith((hour - 5) * 3_600_000, NOW_MS);
    const kept = Object.values(store.getState().climate).flatMap((m) => m!.hours);
    expect(kept.map((h) => h[0])).toContain(hour);
  });

  test('every reading is shown, one in ten minutes is kept', async () => {
    const store = storeWith();
    store.dispatch(settingsChanged({ loggerOn: true }));
    const { logger, heard } = line();
    keepLogger(store, logger);
    heard[0]!.onReading(reading(NOW_MS));
    const kept = store.getState().climate;
    heard[0]!.onReading(reading(NOW_MS + 60_000));
    expect(store.getState().logger.last?.atMs).toBe(NOW_MS + 60_000);
    expect(store.getState().climate).toBe(kept);
    heard[0]!.onReading(reading(NOW_MS + 11 * 60_000));
    expect(store.getState().climate).not.toBe(kept);
  });
});

describe('photos', () => {
  const session = (photoIds: string[]) =>
    photoIds.reduce(
      (s, id) => addPhoto(s, { id, paintingId: null, takenAt: NOW, width: 10, height: 10 }),
      endSession(
        beginSession({ boxMinutes: null, goal: '', works: [] } as never, making()),
        making(),
      ),
    );

  test('of sessions that are gone are swept; those of others stay', async () => {
    const { storage, data } = memoryStorage();
    const kept = session(['kept']);
    data.set(PREFIX.session + kept.id, JSON.stringify(kept));
    data.set(`${PHOTO_PREFIX}kept`, 'jpeg');
    data.set(`${PHOTO_PREFIX}orphan`, 'jpeg');
    expect(await sweepPhotos(storage, () => Promise.resolve())).toBe(1);
    expect([...data.keys()].filter((k) => k.startsWith(PHOTO_PREFIX))).toEqual([
      `${PHOTO_PREFIX}kept`,
    ]);
  });

  test('one that is taken while it waits is not touched, nor one that is named meanwhile', async () => {
    const { storage, data } = memoryStorage();
    data.set(`${PHOTO_PREFIX}just-taken`, 'jpeg');
    const meanwhile = () => {
      data.set(`${PHOTO_PREFIX}later`, 'jpeg');
      const named = session(['just-taken']);
      data.set(PREFIX.session + named.id, JSON.stringify(named));
      return Promise.resolve();
    };
    expect(await sweepPhotos(storage, meanwhile)).toBe(0);
    expect(data.has(`${PHOTO_PREFIX}later`)).toBe(true);
  });

  test('nothing is swept while a session cannot be read: it might name any of them', async () => {
    const { storage, data } = memoryStorage();
    data.set(`${PREFIX.session}torn`, '{"id":');
    data.set(`${PHOTO_PREFIX}whose`, 'jpeg');
    expect(await sweepPhotos(storage, () => Promise.resolve())).toBe(0);
    expect(data.has(`${PHOTO_PREFIX}whose`)).toBe(true);
  });
});

describe('drafts', () => {
  const draft = (key: string, text: string): KeptDraft => ({
    key,
    at: NOW,
    base: { text: '' },
    draft: { text },
  });
  const stored = (data: Map<string, string>, key: string) =>
    (JSON.parse(data.get(PREFIX.draft + key) ?? 'null') as KeptDraft | null)?.draft;

  test('are written within a second of the last letter, and not with every one', async () => {
    const store = storeWith();
    const { storage, data } = memoryStorage();
    const setMany = jest.spyOn(storage, 'setMany');
    keepDrafts(store, storage);
    for (const text of ['g', 'gl', 'gla', 'glaze']) {
      store.dispatch(draftKept(draft('coat', text)));
      await pass(50);
    }
    await pass(1000);
    expect(setMany).toHaveBeenCalledTimes(1);
    expect(stored(data, 'coat')).toEqual({ text: 'glaze' });
  });

  test('of several forms each is kept; one that is done with is gone at once', async () => {
    const store = storeWith();
    const { storage, data } = memoryStorage();
    keepDrafts(store, storage);
    store.dispatch(draftKept(draft('coat', 'a')));
    store.dispatch(draftKept(draft('paint', 'b')));
    await pass(1000);
    store.dispatch(draftDropped('coat'));
    await pass(0);
    expect([...data.keys()]).toEqual([`${PREFIX.draft}paint`]);
  });

  test('one that could not be written is written with the next', async () => {
    const store = storeWith();
    const { storage, data, fail } = memoryStorage();
    keepDrafts(store, storage);
    fail('full');
    store.dispatch(draftKept(draft('coat', 'a')));
    await pass(1000);
    fail(null);
    store.dispatch(draftKept(draft('paint', 'b')));
    await pass(1000);
    expect(data.size).toBe(2);
  });
});

test('the clock ticks every half minute until it is ended', async () => {
  const store = storeWith();
  const end = keepTime(store);
  await pass(30_000);
  expect(store.getState().present.nowMs).toBe(NOW_MS + 30_000);
  end();
  await pass(60_000);
  expect(store.getState().present.nowMs).toBe(NOW_MS + 30_000);
});

test('the clock does not go back behind what was done while it was being moved on', async () => {
  const store = storeWith(laidFirst());
  const end = keepTime(store);
  // The clock of the page is read once, then everything is judged; meanwhile something is done a little later.
  jest.advanceTimersByTime(30_000);
  jest.setSystemTime(NOW_MS + 30_400);
  store.dispatch(ticked(NOW_MS + 30_400));
  await settled();
  expect(store.getState().present.nowMs).toBe(NOW_MS + 30_400);
  end();
});
