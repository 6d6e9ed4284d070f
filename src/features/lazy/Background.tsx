import { useEffect } from 'react';
import { useStore } from 'react-redux';
import { listenToLogger, loggerHistory } from '@/features/climate/logger';
import { keepOffline } from '@/features/frame/offline';
import {
  askToPersist,
  keepLogger,
  keepOneSession,
  keepPlanned,
  learnFromTests,
  sweepPhotos,
} from '@/store/effects';
import { loadReader } from '@/store/keep/reader';
import { browserStorage } from '@/store/storage';
import type { Store } from '@/store/store';
import { solveLearning } from '@/workers/client';
import { solvePlan } from '@/workers/plan-client';

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Joins to the store what goes on behind every screen, once its code is there. Draws nothing. */
export function Background() {
  const store = useStore() as Store;
  useEffect(() => {
    const storage = browserStorage();
    // What is written is checked first: the schemas are here before the first change is made.
    loadReader().catch(() => undefined);
    keepOffline(store);
    const ends = [
      askToPersist(store, async () => {
        if ('storage' in navigator && 'persist' in navigator.storage)
          await navigator.storage.persist();
      }),
      keepOneSession(store),
      learnFromTests(store, solveLearning),
      keepPlanned(store, solvePlan, storage),
      keepLogger(store, { listen: listenToLogger, history: loggerHistory }),
    ];
    // A store that cannot be read is told of elsewhere; then nothing is swept.
    sweepPhotos(storage, wait).catch(() => undefined);
    return () => ends.forEach((end) => end());
  }, [store]);
  return null;
}
