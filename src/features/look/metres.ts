import { LOOKING } from '@/data/looking';
import { parseNumber } from '@/forms';

/** From how far a border can be judged, m: as near as a nose, as far as a hall. */
export const NEAREST_M = 0.3;
export const FARTHEST_M = 20;

/** A distance as it is typed, m; the usual step back while it is none. */
export const metresOf = (text: string): number => {
  const m = parseNumber(text);
  return m >= NEAREST_M && m <= FARTHEST_M ? m : LOOKING.viewM;
};
