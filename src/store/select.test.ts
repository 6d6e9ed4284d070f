import type { ClimateHour } from '@/core/climate/readings-schema';
import { REFERENCE_CLIMATE } from '@/core/drying';
import { newPainting, NOW_MS } from '@/core/tests/paintings';
import { takeInHours } from './actions';
import { learnedArrived } from './learned';
import { paintingArrived } from './paintings';
import { ticked } from './present';
import {
  selectAir,
  selectAirRecord,
  selectAssessment,
  selectAssessments,
  selectNow,
  selectOptions,
  selectPaintings,
  selectSolverAir,
  selectToday,
} from './select';
import { selectEvidence, selectEvidenceText } from './select-evidence';
import { selectPlanInput, selectPlanKey, planRequestOf } from './select-plan';
import { settingsChanged } from './studio';
import { laidFirst, storeWith, touched } from './tests/studios';
import { planNoted, planRecordOf } from './plan';
import { changedRecord } from '@/core/plan-record/record';
import { planRequestSchema } from '@/workers/plan-protocol';

const HOUR_MS = 3_600_000;
const hour = Math.floor(NOW_MS / HOUR_MS);

describe('derived once for all', () => {
  test('whoever asks gets the same, until something it is made from has changed', () => {
    const store = storeWith(newPainting(), newPainting());
    const before = store.getState();
    for (const select of [selectOptions, selectPaintings, selectAssessments, selectToday])
      expect(select(before)).toBe(select(before));
    store.dispatch(settingsChanged({ units: 'inch' }));
    const after = store.getState();
    expect(after).not.toBe(before);
    expect(selectToday(after)).toBe(selectToday(before));
    store.dispatch(ticked(NOW_MS + HOUR_MS));
    expect(selectToday(store.getState())).not.toBe(selectToday(before));
  });

  test('a tap changes the painting it is on, and no other', () => {
    const [one, other] = [newPainting(), newPainting()];
    const store = storeWith(one, other);
    const before = selectAssessments(store.getState());
    store.dispatch(paintingArrived({ ...other, title: 'Renamed', revision: other.revision + 1 }));
    const after = selectAssessments(store.getState());
    expect(after[0]).toBe(before[0]);
    expect(after[1]).not.toBe(before[1]);
    expect(after[1]!.painting.title).toBe('Renamed');
  });

  test('one painting by its id is the one of the list; one that is not there is null', () => {
    const painting = newPainting();
    const store = storeWith(painting);
    expect(selectAssessment(store.getState(), painting.id)).toBe(
      selectAssessments(store.getState())[0],
    );
    expect(selectAssessment(store.getState(), 'none')).toBeNull();
  });

  test('paintings hang in the order of the wall, then as they were begun', () => {
    const [a, b, c] = ['a', 'b', 'c'].map((id, i) => ({
      ...newPainting(),
      id,
      createdAt: new Date(NOW_MS - (3 - i) * HOUR_MS).toISOString(),
    }));
    const store = storeWith(c!, a!, b!);
    const ids = () => selectPaintings(store.getState()).map((p) => p.id);
    expect(ids()).toEqual(['a', 'b', 'c']);
    store.dispatch(settingsChanged({ paintingOrder: ['c', 'a'] }));
    expect(ids()).toEqual(['c', 'a', 'b']);
  });
});

