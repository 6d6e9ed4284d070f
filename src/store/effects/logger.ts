import { HOUR_MS, hoursOf, monthOf, takeReading, type Reading } from '@/core/climate';
import { takeInHours } from '../actions';
import { monthsChanged } from '../climate';
import { nowMs } from '../clock';
import { lineChanged, readingHeard } from '../logger';
import type { Dispatch, State, Store } from '../store';

const DAY_MS = 24 * HOUR_MS;
/** How far back a logger is asked when nothing is kept of it yet. */
const FIRST_DAYS = 30;
/** Readings come every few seconds; the forecast needs one of them every ten minutes. */
const KEEP_EVERY_MS = 10 * 60_000;

/** The logger as the effect sees it (features/climate/logger.ts). */
export interface LoggerLine {
  listen(listener: {
    onReading(reading: Reading): void;
    onOpen(): void;
    onLost(): void;
  }): () => void;
  history(fromMs: number, toMs: number): Promise<Reading[]>;
}

const keepReading =
  (reading: Reading) =>
  (dispatch: Dispatch, getState: () => State): void => {
    const month = getState().climate[monthOf(Math.floor(reading.atMs / HOUR_MS))];
    dispatch(monthsChanged([takeReading(month, reading)]));
  };

/** What was missed since the last reading that is kept. */
const catchUp =
  (line: LoggerLine) =>
  async (dispatch: Dispatch, getState: () => State): Promise<void> => {
    const hours = Object.values(getState().climate).flatMap((m) => m?.hours ?? []);
    const now = nowMs();
    const last = hours.reduce(
      (latest, h) => (h[0] * HOUR_MS <= now ? Math.max(latest, h[0]) : latest),
      0,
    );
    const from = Math.max(last * HOUR_MS, now - FIRST_DAYS * DAY_MS);
    dispatch(takeInHours(hoursOf(await line.history(from, now))));
  };

/** Holds the line to the logger while it is wanted, and fetches what was missed when it comes back. */
export function keepLogger(store: Store, line: LoggerLine): () => void {
  let hangUp: (() => void) | null = null;
  function follow(on: boolean): void {
    if (on === (hangUp !== null)) return;
    if (!on) {
      hangUp?.();
      hangUp = null;
      store.dispatch(lineChanged('off'));
      return;
    }
    store.dispatch(lineChanged('connecting'));
    let keptMs = -Infinity;
    hangUp = line.listen({
      onOpen: () => {
        store.dispatch(lineChanged('on'));
        // A logger that speaks but has no memory is still a logger.
        store.dispatch(catchUp(line)).catch(() => undefined);
      },
      onReading: (reading) => {
        store.dispatch(readingHeard(reading));
        if (reading.atMs - keptMs < KEEP_EVERY_MS) return;
        keptMs = reading.atMs;
        store.dispatch(keepReading(reading));
      },
      onLost: () => store.dispatch(lineChanged('lost')),
    });
  }
  const stop = store.listen({
    predicate: (_action, now, before) => now.studio.loggerOn !== before.studio.loggerOn,
    effect: (_action, { getState }) => follow(getState().studio.loggerOn),
  });
  follow(store.getState().studio.loggerOn);
  return () => {
    stop();
    follow(false);
  };
}
