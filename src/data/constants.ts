/**
 * Constants of the film and drying model, one row each: value, unit, source, confidence.
 *
 * Two sets exist. HANDBOOK is the first compilation from the literature; the worked examples that
 * check the formulas were computed with it. STUDIO is the revision the product uses: HANDBOOK with
 * the rows of STUDIO_REVISION put over it, after the facts of the trade (paint dry in two to three
 * days, alkyd glazes overnight) showed the first values to be too slow. docs/method.md explains.
 */
export type Confidence = 'high' | 'medium' | 'low';

export interface ConstantRow {
  value: number;
  unit: string;
  source: string;
  confidence: Confidence;
}

const row = (value: number, unit: string, source: string, confidence: Confidence): ConstantRow => ({
  value,
  unit,
  source,
  confidence,
});

const JUDGEMENT = 'judgement of this project; no publication gives the number';
const STAGE_ORDER = 'order of stages from ASTM D1640, ratio judgement; from memory';
const WICKS = 'Wicks, Jones & Pappas, Organic Coatings: Science and Technology; from memory';
const TRADE = 'common practice, no source';

const HANDBOOK_ROWS = {
  // Air and grounds
  referenceHumidityPct: row(50, '% RH', 'convention: ISO 554', 'high'),
  groundDampRhPct: row(65, '% RH', 'above it gesso keeps its water: ' + JUDGEMENT, 'low'),
  groundSeveralCoats: row(3, 'coats', JUDGEMENT, 'low'),
  glueSizeRhMinPct: row(40, '% RH', 'Mecklenburg and co-workers; from memory', 'medium'),
  glueSizeRhMaxPct: row(60, '% RH', 'Mecklenburg and co-workers; from memory', 'medium'),
  cobaltThickUm: row(150, 'um', 'cobalt skins over what stays soft: ' + JUDGEMENT, 'low'),
  drierPaleThickUm: row(100, 'um', 'a tint shows in a thick pale film: ' + JUDGEMENT, 'low'),
  sulfideLeanReducedPvc: row(
    0.85,
    'reduced PVC',
    'lean enough to let sulfide through: ' + JUDGEMENT,
    'low',
  ),
  slowOilShare: row(
    0.5,
    'share of the oil',
    'half of it slow oil makes a slow film: ' + JUDGEMENT,
    'low',
  ),
  // Climate
  gasConstant: row(8.314, 'J/(mol K)', 'SI', 'high'),
  referenceTemperatureK: row(293.15, 'K', 'convention: 20 C', 'high'),
  activationEnergyJ: row(
    60000,
    'J/mol',
    'between the studio rule "10 C warmer halves the time" (50 kJ/mol) and DSC oxidation of drying oils, 60-95 kJ/mol (Litwinienko and co-workers); from memory',
    'low',
  ),
  temperatureMinC: row(5, 'C', JUDGEMENT, 'low'),
  temperatureMaxC: row(35, 'C', JUDGEMENT, 'low'),
  humiditySlopeDamp: row(0.008, 'per % RH above 50', JUDGEMENT, 'low'),
  humiditySlopeDry: row(0.002, 'per % RH below 50', JUDGEMENT, 'low'),
  humidityFactorMin: row(0.6, '1', JUDGEMENT, 'low'),
  humidityFactorMax: row(1.06, '1', JUDGEMENT, 'low'),

  // Kinetics
  referenceThicknessUm: row(50, 'um', 'convention', 'high'),
  tubeFactor: row(0.75, '1', 'makers add driers or bodied oil: range 0.4-1.0; ' + JUDGEMENT, 'low'),
  touchThicknessFloor: row(0, '1', 'pure power law', 'low'),
  touchThicknessExponent: row(
    0.5,
    '1',
    'between thin-film (0) and first-order (1) rules of the paint trade; from memory',
    'low',
  ),
  throughThicknessExponent: row(
    1.5,
    '1',
    'diffusion front: Erich, Laven, Pel, Huinink & Kopinga, Appl. Phys. Lett. 86 (2005); from memory',
    'medium',
  ),
  throughOverTouch: row(4, '1', 'practice, range 2.5-8; from memory', 'low'),
  throughMinOverTouch: row(1.3, '1', JUDGEMENT, 'low'),
  throughAbsorbentFactor: row(0.9, '1', JUDGEMENT, 'low'),
  alkydTouchDays: row(
    0.8,
    'd at 50 um',
    'surface-dry in a day, usual statement of makers; Ploeger, Scalarone & Chiantore, J. Cult. Herit. 9 (2008) for the chemistry; from memory',
    'medium',
  ),
  alkydGain: row(2.5, '1', JUDGEMENT, 'low'),
  alkydThroughExponent: row(0.7, '1', JUDGEMENT, 'low'),
  siccativeLimit: row(0.7, 'drying factor below which a catalyst counts triple', JUDGEMENT, 'low'),
  siccativeWeight: row(3, '1', JUDGEMENT, 'low'),
  touchFloorDays: row(0, 'd', 'no floor', 'low'),
  underTouchGain: row(0.3, '1', JUDGEMENT, 'low'),
  underThroughGain: row(0.8, '1', JUDGEMENT, 'low'),
  coveredRate: row(0.5, '1', 'oxygen must cross the new film; range 0.2-0.9; ' + JUDGEMENT, 'low'),
  cloveOilPerPercent: row(
    1.1,
    'ln per wt %',
    'eugenol is a chain-breaking phenol; judgement',
    'low',
  ),
  cloveOilMaxPct: row(3, 'wt % of the mixture', 'beyond it nobody has tried; judgement', 'low'),
  drierFactorMin: row(0.1, '1', 'floor of the product of all driers; ' + JUDGEMENT, 'low'),
  veryThickUm: row(200, 'um', 'from here a skin closes over liquid paint; judgement', 'low'),
  /** Of a thin film; thicker paint is moved by the brush while only its skin has begun to close. */
  openOverTouch: row(0.35, '1', TRADE, 'low'),
  openThinUm: row(25, 'um', 'up to here as a thin film; judgement', 'low'),
  openThicknessExponent: row(
    0.35,
    '1',
    'body colour of 60 to 100 um still blends next day: common practice, no source',
    'low',
  ),
  openPigmentExponent: row(0.1, '1', 'driers in the pigment skin it sooner; judgement', 'low'),
  /** However thick, it is open for so much of the time until it turns tacky, at most. */
  openMaxOfSet: row(0.8, '1', JUDGEMENT, 'low'),
  sigmaOpen: row(0.2, 'ln of the share', 'brush and patience differ; judgement', 'low'),
  setOverTouch: row(0.7, '1', STAGE_ORDER, 'low'),
  /** In slow oil alone; an oil is slow that takes so long to be touch-dry. */
  setOverTouchSlow: row(0.4, '1', TRADE, 'low'),
  slowOilTouchDays: row(7, 'd', TRADE, 'low'),
  dustFreeOverTouch: row(0.85, '1', STAGE_ORDER, 'low'),
  tackFreeOverTouch: row(1.3, '1', STAGE_ORDER, 'low'),
  dryHardOverTouch: row(2.5, '1', STAGE_ORDER, 'low'),
  recoatOverTouch: row(1.5, '1', TRADE, 'low'),
  acrylicTouchDays: row(0.02, 'd at 50 um and 50 % RH', TRADE, 'low'),
  acrylicHumidityMaxPct: row(90, '% RH', JUDGEMENT, 'low'),
  acrylicTemperatureMinC: row(
    10,
    'C',
    'film formation of acrylic dispersions; from memory',
    'medium',
  ),
  acrylicWaterMaxShare: row(0.6, 'water of the wet mixture', 'common practice, no source', 'low'),
  oilOverAcrylicDays: row(1, 'd', 'usual advice 24-72 h; from memory', 'medium'),
  oilOverAcrylicDaysPer100um: row(3, 'd per 100 um', 'usual advice 24-72 h; from memory', 'low'),
  oilGroundWaitDays: row(
    28,
    'd',
    'before painting, lead white: 2-4 weeks at least; from memory',
    'low',
  ),
  oilGroundOtherWhiteWaitDays: row(
    42,
    'd',
    'before painting, titanium or zinc white: 4-8 weeks; from memory',
    'low',
  ),

  // Uncertainty, standard deviations of ln t
  sigmaTouch: row(0.45, 'ln d', JUDGEMENT, 'low'),
  sigmaThrough: row(0.6, 'ln d', JUDGEMENT, 'low'),
  sigmaThicknessTouch: row(0.15, 'ln d per ln(h/50)', JUDGEMENT, 'low'),
  sigmaThicknessThrough: row(0.35, 'ln d per ln(h/50)', JUDGEMENT, 'low'),
  sigmaActivationEnergyJ: row(12000, 'J/mol', JUDGEMENT, 'low'),
  sigmaHumidity: row(0.2, 'ln d outside 30-70 % RH', JUDGEMENT, 'low'),
  sigmaHumidityLowPct: row(30, '% RH', JUDGEMENT, 'low'),
  sigmaHumidityHighPct: row(70, '% RH', JUDGEMENT, 'low'),
  sigmaLight: row(0.2, 'ln d, other than room daylight', JUDGEMENT, 'low'),
  sigmaAlkyd: row(0.3, 'ln d', JUDGEMENT, 'low'),
  sigmaUnknownOil: row(0.25, 'ln d, tubes nobody knows the make-up of', JUDGEMENT, 'low'),
  sigmaOverWet: row(0.25, 'ln d', JUDGEMENT, 'low'),

  // Composition
  cpvcOilVolume: row(
    93.5,
    'g per 100 ml linseed oil, in CPVC = 1/(1 + OA rho/93.5)',
    'oil-absorption route, Patton, Paint Flow and Pigment Dispersion; ' + WICKS,
    'high',
  ),
  groundLossMax: row(0.5, 'fraction of the drying oil', JUDGEMENT, 'low'),

  // Schools
  addedOilCautionFall: row(0.02, 'added-oil ratio', JUDGEMENT, 'low'),
  totalOilOk: row(-0.02, 'binder volume fraction', JUDGEMENT, 'low'),
  totalOilCaution: row(-0.05, 'binder volume fraction', JUDGEMENT, 'low'),
  totalOilUndecided: row(0, 'binder volume fraction', 'no band in the first set', 'low'),
  binderExcessOk: row(0.03, 'reduced PVC', JUDGEMENT, 'low'),
  binderExcessCaution: row(0.08, 'reduced PVC', JUDGEMENT, 'low'),
  binderExcessUndecided: row(
    0.12,
    'reduced PVC between different tubes',
    'quadrature of oil absorption +-3 g and tube oil +-3 wt %; computed',
    'medium',
  ),
  slowOverFastOk: row(0.8, 'ratio of touch-dry times', JUDGEMENT, 'low'),
  slowOverFastCaution: row(0.5, 'ratio of touch-dry times', JUDGEMENT, 'low'),
  alkydShareTolerance: row(0.02, 'medium share', JUDGEMENT, 'low'),
  thickOverThinOk: row(0.8, 'ratio of thicknesses', JUDGEMENT, 'low'),
  thickOverThinCaution: row(0.2, 'ratio of thicknesses', JUDGEMENT, 'low'),
  reducedPvcCaution: row(1, 'reduced PVC', JUDGEMENT, 'low'),
  reducedPvcFail: row(
    1,
    'reduced PVC',
    'pores open above 1: Bierwagen & Hay (1975); from memory',
    'high',
  ),
  richReducedPvc: row(0.45, 'reduced PVC', JUDGEMENT, 'low'),
  richThicknessUm: row(50, 'um', JUDGEMENT, 'low'),
  mediumShareCaution: row(0.25, 'medium share', TRADE, 'medium'),
  mediumShareMax: row(1 / 3, 'medium share', TRADE, 'medium'),
  thinGlazeUm: row(20, 'um', JUDGEMENT, 'low'),
  leanStainUm: row(20, 'um', JUDGEMENT, 'low'),
  leanStainReducedPvc: row(1.05, 'reduced PVC', JUDGEMENT, 'low'),
  dryCouchUm: row(
    5,
    'um',
    'a couch wiped thinner than this and left to dry carries no stiffness of its own; judgement',
    'low',
  ),
  // Compatibility rules
  trapCaution: row(3, 'trap index', 'house index; ' + JUDGEMENT, 'low'),
  trapWarn: row(10, 'trap index', 'house index; ' + JUDGEMENT, 'low'),
  zincForbidShare: row(
    0.1,
    'share of the pigment by volume, from which paint over it is refused',
    'still reactive below it, no safe limit known: Osmond, AICCM Bulletin 2012; from memory',
    'low',
  ),
  zincThickUm: row(100, 'um', JUDGEMENT, 'low'),
  veryRichThicknessUm: row(150, 'um', JUDGEMENT, 'low'),
  sinkingReducedPvc: row(0.85, 'reduced PVC', 'conservation practice; from memory', 'medium'),
  sinkingLoss: row(0.2, 'share of its oil that the ground drinks', JUDGEMENT, 'low'),
  resinMaxOfBinder: row(0.15, 'share of the binder by volume', JUDGEMENT, 'low'),
  resinNoteOfBinder: row(0.1, 'share of the binder by volume', JUDGEMENT, 'low'),
  balsamMaxOfMedium: row(0.1, 'share of the medium', 'at most 5-10 %; from memory', 'low'),
  cloveCautionPct: row(2, 'wt % of the mixture', 'at most 1-2 %; from memory', 'low'),
  stearateMaxShare: row(
    0.03,
    'share of the tube paint by weight',
    'makers add 1-3 %; from memory',
    'low',
  ),
  drierMaxShare: row(0.02, 'share of the wet mixture', '1-2 % of the paint; from memory', 'medium'),
  waxFlexibleMax: row(
    0.1,
    'share of the dry film',
    'up to 10-20 % on any support; from memory',
    'low',
  ),
  waxRigidMax: row(
    0.25,
    'share of the dry film',
    '20-30 % on rigid supports only; from memory',
    'low',
  ),
  canvasReducedPvc: row(0.9, 'reduced PVC', JUDGEMENT, 'low'),
  /** A glaze or couch that gives with what moves below it. */
  alkydThinUm: row(15, 'um', JUDGEMENT, 'low'),
  /** Alkyd that closes about as oil does. */
  alkydLittleOfBinder: row(1 / 3, 'of the binder', JUDGEMENT, 'low'),
  canvasThickUm: row(300, 'um, knife paint', JUDGEMENT, 'low'),
  extenderCaution: row(0.3, 'share of the solids', JUDGEMENT, 'low'),
  solventCautionShare: row(0.15, 'free solvent of the wet mixture', JUDGEMENT, 'low'),
  solventStrongShare: row(0.3, 'free solvent of the wet mixture', JUDGEMENT, 'low'),
  solventYoungTouch: row(1.5, 'x touch-dry', JUDGEMENT, 'low'),
  waterMaxShare: row(0.25, 'water of the wet mixture', JUDGEMENT, 'low'),
  ordinaryOilInWaterMixable: row(
    0.3,
    'ordinary oil of the drying oil',
    'usual advice 25-30 %; from memory',
    'medium',
  ),
  oilingOutMaxUm: row(5, 'um', 'rubbed on and wiped: ' + TRADE, 'low'),
  oilingOutMaxSolids: row(
    0.5,
    'solids by volume',
    'oil and spirits 1:1 to 1:3; ' + TRADE,
    'medium',
  ),
  couchWaitDays: row(1, 'd', 'a couch left to dry: 1-3 d; from memory', 'medium'),
  gessoWaitDays: row(1, 'd', '24 h at least; from memory', 'high'),
  gessoDampWaitDays: row(3, 'd', 'in damp or after several coats; from memory', 'high'),
  chalkGroundWaitDays: row(3, 'd', '24-72 h, more in damp; from memory', 'medium'),
  alkydGroundWaitDays: row(7, 'd', '3-7 d; from memory', 'low'),
  oldPaintYoungDays: row(365, 'd', 'old paint over 6-12 months; from memory', 'medium'),
  alkydHardDays: row(30, 'd', 'abrade if older and hard; from memory', 'medium'),
  largeShare: row(1 / 3, 'share of the picture', JUDGEMENT, 'low'),
  varnishThroughMultiple: row(3, 'x through-dry', JUDGEMENT, 'low'),
  retouchOverTouch: row(
    1.5,
    'x touch-dry',
    'at least dry to touch, better 1.5 times it; from memory',
    'medium',
  ),
  varnishMinDays: row(182, 'd', 'six months: Mayer and handbooks; from memory', 'high'),
  varnishMaxDays: row(730, 'd', 'caps the date, never the test; judgement', 'low'),
  modernVarnishMinDays: row(
    14,
    'd',
    'de la Rie & McGlinchey (1990) for the resins; from memory',
    'medium',
  ),
  temperaWaitDays: row(14, 'd', '1-2 weeks recommended; from memory', 'low'),
  caseinWaitDays: row(14, 'd', 'cure 1-2 weeks; from memory', 'low'),
  // Reckoned on the bench
  dropMl: row(0.05, 'ml', '20 drops to the millilitre: ' + TRADE, 'low'),
  teaspoonMl: row(5, 'ml', 'metric teaspoon', 'high'),
  canvasFactor: row(1.25, '1', 'tooth of canvas adds 20-60 % on open weaves; judgement', 'low'),
  wasteFactor: row(1.2, '1', 'palette and brush lose 15-35 %; judgement', 'low'),
  oilingOutUm: row(2, 'um', 'rubbed on and wiped: ' + TRADE, 'low'),
} satisfies Record<string, ConstantRow>;

