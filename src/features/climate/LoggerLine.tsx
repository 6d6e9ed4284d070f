import { useEffect } from 'react';
import { HOUR_MS, hoursOf, monthOf, takeReading, type Reading } from '@/core/climate';
import { takeInHours } from '@/store/actions';
import { monthsChanged } from '@/store/climate';
import { nowMs } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { lineChanged, readingHeard } from '@/store/logger';
import type { Dispatch, State } from '@/store/store';
import { listenToLogger, loggerHistory } from './logger';

const DAY_MS = 24 * HOUR_MS;
/** How far back a logger is asked when nothing is kept of it yet. */
const FIRST_DAYS = 30;
/** Readings come every few seconds; the forecast needs one of them every ten minutes. */
const KEEP_EVERY_MS = 10 * 60_000;

const keepReading =
  (reading: Reading) =>
  (dispatch: Dispatch, getState: () => State): void => {
    const month = getState().climate[monthOf(Math.floor(reading.atMs / HOUR_MS))];
    dispatch(monthsChanged([takeReading(month, reading)]));
  };

/** What was missed since the last reading that is kept. */
const catchUp =
  () =>
  async (dispatch: Dispatch, getState: () => State): Promise<void> => {
    const hours = Object.values(getState().climate).flatMap((m) => m?.hours ?? []);
    const now = nowMs();
    const last = hours.reduce(
      (latest, h) => (h[0] * HOUR_MS <= now ? Math.max(latest, h[0]) : latest),
      0,
    );
    const from = Math.max(last * HOUR_MS, now - FIRST_DAYS * DAY_MS);
    dispatch(takeInHours(hoursOf(await loggerHistory(from, now))));
  };

/** Holds the line to the logger while it is wanted, and fetches what was missed when it comes back. Draws nothing. */
export function LoggerLine() {
  const dispatch = useStoreDispatch();
  const on = useStoreSelector((state) => state.studio.loggerOn);
  useEffect(() => {
    if (!on) {
      dispatch(lineChanged('off'));
      return;
    }
    dispatch(lineChanged('connecting'));
    let keptMs = -Infinity;
    return listenToLogger({
      onOpen: () => {
        dispatch(lineChanged('on'));
        // A logger that speaks but has no memory is still a logger.
        dispatch(catchUp()).catch(() => undefined);
      },
      onReading: (reading) => {
        dispatch(readingHeard(reading));
        if (reading.atMs - keptMs < KEEP_EVERY_MS) return;
        keptMs = reading.atMs;
        dispatch(keepReading(reading));
      },
      onLost: () => dispatch(lineChanged('lost')),
    });
  }, [on, dispatch]);
  return null;
}
