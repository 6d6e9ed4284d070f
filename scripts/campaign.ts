/**
 * Attacks on what keeps the record, seeded: mutated files of each kind, documents corrupted in storage, two tabs in
 * random order, stores that fail. Run: npm run campaign [-- SEED]. A short form of each is in npm test
 * (campaign.test.ts); the figures are in docs/reliability.md.
 */
import { isMainThread } from 'node:worker_threads';
import fc from 'fast-check';
import { CALENDAR, calendarThread, type readCalendar } from './campaign-calendars';
import { demoStudio } from '../demo/studio';
import { starterCabinet } from '../src/core/cabinet';
import { CoreError } from '../src/core/errors';
import { readArchive, writeArchive } from '../src/core/formats/archive';
import { readExport } from '../src/core/formats/export';
import { noteBother } from '../src/core/painting/notes-of';
import type { Painting } from '../src/core/painting';
import { putPaint } from '../src/core/cabinet/edit';
import { editSession } from '../src/core/session';
import { making, newPainting } from '../src/core/tests/paintings';
import { mediumsCsv, paintsCsv, readMediumsCsv, readPaintsCsv } from '../src/features/cabinet/csv';
import { guessMapping, readClimateCsv, splitCsv } from '../src/features/climate/climate-csv';
import {
  addPainting,
  changeCabinet,
  changePainting,
  changeSession,
  removePainting,
  undone,
} from '../src/store/actions';
import { recordOf } from '../src/store/bring-in';
import { createKeeper, type Keeper } from '../src/store/keep/keeper';
import { loadReader } from '../src/store/keep/reader';
import { openDemo } from '../src/store/open-demo';
import type { Storage } from '../src/store/storage';
import { createStore, type Store } from '../src/store/store';
import { settingsChanged } from '../src/store/studio';
import { memoryStorage } from '../src/store/tests/memory-storage';

const NOW_MS = Date.UTC(2026, 10, 28, 10);

/** What an attack came to. `broken` must be empty: each says what happened, and how to see it again. */
export interface Outcome {
  name: string;
  tried: number;
  refused: number;
  broken: string[];
}

/** A run of one attack: null when it was taken, 'refused' when it was refused in words; throws when it broke. */
type Try = () => Promise<'taken' | 'refused'>;

const inWords = (error: unknown): boolean =>
  error instanceof CoreError || (error instanceof Error && /[a-z]{3}.*\.$/.test(error.message));

async function attack(name: string, tries: Try[]): Promise<Outcome> {
  const out: Outcome = { name, tried: tries.length, refused: 0, broken: [] };
  for (const [i, one] of tries.entries())
    try {
      if ((await one()) === 'refused') out.refused += 1;
    } catch (error) {
      out.broken.push(`${name} ${i}: ${(error as Error).message.slice(0, 300)}`);
    }
  return out;
}

/** A mutation of bytes: some changed, a piece taken out, doubled, or the end cut off. */
const mutations = (bytes: Uint8Array): fc.Arbitrary<Uint8Array> =>
  fc
    .record({
      kind: fc.constantFrom('change', 'drop', 'double', 'cut'),
      at: fc.nat(Math.max(0, bytes.length - 1)),
      length: fc.integer({ min: 1, max: 200 }),
      letters: fc.array(fc.nat(255), { minLength: 1, maxLength: 6 }),
    })
    .map(({ kind, at, length, letters }) => {
      const piece = bytes.slice(at, at + length);
      const parts =
        kind === 'cut'
          ? [bytes.slice(0, at)]
          : kind === 'drop'
            ? [bytes.slice(0, at), bytes.slice(at + length)]
            : kind === 'double'
              ? [bytes.slice(0, at), piece, bytes.slice(at)]
              : [bytes.slice(0, at), Uint8Array.from(letters), bytes.slice(at + letters.length)];
      return Uint8Array.from(Buffer.concat(parts));
    });

const refusedInWords = async (read: () => unknown): Promise<'taken' | 'refused'> => {
  try {
    await read();
    return 'taken';
  } catch (error) {
    if (!inWords(error)) throw error;
    return 'refused';
  }
};

async function* given(bytes: Uint8Array): AsyncGenerator<Uint8Array> {
  for (let at = 0; at < bytes.length; at += 4096)
    yield await Promise.resolve(bytes.slice(at, at + 4096));
}

async function archiveOf(json: string): Promise<Uint8Array> {
  const parts: Uint8Array[] = [];
  const pictures = (async function* () {
    yield await Promise.resolve({ id: 'p1', bytes: new Uint8Array(2000).fill(7) });
  })();
  for await (const chunk of writeArchive(json, pictures)) parts.push(chunk);
  return Uint8Array.from(Buffer.concat(parts));
}

