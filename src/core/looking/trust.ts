import { LOOKING } from '@/data/looking';
import type { FlatBy, ReadPatch } from './light';

/** How far the values of a photo can be believed: their order alone, about half a step, or steps with their error. */
export type TrustLevel = 'order' | 'relative' | 'steps';

export interface Trust {
  level: TrustLevel;
  /** Standard deviation of a passage's value from curve and light, L*. */
  sigmaCurve: number;
  sigmaLight: number;
  /** Why no more can be said, and the cheapest next help. */
  why: string[];
}

/**
 * @param read patches as the photo has them
 * @param seen their L* after the curve is undone, in the same order: two like ones on opposite sides tell the light
 * @param clipped share of the support at the end of a channel
 */
export function trustOf(
  read: readonly ReadPatch[],
  seen: readonly number[],
  flat: FlatBy,
  clipped: number,
): Trust {
  const why: string[] = [];
  const usable = read.filter((p) => p.L !== null && !p.clipped);
  if (read.some((p) => p.clipped))
    why.push('A patch is burnt out and is left out. Expose it a little less.');
  const n = usable.length;
  const sigmaCurve =
    n >= LOOKING.curvePatches
      ? LOOKING.sigmaCurveSteps
      : n >= LOOKING.linearPatches
        ? LOOKING.sigmaCurveThree
        : n > 0
          ? LOOKING.sigmaCurveOne
          : LOOKING.sigmaCurveNone;
  // Two patches of one lightness, in two places: what parts them is the light.
  let apart: number | null = null;
  read.forEach((p, i) =>
    read.slice(i + 1).forEach((q, k) => {
      if (p.L === null || q.L === null || Math.abs(p.L - q.L) > 1) return;
      apart = Math.max(apart ?? 0, Math.abs(seen[i]! - seen[i + 1 + k]!));
    }),
  );
  const sigmaLight =
    flat === 'board'
      ? LOOKING.sigmaLightBoard
      : flat !== 'none'
        ? LOOKING.sigmaLightKnown
        : apart !== null
          ? Math.max(LOOKING.sigmaLightBoard, apart / 2)
          : LOOKING.sigmaLightUnknown;
  if (clipped > LOOKING.mostClipped)
    why.push(
      `${(clipped * 100).toFixed(0)} % of the picture is burnt out or drowned. Photograph it darker, without flash.`,
    );
  if (apart !== null && apart > LOOKING.mostUneven && flat === 'none')
    why.push(
      'The light is uneven: like patches on two sides differ. Turn the picture to the light.',
    );
  const refused =
    clipped > LOOKING.mostClipped ||
    (apart !== null && apart > LOOKING.mostUneven && flat === 'none');
  if (n === 0 || refused) {
    if (n === 0)
      why.push('Order of values only. Lay a grey strip beside the picture and steps can be told.');
    return { level: 'order', sigmaCurve, sigmaLight, why };
  }
  const even = flat !== 'none' || (apart !== null && apart <= 2 * LOOKING.sigmaLightKnown);
  if (n >= LOOKING.linearPatches && even) return { level: 'steps', sigmaCurve, sigmaLight, why };
  why.push(
    n < LOOKING.linearPatches
      ? 'Differences about, to half a step. A white, a grey and a black patch would tell more.'
      : 'Differences about, to half a step: how the light falls is not known. The same grey steps on the other side of the picture too would tell.',
  );
  return { level: 'relative', sigmaCurve, sigmaLight, why };
}

const glossOf = (L: number): number =>
  L < LOOKING.glossDarkL ? LOOKING.sigmaGlossDark : LOOKING.sigmaGlossLight;

/** What noise and texture leave in the mean of an area, L*. */
const areaSigma = (areaCm2: number): number =>
  Math.max(LOOKING.sigmaAreaLeast, LOOKING.noisePerCm / Math.sqrt(Math.max(areaCm2, 1e-6)));

/** Standard deviation of the value of a passage, L*. */
export const valueSigma = (trust: Trust, L: number, areaCm2: number): number =>
  Math.hypot(trust.sigmaCurve, trust.sigmaLight, glossOf(L), areaSigma(areaCm2));

/**
 * Of a passage against the whole picture, L*: of what curve and light may be off, a part is common to all passages and
 * goes into the key.
 */
export const relationSigma = (trust: Trust, L: number, areaCm2: number): number =>
  Math.hypot(
    LOOKING.relationPart * Math.hypot(trust.sigmaCurve, trust.sigmaLight),
    glossOf(L),
    areaSigma(areaCm2),
  );

export interface Placed {
  L: number;
  chroma: number;
  areaCm2: number;
  centre: readonly [number, number];
}

/** Of a difference between two passages: the tone curve does not count, for it turns no pair round. */
export function pairSigma(trust: Trust, one: Placed, two: Placed, diagonalMm: number): number {
  const apart =
    Math.hypot(one.centre[0] - two.centre[0], one.centre[1] - two.centre[1]) / diagonalMm;
  const colour =
    trust.level === 'steps' ? 0 : LOOKING.chromaSlack * Math.abs(one.chroma - two.chroma);
  return Math.hypot(
    trust.sigmaLight * apart * Math.SQRT2,
    areaSigma(one.areaCm2),
    areaSigma(two.areaCm2),
    glossOf(Math.min(one.L, two.L)),
    colour,
  );
}
