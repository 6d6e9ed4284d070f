import { CoreError } from '../errors';
import { changed, pastMs, type Making } from '../painting/making';
import type { Bother, Painting } from '../painting/schema';
import { NO_FINISHING } from './none';
import type { Finishing, MadeTest, Scan } from './schema';
import { FINISH_MOST, type Looked } from './vocabulary';

/** What is kept of a painting's finishing; empty where nothing is. */
export const finishingOf = (painting: Pick<Painting, 'finishing'>): Finishing =>
  painting.finishing ?? NO_FINISHING;

/** Of a list that is full the oldest entries give way: what is kept can be read again. */
const kept = <T>(list: readonly T[], most: number): T[] => list.slice(-most);

const withFinishing = (
  painting: Painting,
  making: Pick<Making, 'now'>,
  change: Partial<Finishing>,
): Painting => changed(painting, making, { finishing: { ...finishingOf(painting), ...change } });

/** Say something of how it is finished: rule, hours, varnish, frame, journey. Undefined takes it back. */
export function setFinishing(
  painting: Painting,
  change: {
    [K in 'rule' | 'agreedHours' | 'varnish' | 'frame' | 'journey']?: Finishing[K] | undefined;
  },
  making: Pick<Making, 'now'>,
): Painting {
  const next: Record<string, unknown> = { ...finishingOf(painting), ...change };
  for (const key of Object.keys(next)) if (next[key] === undefined) delete next[key];
  return changed(painting, making, { finishing: next as Finishing });
}

/** The scan that was begun and neither ended nor left for another. */
export const scanUnderWay = (painting: Painting): Scan | null =>
  finishingOf(painting).scans.findLast((s) => s.to === null) ?? null;

/** Begin a look over the picture. One that was under way gives way to it: only a look that ended counts. */
export function beginScan(
  painting: Painting,
  way: Looked,
  by: Scan['by'],
  making: Making,
): Painting {
  const scan: Scan = { id: making.newId(), way, by, from: making.now, to: null, seen: [] };
  const others = finishingOf(painting).scans.filter((s) => s.to !== null);
  return withFinishing(painting, making, { scans: kept([...others, scan], FINISH_MOST.scans) });
}

/** A square, or a passage, has been looked at. */
export function seeSquare(
  painting: Painting,
  scanId: string,
  square: number | string,
  making: Pick<Making, 'now'>,
): Painting {
  return withFinishing(painting, making, {
    scans: finishingOf(painting).scans.map((s) =>
      s.id === scanId && !s.seen.includes(square) ? { ...s, seen: [...s.seen, square] } : s,
    ),
  });
}

/** The look is over. */
export const endScan = (
  painting: Painting,
  scanId: string,
  making: Pick<Making, 'now'>,
): Painting =>
  withFinishing(painting, making, {
    scans: finishingOf(painting).scans.map((s) =>
      s.id === scanId && s.to === null ? { ...s, to: making.now } : s,
    ),
  });

/** Break a look off: it leaves no trace but what was noted. */
export const dropScan = (
  painting: Painting,
  scanId: string,
  making: Pick<Making, 'now'>,
): Painting =>
  withFinishing(painting, making, {
    scans: finishingOf(painting).scans.filter((s) => s.id !== scanId),
  });

/** Whether the next edit would mend something, or only change it. */
export const answerMends = (painting: Painting, mends: boolean, making: Making): Painting =>
  withFinishing(painting, making, {
    answers: kept(
      [...finishingOf(painting).answers, { id: making.newId(), at: making.now, mends }],
      FINISH_MOST.answers,
    ),
  });

/** Note what a test before the varnish gave. Throws `date-invalid`, `date-in-future`. */
export function noteVarnishTest(
  painting: Painting,
  test: Omit<MadeTest, 'id'>,
  making: Making,
): Painting {
  pastMs(test.at, making.now);
  return withFinishing(painting, making, {
    tests: kept(
      [...finishingOf(painting).tests, { ...test, id: making.newId() }],
      FINISH_MOST.tests,
    ),
  });
}

/** A test that was noted by mistake. */
export const dropVarnishTest = (
  painting: Painting,
  id: string,
  making: Pick<Making, 'now'>,
): Painting =>
  withFinishing(painting, making, {
    tests: finishingOf(painting).tests.filter((t) => t.id !== id),
  });

/** What is said of a bother besides its words. Undefined takes it back. Throws `nothing-there`. */
export function changeBother(
  painting: Painting,
  id: string,
  change: { [K in keyof Omit<Bother, 'id' | 'at'>]?: Bother[K] | undefined },
  making: Pick<Making, 'now'>,
): Painting {
  const bothers = painting.bothers ?? [];
  if (!bothers.some((b) => b.id === id))
    throw new CoreError(
      'nothing-there',
      'bother',
      'That is on the list no more. Note it again if it still bothers.',
    );
  return changed(painting, making, {
    bothers: bothers.map((b) => {
      if (b.id !== id) return b;
      const next: Record<string, unknown> = { ...b, ...change };
      for (const key of Object.keys(next)) if (next[key] === undefined) delete next[key];
      return next as Bother;
    }),
  });
}

/** Note what bothers with its place, kind and weight. */
export const noteFully = (
  painting: Painting,
  bother: Omit<Bother, 'id' | 'at' | 'doneAt'>,
  making: Making,
): Painting =>
  changed(painting, making, {
    bothers: [
      ...(painting.bothers ?? []),
      { ...bother, text: bother.text.trim(), id: making.newId(), at: making.now, doneAt: null },
    ],
  });
