import { isAnyOf } from '@reduxjs/toolkit';
import { nowMs } from '../clock';
import { painterChanged } from '../paintings';
import { ticked } from '../present';
import { sessionChanged } from '../sessions';
import type { Store } from '../store';

/** To the half minute: drying does not move faster. */
const TICK_MS = 30_000;

/** Keeps the present of the store. */
export function keepTime(store: Store): () => void {
  const tick = () => store.dispatch(ticked(nowMs()));
  const timer = setInterval(tick, TICK_MS);
  // What was just done lies in the past, not in the half minute to come.
  const stopListening = store.listen({
    matcher: isAnyOf(painterChanged, sessionChanged),
    effect: () => {
      tick();
    },
  });
  // A page that was asleep wakes to what is true now.
  const wake = () => document.visibilityState === 'visible' && tick();
  if (typeof document !== 'undefined') document.addEventListener('visibilitychange', wake);
  return () => {
    clearInterval(timer);
    stopListening();
    if (typeof document !== 'undefined') document.removeEventListener('visibilitychange', wake);
  };
}
