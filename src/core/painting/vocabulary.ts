import type { CoatRole, Support } from './schema';

export const SUPPORT_KINDS = [
  'canvas',
  'linen',
  'linen-on-panel',
  'wood-panel',
  'fibreboard-panel',
  'metal-panel',
] as const;

/** Supports that bend: films on them have to bend too. */
export const FLEXIBLE: ReadonlySet<Support['kind']> = new Set(['canvas', 'linen']);
/** Supports with a weave, loose or glued down: they take more paint. */
export const CLOTH: ReadonlySet<Support['kind']> = new Set(['canvas', 'linen', 'linen-on-panel']);

/** Passages that a painter parts a picture into, at most. */
export const PASSAGES_MAX = 8;

export const SIZES = ['none', 'glue', 'acrylic'] as const;

export const OLD_SURFACES = ['matt', 'glossy', 'varnished', 'waxed'] as const;

export const GROUND_WHITES = ['titanium', 'lead', 'zinc'] as const;

export const COAT_ROLES = [
  'drawing',
  'tone',
  'underpainting',
  'block-in',
  'overpainting',
  'detail',
  'glaze',
  'scumble',
  'oiling-out',
  'varnish',
] as const;

/** A couch: oil or medium alone, rubbed in for the paint that goes into it. */
export const isCouch = (role: CoatRole): boolean => role === 'oiling-out';

/** How fine the work of a coat is, against the usual of its kind. */
export const FINENESS = ['broad', 'fine'] as const;

export const ONTO = ['touch-dry', 'through-dry', 'wet'] as const;

export const HOW_REDUCED = ['wiped', 'scraped', 'sanded', 'painted-out'] as const;

/** Surface of the support, cm2. */
export const areaCm2 = (support: Support): number => (support.widthMm * support.heightMm) / 100;
