import type { Confidence } from './constants';

/** What a drier at its usual dose does to the drying time, and how much that dose is. */
export interface Drier {
  key: DrierKey;
  metal: string;
  /** Factors against no drier, at the usual dose. */
  touchFactor: number;
  throughFactor: number;
  /** Works only beside cobalt or manganese. */
  auxiliary: boolean;
  /** The usual dose of the liquid, share of the wet mixture by volume. */
  usualShare: number;
  source: string;
  confidence: Confidence;
}

export const DRIER_KEYS = [
  'cobalt-drier',
  'manganese-drier',
  'lead-drier',
  'zirconium-drier',
  'calcium-drier',
  'siccative',
] as const;
export type DrierKey = (typeof DRIER_KEYS)[number];

const SOURCE =
  'kinds and doses of metal: Wicks, Jones & Pappas; Patton; factors and the dose of the liquid (1-2 % of the paint) are judgement; from memory';

const drier = (
  key: DrierKey,
  metal: string,
  touchFactor: number,
  throughFactor: number,
  auxiliary = false,
): Drier => ({
  key,
  metal,
  touchFactor,
  throughFactor,
  auxiliary,
  usualShare: 0.02,
  source: SOURCE,
  confidence: 'low',
});

export const DRIERS: Record<DrierKey, Drier> = {
  'cobalt-drier': drier('cobalt-drier', 'cobalt', 0.2, 0.5),
  'manganese-drier': drier('manganese-drier', 'manganese', 0.3, 0.5),
  'lead-drier': drier('lead-drier', 'lead', 0.5, 0.35),
  'zirconium-drier': drier('zirconium-drier', 'zirconium', 0.9, 0.75, true),
  'calcium-drier': drier('calcium-drier', 'calcium', 0.9, 0.9, true),
  siccative: drier('siccative', 'unknown', 0.4, 0.65),
};
