import { loadKit } from '@/pieces';
import type { Dispatch } from '@/store/store';
import { nowMs } from '@/store/clock';

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
  if (wanted()) dispatch(openDemo(demoStudio(nowMs())));
};
