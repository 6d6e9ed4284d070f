import { LOOKING } from '@/data/looking';
import { WARM } from '../optics/colour';
import { SCREEN_WHITE, TO_SRGB } from '../optics/screen';
import { blurred } from './blur';
import { resampled } from './change';
import { viewFrom } from './distance';
import { histogramOf, massesOf, thresholdsOf, type MassChoice } from './masses';
import type { Raster } from './photo';
import { quantile } from './values';
import { codeOfLinear, lightnesses, lightOfL } from './tables';

export const MAP_VIEWS = ['colour', 'grey', 'masses', 'warmth', 'chroma', 'difference'] as const;
export type MapView = (typeof MAP_VIEWS)[number];

/** What is drawn of a picture. */
export interface MapAsked {
  view: MapView;
  k: number;
  way: MassChoice;
  /** Thresholds of another picture, or set by hand: one set serves both. */
  thresholds: readonly number[] | null;
  squintMm: number;
  /** Seen from so far, m; null: from near. */
  distanceM: number | null;
  mostPx: number;
  /** How the picture is keyed against the other, by its passages; "fit": as the quartiles of both lie. */
  key: { slope: number; intercept: number } | 'fit';
}

export interface DrawnMap {
  width: number;
  height: number;
  rgba: Uint8ClampedArray;
  thresholds: number[];
  /** Share of the picture in each mass, darkest first. */
  shares: number[];
}

const codeOfL = (L: number): number => codeOfLinear(lightOfL(L));

const small = new WeakMap<Raster, Map<number, Raster>>();

/** A raster reduced to what a screen shows, as means of light; once for each size, for a slider asks again and again. */
export function shrunk(raster: Raster, mostPx: number): Raster {
  const known = small.get(raster) ?? new Map<number, Raster>();
  small.set(raster, known);
  const made = known.get(mostPx) ?? reduced(raster, mostPx);
  known.set(mostPx, made);
  return made;
}

function reduced(raster: Raster, mostPx: number): Raster {
  const by = Math.max(1, Math.ceil(Math.max(raster.width, raster.height) / mostPx));
  if (by === 1) return raster;
  const width = Math.floor(raster.width / by);
  const height = Math.floor(raster.height / by);
  const mean = (plane: Float32Array): Float32Array => {
    const out = new Float32Array(width * height);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        let sum = 0;
        for (let j = 0; j < by; j++)
          for (let i = 0; i < by; i++) sum += plane[(y * by + j) * raster.width + x * by + i]!;
        out[y * width + x] = sum / (by * by);
      }
    return out;
  };
  const Y = mean(raster.Y);
  return {
    ...raster,
    width,
    height,
    pxPerMm: raster.pxPerMm / by,
    Y,
    L: lightnesses(Y),
    a: mean(raster.a),
    b: mean(raster.b),
  };
}

const [R, G, B] = TO_SRGB;

/** Lines of two pixels in eight, a quarter darker. */
const HATCH_MASK = 7;
const HATCH_LINE = 2;
const HATCH_INK = 0.75;

/** How one picture is keyed against another as a whole: middle on middle, and the spread between the quartiles alike. */
function keyByQuartiles(of: Float32Array, against: Float32Array) {
  const [p, q] = [histogramOf(of), histogramOf(against)];
  const at = (h: Uint32Array, share: number) => quantile(h, share);
  const spread = at(p, 0.75) - at(p, 0.25);
  const slope =
    spread > LOOKING.keyPairL
      ? Math.min(LOOKING.keyMost, Math.max(LOOKING.keyLeast, (at(q, 0.75) - at(q, 0.25)) / spread))
      : 1;
  return { slope, intercept: at(q, 0.5) - slope * at(p, 0.5) };
}

/** From a neutral middle to two ends, t from -1 to 1: cool and warm, or darker and lighter. */
const toned = (t: number): readonly [number, number, number] =>
  t > 0
    ? [208 - 45 * t, 208 - 122 * t, 206 - 170 * t]
    : [208 + 140 * t, 208 + 85 * t, 206 + 15 * t];

/**
 * A picture drawn on its support, for a screen.
 * @param against the design, for a view of the difference: what is lighter than it by the key, and what is darker
 */
