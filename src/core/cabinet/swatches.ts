import { tubeConstituents } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { correctionOf } from '../optics/correction';
import type { SwatchedTube, Swatches } from '../optics/composition';
import { remember } from '../remember';
import type { Cabinet, CabinetPaint } from './schema';
import type { Swatch } from './swatch-schema';

/** The swatches that a paint's colour goes by: the latest that the painter uses; null where the table speaks. */
export const countingSwatch = (cabinet: Cabinet, paintId: string): Swatch | null =>
  (cabinet.swatches ?? [])
    .filter((s) => s.paintId === paintId && s.used)
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1) ?? null;

/** Pigment solids per volume of a tube as squeezed out. */
export const solidsOfTube = (paint: CabinetPaint): Record<string, number> =>
  tubeConstituents(STUDIO_HANDBOOK, { own: paint }, 1).pigments;

/** The tubes of a cabinet that swatches were laid of, by the key under which films hold them. */
export const swatchesOf = remember('swatches', (cabinet: Cabinet): Swatches => {
  const out = new Map<string, SwatchedTube>();
  for (const paint of cabinet.paints) {
    const swatch = countingSwatch(cabinet, paint.id);
    if (!swatch) continue;
    const pigments = solidsOfTube(paint);
    out.set(`own:${paint.id}`, {
      pigments,
      correction: correctionOf(pigments, swatch.fit),
      at: swatch.at,
    });
  }
  return out;
});
