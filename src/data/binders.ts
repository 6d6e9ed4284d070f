import type { OilKey } from './oils';

/** What the pigment of a tube is ground in. */
export interface Binder {
  key: BinderKey;
  name: string;
  kind: 'oil' | 'alkyd' | 'acrylic';
  /** Drying oil of the tube; alkyd tubes are reckoned as a linseed alkyd. */
  oil: OilKey | null;
  /** Density used to turn the tube's oil by weight into volume. */
  densityGPerMl: number;
  source: string;
}

export const BINDER_KEYS = [
  'linseed',
  'linseed-raw',
  'linseed-sun-thickened',
  'safflower',
  'walnut',
  'poppy',
  'alkyd',
  'water-mixable',
  'acrylic',
] as const;
export type BinderKey = (typeof BINDER_KEYS)[number];

const OIL_DENSITY = 'density of the oil itself, see oils.ts';

export const BINDERS: Record<BinderKey, Binder> = {
  linseed: {
    key: 'linseed',
    name: 'linseed',
    kind: 'oil',
    oil: 'linseed-refined',
    densityGPerMl: 0.93,
    source: OIL_DENSITY,
  },
  'linseed-raw': {
    key: 'linseed-raw',
    name: 'raw linseed',
    kind: 'oil',
    oil: 'linseed-raw',
    densityGPerMl: 0.93,
    source: OIL_DENSITY,
  },
  'linseed-sun-thickened': {
    key: 'linseed-sun-thickened',
    name: 'sun-thickened linseed',
    kind: 'oil',
    oil: 'sun-thickened',
    densityGPerMl: 0.965,
    source: OIL_DENSITY,
  },
  safflower: {
    key: 'safflower',
    name: 'safflower',
    kind: 'oil',
    oil: 'safflower',
    densityGPerMl: 0.925,
    source: OIL_DENSITY,
  },
  walnut: {
    key: 'walnut',
    name: 'walnut',
    kind: 'oil',
    oil: 'walnut',
    densityGPerMl: 0.924,
    source: OIL_DENSITY,
  },
  poppy: {
    key: 'poppy',
    name: 'poppy',
    kind: 'oil',
    oil: 'poppy',
    densityGPerMl: 0.924,
    source: OIL_DENSITY,
  },
  alkyd: {
    key: 'alkyd',
    name: 'alkyd',
    kind: 'alkyd',
    oil: null,
    densityGPerMl: 0.93,
    source: 'convention: same binder volume as the linseed tube',
  },
  'water-mixable': {
    key: 'water-mixable',
    name: 'water-mixable oil',
    kind: 'oil',
    oil: 'water-mixable-linseed',
    densityGPerMl: 0.94,
    source: OIL_DENSITY,
  },
  acrylic: {
    key: 'acrylic',
    name: 'acrylic',
    kind: 'acrylic',
    oil: null,
    densityGPerMl: 1.05,
    source: 'acrylic polymer, WICKS; from memory',
  },
};

/** Acrylic tube paint: what is left when the water has gone, and the pigment in it. Judgement, low. */
export const ACRYLIC_TUBE = {
  solidsVolumeFraction: 0.4,
  pigmentVolumeConcentration: 0.25,
  source:
    'volume solids of acrylic dispersions 0.35-0.5; pigment share a judgement; from memory, low',
} as const;
