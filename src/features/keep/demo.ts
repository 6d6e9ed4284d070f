import { loadKit } from '@/pieces';
import type { Dispatch } from '@/store/store';
import { recordOfFile } from '@/store/bring-in';
import { making, nowMs } from '@/store/clock';
import { noteExchange } from '@/store/exchange';
import { browserStorage } from '@/store/storage';

/**
 * Opens the invented studio, loaded only when it is asked for; its times are relative to now.
 * @param wanted asked once it is there: the painter may have gone on meanwhile
 */
export const openDemoStudio = async (
  dispatch: Dispatch,
  wanted: () => boolean = () => true,
): Promise<void> => {
  await loadKit();
  const { demoStudio, openDemo } = await import('./demo-piece');
  if (!wanted()) return;
  const file = demoStudio(nowMs());
  dispatch(openDemo(file));
  // It came from a file: nobody is reminded that none was written before something of their own is in it.
  await noteExchange(browserStorage(), {
    id: making().newId(),
    at: file.exportedAt,
    lineage: [],
    record: recordOfFile(file),
  });
};
