import { newPainting, NOW } from '@/core/tests/paintings';
import { addPainting } from './actions';
import { recordOf } from './bring-in';
import { lineageWith, noteExchange, readExchange, readLastFile } from './exchange';
import { createStore } from './store';
import { memoryStorage } from './tests/memory-storage';

const exchangeOf = (titles: string[]) => {
  const store = createStore();
  titles.forEach((title, i) =>
    store.dispatch(addPainting({ ...newPainting({ title }), id: `p${i}` })),
  );
  return { id: 'f1', at: NOW, lineage: ['f0', 'f1'], record: recordOf(store.getState()) };
};

test.each([[[]], [['One']], [['A "quoted", title', 'Zwei\nlines', '\u2028']]])(
  'what was exchanged is remembered as it was: %j',
  async (titles) => {
    const memory = memoryStorage();
    const exchange = exchangeOf(titles);
    await noteExchange(memory.storage, exchange);
    await expect(readExchange(memory.storage)).resolves.toEqual(exchange);
  },
);

test('in a store that is full, or torn, nothing is remembered, and nothing fails', async () => {
  const memory = memoryStorage();
  await noteExchange(memory.storage, exchangeOf(['One']));
  memory.data.set('exchange', memory.data.get('exchange')!.slice(0, -9));
  await expect(readExchange(memory.storage)).resolves.toBeNull();
  memory.fail('full');
  await noteExchange(memory.storage, exchangeOf(['Two']));
  await expect(readExchange(memory.storage)).resolves.toBeNull();
});

test('old ancestors are forgotten, the newest stay, each once', () => {
  const long = { ...exchangeOf([]), lineage: Array.from({ length: 200 }, (_, i) => `f${i}`) };
  expect(lineageWith(long, 'f1', 'new')).toHaveLength(200);
  expect(lineageWith(long, 'f1', 'new').at(-1)).toBe('new');
  expect(lineageWith(null, 'a', 'a')).toEqual(['a']);
});

test('of a studio whose last file is older than the short note, the long one tells when it was', async () => {
  const memory = memoryStorage();
  await expect(readLastFile(memory.storage)).resolves.toBeNull();
  const exchange = exchangeOf(['One', 'Two']);
  await noteExchange(memory.storage, exchange);
  const short = await readLastFile(memory.storage);
  expect(short).toMatchObject({ at: NOW });
  memory.data.delete('last-file');
  await expect(readLastFile(memory.storage)).resolves.toEqual(short);
});
