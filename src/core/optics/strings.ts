import { chromaOf, de2000, hueOf, type Lab } from './colour';
import { mixer } from './mixer';
import { opaqueLab, type OpticalPaint } from './paint';
import { changeOf, type ColourChange } from './words';

/** A mix: paints in parts by volume of tube paint. Parts need not add up to one. */
export type Mix = readonly { paint: OpticalPaint; parts: number }[];

const sharesOf = (mix: Mix): { paint: OpticalPaint; um: number }[] => {
  const total = mix.reduce((sum, part) => sum + part.parts, 0);
  return mix.map(({ paint, parts }) => ({ paint, um: parts / total }));
};

/** Two mixes together, `share` of the second by volume: parts add up to one. */
export const blend = (one: Mix, other: Mix, share: number): { paint: OpticalPaint; um: number }[] =>
  [
    ...sharesOf(one).map((part) => ({ ...part, um: part.um * (1 - share) })),
    ...sharesOf(other).map((part) => ({ ...part, um: part.um * share })),
  ].filter((part) => part.um > 0);

/** The colour of two mixes together, for many shares of the second. */
export function blender(one: Mix, other: Mix): (share: number) => Lab {
  const [first, second] = [sharesOf(one), sharesOf(other)];
  const labOf = mixer([...first, ...second].map((part) => part.paint));
  const amounts = new Float64Array(first.length + second.length);
  return (share) => {
    first.forEach(({ um }, j) => (amounts[j] = um * (1 - share)));
    second.forEach(({ um }, j) => (amounts[first.length + j] = um * share));
    return labOf(amounts);
  };
}

/** Lab of a mix laid so thick that nothing shows through. */
export const labOfMix = (mix: Mix): Lab => opaqueLab(sharesOf(mix));

/** Steps in which a way between mixes is looked at. */
const FINE = 400;

export type Evenness = 'lightness' | 'difference';

export interface StringStep {
  /** Place on the way: 0 is the first mix, 1 the second, 1.5 half-way from the second to the third. */
  at: number;
  /** Shares of the mixes by volume, as many as mixes. */
  shares: number[];
  lab: Lab;
}

export type ColourString = { steps: StringStep[]; length: number } | { turnsAt: number; lab: Lab };

/** The colour at a place on the way through two or more mixes. */
function along(mixes: readonly Mix[]): (at: number) => Lab {
  const legs = mixes.slice(1).map((mix, k) => blender(mixes[k]!, mix));
  return (at) => {
    const leg = Math.min(mixes.length - 2, Math.floor(at));
    return legs[leg]!(at - leg);
  };
}

const sharesAt = (at: number, n: number): number[] =>
  Array.from({ length: n }, (_, k) => Math.max(0, 1 - Math.abs(at - k)));

/**
 * A string of n steps through two or three mixes, even in lightness or along the way in CIEDE2000. The shares are far
 * from even. Where lightness turns round on the way there is no string even in it: told with the place.
 */
export function stringOf(mixes: readonly Mix[], n: number, even: Evenness): ColourString {
  const legs = mixes.length - 1;
  const labAt = along(mixes);
  const total = FINE * legs;
  const labs = Array.from({ length: total + 1 }, (_, i) => labAt((i * legs) / total));
  const measure: number[] = [];
  if (even === 'lightness') {
    const rise = labs.at(-1)![0] - labs[0]![0];
    // Ends alike: it can only turn; the place where it does is told.
    const way = Math.sign(Math.abs(rise) > 1e-6 ? rise : labs[1]![0] - labs[0]![0]) || 1;
    for (const [i, lab] of labs.entries()) {
      const here = way * lab[0];
      if (i > 0 && here < measure[i - 1]! - 1e-9)
        return { turnsAt: ((i - 1) * legs) / total, lab: labs[i - 1]! };
      measure.push(here);
    }
  } else {
    measure.push(0);
    for (let i = 1; i <= total; i++) measure.push(measure[i - 1]! + de2000(labs[i - 1]!, labs[i]!));
  }
  const [from, to] = [measure[0]!, measure.at(-1)!];
  const steps = Array.from({ length: n }, (_, k): StringStep => {
    const wanted = from + ((to - from) * k) / Math.max(1, n - 1);
    const i = Math.max(
      1,
      measure.findIndex((m) => m >= wanted - 1e-12),
    );
    const [a, b] = [measure[i - 1]!, measure[i]!];
    const part = b > a ? Math.min(1, Math.max(0, (wanted - a) / (b - a))) : 0;
    const at = ((i - 1 + part) * legs) / total;
    return { at, shares: sharesAt(at, mixes.length), lab: labAt(at) };
  });
  return { steps, length: Math.abs(to - from) };
}

