import { loadKit } from '@/pieces';
import { browserStorage, STORAGE_NAME } from '../storage';
import type { Room } from './failure';
import type { Surroundings } from './keeper';
import { loadReader } from './reader';

/** How much room the browser gives, and how much of it is used; null where it does not say. */
export async function browserRoom(): Promise<Room | null> {
  if (!('storage' in navigator) || !('estimate' in navigator.storage)) return null;
  const { usage, quota } = await navigator.storage.estimate();
  return usage === undefined || quota === undefined
    ? null
    : { usedBytes: usage, allowedBytes: quota };
}

/** The browser as the keeper sees it: IndexedDB through AsyncStorage, other tabs, a lock among them. */
export function browserSurroundings(): Surroundings & {
  onArrival(listener: (keys: string[]) => void): void;
} {
  const channel =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(STORAGE_NAME);
  return {
    storage: browserStorage(),
    reader: loadReader,
    announce: (keys) => channel?.postMessage({ keys }),
    alone: <T>(task: () => Promise<T>): Promise<T> =>
      'locks' in navigator ? (navigator.locks.request(STORAGE_NAME, task) as Promise<T>) : task(),
    later: (task, ms) => void setTimeout(task, ms),
    room: browserRoom,
    onArrival(listener) {
      channel?.addEventListener('message', (event) => {
        // The schema of what tabs tell each other comes with the others, when the first of it is heard.
        void loadKit()
          .then(() => import('./announcement'))
          .then(({ announcedKeys }) => listener(announcedKeys(event.data)));
      });
    },
  };
}
