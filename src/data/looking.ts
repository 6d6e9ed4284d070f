import type { ConstantRow } from './constants';
import { JUDGEMENT, lowRow, valuesOf } from './rows';

const from = (
  value: number,
  unit: string,
  source: string,
  confidence: ConstantRow['confidence'],
): ConstantRow => ({ value, unit, source, confidence });

/** What a photo of a picture can tell: its errors, and where a difference is one. */
export const LOOKING_ROWS = {
  // The raster on which everything is measured.
  mostPixels: lowRow(2e6, 'pixels', 'keeps a phone under 150 MB: ' + JUDGEMENT),
  mostPxPerMm: lowRow(10, 'px/mm', 'finer than any brush mark: ' + JUDGEMENT),
  leastSidePx: lowRow(40, 'px', 'a shorter side holds no picture: ' + JUDGEMENT),
  aspectTolerance: lowRow(0.03, 'share', 'corners against the stated support: ' + JUDGEMENT),
  // Corners.
  loupeSigmaPx: lowRow(1.5, 'px', 'under a loupe: ' + JUDGEMENT),
  tapScreenPx: lowRow(
    350,
    'CSS px',
    'a photo on a phone is so wide: a finger is good to one of them',
  ),
  // Cards.
  patchWeightY: lowRow(0.02, 'Y', 'weights of the patches are 1 / (Y + this): ' + JUDGEMENT),
  clippedCode: lowRow(250, 'code', 'a patch whose mean is above says only "beyond"'),
  mostClipped: lowRow(0.02, 'share of the support', JUDGEMENT),
  strayLight: lowRow(0.06, 'Y of a black patch', JUDGEMENT),
  curvePatches: lowRow(6, 'patches', 'a monotone curve needs so many: ' + JUDGEMENT),
  linearPatches: lowRow(3, 'patches', 'gain and offset need so many: ' + JUDGEMENT),
  sigmaCurveNone: lowRow(6, 'L*', 'simulated photographs: ' + JUDGEMENT),
  sigmaCurveOne: lowRow(4, 'L*', 'simulated photographs: ' + JUDGEMENT),
  sigmaCurveThree: lowRow(2, 'L*', 'simulated photographs: ' + JUDGEMENT),
  sigmaCurveSteps: lowRow(0.8, 'L*', 'simulated photographs: ' + JUDGEMENT),
  sigmaLightUnknown: lowRow(3.5, 'L*', 'one lamp to one side: ' + JUDGEMENT),
  sigmaLightKnown: lowRow(1, 'L*', 'border or turned pair: ' + JUDGEMENT),
  sigmaLightBoard: lowRow(0.5, 'L*', JUDGEMENT),
  sigmaGlossDark: lowRow(1.5, 'L*', 'gloss unlike that of the card: ' + JUDGEMENT),
  sigmaGlossLight: lowRow(0.5, 'L*', JUDGEMENT),
  glossDarkL: lowRow(25, 'L*', JUDGEMENT),
  sigmaAreaLeast: lowRow(0.1, 'L*', JUDGEMENT),
  noisePerCm: lowRow(1, 'L* of one cm2', 'texture and noise of a photo: ' + JUDGEMENT),
  relationPart: lowRow(
    0.5,
    'of curve and light',
    'what is not common to all passages: ' + JUDGEMENT,
  ),
  chromaSlack: lowRow(0.03, 'L* per unit of chroma', 'an S-curve of 5 L* on a C* of 60'),
  sure: from(1.645, 'sigma', 'normal distribution, 95 %, one-sided', 'high'),
  designSigmaL: lowRow(2, 'L*', 'a design is painted to this: ' + JUDGEMENT),
  mostUneven: lowRow(8, 'L*', 'patches on opposite sides further apart: values are refused'),
  // Statistics of a passage.
  erodeMm: lowRow(4, 'mm', 'work never lies under the outline of the design: ' + JUDGEMENT),
  erodeEdges: lowRow(1.5, 'edge widths', JUDGEMENT),
  leastEroded: lowRow(60, 'px', JUDGEMENT),
  mixedL: lowRow(5, 'L*', 'squint value against median: two tones in one passage: ' + JUDGEMENT),
  speckL: lowRow(10, 'L*', 'above the median of its neighbourhood: ' + JUDGEMENT),
  speckSpreads: lowRow(5, 'interquartile ranges', JUDGEMENT),
  speckBlockMm: lowRow(12, 'mm', 'the neighbourhood of a speck: ' + JUDGEMENT),
  ownerLeast: lowRow(0.02, 'share', 'who holds less of the lightest is not named: ' + JUDGEMENT),
  speckMost: lowRow(0.4, 'share', 'more is no speck: ' + JUDGEMENT),
  glareTold: lowRow(0.05, 'share', JUDGEMENT),
  hkTold: lowRow(6, 'L*', 'colour that fools about value: ' + JUDGEMENT),
  neutralChroma: lowRow(3, 'C*', 'below it there is no temperature: ' + JUDGEMENT),
  // Key and relations.
  keyPairL: lowRow(5, 'L*', 'pairs nearer say nothing of the slope: ' + JUDGEMENT),
  keyLeast: lowRow(0.5, 'slope', JUDGEMENT),
  keyMost: lowRow(1.6, 'slope', JUDGEMENT),
  keyPlain: lowRow(
    10,
    'L* per unit of ln slope',
    'in doubt the range is not changed: ' + JUDGEMENT,
  ),
  keyPassages: lowRow(4, 'passages', 'fewer, and the slope is taken as 1: ' + JUDGEMENT),
  exposureA: lowRow(2, 'L*', 'an intercept so near 16 (b - 1) may be the exposure'),
  relationL: lowRow(3, 'L*', 'a smaller residual is not told: ' + JUDGEMENT),
  reserveL: lowRow(5, 'L*', 'less left at the light end: the lights are spent: ' + JUDGEMENT),
  // Graded passages.
  gradeBins: lowRow(24, 'bins', JUDGEMENT),
  gradeNoiseL: lowRow(0.3, 'L*', JUDGEMENT),
  bandSteps: lowRow(2.5, 'mean steps', 'a step that stands out: ' + JUDGEMENT),
  bandL: lowRow(2, 'L*', JUDGEMENT),
  // Masses.
  leastMassShare: lowRow(0.001, 'share of the area', JUDGEMENT),
  discSigma: lowRow(4, 'sigmas', 'a disc of an eye out of focus, as a Gaussian'),
  whitePaintL: from(
    96,
    'L*',
    'dry titanium white in oil by the optics of this program, held against it in tell.test',
    'medium',
  ),
  // Edges.
  edgeReachMm: lowRow(25, 'mm', JUDGEMENT),
  edgeReachShare: lowRow(0.45, 'of the narrower passage', JUDGEMENT),
  edgeStepMm: lowRow(1, 'mm along the boundary', JUDGEMENT),
  edgeSampleMm: lowRow(0.1, 'mm across it', JUDGEMENT),
  edgeWanderMm: lowRow(3, 'mm', 'a border drawn by hand: ' + JUDGEMENT),
  edgeLeastReachMm: lowRow(1.5, 'mm', 'half of the smallest window: ' + JUDGEMENT),
  edgeWindow: lowRow(
    1.1,
    'of the width, half the window',
    'ends of a Gaussian step lie beyond: ' + JUDGEMENT,
  ),
  edgeGroup: lowRow(6, 'profiles', 'laid on each other before they are averaged: ' + JUDGEMENT),
  edgeLostL: lowRow(3, 'L*', 'lost by value: ' + JUDGEMENT),
  edgeLostAb: lowRow(4, 'Lab', 'and by colour: ' + JUDGEMENT),
  edgeBlurMost: lowRow(1.3, 'of the blur of the photo', 'nearer it is "at most": ' + JUDGEMENT),
  hardMin: lowRow(2, 'minutes of arc', 'shiftable: ' + JUDGEMENT),
  firmMin: lowRow(8, 'minutes of arc', 'shiftable: ' + JUDGEMENT),
  softMin: lowRow(30, 'minutes of arc', 'shiftable: ' + JUDGEMENT),
  viewM: lowRow(1.5, 'm', 'the usual step back: ' + JUDGEMENT),
  pullColour: lowRow(0.6, 'weight', JUDGEMENT),
  pullChroma: lowRow(0.3, 'weight', JUDGEMENT),
  // Distance.
  eyeGain: lowRow(0.5, 'of the careful eye', 'ordinary sight: ' + JUDGEMENT),
  eyeScale: lowRow(1.25, 'of the frequency', 'ordinary sight: ' + JUDGEMENT),
  eyeLuminance: lowRow(100, 'cd/m2', '500 lx on a mid picture: ' + JUDGEMENT),
  eyeFieldDeg: lowRow(10, 'degrees', JUDGEMENT),
  eyeEndCpd: from(30, 'cycles per degree', 'visual acuity 1.0; from memory', 'high'),
  // Drift.
  driftChi: from(5.991, 'chi-square', '95 %, two degrees of freedom', 'high'),
  driftInner: lowRow(0.6, 'share of the points', JUDGEMENT),
  plumbMm: lowRow(2, 'mm', 'nearer in the design: meant to hang true: ' + JUDGEMENT),
  // Over time.
  changeL: lowRow(2.5, 'L*', JUDGEMENT),
  changeShare: lowRow(0.005, 'share of the picture', 'less is not told: ' + JUDGEMENT),
  changeDe: lowRow(4, 'dE*ab', JUDGEMENT),
  changeBlurMm: lowRow(3, 'mm', JUDGEMENT),
  registerMm: lowRow(0.5, 'mm', 'how well two photos lie on each other: ' + JUDGEMENT),
} as const satisfies Record<string, ConstantRow>;

export const LOOKING = valuesOf(LOOKING_ROWS);
