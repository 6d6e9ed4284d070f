import { EXTENDER_KEY } from '@/data/extender';
import { MATERIALS, type MaterialKey } from '@/data/materials';
import type { DrierKey } from '@/data/driers';
import type { OilKey } from '@/data/oils';

/**
 * Volumes by kind, all in one unit: ml per ml of wet mixture, or um of film (ml per unit area).
 * Everything but `cloveWtPct` and `material` adds up when two mixtures become one.
 */
export interface Constituents {
  /** Tube paint as squeezed out, by tube. */
  tubes: Record<string, number>;
  /** Pigment solids by pigment key, extender among them. */
  pigments: Record<string, number>;
  tubeOil: Partial<Record<OilKey, number>>;
  addedOil: Partial<Record<OilKey, number>>;
  alkydTube: number;
  alkydMedium: number;
  /** Natural resin, balsams included. */
  resin: number;
  /** The part of it that is balsam. */
  balsam: number;
  wax: number;
  /** Mass of resin, wax and alkyd of the medium. */
  mediumSolidsMass: number;
  acrylic: number;
  /** A film that is not reckoned: pastel, tempera, varnish. */
  inert: number;
  /** All that leaves as vapour, of tube and medium. */
  volatile: number;
  /** Volatile of the medium alone: what the painter added. */
  addedVolatile: number;
  /** The part of it that bites: turpentine, spike, citrus, aromatic spirit. */
  strongVolatile: number;
  water: number;
  /** Medium as added, solvent included. */
  medium: number;
  /** Medium that holds alkyd, as added. */
  alkydBearingMedium: number;
  /** Liquid drier by kind. */
  driers: Partial<Record<DrierKey, number>>;
  /** Oil of cloves by weight of the mixture, %; of two mixtures the larger holds. */
  cloveWtPct: number;
  /** Weight and sum of weight x ln F of the pigments' drying factors. */
  speedWeight: number;
  speedLog: number;
  /** Tube paint of water-mixable binder, and of tubes nobody knows the make-up of. */
  waterMixable: number;
  makeUpUnknown: number;
  /** Aluminium stearate that somebody named, beside the volumes: it is part of the tube paint. */
  stearate: number;
  /** Historic mixtures of resin and lead-cooked oil. */
  megilp: number;
  /** What the coat is when it is not paint; null for paint. */
  material: MaterialKey | null;
}

/** An empty mixture, to be filled. */
export const blank = (): Constituents => ({
  tubes: {},
  pigments: {},
  tubeOil: {},
  addedOil: {},
  alkydTube: 0,
  alkydMedium: 0,
  resin: 0,
  balsam: 0,
  wax: 0,
  mediumSolidsMass: 0,
  acrylic: 0,
  inert: 0,
  volatile: 0,
  addedVolatile: 0,
  strongVolatile: 0,
  water: 0,
  medium: 0,
  alkydBearingMedium: 0,
  driers: {},
  cloveWtPct: 0,
  speedWeight: 0,
  speedLog: 0,
  waterMixable: 0,
  makeUpUnknown: 0,
  stearate: 0,
  megilp: 0,
  material: null,
});

export const NOTHING: Readonly<Constituents> = blank();

export type Volumes = Partial<Record<string, number>>;

/** Sum of volumes, in their unit. */
export const sum = (volumes: Volumes): number => {
  let total = 0;
  for (const key in volumes) total += volumes[key] ?? 0;
  return total;
};

/** Keys whose value is a record of volumes, and keys whose value is one volume: both are linear. */
const RECORDS = ['tubes', 'pigments', 'tubeOil', 'addedOil', 'driers'] as const;
const SCALARS = [
  'alkydTube',
  'alkydMedium',
  'resin',
  'balsam',
  'wax',
  'mediumSolidsMass',
  'acrylic',
  'inert',
  'volatile',
  'addedVolatile',
  'strongVolatile',
  'water',
  'medium',
  'alkydBearingMedium',
  'speedWeight',
  'speedLog',
  'waterMixable',
  'makeUpUnknown',
  'stearate',
  'megilp',
] as const;

/** Put `factor` times a mixture into another, in place. Used where a mixture is being built. */
function putIn(out: Constituents, c: Constituents, factor: number): void {
  for (const record of RECORDS) {
    const from: Volumes = c[record];
    const to: Volumes = out[record];
    for (const key in from) to[key] = (to[key] ?? 0) + (from[key] ?? 0) * factor;
  }
  for (const key of SCALARS) out[key] += c[key] * factor;
  out.cloveWtPct = Math.max(out.cloveWtPct, c.cloveWtPct);
  out.material ??= c.material;
}

/** The same in place, for a mixture that is being built. */
export function scaleInPlace(c: Constituents, factor: number): void {
  for (const record of RECORDS) {
    const volumes: Volumes = c[record];
    for (const key in volumes) volumes[key] = (volumes[key] ?? 0) * factor;
  }
  for (const key of SCALARS) c[key] *= factor;
}

/** Wet into wet: volumes add; driers add, the larger share of clove oil holds. */
export function addConstituents(a: Constituents, b: Constituents): Constituents {
  const out = blank();
  putIn(out, a, 1);
  putIn(out, b, 1);
  return out;
}

/** The same mixture, `factor` times as much of it. */
export function scaleConstituents(a: Constituents, factor: number): Constituents {
  const out = blank();
  putIn(out, a, factor);
  return out;
}

/** Volume of drying oil, of the tubes and added. */
export const dryingOilVolume = (c: Constituents): number => sum(c.tubeOil) + sum(c.addedOil);

/** Volume of everything that binds: oils, alkyd, acrylic, resin, wax, balsam. */
export const binderVolume = (c: Constituents): number =>
  dryingOilVolume(c) + c.alkydTube + c.alkydMedium + c.resin + c.wax + c.acrylic;

/** Everything that stays when the solvent has gone. */
export const dryVolume = (c: Constituents): number => sum(c.pigments) + binderVolume(c) + c.inert;

/** A millionth of a micrometre: far below any film, far above the dust of floating-point sums. */
const DUST_PER_UM = 1e6;

/** Thickness of a film, um: its dry volume per area, so that a film laid at 20 um is 20 um and not a hair more. */
export const thicknessOf = (film: Constituents): number =>
  Math.round(dryVolume(film) * DUST_PER_UM) / DUST_PER_UM;

/** Whether it is bound by acrylic: then no rule of fat over lean speaks of it. */
export const isAcrylic = (c: Constituents): boolean => c.acrylic > 0;

/** Whether paint above is judged against what lies under this film. */
export const isPassedOver = (c: Constituents): boolean =>
  c.material !== null && MATERIALS[c.material].passedOver;

/** Charcoal, pencil, chalk, ink: marks that are never wet paint, and never one film with the paint over them. */
export const isDrawing = (c: Constituents): boolean =>
  c.material !== null && MATERIALS[c.material].family === 'drawing';

const OILY_FAMILIES = new Set(['pastel', 'varnish', 'wax', 'household']);

/** Whether rags that wiped it hold oil or spirits: any paint but acrylic, and what is dissolved in spirits. */
export const isOily = (c: Constituents): boolean =>
  c.material === null ? !isAcrylic(c) : OILY_FAMILIES.has(MATERIALS[c.material].family);

/** Extender as a share of all solids. */
export const extenderShare = (c: Constituents): number =>
  (c.pigments[EXTENDER_KEY] ?? 0) / (sum(c.pigments) || 1);
