import type { Confidence } from './constants';

/**
 * How fast a coat goes on, by its kind. Common practice, no source: 18 x 13 cm in four hours is 1 cm2 a minute of
 * finished work over all its coats; tones and block-ins of a whole picture are done in one sitting.
 */
interface Pace {
  cm2PerMinute: number;
  /** May be left half done and taken up again while the paint is wet or another day. */
  splittable: boolean;
  confidence: Confidence;
}
const row = (cm2PerMinute: number, splittable: boolean): Pace => ({
  cm2PerMinute,
  splittable,
  confidence: 'low',
});

export const WORK_PACE = {
  drawing: row(20, true),
  tone: row(80, false),
  underpainting: row(12, true),
  'block-in': row(20, true),
  overpainting: row(6, true),
  detail: row(1.5, true),
  glaze: row(20, false),
  scumble: row(15, false),
  'oiling-out': row(100, false),
  varnish: row(60, false),
} as const satisfies Record<string, Pace>;

/** Minutes to lay out, and to clean brushes and palette at the end. */
export const CLEANING_MINUTES = 15;
export const LEAST_WORK_MINUTES = 10;

/** How the painter's own pace is learned and followed. Judgement. */
export const PACE = {
  /** Sittings shorter than this say nothing of how fast he works. */
  leastMinutes: 10,
  /** Sittings that the usual pace is worth against his own. */
  usualCounts: 2,
  /** A wait this many days longer than that of the others is begun first. */
  longWaitDays: 1,
} as const;

/** Paint on the palette: how thick it lies, how cool and how closed it is kept. Judgement. */
export const PALETTE = {
  thicknessUm: 500,
  coolC: 8,
  source:
    'covered and cool a mix stays usable for a day or days: common practice, no source; figures judgement',
} as const;
