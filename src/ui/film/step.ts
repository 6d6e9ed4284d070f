import type { DryState } from '@/core/drying';

/** Our code for the state of a film: a texture and a word, the same everywhere. */
export type FilmState = DryState | 'planned' | 'unknown';

export const STATE_WORD: Record<FilmState, string> = {
  open: 'open',
  setting: 'setting',
  tacky: 'tacky',
  'touch-dry': 'touch-dry',
  'through-dry': 'through-dry',
  planned: 'planned',
  unknown: 'not known',
};

/** One film as it is drawn. */
export interface FilmStep {
  key: string;
  name: string;
  /** sRGB hex of the mix. */
  colour: string;
  thicknessUm: number;
  /** The measure of the chosen school; wider is fatter. Null: open-ended, with a question mark. */
  measure: number | null;
  /** The school has no measure for such a film (acrylic, pastel, varnish): no step, and no question mark. */
  unspoken: boolean;
  /** The measure as it reads. */
  figure: string;
  state: FilmState;
  /** The chosen school refuses it: a notch. */
  broken: boolean;
  /** It is narrower than the film below, and the school lets it off: why. */
  letOff?: string | null;
}

/** What lies under the first film. */
export interface GroundDrawing {
  kind: 'acrylic-gesso' | 'oil-ground' | 'old-painting';
  label: string;
  colour: string;
  /** Thickness drawn, um; gesso is cut short. */
  thicknessUm: number;
  support:
    'canvas' | 'linen' | 'linen-on-panel' | 'wood-panel' | 'fibreboard-panel' | 'metal-panel';
}
