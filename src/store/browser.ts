import { z } from 'zod';
import type { Surroundings } from './keeper';
import { browserStorage, STORAGE_NAME } from './storage';

const announcementSchema = z.object({ keys: z.array(z.string()) });

/** The browser as the keeper sees it: IndexedDB through AsyncStorage, other tabs, a lock among them. */
export function browserSurroundings(): Surroundings & {
  onArrival(listener: (keys: string[]) => void): void;
} {
  const storage = browserStorage();
  const channel =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(STORAGE_NAME);
  return {
    storage,
    announce: (keys) => channel?.postMessage({ keys }),
    alone: <T>(task: () => Promise<T>): Promise<T> =>
      'locks' in navigator ? (navigator.locks.request(STORAGE_NAME, task) as Promise<T>) : task(),
    later: (task, ms) => void setTimeout(task, ms),
    onArrival(listener) {
      channel?.addEventListener('message', (event) => {
        const announcement = announcementSchema.safeParse(event.data);
        if (announcement.success) listener(announcement.data.keys);
      });
    },
  };
}
