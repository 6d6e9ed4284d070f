import type { Material } from './materials';
import type { Confidence, ConstantRow } from './constants';
import { lowRow, valuesOf } from './rows';

/**
 * Constants of the colour of paint films. Kubelka & Munk, Z. tech. Phys. 12 (1931); Saunderson, J. Opt. Soc. Am. 32
 * (1942). From memory where nothing else is said; what the numbers do is told in docs/method.md.
 */
const row = (value: number, unit: string, source: string, confidence: Confidence): ConstantRow => ({
  value,
  unit,
  source,
  confidence,
});
const JUDGED = 'judgement; no publication gives the number';

export const OPTICS_ROWS = {
  /** Reflection of the surface, and of its inner side for diffuse light. */
  surfaceOuter: row(0.04, 'share of the light', 'Fresnel at n 1.5, light from one side', 'high'),
  surfaceInner: row(0.6, 'share of the light', 'Saunderson; 0.596 in theory at n 1.5', 'high'),
  /** Volume share at which a titanium white scatters best: the particles crowd beyond it. */
  crowdingPhi: lowRow(0.3, 'volume share', 'best at 25-30 % of rutile: trade knowledge; form ours'),
  binderTailNm: lowRow(38, 'nm', 'blue tail of dried oils; ' + JUDGED),
  binderAtNm: row(430, 'nm', 'where the K of the binders is given', 'high'),
  scatterAtNm: row(550, 'nm', 'where S is given', 'high'),
  cvSoftBrush: lowRow(0.3, 'share', JUDGED),
  /** The pole of warmth among hues; Ou, Luo, Woodcock & Wright, Color Res. Appl. 29 (2004). */
  warmHueDeg: row(50, 'degrees of Lab hue', 'Ou and co-workers; from memory', 'medium'),
  gamutTolerance: row(0.0005, 'linear sRGB', 'rounding of the matrix', 'high'),
  /** Where a tube may differ from the table: hats over blue, green and red. */
  hatBlueNm: row(430, 'nm', 'flat below it', 'medium'),
  hatGreenNm: row(525, 'nm', JUDGED, 'medium'),
  hatRedNm: row(640, 'nm', 'flat above it', 'medium'),
  hatBlueWidth: row(95, 'nm', JUDGED, 'medium'),
  hatGreenWidth: row(95, 'nm', JUDGED, 'medium'),
  hatRedWidth: row(115, 'nm', JUDGED, 'medium'),
} as const satisfies Record<string, ConstantRow>;

export const OPTICS = valuesOf(OPTICS_ROWS);

/** How much of the surface's reflection reaches the eye. Judgement, low. */
export const FINISH_SHARE = {
  wet: 0,
  gloss: 0,
  'oil-gloss': 0.1,
  satin: 0.3,
  eggshell: 0.5,
  matt: 0.85,
  'gloss-included': 1,
} as const;
export type Finish = keyof typeof FINISH_SHARE;
export const FINISHES = Object.keys(FINISH_SHARE) as [Finish, ...Finish[]];

/** The finish of a dry film by its reduced PVC after loss to the ground. Judgement, low. */
export const FINISH_BY_REDUCED_PVC: readonly (readonly [below: number, Finish])[] = [
  [0.6, 'oil-gloss'],
  [0.8, 'satin'],
  [1, 'eggshell'],
  [Infinity, 'matt'],
];

/** How the binder has aged. Off is no colour at all; fresh is the usual. */
export const AGES = ['off', 'fresh', 'light-5y', 'dark-5y', 'light-50y'] as const;
export type Age = (typeof AGES)[number];

interface BinderColour {
  /** Absorption at 430 nm of the dry binder, 1/um. */
  K430: number;
  /** What ageing multiplies it by. */
  aged: Record<Exclude<Age, 'off' | 'fresh'>, number>;
}
const binder = (K430: number, light5: number, dark5: number, light50: number): BinderColour => ({
  K430,
  aged: { 'light-5y': light5, 'dark-5y': dark5, 'light-50y': light50 },
});

