import { PALETTE } from '@/data/pace';
import {
  dryingClock,
  dryingTimes,
  ON_NEUTRAL_GROUND,
  quantileOf,
  type Climate,
  type StudioAir,
} from '../drying';
import { filmOfRecipe } from '../film';
import type { Handbook } from '../handbook';
import type { PaletteMix } from './schema';

export interface PaletteWindow {
  /** Usable until then with 90 % chance, and with 50 %; null when nothing dries it. */
  p90: number | null;
  p50: number | null;
  usable: boolean;
}

/**
 * How long a mix on the palette can be worked: the open time of a heap of it, in the studio's air until it is
 * covered, then shut and cool. A skin ends it, whatever the figure says.
 */
export function paletteWindow(
  handbook: Handbook,
  air: StudioAir,
  climate: Climate,
  mix: Pick<PaletteMix, 'recipe' | 'madeAt' | 'coveredAt' | 'goneAt'>,
  nowMs: number,
): PaletteWindow {
  const { constants } = handbook;
  const madeMs = Date.parse(mix.madeAt);
  const film = filmOfRecipe(handbook, { ...mix.recipe, thicknessUm: PALETTE.thicknessUm });
  const times = dryingTimes(handbook, film, PALETTE.thicknessUm, ON_NEUTRAL_GROUND, climate);
  const free = air.clock(times.kind, madeMs, null);
  const coveredMs = mix.coveredAt === null ? null : Date.parse(mix.coveredAt);
  const had = coveredMs === null ? Infinity : free.doseAt(coveredMs);
  const shut: Climate = { ...climate, temperatureC: PALETTE.coolC, air: 'sealed', light: 'dark' };
  const cool = dryingClock(constants, times.kind, shut, coveredMs ?? madeMs, null);
  const at = (p: number): number | null => {
    // A heap is skinned over as a thin film is: stirring it mixes the skin in as crumbs.
    const dose = constants.openOverTouch * quantileOf(times.touch, p);
    return dose <= had ? free.timeOf(dose) : cool.timeOf(dose - had);
  };
  const p90 = at(0.1);
  const p50 = at(0.5);
  return { p90, p50, usable: mix.goneAt === null && (p50 === null || nowMs < p50) };
}
