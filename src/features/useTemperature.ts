import { useStoreSelector } from '@/store/hooks';
import type { TemperatureUnit } from './units';

/** How the painter reads temperatures. */
export const useTemperatureUnit = (): TemperatureUnit =>
  useStoreSelector((state) => state.studio.temperature ?? 'C');
