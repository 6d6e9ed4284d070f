import { newPainting, NOW_MS } from '@/core/tests/paintings';
import { addPainting } from '@/store/actions';
import { recordOf } from '@/store/bring-in';
import { askToPersist } from '@/store/effects/persist';
import { writeHeld } from '@/store/saving';
import { createStore } from '@/store/store';
import { settled } from '@/store/tests/studios';
import { changedSince, exportWords, roomWords } from './store-state';

const DAY_MS = 86_400_000;

test('what has changed since the last file is counted', () => {
  const store = createStore();
  expect(changedSince(store.getState(), null)).toBe(0);
  const painting = newPainting();
  store.dispatch(addPainting(painting));
  expect(changedSince(store.getState(), null)).toBe(1);
  const at = new Date(NOW_MS).toISOString();
  const exchange = { id: 'f', at, lineage: ['f'], record: recordOf(store.getState()) };
  expect(changedSince(store.getState(), exchange)).toBe(0);
  store.dispatch(addPainting({ ...painting, revision: painting.revision + 1 }));
  expect(changedSince(store.getState(), exchange)).toBe(1);
  const words = (days: number, changed: number) =>
    exportWords(exchange, changed, NOW_MS + days * DAY_MS);
  expect(words(0, 1)).toEqual({
    words: 'The last file was written or read today; 1 document changed since.',
    overdue: false,
  });
  expect(words(40, 12)).toEqual({
    words: 'The last file was written or read 40 days ago; 12 documents changed since.',
    overdue: true,
  });
  expect(words(40, 0).overdue).toBe(false);
  expect(exportWords(null, 9, NOW_MS).words).toBe(
    'No file was written yet; 9 documents would be lost with this browser.',
  );
});

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
