/** Factors on the rate of drying. Judgement on qualitative statements in Mayer and Doerner; from memory, low. */
export const LIGHT_KEYS = ['dark', 'dim', 'room', 'bright', 'sun'] as const;
export type LightKey = (typeof LIGHT_KEYS)[number];
export const LIGHT: Record<LightKey, { name: string; rateFactor: number }> = {
  dark: { name: 'in the dark', rateFactor: 0.6 },
  dim: { name: 'dim or lamplight', rateFactor: 0.8 },
  room: { name: 'room daylight', rateFactor: 1.0 },
  bright: { name: 'bright, no sun', rateFactor: 1.15 },
  sun: { name: 'direct sun', rateFactor: 1.5 },
};

export const AIR_KEYS = ['sealed', 'cupboard', 'room', 'moving'] as const;
export type AirKey = (typeof AIR_KEYS)[number];
export const AIR: Record<AirKey, { name: string; rateFactor: number }> = {
  sealed: { name: 'sealed box', rateFactor: 0.5 },
  cupboard: { name: 'closed cupboard', rateFactor: 0.85 },
  room: { name: 'ordinary room', rateFactor: 1.0 },
  moving: { name: 'gently moving air', rateFactor: 1.1 },
};
