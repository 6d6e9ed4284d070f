import {
  corruptedDocuments,
  failingStore,
  interleavedTabs,
  mutatedCalendars,
  mutatedFiles,
  type Outcome,
} from './campaign';
import { CALENDAR, readCalendar } from './campaign-calendars';

/** The short form of npm run campaign; another seed is another campaign. */
const SEED = 7;
const broken = (outcomes: Outcome[]): string[] => outcomes.flatMap((o) => o.broken);

test('mutated files of each kind are read, or refused in words', async () => {
  const outcomes = await mutatedFiles(SEED, 60);
  expect(broken(outcomes)).toEqual([]);
  expect(outcomes).toHaveLength(5);
  // The attack bites: some are refused, and most tables are read around what is torn.
  expect(outcomes[0]!.refused).toBeGreaterThan(10);
  expect(outcomes[1]!.refused).toBeGreaterThan(10);
});

test('mutated calendars are read, or refused in words', async () => {
  expect(readCalendar(CALENDAR)).toBe('taken');
  const outcome = await mutatedCalendars(SEED, 60, (text) => Promise.resolve(readCalendar(text)));
  expect(outcome.broken).toEqual([]);
  expect(outcome.refused).toBeGreaterThan(5);
});

test('a corrupted document stops no other and keeps its bytes', async () => {
  const outcomes = await corruptedDocuments(SEED, 4);
  expect(broken(outcomes)).toEqual([]);
  expect(outcomes.length).toBeGreaterThan(5);
});

test('two tabs in any order end with the same, and storage with them', async () => {
  expect(broken([await interleavedTabs(SEED, 40)])).toEqual([]);
});

test('what was done while the store failed is in it when it answers again', async () => {
  expect(broken([await failingStore(SEED, 20)])).toEqual([]);
});