describe('the air', () => {
  test('without readings it is as stated, and there is nothing to follow', () => {
    const store = storeWith();
    expect(selectAirRecord(store.getState())).toBeNull();
    expect(selectAir(store.getState())).toBeNull();
    const { climate } = selectOptions(store.getState());
    expect(climate).toEqual(store.getState().studio.climate);
  });

  test('with readings it is that of the last hour, unless the painter goes by what he stated', () => {
    const store = storeWith();
    store.dispatch(
      takeInHours(Array.from({ length: 48 }, (_, i): ClimateHour => [hour - 47 + i, 12, 70, 1])),
    );
    expect(selectOptions(store.getState()).climate).toMatchObject({
      temperatureC: 12,
      relativeHumidityPct: 70,
    });
    expect(selectSolverAir(store.getState()).air?.hours).toHaveLength(48);
    store.dispatch(settingsChanged({ followReadings: false }));
    expect(selectOptions(store.getState()).climate.temperatureC).toBe(
      store.getState().studio.climate.temperatureC,
    );
  });

  test('readings of more than 400 days ago are not followed any more', () => {
    const store = storeWith();
    store.dispatch(
      takeInHours([
        [hour - 401 * 24, 5, 50, 1],
        [hour, 20, 50, 1],
      ]),
    );
    expect(selectAirRecord(store.getState())?.hours.map((h) => h[0])).toEqual([hour]);
  });

  test('the same figures are the same air for a worker, however often the clock ticks', () => {
    const store = storeWith();
    const first = selectSolverAir(store.getState());
    store.dispatch(ticked(NOW_MS + 60_000));
    expect(selectSolverAir(store.getState())).toBe(first);
  });
});

describe('what touch tests say', () => {
  test('only a test is evidence; the clock is none', () => {
    const painting = laidFirst();
    const store = storeWith(painting);
    expect(selectEvidence(store.getState())).toEqual([]);
    store.dispatch(paintingArrived({ ...touched(painting), revision: painting.revision + 1 }));
    const said = selectEvidenceText(store.getState());
    expect(JSON.parse(said)).toHaveLength(1);
    store.dispatch(ticked(NOW_MS + HOUR_MS));
    expect(selectEvidenceText(store.getState())).toBe(said);
  });

  test('what was learned goes into every assessment', () => {
    const store = storeWith(laidFirst());
    const before = selectOptions(store.getState());
    expect(before.learned).toBeNull();
    const learned = { factors: [] } as never;
    store.dispatch(learnedArrived({ learned, conflicts: [] }));
    expect(selectOptions(store.getState()).learned).toBe(learned);
  });
});

describe('what a plan is made from', () => {
  test('is the same within a slot, and whatever the plan notes of itself', () => {
    const store = storeWith(newPainting());
    const input = selectPlanInput(store.getState());
    const key = selectPlanKey(store.getState());
    store.dispatch(ticked(NOW_MS + 60_000));
    store.dispatch(
      planNoted(
        changedRecord(planRecordOf(store.getState()), {
          last: [{ id: 'a', at: new Date(NOW_MS).toISOString() }],
        }),
      ),
    );
    expect(selectPlanInput(store.getState())).toBe(input);
    expect(selectPlanKey(store.getState())).toBe(key);
    store.dispatch(ticked(NOW_MS + 20 * 60_000));
    expect(selectPlanKey(store.getState())).not.toBe(key);
  });

  test('has another name when a painting, the hours or the air has changed', () => {
    const painting = newPainting();
    const store = storeWith(painting);
    const names = new Set([selectPlanKey(store.getState())]);
    const note = () => names.add(selectPlanKey(store.getState()));
    store.dispatch(paintingArrived({ ...painting, revision: painting.revision + 1 }));
    note();
    store.dispatch(settingsChanged({ climate: { ...REFERENCE_CLIMATE, temperatureC: 15 } }));
    note();
    store.dispatch(
      planNoted(
        changedRecord(planRecordOf(store.getState()), {
          hours: { ...planRecordOf(store.getState()).hours, daylightOnly: true },
        }),
      ),
    );
    note();
    // An earlier hour that is corrected is other air, though there are as many of them.
    store.dispatch(takeInHours([[hour - 1, 18, 50, 1]]));
    note();
    store.dispatch(takeInHours([[hour - 1, 9, 50, 2]]));
    note();
    expect(names.size).toBe(6);
  });

  test('is what the worker accepts', () => {
    const state = storeWith(newPainting()).getState();
    const request = planRequestOf(selectPlanInput(state), planRecordOf(state), []);
    expect(planRequestSchema.safeParse(request).success).toBe(true);
  });
});

test('the present is that of the last tick', () => {
  const store = storeWith();
  store.dispatch(ticked(NOW_MS + 1));
  expect(selectNow(store.getState())).toBe(NOW_MS + 1);
});
