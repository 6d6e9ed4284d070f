import type { Ground, Support } from './schema';

/** What supports and grounds are called. */
export const SUPPORT_NAME: Record<Support['kind'], string> = {
  canvas: 'canvas',
  linen: 'linen',
  'wood-panel': 'wood panel',
  'linen-on-panel': 'linen on panel',
  'fibreboard-panel': 'fibreboard panel',
  'metal-panel': 'metal panel',
};

/** A ground in words: "acrylic gesso, 4 coats". */
export function groundName(ground: Ground): string {
  switch (ground.kind) {
    case 'acrylic-gesso':
      return `acrylic gesso, ${ground.coats} ${ground.coats === 1 ? 'coat' : 'coats'}`;
    case 'chalk-glue':
      return `chalk-glue, ${ground.coats} ${ground.coats === 1 ? 'coat' : 'coats'}`;
    case 'oil-ground':
      return ground.white === undefined ? 'oil ground' : `oil ground, ${ground.white} white`;
    case 'alkyd-ground':
      return 'alkyd ground';
    case 'bare':
      return ground.size === 'none' ? 'bare' : `${ground.size} size only`;
    case 'old-painting':
      return 'old oil painting';
  }
}
