import type { Confidence } from './constants';

/** Drying oils: density at 20 C and touch-dry time of the unpigmented oil, 50 um, 20 C, 50 % RH. */
export interface Oil {
  key: OilKey;
  name: string;
  densityGPerMl: number;
  touchDryDays: number;
  touchDryRangeDays: [number, number];
  /** 1 yellows least, 5 most. */
  yellowing: number;
  /** Typical linoleic and linolenic acid, % of the fatty acids; absent for bodied oils, where the drying index says nothing. */
  acidsPct?: { oleic: number; linoleic: number; linolenic: number };
  source: string;
  confidence: Confidence;
}

export const OIL_KEYS = [
  'linseed-refined',
  'linseed-cold',
  'linseed-raw',
  'stand-oil',
  'sun-thickened',
  'boiled',
  'walnut',
  'poppy',
  'safflower',
  'water-mixable-linseed',
] as const;
export type OilKey = (typeof OIL_KEYS)[number];

const SOURCE =
  "densities and acids: Mills & White, The Organic Chemistry of Museum Objects; Codex CXS 210; drying and yellowing ranks: Mayer, The Artist's Handbook; Doerner; from memory";
const LINSEED_ACIDS = { oleic: 22, linoleic: 16, linolenic: 52 };

const oil = (
  key: OilKey,
  name: string,
  densityGPerMl: number,
  touchDryDays: number,
  touchDryRangeDays: [number, number],
  yellowing: number,
  acidsPct?: Oil['acidsPct'],
): Oil => ({
  key,
  name,
  densityGPerMl,
  touchDryDays,
  touchDryRangeDays,
  yellowing,
  ...(acidsPct ? { acidsPct } : {}),
  source: SOURCE,
  confidence: key === 'water-mixable-linseed' ? 'low' : 'medium',
});

export const OILS: Record<OilKey, Oil> = {
  'linseed-refined': oil('linseed-refined', 'linseed oil', 0.93, 5.0, [4, 7], 4, LINSEED_ACIDS),
  'linseed-cold': oil(
    'linseed-cold',
    'cold-pressed linseed oil',
    0.93,
    5.0,
    [3.5, 7],
    5,
    LINSEED_ACIDS,
  ),
  'linseed-raw': oil('linseed-raw', 'raw linseed oil', 0.93, 5.5, [4, 8], 5, LINSEED_ACIDS),
  'stand-oil': oil('stand-oil', 'stand oil', 0.96, 7.0, [5, 10], 2),
  'sun-thickened': oil('sun-thickened', 'sun-thickened linseed oil', 0.965, 3.5, [2, 5], 3),
  boiled: oil('boiled', 'boiled linseed oil', 0.938, 0.8, [0.5, 1.5], 5),
  walnut: oil('walnut', 'walnut oil', 0.924, 7.0, [5, 10], 3, {
    oleic: 18,
    linoleic: 60,
    linolenic: 12,
  }),
  poppy: oil('poppy', 'poppy oil', 0.924, 10, [7, 14], 1, {
    oleic: 15,
    linoleic: 72,
    linolenic: 1,
  }),
  safflower: oil('safflower', 'safflower oil', 0.925, 9.0, [6, 13], 1, {
    oleic: 13,
    linoleic: 77,
    linolenic: 0.1,
  }),
  'water-mixable-linseed': oil(
    'water-mixable-linseed',
    'water-mixable linseed oil',
    0.94,
    5.0,
    [3, 8],
    4,
  ),
};