export type ConstantKey = keyof typeof HANDBOOK_ROWS;
export type Constants = Record<ConstantKey, number>;

/** What the facts of the trade changed; every other row stands as in the handbook set. */
const STUDIO_REVISION: Partial<Record<ConstantKey, ConstantRow>> = {
  tubeFactor: row(
    0.55,
    '1',
    'two to three days between normal coats (common practice) against handbook ratings of neat tubes, about 2/5/8 d: a compromise',
    'low',
  ),
  touchThicknessFloor: row(0.3, '1', 'induction does not depend on thickness; judgement', 'low'),
  throughMinOverTouch: row(
    3,
    '1',
    'below about 16 um recoat, dry-hard and through-dry would merge otherwise; judgement',
    'low',
  ),
  alkydTouchDays: row(0.5, 'd at 50 um', 'dry the next day: ' + TRADE, 'low'),
  alkydGain: row(3.5, '1', 'alkyd glazes dry overnight: ' + TRADE, 'low'),
  siccativeLimit: row(0.8, 'drying factor; Mn, Co and Pb pigments only', JUDGEMENT, 'low'),
  touchFloorDays: row(0.25, 'd at 50 um', 'driers must not count twice; judgement', 'low'),
  recoatOverTouch: row(1.3, '1', 'two to three days: ' + TRADE, 'low'),
  totalOilUndecided: row(
    0.055,
    'binder volume fraction, between different tubes',
    'tube oil +-3 wt % is +-0.04; computed',
    'low',
  ),
  reducedPvcCaution: row(0.9, 'reduced PVC', 'error of the ratio about 0.09; computed', 'low'),
  reducedPvcFail: row(1.05, 'reduced PVC', 'error of the ratio about 0.09; computed', 'low'),
};

export const HANDBOOK_CONSTANT_ROWS: Record<ConstantKey, ConstantRow> = HANDBOOK_ROWS;
export const STUDIO_CONSTANT_ROWS: Record<ConstantKey, ConstantRow> = {
  ...HANDBOOK_ROWS,
  ...STUDIO_REVISION,
};

const valuesOf = (rows: Record<ConstantKey, ConstantRow>): Constants =>
  Object.fromEntries(Object.entries(rows).map(([key, r]) => [key, r.value])) as Constants;

export const HANDBOOK_CONSTANTS: Constants = valuesOf(HANDBOOK_CONSTANT_ROWS);
export const STUDIO_CONSTANTS: Constants = valuesOf(STUDIO_CONSTANT_ROWS);
