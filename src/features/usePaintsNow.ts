import { useMemo } from 'react';
import type { CabinetPaint } from '@/core/cabinet';
import { runDown } from '@/core/costs/used';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { usePaintings, useStoreSelector } from '@/store/hooks';

/** The paints of the cabinet with what is left of them now: what was seen, less what was laid since. Every screen asks here. */
export function usePaintsNow(): CabinetPaint[] {
  const paintings = usePaintings();
  const paints = useStoreSelector((s) => s.cabinet.paints);
  return useMemo(() => runDown(paintings, STUDIO_HANDBOOK, paints), [paintings, paints]);
}