/** Least of a function on an interval, first by looking, then by thirds. */
function leastOf(f: (x: number) => number, from: number, to: number): number {
  const LOOKS = 60;
  let best = from;
  for (let i = 1; i <= LOOKS; i++) {
    const x = from + ((to - from) * i) / LOOKS;
    if (f(x) < f(best)) best = x;
  }
  let low = Math.max(from, best - (to - from) / LOOKS);
  let high = Math.min(to, best + (to - from) / LOOKS);
  for (let i = 0; i < 40; i++) {
    const a = low + (high - low) / 3;
    const b = high - (high - low) / 3;
    if (f(a) < f(b)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}

/** Beyond so much of the other colour it is the other colour that is looked at. */
const MOST_OF_OTHER = 0.95;

export interface Neutral {
  /** Index among the candidates. */
  index: number;
  /** Share of the candidate by volume. */
  share: number;
  lab: Lab;
  chroma: number;
}

/** What takes the colour out of a mix: every candidate at its best share, least chroma first, then least change of lightness. */
export function neutralise(mix: Mix, candidates: readonly Mix[]): Neutral[] {
  const before = labOfMix(mix)[0];
  return candidates
    .map((candidate, index): Neutral => {
      const labAt = blender(mix, candidate);
      const chroma = (share: number) => chromaOf(labAt(share));
      const share = leastOf(chroma, 0, MOST_OF_OTHER);
      const lab = labAt(share);
      return { index, share, lab, chroma: chromaOf(lab) };
    })
    .filter(({ share }) => share > 1e-3 && share < MOST_OF_OTHER - 1e-3)
    .sort(
      (a, b) =>
        Math.round(a.chroma) - Math.round(b.chroma) ||
        Math.abs(a.lab[0] - before) - Math.abs(b.lab[0] - before),
    );
}

export interface WhiteAdded {
  from: Lab;
  to: Lab;
  change: ColourChange;
  /** A touch that turns the hue back, best first: which candidate, its share, and how much chroma is still lost. */
  back: { index: number; share: number; lab: Lab; chromaLost: number }[];
}

const MOST_TOUCH = 0.4;
const HUE_BACK_DEG = 2;

/**
 * White added to a mix: what it does to lightness, chroma, hue and warmth, apart, and which touch of which paint turns
 * the hue back. "Cooler" has two parts: less chroma, and a hue that turns.
 */
export function whiteAdded(
  mix: Mix,
  white: Mix,
  share: number,
  candidates: readonly Mix[],
): WhiteAdded {
  const from = labOfMix(mix);
  const tint = blend(mix, white, share).map(({ paint, um }) => ({ paint, parts: um }));
  const to = labOfMix(tint);
  const turned = (lab: Lab) => Math.abs(((hueOf(lab) - hueOf(from) + 540) % 360) - 180);
  const back = candidates
    .map((candidate, index) => {
      const labAt = blender(tint, candidate);
      const touch = leastOf((s) => turned(labAt(s)), 0, MOST_TOUCH);
      const lab = labAt(touch);
      return { index, share: touch, lab, chromaLost: chromaOf(from) - chromaOf(lab) };
    })
    .filter((b) => b.share > 1e-3 && turned(b.lab) < HUE_BACK_DEG && turned(b.lab) < turned(to))
    .sort((a, b) => a.share + a.chromaLost / 100 - (b.share + b.chromaLost / 100));
  return { from, to, change: changeOf(from, to), back };
}

const SECTORS = 36;
const SLICE_L = 3;
const GRID = [0, 0.02, 0.06, 0.12, 0.2, 0.35, 0.5, 0.7, 0.85, 0.95, 1];

/**
 * What a set of paints reaches at one lightness: the most chroma by hue, in 36 sectors of ten degrees, over mixes of two
 * and of three of them. 0 where nothing of that hue is reached.
 */
export function reachAt(paints: readonly OpticalPaint[], lightness: number): number[] {
  const reach = new Array<number>(SECTORS).fill(0);
  const labOf = mixer(paints);
  const amounts = new Float64Array(paints.length);
  const look = (...parts: [index: number, share: number][]) => {
    amounts.fill(0);
    for (const [index, share] of parts) amounts[index] = share;
    const lab = labOf(amounts);
    if (Math.abs(lab[0] - lightness) > SLICE_L) return;
    const sector = Math.floor(hueOf(lab) / (360 / SECTORS)) % SECTORS;
    reach[sector] = Math.max(reach[sector]!, chromaOf(lab));
  };
  const inner = GRID.slice(1, -1);
  for (let i = 0; i < paints.length; i++) {
    look([i, 1]);
    for (let j = i + 1; j < paints.length; j++) {
      for (const s of inner) look([i, 1 - s], [j, s]);
      for (let k = j + 1; k < paints.length; k++)
        for (const s of inner)
          for (const t of inner) look([i, (1 - s) * (1 - t)], [j, s * (1 - t)], [k, t]);
    }
  }
  return reach;
}
