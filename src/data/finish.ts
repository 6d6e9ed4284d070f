import type { VarnishTest, Sheen } from './finish-keys';
import type { Confidence, ConstantRow } from './constants';
import { lowRow, valuesOf } from './rows';
import type { Finish } from './optics';
import { TEST_NAMES } from './varnish-tests';

/** What is asked of the last tenth of a picture: looks, stopping, varnish, frame, journey. */
const row = (value: number, unit: string, source: string, confidence: Confidence): ConstantRow => ({
  value,
  unit,
  source,
  confidence,
});

export const FINISH_ROWS = {
  looksApartDays: row(7, 'd', 'two looks a week apart: common practice, no source', 'low'),
  restDays: row(7, 'd', 'leave it a week: common practice, no source', 'low'),
  /** The last part of the hours, held against all of them. */
  lastShare: lowRow(0.25, 'share of the hours'),
  /** Below this share of the mean rate the curve is told to have flattened. */
  flatShare: lowRow(0.5, 'share of the mean rate'),
  leastSittings: lowRow(4, 'sittings', 'fewer make no curve'),
  mendSpotShare: lowRow(0.05, 'share of the passage', 'what a mending spot covers'),
  // Varnish: dry films of 5 to 15 um from 20 to 60 um wet.
  varnishWetLeastUm: row(
    20,
    'um',
    'film-thickness usual of picture varnish; from memory',
    'medium',
  ),
  varnishWetMostUm: row(60, 'um', 'film-thickness usual of picture varnish; from memory', 'medium'),
  varnishMostRhPct: row(65, '% RH', 'bloom and blanching above it: handbooks; from memory', 'low'),
  varnishLeastC: row(16, 'C', 'handbooks advise a warm dry room; from memory', 'low'),
  // Frame
  glassMm: row(
    2,
    'mm',
    'picture glass 2 mm, acrylic sheet 2 to 3 mm; common practice, no source',
    'medium',
  ),
  leastSpacerMm: row(3, 'mm', 'paint never touches the glass; common practice, no source', 'low'),
  backingMm: row(3, 'mm', 'board at the back and its points; common practice, no source', 'low'),
} satisfies Record<string, ConstantRow>;
export const FINISH = valuesOf(FINISH_ROWS);

export interface TestWords {
  name: string;
  how: string;
  passes: string;
  fails: string;
}

/**
 * The tests before a final varnish. On a witness dab of the same paint and day, or on an edge that the frame hides:
 * never in the middle of the picture. Judgement built on practice, low to medium.
 */
export const VARNISH_TEST_WORDS: Record<VarnishTest, TestWords> = {
  twist: {
    name: TEST_NAMES.twist,
    how: 'Press the thumb on the witness dab and turn it.',
    passes: 'leaves no mark',
    fails: 'leaves a mark',
  },
  nail: {
    name: TEST_NAMES.nail,
    how: 'Press the nail into the thickest paint of the witness.',
    passes: 'no dent, or it closes',
    fails: 'the dent stays',
  },
  swab: {
    name: TEST_NAMES.swab,
    how: 'Roll a swab with the solvent of the varnish ten times, gently, on each colour at the edge or on its witness. Gloves, open window.',
    passes: 'no colour on it',
    fails: 'colour on it',
  },
  cut: {
    name: TEST_NAMES.cut,
    how: 'Cut the witness dab open. Keep the scraps with the oily rags.',
    passes: 'no wet core',
    fails: 'soft or wet inside',
  },
  tissue: {
    name: TEST_NAMES.tissue,
    how: 'Lay tissue on the witness under 100 g for a minute.',
    passes: 'falls off',
    fails: 'clings',
  },
};

/** How much of the surface's own light a varnish leaves in sight. A matt one still wets the paint: judgement, low. */
export const FINISH_OF_SHEEN: Record<Sheen, Finish> = {
  gloss: 'gloss',
  satin: 'satin',
  matt: 'eggshell',
};

/** What a coat waits for, on paper. */
export const WAITS_FOR = {
  'touch-dry': 'touch-dry',
  'through-dry': 'dry through',
  wet: 'into the wet',
} as const;

/** How deep a support usually is, mm, and a frame to begin from. Common practice, no source. */
export const USUAL_DEPTH_MM = {
  canvas: 18,
  linen: 18,
  'linen-on-panel': 6,
  'wood-panel': 10,
  'fibreboard-panel': 4,
  'metal-panel': 3,
} as const;
export const USUAL_FRAME = { rebateMm: 25, glazed: false, spacerMm: 3 } as const;
