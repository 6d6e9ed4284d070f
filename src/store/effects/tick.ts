import { isAnyOf } from '@reduxjs/toolkit';
import { assessAhead } from '../assess-all';
import { nowMs } from '../clock';
import { painterChanged } from '../paintings';
import { ticked } from '../present';
import { selectOptions, selectPaintings } from '../select';
import { sessionChanged } from '../sessions';
import type { Store } from '../store';

/** To the half minute: drying does not move faster. */
const TICK_MS = 30_000;

/** Keeps the present of the store. */
export function keepTime(store: Store): () => void {
  let ended = false;
  const tick = (atMs: number) => {
    if (!ended) store.dispatch(ticked(atMs));
  };
  /** Nobody waits for the clock: all is judged as it will be then, bit by bit, before it moves on. */
  const moveOn = async () => {
    const atMs = nowMs();
    const { present } = store.getState();
    const then = { ...store.getState(), present: { nowMs: atMs } };
    await assessAhead(selectPaintings(then), selectOptions(then));
    // Something was done meanwhile, and the clock moved on with it: it must not go back behind that.
    if (store.getState().present === present) tick(atMs);
  };
  const timer = setInterval(() => void moveOn(), TICK_MS);
  // What was just done lies in the past, not in the half minute to come.
  const stopListening = store.listen({
    matcher: isAnyOf(painterChanged, sessionChanged),
    effect: () => tick(nowMs()),
  });
  // A page that was asleep wakes to what is true now.
  const wake = () => document.visibilityState === 'visible' && void moveOn();
  if (typeof document !== 'undefined') document.addEventListener('visibilitychange', wake);
  return () => {
    ended = true;
    clearInterval(timer);
    stopListening();
    if (typeof document !== 'undefined') document.removeEventListener('visibilitychange', wake);
  };
}
