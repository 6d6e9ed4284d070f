import { useRef, useState } from 'react';
import { useStore } from 'react-redux';
import { loadKit } from '@/pieces';
import { nowMs } from '@/store/clock';
import type { Store } from '@/store/store';

interface Export {
  save: () => Promise<void>;
  failure: string | null;
  /** How far it is, in words; null when it rests. */
  progress: string | null;
  stop: () => void;
}

const TOLD_EVERY_MS = 250;

/** Saves the whole studio as a file. What it takes comes when it is asked for. */
export function useExport(): Export {
  const store = useStore() as Store;
  const [failure, setFailure] = useState<string | null>(null);
  const [progress, setProgress] = useState<string | null>(null);
  const stopped = useRef(false);
  const save = async () => {
    setFailure(null);
    stopped.current = false;
    let toldMs = 0;
    try {
      await loadKit();
      const { saveStudio } = await import('./save-studio');
      setFailure(
        await saveStudio(store.getState(), (done, of) => {
          if (nowMs() - toldMs > TOLD_EVERY_MS) {
            toldMs = nowMs();
            setProgress(`${done} of ${of} photos are in the file`);
          }
          return !stopped.current;
        }),
      );
    } catch (error) {
      if (!stopped.current)
        setFailure(`The studio could not be exported: ${(error as Error).message}`);
    }
    setProgress(null);
  };
  const stop = () => {
    stopped.current = true;
  };
  return { save, failure, progress, stop };
}
