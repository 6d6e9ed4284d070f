import { finestMm } from '@/core/costs/brushes';
import { lookingOf } from '@/core/looking/edit';
import type { Painting } from '@/core/painting';
import { LOOKING } from '@/data/looking';
import { useStoreSelector } from '@/store/hooks';

/** How fine the finest brush paints, mm: as said of this painting, else the finest in the cabinet, else the usual. */
export function useFinestBrush(painting: Painting): number {
  const brushes = useStoreSelector((s) => s.cabinet.brushes);
  return lookingOf(painting).finestBrushMm ?? finestMm(brushes ?? []) ?? LOOKING.finestBrushMm;
}
