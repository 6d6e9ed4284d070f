import type { CoatRole, Onto } from '@/core/painting';

export const ROLE_NAME: Record<CoatRole, string> = {
  drawing: 'drawing',
  tone: 'tone',
  underpainting: 'underpainting',
  'block-in': 'block-in',
  overpainting: 'overpainting',
  detail: 'detail',
  glaze: 'glaze',
  scumble: 'scumble',
  'oiling-out': 'oiling-out',
  varnish: 'varnish',
};

export const ONTO_NAME: Record<Onto, string> = {
  'touch-dry': 'when below is touch-dry',
  'through-dry': 'when below is dry through',
  wet: 'into the wet',
};