/** Mutated files of each kind: each is read, or refused in words; nothing else. */
export async function mutatedFiles(seed: number, each: number): Promise<Outcome[]> {
  const json = JSON.stringify(demoStudio(NOW_MS));
  const cabinet = starterCabinet();
  const climate = `time,temp,hum\n${Array.from({ length: 50 }, (_, i) => `2026-02-${String(1 + (i % 28)).padStart(2, '0')} 10:00,${18 + (i % 5)},50`).join('\n')}\n`;
  const text = (bytes: Uint8Array) => Buffer.from(bytes).toString('utf8');
  let ids = 0;
  const newId = () => `new-${++ids}`;
  const kinds: [string, Uint8Array, (bytes: Uint8Array) => unknown][] = [
    ['studio file', Buffer.from(json), (b) => readExport(text(b))],
    [
      'zip with photos',
      await archiveOf(json),
      (b) => readArchive(given(b), { json: (t) => void readExport(t), photo: () => undefined }),
    ],
    ['paints as CSV', Buffer.from(paintsCsv(cabinet.paints)), (b) => readPaintsCsv(text(b), newId)],
    [
      'mediums as CSV',
      Buffer.from(mediumsCsv(cabinet.mediums)),
      (b) => readMediumsCsv(text(b), newId),
    ],
    [
      'readings as CSV',
      Buffer.from(climate),
      (b) => {
        const csv = splitCsv(text(b));
        return readClimateCsv(csv, guessMapping(csv), NOW_MS);
      },
    ],
  ];
  const out: Outcome[] = [];
  for (const [name, bytes, read] of kinds)
    out.push(
      await attack(
        `mutated ${name}`,
        fc
          .sample(mutations(bytes), { numRuns: each, seed })
          .map((b) => () => refusedInWords(() => read(b))),
      ),
    );
  return out;
}

/** Mutated calendars. @param read reads one; in a thread of its own where it can be ended */
export async function mutatedCalendars(
  seed: number,
  each: number,
  read: (text: string) => Promise<ReturnType<typeof readCalendar> | 'ended'>,
): Promise<Outcome> {
  const tries = fc
    .sample(mutations(Buffer.from(CALENDAR)), { numRuns: each, seed })
    .map((bytes): Try => async () => {
      const came = await read(Buffer.from(bytes).toString('utf8'));
      if (typeof came === 'object') throw new Error(came.broken);
      return came === 'taken' ? 'taken' : 'refused';
    });
  return attack('mutated calendar', tries);
}

interface Tab {
  store: Store;
  keeper: Keeper;
}

function lock() {
  let last: Promise<unknown> = Promise.resolve();
  return <T>(task: () => Promise<T>): Promise<T> => {
    const run = last.then(task, task);
    last = run.catch(() => undefined);
    return run;
  };
}

async function opened(
  storage: Storage,
  alone = lock(),
  announce: (keys: string[]) => void = () => undefined,
): Promise<Tab> {
  const store = createStore();
  const keeper = createKeeper(store, {
    storage,
    reader: loadReader,
    announce,
    alone,
    later: () => undefined,
    room: () => Promise.resolve(null),
  });
  await keeper.start();
  return { store, keeper };
}

