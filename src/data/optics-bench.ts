import type { Confidence, ConstantRow } from './constants';
import { JUDGEMENT as JUDGED, lowRow, valuesOf } from './rows';

/** What is asked of films on the bench: what hides, what shows, what passes, how sure it is. */
const row = (value: number, unit: string, source: string, confidence: Confidence): ConstantRow => ({
  value,
  unit,
  source,
  confidence,
});

export const OPTICS_BENCH_ROWS = {
  hidingContrast: row(
    0.98,
    'Y over black / Y over white',
    'ASTM D2805, ISO 6504; memory',
    'medium',
  ),
  hidingWhite: row(0.905, 'inner reflectance', 'drawdown card of Y 80', 'medium'),
  hidingMostUm: lowRow(3000, 'um', 'thicker than any film'),
  /** Two things side by side do not differ; they pass in a picture. */
  sameDe: lowRow(1, 'CIEDE2000', 'about one just noticeable step; common practice'),
  passesDe: lowRow(2, 'CIEDE2000', JUDGED),
  gamutWarnDe: lowRow(2, 'CIEDE2000', JUDGED),
  brushedThickness: lowRow(0.3, 'share', 'thickness as brushed; judgement'),
  weberFraction: row(0.02, 'share of the light', 'Weber fraction 1-2 %', 'medium'),
  riccoArcmin: row(2, 'arc minutes', 'Ricco summation', 'medium'),
  brushNoise: lowRow(2, 'factor', JUDGED),
  arcminPerRadian: row(3438, 'arc minutes', 'geometry', 'high'),
  /** Acrylic films hold less pigment than oil. */
  glazeLeastUm: lowRow(3, 'um', 'thinnest glaze that is a film'),
  glazeMostUm: lowRow(40, 'um', 'thickest coat that still is a glaze'),
  leastTubeShare: lowRow(0.02, 'share', 'less than this is medium'),
  unreachableDe: lowRow(2, 'CIEDE2000', 'passes in a picture below it'),
  /** A charcoal line of a drawing, looked at from arm's length. */
  charcoalInner: lowRow(0.05, 'inner reflectance', JUDGED),
  lineMm: lowRow(0.5, 'mm', 'a drawn line; judgement'),
  armMm: lowRow(600, 'mm', "arm's length; judgement"),
  /** Less than this apart nobody sees which of two passages is lighter. */
  sameValue: lowRow(0.3, 'Munsell value', JUDGED),
  /** From so far on the warm axis a passage is called warm, or cool. */
  warmFrom: lowRow(4, 'C* on the warm axis', JUDGED),
} as const satisfies Record<string, ConstantRow>;

export const OPTICS_BENCH = valuesOf(OPTICS_BENCH_ROWS);
