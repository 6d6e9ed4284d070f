import { useState } from 'react';
import { useStore } from 'react-redux';
import { loadKit } from '@/pieces';
import type { Store } from '@/store/store';

/** Saves the whole studio as a file. What it takes comes when it is asked for. */
export function useExport(): { save: () => Promise<void>; failure: string | null } {
  const store = useStore() as Store;
  const [failure, setFailure] = useState<string | null>(null);
  const save = async () => {
    setFailure(null);
    try {
      await loadKit();
      const { saveStudio } = await import('./save-studio');
      setFailure(await saveStudio(store.getState()));
    } catch (error) {
      setFailure(`The studio could not be exported: ${(error as Error).message}`);
    }
  };
  return { save, failure };
}
