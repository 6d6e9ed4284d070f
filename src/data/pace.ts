import type { Confidence } from './constants';

/**
 * How long a coat takes, by its kind: minutes for a thousand square centimetres (about 30 x 33 cm), and how they grow
 * with the area. A big surface is worked with a bigger brush: a glaze over a square metre is an hour and a quarter, not
 * ten times one over a tenth of it, and a face the size of a palm is not done in ten minutes. Common practice, no
 * source: 18 x 13 cm is finished in some four hours over all its coats; tones and block-ins of a whole picture are done
 * in one sitting; a varnish over a square metre in under an hour.
 */
interface WorkPace {
  /** min at 1000 cm2 */
  minutes: number;
  /** Power of the area. */
  power: number;
  /** May be left half done and taken up again while the paint is wet or another day. */
  splittable: boolean;
  confidence: Confidence;
}
const row = (minutes: number, power: number, splittable: boolean): WorkPace => ({
  minutes,
  power,
  splittable,
  confidence: 'low',
});

export const WORK_PACE = {
  drawing: row(45, 0.5, true),
  tone: row(15, 0.5, false),
  underpainting: row(90, 0.5, true),
  'block-in': row(75, 0.5, true),
  overpainting: row(150, 0.5, true),
  detail: row(240, 0.5, true),
  glaze: row(30, 0.4, false),
  scumble: row(40, 0.4, false),
  'oiling-out': row(6.5, 0.4, false),
  varnish: row(9, 0.5, false),
} as const satisfies Record<string, WorkPace>;

/** Area at which the minutes of the table stand, cm2. */
export const PACE_AREA_CM2 = 1000;

/** How much longer, or shorter, work that is finer or broader than the usual of its kind takes. Judgement. */
export const FINENESS_FACTOR = { broad: 0.6, usual: 1, fine: 1.8 } as const;

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
  /** Minutes that work is believed to have gone on when nothing more is noted of it and nothing was planned. */
  believedMinutes: 60,
  /** Minutes past that after which a session that still runs is taken for forgotten. */
  forgottenMinutes: 120,
} as const;

/** Paint on the palette: how thick it lies, how cool and how closed it is kept. Judgement. */
export const PALETTE = {
  thicknessUm: 500,
  coolC: 8,
  /** Mixes of earlier sessions older than this, d, that nobody threw away are taken to be gone. */
  keptDays: 14,
  source:
    'covered and cool a mix stays usable for a day or days: common practice, no source; figures judgement',
} as const;
