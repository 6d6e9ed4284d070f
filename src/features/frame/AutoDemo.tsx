import { useEffect } from 'react';
import { z } from 'zod';
import { openDemoStudio } from '@/features/keep/demo';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';

const servedSchema = z.object({ demo: z.boolean() });

async function servedAsDemo(): Promise<boolean> {
  const response = await fetch('/api/studio');
  if (!response.ok) return false;
  return servedSchema.safeParse(await response.json()).data?.demo ?? false;
}

/** When the server was started for the demo and the studio is empty, the demo studio is opened. Once. */
export function AutoDemo() {
  const dispatch = useStoreDispatch();
  const pristine = useStoreSelector(
    (state) =>
      state.paintings.ids.length === 0 &&
      state.undo.changes.length === 0 &&
      state.studio.revision === 0 &&
      state.saving.unreadable.length === 0,
  );
  useEffect(() => {
    if (!pristine) return;
    let gone = false;
    servedAsDemo()
      .then(async (demo) => {
        if (demo && !gone) await openDemoStudio(dispatch, () => !gone);
      })
      // Without a server that answers, the studio simply stays empty.
      .catch(() => undefined);
    return () => {
      gone = true;
    };
    // Only at the start: a studio that is emptied later stays empty.
  }, []);
  return null;
}
