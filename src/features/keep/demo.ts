import type { ExportFile } from '@/core/formats';
import { nowMs } from '@/store/clock';

/** The invented studio, loaded only when it is asked for; its times are relative to now. */
export const DEMO_STUDIO = async (): Promise<ExportFile> => {
  const { demoStudio } = await import('../../../demo/studio');
  return demoStudio(nowMs());
};
