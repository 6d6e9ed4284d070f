import type { ExportFile } from '@/core/formats';
import { nowMs } from '@/store/clock';

/**
 * The invented studio, loaded only when it is asked for; its times are relative to now. It travels with the desk:
 * what it is made of is what the screens there are made of.
 */
export const DEMO_STUDIO = async (): Promise<ExportFile> => {
  const { demoStudio } = await import('@/features/desk/screens');
  return demoStudio(nowMs());
};
