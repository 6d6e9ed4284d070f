import type { ConstantRow } from './constants';
import { JUDGEMENT, lowRow, valuesOf } from './rows';

/** Fitting a painter's swatches: what may differ from the table, how far, and how well a photo tells. */
export const CALIBRATION_ROWS = {
  sdAbsorption: lowRow(0.5, 'ln', 'tubes of one pigment differ by a factor of 2'),
  sdScattering: lowRow(0.5, 'ln', JUDGEMENT),
  sdPower: lowRow(0.25, 'exponent', JUDGEMENT),
  sdShiftNm: lowRow(5, 'nm', 'edges of the table'),
  sdThickness: lowRow(0.12, 'ln', 'a drawdown is good to a tenth'),
  sdL: lowRow(1.5, 'Lab', 'photo with a grey card'),
  sdA: lowRow(2, 'Lab', 'photo with a grey card'),
  sdB: lowRow(2, 'Lab', 'photo with a grey card'),
  steps: lowRow(25, 'steps', 'of least squares'),
  /** A step of the differences. */
  stepSize: lowRow(1e-4, 'in units of the parameter', JUDGEMENT),
  /** Misfit, and distance from the table in standard deviations, beyond which the swatches are asked for again. */
  mostMisfit: lowRow(3, 'CIEDE2000', JUDGEMENT),
  mostDeviation: lowRow(2.5, 'standard deviations', JUDGEMENT),
  /** A figure that moved its own spread by less than this says nothing new. */
  knownShare: lowRow(0.8, 'posterior over prior spread', JUDGEMENT),
  /** Reading patches off a photo. */
  cardValue: lowRow(4.86, 'Munsell value', 'a grey card of 18 %; ASTM D1535'),
  patchInset: lowRow(
    0.15,
    'share towards the middle',
    'edges of a patch are not looked at; judgement',
  ),
  mostClipped: lowRow(0.05, 'share of the pixels', JUDGEMENT),
  mostToneError: lowRow(
    0.03,
    'share of the luminance',
    'a second grey must come out so near; judgement',
  ),
} as const satisfies Record<string, ConstantRow>;
export const CALIBRATION = valuesOf(CALIBRATION_ROWS);
