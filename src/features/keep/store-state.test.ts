import { newPainting, NOW_MS } from '@/core/tests/paintings';
import { addPainting } from '@/store/actions';
import { recordOf } from '@/store/bring-in';
import { noteExchange, readLastFile } from '@/store/exchange';
import { askToPersist } from '@/store/effects/persist';
import { writeHeld } from '@/store/saving';
import { createStore } from '@/store/store';
import { memoryStorage } from '@/store/tests/memory-storage';
import { settled } from '@/store/tests/studios';
import { entriesSince, exportWords, roomWords } from './store-state';

const DAY_MS = 86_400_000;

test('what was entered since the last file is counted', async () => {
  const { storage } = memoryStorage();
  const store = createStore();
  const start = entriesSince(store.getState(), null);
  const painting = newPainting();
  store.dispatch(addPainting(painting));
  expect(entriesSince(store.getState(), null)).toBe(start + painting.revision);
  const at = new Date(NOW_MS).toISOString();
  await noteExchange(storage, { id: 'f', at, lineage: ['f'], record: recordOf(store.getState()) });
  const last = (await readLastFile(storage))!;
  expect(entriesSince(store.getState(), last)).toBe(0);
  store.dispatch(addPainting({ ...painting, revision: painting.revision + 1 }));
  expect(entriesSince(store.getState(), last)).toBe(1);
  const words = (days: number, since: number) => exportWords(last, since, NOW_MS + days * DAY_MS);
  expect(words(0, 1)).toEqual({
    words: 'The last file was written or read today; 1 entry since.',
    overdue: false,
  });
  expect(words(40, 12)).toEqual({
    words: 'The last file was written or read 40 days ago; 12 entries since.',
    overdue: true,
  });
  expect(words(40, 0).overdue).toBe(false);
  expect(exportWords(null, 9, NOW_MS).words).toBe(
    'No file was written yet; 9 entries would be lost with this browser.',
  );
  expect([exportWords(null, 9, NOW_MS).overdue, exportWords(null, 90, NOW_MS).overdue]).toEqual([
    false,
    true,
  ]);
});

test.each(['{"at":"never","entries":1}', 'torn', 'null'])(
  'a note of the last file that says nothing is none: %s',
  async (raw) => {
    await expect(readLastFile({ getItem: () => Promise.resolve(raw) })).resolves.toBeNull();
  },
);

test.each([
  [true, 'does not clear this store by itself'],
  [false, 'may clear this store by itself when room runs out'],
  [null, 'does not say whether'],
])('whether the browser may clear the store: %s', (persistent, words) => {
  const said = roomWords(persistent, { usedBytes: 2_340_000, allowedBytes: 500e6 });
  expect(said).toContain(words);
  expect(said).toContain('2.3 MB of about 500 MB are used');
});

test('the browser is asked once, when the first thing is kept, and may fail', async () => {
  const store = createStore();
  const ask = jest.fn(() => Promise.reject(new Error('no')));
  askToPersist(store, ask);
  await settled();
  expect(ask).not.toHaveBeenCalled();
  store.dispatch(writeHeld([]));
  store.dispatch(writeHeld([]));
  await settled();
  expect(ask).toHaveBeenCalledTimes(1);
});
