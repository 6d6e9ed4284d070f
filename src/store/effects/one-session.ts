import { endedByAnother } from '@/core/session/one';
import { selectSessions } from '../select-work';
import { sessionsLoaded } from '../sessions';
import type { Store } from '../store';

/** Sees to it that one session runs, whoever began another: a tab, or a file that was taken in. */
export function keepOneSession(store: Store): () => void {
  const see = () => {
    const ended = endedByAnother(selectSessions(store.getState()));
    if (ended.length > 0) store.dispatch(sessionsLoaded(ended));
  };
  see();
  return store.listen({
    predicate: (_action, now, before) => now.sessions.entities !== before.sessions.entities,
    effect: see,
  });
}
