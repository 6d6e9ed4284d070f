import { PIGMENT_ROWS } from '@/data/pigments';
import { hexToLinear, linearToHex, type Bands } from './srgb';

/**
 * Colour of a mixture of pigments by single-constant Kubelka-Munk on three bands of linear sRGB:
 * K/S = (1 - R)^2 / 2R of each masstone, weighted by volume and tinting strength, and back.
 * Kubelka & Munk, Z. tech. Phys. 12 (1931); Duncan's additivity, Proc. Phys. Soc. 52 (1940); from
 * memory. Three bands and estimated masstones: good for telling films apart, not for matching.
 */
const MIN_REFLECTANCE = 0.002;
const MAX_REFLECTANCE = 0.98;

const kOverS = (r: number): number => {
  const reflectance = Math.min(MAX_REFLECTANCE, Math.max(MIN_REFLECTANCE, r));
  return (1 - reflectance) ** 2 / (2 * reflectance);
};
const reflectance = (ks: number): number => 1 + ks - Math.sqrt(ks * ks + 2 * ks);

/** Colorants carry their strength; whites and fillers scatter, so their weight is that of an opaque paint. */
const bandsByPigment = new Map<string, { strength: number; ks: Bands }>(
  PIGMENT_ROWS.map((row) => [
    row.key,
    { strength: row.tinting_strength, ks: hexToLinear(row.masstone_srgb).map(kOverS) as Bands },
  ]),
);

/** Medium without pigment: pale amber, as oil looks over white. */
export const CLEAR_MEDIUM = '#e4cf9d';

/** sRGB hex of a mixture, by volume of pigment solids. */
export function mixColour(pigments: Record<string, number>): string {
  let weight = 0;
  const ks: Bands = [0, 0, 0];
  for (const key in pigments) {
    const pigment = bandsByPigment.get(key);
    if (!pigment) continue;
    const w = (pigments[key] ?? 0) * pigment.strength;
    weight += w;
    ks.forEach((_, i) => (ks[i]! += w * pigment.ks[i]!));
  }
  if (weight === 0) return CLEAR_MEDIUM;
  return linearToHex(ks.map((x) => reflectance(x / weight)) as Bands);
}