/** Colour of dry binders. Estimates, confidence low: the order is trade knowledge, the figures are judgement. */
export const BINDER_COLOUR = {
  linseed: binder(5e-4, 1.6, 4, 2.5),
  'stand-oil': binder(3.5e-4, 1.3, 2.5, 1.8),
  'sun-thickened': binder(4e-4, 1.4, 3, 2),
  walnut: binder(3.3e-4, 1.3, 2.5, 1.8),
  poppy: binder(2.2e-4, 1.2, 1.8, 1.6),
  safflower: binder(2.2e-4, 1.2, 1.8, 1.6),
  alkyd: binder(3e-4, 1.5, 2.5, 2.5),
  resin: binder(2e-4, 2, 1.5, 10),
  balsam: binder(4e-4, 2.5, 2, 8),
  wax: binder(1.5e-4, 0.7, 1, 0.7),
  acrylic: binder(2e-5, 1.2, 1.5, 2),
} as const;
export type ColouredBinder = keyof typeof BINDER_COLOUR;

/** Inner reflectance of grounds over the bands: flat, or rising from one level to another about a wavelength. Low. */
export type GroundColour =
  | { flat: number }
  | { low: number; high: number; midNm: number; widthNm: number }
  | { opaque: Record<string, number>; addedK?: number };

export const GROUND_COLOURS = {
  black: { flat: 0 },
  'chart-white': { flat: 0.905 },
  'opaque-titanium-white': { opaque: { 'titanium-white': 1 } },
  /** Titanium with chalk: a little greyer than the white alone. */
  'acrylic-gesso': { opaque: { 'titanium-white': 1 }, addedK: 4e-4 },
  'opaque-lead-white': { opaque: { 'lead-white': 1 } },
  'opaque-zinc-white': { opaque: { 'zinc-white': 1 } },
  /** Once oil has wetted it; dry it is whiter. */
  'chalk-glue': { low: 0.62, high: 0.93, midNm: 400, widthNm: 35 },
  'mid-grey': { flat: 0.4 },
  'warm-tone': { low: 0.22, high: 0.72, midNm: 570, widthNm: 45 },
  'linen-sized': { low: 0.2, high: 0.58, midNm: 560, widthNm: 90 },
  'pale-wood': { low: 0.18, high: 0.82, midNm: 520, widthNm: 60 },
  /** Nobody knows what lies there: a warm middle tone stands for it. */
  'old-painting': { low: 0.2, high: 0.42, midNm: 570, widthNm: 60 },
  metal: { flat: 0.3 },
} as const satisfies Record<string, GroundColour>;
export type GroundColourKey = keyof typeof GROUND_COLOURS;
export const GROUND_COLOUR_KEYS = Object.keys(GROUND_COLOURS) as [
  GroundColourKey,
  ...GroundColourKey[],
];

/**
 * What a coat that is no mixed paint looks like, where it covers: shares of tube paint that stand for its kind, for
 * nobody said its colour. Null is clear, or, as a drawing, too little to colour the passage. Judgement, low.
 */
export const MATERIAL_LOOK: Record<Material['family'], Record<string, number> | null> = {
  drawing: null,
  seal: null,
  varnish: null,
  wax: null,
  aqueous: { 'titanium-white': 0.75, 'raw-sienna': 0.25 },
  pastel: { 'titanium-white': 0.6, 'indian-red': 0.4 },
  household: { 'titanium-white': 0.97, 'ivory-black': 0.03 },
  dispersion: { 'titanium-white': 1 },
};

/** The surface of a coat that is no mixed paint; null leaves that of what it lies on. Judgement, low. */
export const FINISH_OF_MATERIAL: Record<Material['family'], Finish | null> = {
  drawing: null,
  seal: 'satin',
  varnish: 'gloss',
  wax: 'satin',
  aqueous: 'matt',
  pastel: 'matt',
  household: 'satin',
  dispersion: 'eggshell',
};