export function mapOf(whole: Raster, asked: MapAsked, against: Raster | null = null): DrawnMap {
  const raster = shrunk(whole, asked.mostPx);
  const { width, height, pxPerMm } = raster;
  const seen = asked.distanceM === null ? raster.Y : viewFrom(raster, asked.distanceM);
  const Y = asked.squintMm > 0 ? blurred(seen, width, height, asked.squintMm * pxPerMm) : seen;
  const L = Y === raster.Y ? raster.L : lightnesses(Y);
  const rgba = new Uint8ClampedArray(width * height * 4);
  const put = (i: number, r: number, g: number, b: number): void => {
    rgba[4 * i] = r;
    rgba[4 * i + 1] = g;
    rgba[4 * i + 2] = b;
    rgba[4 * i + 3] = 255;
  };
  if (asked.view === 'masses') {
    const thresholds =
      asked.thresholds ??
      thresholdsOf(histogramOf(L), asked.k, asked.way === 'hand' ? 'even' : asked.way);
    const { map, means, shares } = massesOf(L, raster, thresholds, 0);
    const codes = means.map(codeOfL);
    for (let i = 0; i < map.length; i++) {
      const v = codes[map[i]!]!;
      put(i, v, v, v);
    }
    return { width, height, rgba, thresholds: [...thresholds], shares };
  }
  // Colour melts with the light of it; a single pixel of a photo has none that can be told.
  const sigma =
    asked.view === 'colour' ? asked.squintMm * pxPerMm : Math.max(1, asked.squintMm * pxPerMm);
  const soft = (p: Float32Array) => blurred(p, width, height, sigma);
  const [a, b] = ['warmth', 'chroma', 'colour'].includes(asked.view)
    ? [soft(raster.a), soft(raster.b)]
    : [raster.a, raster.b];
  if (asked.view === 'warmth') {
    let mean = 0;
    const warm = new Float32Array(a.length);
    for (let i = 0; i < a.length; i++) {
      warm[i] = a[i]! * WARM[0] + b[i]! * WARM[1];
      mean += warm[i]! / a.length;
    }
    for (let i = 0; i < a.length; i++) {
      // A neutral has no temperature; a cast of the photo goes with the mean.
      const t =
        Math.hypot(a[i]!, b[i]!) < LOOKING.neutralChroma
          ? 0
          : Math.min(1, Math.max(-1, (warm[i]! - mean) / LOOKING.mapWarm));
      put(i, ...toned(t));
    }
    return { width, height, rgba, thresholds: [], shares: [] };
  }
  if (asked.view === 'chroma') {
    for (let i = 0; i < L.length; i++) {
      const t = Math.min(1, Math.hypot(a[i]!, b[i]!) / LOOKING.mapChroma);
      put(i, ...toned(t));
    }
    return { width, height, rgba, thresholds: [], shares: [] };
  }
  if (asked.view === 'difference' && against) {
    const even = (r: Raster) => blurred(r.L, r.width, r.height, LOOKING.changeBlurMm * r.pxPerMm);
    const meant = shrunk(against, asked.mostPx);
    const design = resampled(even(meant), meant, raster);
    const own = even(raster);
    const { slope, intercept } = asked.key === 'fit' ? keyByQuartiles(design, own) : asked.key;
    own.forEach((now, i) => {
      const off = now - (intercept + slope * design[i]!);
      const t =
        Math.abs(off) < LOOKING.relationL ? 0 : Math.min(1, Math.max(-1, off / LOOKING.mapOffL));
      // What departs by more than a value is hatched too: one that sees no hues sees where.
      const line = ((i % width) + Math.floor(i / width) * Math.sign(off)) & HATCH_MASK;
      const ink = Math.abs(off) > LOOKING.mapHatchL && line < HATCH_LINE ? HATCH_INK : 1;
      const [r, g, b] = toned(t);
      put(i, ink * r, ink * g, ink * b);
    });
    return { width, height, rgba, thresholds: [], shares: [] };
  }
  for (let i = 0; i < L.length; i++) {
    if (asked.view === 'grey') {
      const v = codeOfL(L[i]!);
      put(i, v, v, v);
      continue;
    }
    // Lab to linear sRGB, as in the optics; here without an object for each pixel.
    const f = (L[i]! + 16) / 116;
    const x = SCREEN_WHITE[0] * lightOfL(116 * (f + a[i]! / 500) - 16);
    const y = lightOfL(L[i]!);
    const z = SCREEN_WHITE[2] * lightOfL(116 * (f - b[i]! / 200) - 16);
    put(
      i,
      codeOfLinear(R[0] * x + R[1] * y + R[2] * z),
      codeOfLinear(G[0] * x + G[1] * y + G[2] * z),
      codeOfLinear(B[0] * x + B[1] * y + B[2] * z),
    );
  }
  return { width, height, rgba, thresholds: [], shares: [] };
}