const saying = ({ store }: Tab): string =>
  JSON.stringify(recordOf(store.getState()), (_key, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );

async function keptDemo(): Promise<ReturnType<typeof memoryStorage>> {
  const memory = memoryStorage();
  const tab = await opened(memory.storage);
  tab.store.dispatch(openDemo(demoStudio(NOW_MS)));
  await tab.keeper.flush();
  return memory;
}

/** Every document of a studio corrupted in turn: it is set aside with its bytes, and all else opens and is kept. */
export async function corruptedDocuments(seed: number, each: number): Promise<Outcome[]> {
  const { data } = await keptDemo();
  const texts = new Map(data);
  const out: Outcome[] = [];
  for (const [key, whole] of texts) {
    const tries = fc
      .sample(mutations(Buffer.from(whole)), { numRuns: each, seed })
      .map((bytes): Try => async () => {
        const broken = Buffer.from(bytes).toString('utf8');
        const { data: now, storage } = memoryStorage();
        texts.forEach((text, k) => now.set(k, text));
        now.set(key, broken);
        const tab = await opened(storage);
        const { unreadable, phase } = tab.store.getState().saving;
        if (phase !== 'saved') throw new Error(`It did not open: ${phase}.`);
        if (unreadable.some((u) => u.key !== key)) throw new Error('Another document was lost.');
        tab.store.dispatch(settingsChanged({ latitudeDeg: 33 }));
        tab.store.dispatch(addPainting({ ...newPainting(), id: 'another' }));
        await tab.keeper.flush();
        if (tab.store.getState().saving.phase !== 'saved') throw new Error('Keeping stopped.');
        if (unreadable.length > 0 && ![...now.values()].includes(broken))
          throw new Error('The bytes are gone.');
        if (saying(await opened(storage)) !== saying(tab))
          throw new Error('Read again it differs.');
        return unreadable.length > 0 ? 'refused' : 'taken';
      });
    out.push(await attack(`corrupted ${key}`, tries));
  }
  return out;
}

/** What a painter does in a tab; each names the tab. */
const steps = fc.array(
  fc.record({
    tab: fc.nat(1),
    what: fc.constantFrom(
      'title',
      'bother',
      'units',
      'latitude',
      'paint',
      'note',
      'add',
      'remove',
      'undo',
      'flush',
      'tell',
    ),
    n: fc.nat(1000),
  }),
  { minLength: 5, maxLength: 30 },
);

function act({ store }: Tab, what: string, n: number): void {
  const { paintings, sessions, cabinet } = store.getState();
  const id = paintings.ids[n % Math.max(1, paintings.ids.length)];
  const changed = (change: (p: Painting) => Painting) =>
    id &&
    store.dispatch(
      changePainting(id, 'Changed', (p) => ({ ...change(p), revision: p.revision + 1 })),
    );
  if (what === 'title') changed((p) => ({ ...p, title: `Title ${n}` }));
  if (what === 'bother') changed((p) => noteBother(p, `bother ${n}`, null, making()));
  if (what === 'units') store.dispatch(settingsChanged({ units: n % 2 ? 'cm' : 'inch' }));
  if (what === 'latitude') store.dispatch(settingsChanged({ latitudeDeg: n % 90 }));
  if (what === 'paint')
    store.dispatch(
      changeCabinet('Used', (c) =>
        putPaint(c, { ...cabinet.paints[n % 5]!, left: (n % 100) / 100 }),
      ),
    );
  if (what === 'note' && sessions.ids[0])
    store.dispatch(
      changeSession(sessions.ids[0], 'Note', (s) => editSession(s, { note: `n ${n}` })),
    );
  if (what === 'add') store.dispatch(addPainting({ ...newPainting(), id: `made-${n}` }));
  if (what === 'remove' && id) store.dispatch(removePainting(id));
  if (what === 'undo') store.dispatch(undone());
}

/** Two tabs in random order, with announcements that come when they come: at rest both hold the same, and so does storage. */
export async function interleavedTabs(seed: number, runs: number): Promise<Outcome> {
  const { data } = await keptDemo();
  const tries = fc.sample(steps, { numRuns: runs, seed }).map((list): Try => async () => {
    const { data: now, storage } = memoryStorage();
    data.forEach((text, key) => now.set(key, text));
    const alone = lock();
    const heard: [string[][], string[][]] = [[], []];
    const tabs = [
      await opened(storage, alone, (keys) => heard[1].push(keys)),
      await opened(storage, alone, (keys) => heard[0].push(keys)),
    ] as const;
    const tell = async (i: number) => {
      for (const keys of heard[i]!.splice(0)) await tabs[i]!.keeper.arrived(keys);
    };
    for (const { tab, what, n } of list) {
      if (what === 'flush') await tabs[tab]!.keeper.flush();
      else if (what === 'tell') await tell(tab);
      else act(tabs[tab]!, what, n);
    }
    for (let round = 0; round < 6; round++)
      for (const i of [0, 1]) {
        await tabs[i]!.keeper.flush();
        await tell(i);
      }
    const [one, two, third] = [saying(tabs[0]), saying(tabs[1]), saying(await opened(storage))];
    if (one !== two) throw new Error(`The tabs differ after ${JSON.stringify(list)}`);
    if (one !== third) throw new Error(`Storage differs after ${JSON.stringify(list)}`);
    return 'taken';
  });
  return attack('two tabs, interleaved', tries);
}

/** A store that fails at random: what was done is in it once it answers again. */
export async function failingStore(seed: number, runs: number): Promise<Outcome> {
  const tries = fc
    .sample(fc.tuple(steps, fc.array(fc.boolean(), { minLength: 30, maxLength: 30 })), {
      numRuns: runs,
      seed,
    })
    .map(([list, failing]): Try => async () => {
      const memory = await keptDemo();
      const tab = await opened(memory.storage);
      for (const [i, { what, n }] of list.entries()) {
        memory.fail(failing[i % failing.length] ? 'The quota has been exceeded.' : null);
        act(tab, what, n);
        if (what === 'flush') await tab.keeper.flush();
      }
      memory.fail(null);
      await tab.keeper.again();
      await tab.keeper.flush();
      if (tab.store.getState().saving.phase !== 'saved') throw new Error('It is not kept.');
      if (saying(await opened(memory.storage)) !== saying(tab))
        throw new Error('Something is lost.');
      return 'taken';
    });
  return attack('a store that fails and comes back', tries);
}

async function main(seed: number): Promise<void> {
  const began = performance.now();
  const calendars = calendarThread(process.argv[1]!);
  const all = [
    ...(await mutatedFiles(seed, 10_000)),
    await mutatedCalendars(seed, 10_000, calendars.read),
    ...(await corruptedDocuments(seed, 300)),
    await interleavedTabs(seed, 1000),
    await failingStore(seed, 300),
  ];
  for (const { name, tried, refused, broken } of all) {
    console.log(`${name}: ${tried} tried, ${refused} refused in words, ${broken.length} broken`);
    broken.slice(0, 5).forEach((line) => console.log(`  ${line}`));
  }
  console.log(`seed ${seed}, ${Math.round((performance.now() - began) / 1000)} s`);
  process.exit(all.every((o) => o.broken.length === 0) ? 0 : 1);
}

const FIRST_SEED = 20261128;
if (isMainThread && process.argv[1]?.endsWith('campaign.cjs'))
  void main(Number(process.argv[2] ?? FIRST_SEED));
