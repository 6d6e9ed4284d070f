import type { Dispatch } from '@/store/store';
import { nowMs } from '@/store/clock';

/**
 * Opens the invented studio, loaded only when it is asked for; its times are relative to now. It travels with the desk:
 * what it is made of is what the screens there are made of.
 * @param wanted asked once it is there: the painter may have gone on meanwhile
 */
export const openDemoStudio = async (
  dispatch: Dispatch,
  wanted: () => boolean = () => true,
): Promise<void> => {
  const { demoStudio, openDemo } = await import('@/features/desk/screens');
  if (wanted()) dispatch(openDemo(demoStudio(nowMs())));
};
