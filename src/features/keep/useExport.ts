import { useState } from 'react';
import { useStore } from 'react-redux';
import { loadKit } from '@/pieces';
import type { Store } from '@/store/store';

interface Export {
  save: () => Promise<void>;
  failure: string | null;
  /** How far it is, in words; null when it rests. */
  progress: string | null;
}

/** Saves the whole studio as a file. What it takes comes when it is asked for. */
export function useExport(): Export {
  const store = useStore() as Store;
  const [failure, setFailure] = useState<string | null>(null);
  const [progress, setProgress] = useState<string | null>(null);
  const save = async () => {
    setFailure(null);
    try {
      await loadKit();
      const { saveStudio } = await import('./save-studio');
      setFailure(
        await saveStudio(store.getState(), (done, of) =>
          setProgress(`${done} of ${of} photos are in the file`),
        ),
      );
    } catch (error) {
      setFailure(`The studio could not be exported: ${(error as Error).message}`);
    }
    setProgress(null);
  };
  return { save, failure, progress };
}
