import { STUDIO_CONSTANT_ROWS as C, type ConstantRow } from './constants';
import { lowRow as row, valuesOf } from './rows';

/**
 * Priors of the learning from touch tests. The spread of the tables (0.45 for touch-dry, 0.60 for through-dry) is
 * split into what a studio, a paint, a medium and a single coat may differ by; it is not put on top of it.
 */
const JUDGEMENT = 'split of the spread of the tables, tried in simulation; judgement';

export const LEARNING_ROWS = {
  studioSd: row(0.35, 'ln d', JUDGEMENT),
  paintSd: row(0.18, 'ln d per share of the binder', JUDGEMENT),
  mediumSd: row(0.12, 'ln d', JUDGEMENT),
  /** Share of the solids of a medium in the binder from which it counts in full. */
  mediumFullShare: row(0.2, 'share of the binder', JUDGEMENT),
  thicknessSd: row(C.sigmaThicknessTouch.value, C.sigmaThicknessTouch.unit, 'as in the tables'),
  temperatureSd: row(1, 'of the spread of the activation energy', 'as in the tables'),
  alkydSd: row(C.sigmaAlkyd.value, 'ln d', 'as in the tables'),
  alkydGain: row(C.alkydGain.value, '1', 'as in the tables'),
  overWetSd: row(C.sigmaOverWet.value, 'ln d', 'as in the tables'),
  humiditySd: row(C.sigmaHumidity.value, 'ln d', 'as in the tables'),
  lightSd: row(C.sigmaLight.value, 'ln d', 'as in the tables'),
  unknownOilSd: row(C.sigmaUnknownOil.value, 'ln d', 'as in the tables'),
  /** How far the whole studio may wander from one stretch of time to the next. */
  driftSd: row(0.06, 'ln d per stretch', JUDGEMENT),
  driftDays: row(21, 'd, length of a stretch', JUDGEMENT),
  throughSd: row(0.4, 'ln d', JUDGEMENT),
  throughThicknessSd: row(C.sigmaThicknessThrough.value, 'ln d per ln(h/50)', 'as in the tables'),
  /** How much of what is shared in touch-dry is shared in through-dry. */
  throughLoading: row(0.7, '1', JUDGEMENT),
  /** What a single coat differs by, and how sure that is. */
  coatSd: row(0.18, 'ln d', JUDGEMENT),
  coatSdSpread: row(0.4, 'ln of it', JUDGEMENT),
  readingNoise: row(0.1, 'ln d', 'a finger tells a stage to about a tenth; judgement'),
  misreadRate: row(0.03, 'share of the tests', 'one test in thirty is wrong; judgement'),
  /** A factor is told once its spread is under this share of what it was. */
  toldBelow: row(0.7, 'of the prior spread', JUDGEMENT),
  conflictFrom: row(0.5, 'chance that a test was misread', JUDGEMENT),
  /** How readily windows widen where forecasts did not hold. */
  widenSpread: row(0.15, 'ln of the width', JUDGEMENT),
  /** From this chance on a studio that wanders is asked of the tests themselves; below the other a fit is left out. */
  climbFrom: row(0.2, 'chance of the fit', JUDGEMENT),
  leastFit: row(0.01, 'chance of the fit', 'changes no figure that is told; tried'),
  /** Past forecasts count half as much after so long: a score of last year says little about this one. */
  scoreHalfLifeDays: row(42, 'd', JUDGEMENT),
  /** Step of the grid of widths from 1 on, and how many are asked: 1 to 2. */
  widenStep: row(0.05, '1', JUDGEMENT),
  widenSteps: row(21, '1', JUDGEMENT),
  /** Where windows are asked whether they are too narrow, a misread test is a dearer excuse than in the fit. */
  misreadExcuse: row(0.25, 'of the rate of misreading', JUDGEMENT),
  /** A factor as strong as this is worth a word. */
  worthSaying: row(1.05, '1', JUDGEMENT),
  /** How much more dose a film must have had since the last touch before another tells anything new. */
  touchAgainFrom: row(1.15, '1', JUDGEMENT),
  /** Below this a touch tells nothing worth a smudge, of the most that one can tell. */
  leastWorth: row(0.25, '1', JUDGEMENT),
} as const satisfies Record<string, ConstantRow>;

export const LEARNING = valuesOf(LEARNING_ROWS);

/** The grid on which the spread of a single coat is asked. */
export const COAT_SD_GRID = [0.12, 0.18, 0.27, 0.4] as const;

/** How much more readily than `driftSd` a studio may wander, and how likely that is before any test; judgement. */
export const WANDER_GRID = [
  { scale: 1, chance: 0.85 },
  { scale: 3, chance: 0.1 },
  { scale: 7, chance: 0.05 },
] as const;

/** What brush and finger find, in the order of drying. */
export const FINDINGS = [
  'still blends',
  'wet',
  'set',
  'tacky',
  'touch-dry',
  'nail-hard',
  'through-dry',
] as const;
export type Finding = (typeof FINDINGS)[number];

const HARD = C.dryHardOverTouch.value;

/**
 * Between which multiples of its touch-dry dose a film is found so; `set` is where it turns tacky, `open` up to where
 * a brush moves it. The finger hardly tells set from tacky, and a thumb
 * twist says more than a nail. Paint that blends under the brush is wet to the finger as well: it says more.
 */
export const findingRange = (
  finding: Finding,
  set: number = C.setOverTouch.value,
  open: number = C.openOverTouch.value,
): readonly [from: number, to: number] =>
  (
    ({
      'still blends': [0, open],
      wet: [0, set],
      set: [set, 1],
      tacky: [set, 1],
      'touch-dry': [1, HARD],
      'nail-hard': [HARD, Infinity],
      'through-dry': [HARD, Infinity],
    }) as const
  )[finding];

/** Answers that a finger tells apart: what a misread one may have been. */
export const FINDING_KINDS = 4;
