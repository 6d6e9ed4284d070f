import { NEEDED_TESTS, RETEST_DAYS, TEST_NAMES } from '@/data/varnish-tests';
import { VARNISH_TESTS, type VarnishTest } from '@/data/finish-keys';
import { DAY_MS } from '../drying/windows';
import type { Painting } from '../painting/schema';
import { NO_FINISHING } from './none';
import type { MadeTest } from './schema';

export interface TestState {
  test: VarnishTest;
  /** No varnish is agreed on without it. */
  needed: boolean;
  state: 'passed' | 'failed' | 'missing';
  /** The result that counts. */
  last: MadeTest | null;
  /** A failed one is worth making again from then on, ms. */
  repeatFromMs: number | null;
}

export interface TestsState {
  each: TestState[];
  /** When what failed may be tried again, ms; null where nothing has failed. */
  repeatFromMs: number | null;
  /** All that are needed have been passed, and none has failed. */
  agree: boolean;
}

/**
 * What the tests before the varnish say. What was found before the last coat went on says nothing of it; of each test,
 * on each place, the last result counts, and one place that fails is enough. A varnish that was laid ends it.
 * @param untilMs tests made later are not known of yet
 */
export function testsState(painting: Painting, untilMs = Infinity): TestsState {
  const lastCoat = painting.events
    .filter((e) => e.kind === 'laid' && e.role !== 'varnish')
    .reduce((latest, e) => (e.at > latest ? e.at : latest), '');
  const made = (painting.finishing ?? NO_FINISHING).tests
    .filter((t) => t.at >= lastCoat && Date.parse(t.at) <= untilMs)
    .sort((a, b) => a.at.localeCompare(b.at));
  const each = VARNISH_TESTS.map((test): TestState => {
    const byPlace = new Map(
      made.filter((t) => t.test === test).map((t) => [t.where.toLowerCase(), t]),
    );
    const results = [...byPlace.values()].sort((a, b) => a.at.localeCompare(b.at));
    const failed = results.findLast((t) => !t.passed) ?? null;
    const last = failed ?? results.at(-1) ?? null;
    return {
      test,
      needed: NEEDED_TESTS.includes(test),
      state: failed ? 'failed' : last ? 'passed' : 'missing',
      last,
      repeatFromMs: failed ? Date.parse(failed.at) + RETEST_DAYS * DAY_MS : null,
    };
  });
  const repeats = each.flatMap((t) => t.repeatFromMs ?? []);
  return {
    each,
    repeatFromMs: repeats.length > 0 ? Math.max(...repeats) : null,
    agree: repeats.length === 0 && each.every((t) => !t.needed || t.state === 'passed'),
  };
}

/** The failed test that is worth repeating last, as it was known at a time; null where none has failed. */
export function failedTest(
  painting: Painting,
  atMs: number,
): { name: string; repeatFromMs: number } | null {
  if (!painting.finishing) return null;
  return testsState(painting, atMs).each.reduce<{ name: string; repeatFromMs: number } | null>(
    (last, { test, repeatFromMs }) =>
      repeatFromMs !== null && repeatFromMs > (last?.repeatFromMs ?? -Infinity)
        ? { name: TEST_NAMES[test], repeatFromMs }
        : last,
    null,
  );
}
