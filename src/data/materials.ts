import type { Confidence } from './constants';

/**
 * What a coat can be besides paint mixed on the palette: drawing, pastel, watery paint, varnish, house
 * paint. Their films are not computed; their place in the stack is judged by the compatibility rules.
 */
export interface Material {
  key: MaterialKey;
  name: string;
  family:
    'drawing' | 'seal' | 'aqueous' | 'pastel' | 'varnish' | 'wax' | 'household' | 'dispersion';
  typicalUm: number;
  /** Touch-dry and through-dry in reference-days; a pastel never dries: Infinity is told as null. */
  touchDays: number;
  throughDays: number;
  /** Paint above is judged against what lies under this: it has no body of its own. */
  passedOver: boolean;
  source: string;
  confidence: Confidence;
}

export const MATERIAL_KEYS = [
  'charcoal',
  'graphite',
  'ink-pen',
  'fixative',
  'acrylic-medium',
  'egg-tempera',
  'casein',
  'oil-pastel',
  'oil-stick',
  'retouch-varnish',
  'resin-varnish',
  'synthetic-varnish',
  'waterborne-varnish',
  'wax-polish',
  'shellac',
  'household-enamel',
  'household-latex',
  'acrylic-gesso',
  'epoxy',
] as const;
export type MaterialKey = (typeof MATERIAL_KEYS)[number];

const SOURCE = 'usual film and drying of the trade; from memory, low';

const row = (
  key: MaterialKey,
  name: string,
  family: Material['family'],
  typicalUm: number,
  touchDays: number,
  throughDays: number,
  passedOver = false,
): Material => ({
  key,
  name,
  family,
  typicalUm,
  touchDays,
  throughDays,
  passedOver,
  source: SOURCE,
  confidence: 'low',
});

/** A pastel or wax never dries through; ten thousand days stand for never. */
const NEVER = 10_000;

export const MATERIALS: Record<MaterialKey, Material> = {
  charcoal: row('charcoal', 'charcoal or chalk, loose', 'drawing', 1, 0.001, 0.001, true),
  graphite: row('graphite', 'graphite pencil', 'drawing', 1, 0.001, 0.001, true),
  'ink-pen': row('ink-pen', 'felt pen or ballpoint', 'drawing', 1, 0.01, 0.01, true),
  fixative: row('fixative', 'fixative', 'seal', 1, 0.01, 0.04, true),
  'acrylic-medium': row('acrylic-medium', 'acrylic medium, as a seal', 'seal', 5, 0.03, 1, true),
  'egg-tempera': row('egg-tempera', 'egg tempera', 'aqueous', 15, 0.05, 2),
  casein: row('casein', 'casein, gouache or distemper', 'aqueous', 20, 0.05, 7),
  'oil-pastel': row('oil-pastel', 'oil pastel', 'pastel', 50, NEVER, NEVER),
  'oil-stick': row('oil-stick', 'oil stick', 'pastel', 80, 3, 40),
  'retouch-varnish': row('retouch-varnish', 'retouch varnish', 'varnish', 2, 0.1, 1, true),
  'resin-varnish': row('resin-varnish', 'final varnish, natural resin', 'varnish', 10, 1, 14, true),
  'synthetic-varnish': row(
    'synthetic-varnish',
    'final varnish, modern synthetic',
    'varnish',
    10,
    0.5,
    7,
    true,
  ),
  'waterborne-varnish': row(
    'waterborne-varnish',
    'final varnish, water-borne acrylic',
    'varnish',
    15,
    0.1,
    7,
    true,
  ),
  'wax-polish': row('wax-polish', 'wax polish', 'wax', 2, 0.5, NEVER, true),
  shellac: row('shellac', 'shellac', 'seal', 5, 0.05, 1, true),
  'household-enamel': row('household-enamel', 'household alkyd enamel', 'household', 60, 0.5, 20),
  'household-latex': row('household-latex', 'household latex paint', 'household', 60, 0.1, 14),
  'acrylic-gesso': row('acrylic-gesso', 'acrylic gesso', 'dispersion', 40, 0.03, 1),
  epoxy: row('epoxy', 'epoxy, cured', 'seal', 100, 1, 5),
};
