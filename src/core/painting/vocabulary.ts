import type { Support } from './schema';

export const SUPPORT_KINDS = [
  'canvas',
  'linen',
  'wood-panel',
  'fibreboard-panel',
  'metal-panel',
] as const;

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

export const ONTO = ['touch-dry', 'through-dry', 'wet'] as const;

export const HOW_REDUCED = ['wiped', 'scraped', 'sanded', 'painted-out'] as const;

/** Surface of the support, cm2. */
export const areaCm2 = (support: Support): number => (support.widthMm * support.heightMm) / 100;
