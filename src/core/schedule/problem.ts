import type { Constants } from '@/data/constants';

/** What a wait is counted in: reference-days of drying in the studio's air, or plain days. */
export const PLAN_CLOCKS = ['oil', 'acrylic', 'wall'] as const;
export type PlanClockKind = (typeof PLAN_CLOCKS)[number];

/** Dose since the present, and the moment at which a dose is reached; null when drying stands still. */
export interface PlanClock {
  doseAt(ms: number): number;
  timeOf(dose: number): number | null;
}

/**
 * A log-normal dose, its spread parted: `own` is the standard deviation (ln) of this film alone, `shared` the
 * loadings on the problem's shared factors, each a standard normal drawn once per scenario.
 */
export interface SharedLogNormal {
  median: number;
  own: number;
  shared: number[];
}

/** What a coat leaves behind, as far as waiting for it goes. */
export interface PlanFilm {
  clock: PlanClockKind;
  /** Share of its touch-dry dose for which it is open. */
  openOverTouch: number;
  touch: SharedLogNormal;
  through: SharedLogNormal;
}

/** What is waited for. `order`: only that the other is done. */
export const LAG_STAGES = [
  'order',
  'touch-dry',
  'recoat',
  'travel',
  'through-dry',
  'varnish-modern',
  'varnish-traditional',
  // The same of a film that is covered by others meanwhile.
  'varnish-modern-below',
  'varnish-traditional-below',
] as const;
export type LagStage = (typeof LAG_STAGES)[number];

/** A wait at the least. */
export interface Lag {
  /** The work whose film is waited for; null: a film that is laid already. */
  after: string | null;
  /** Place in the problem's films; null with `order`. */
  film: number | null;
  stage: LagStage;
  /** Dose that the plan waits for, at the chosen chance. */
  dose: number;
  /** Dose that a film laid already has had by now. */
  had: number;
}

/** A wait at the most: done while the paint of the other is open, counted from its first stroke. */
export interface Wet {
  /** Null: paint that is laid already, and open now. */
  after: string | null;
  film: number;
  /** Dose by which the other closes, at the chosen chance (a low quantile). */
  dose: number;
  /** Dose that paint laid already has had by now. */
  had: number;
  sameSitting: boolean;
  /** Dose of touch-dry, which is waited for where the open time is missed. */
  dryDose: number;
}

/** One sitting's worth of work at most; a longer one is a chain of these. */
export interface PlanWork {
  id: string;
  project: string;
  slots: number;
  /** What has to be on the palette; null: anything. */
  medium: string | null;
  lags: Lag[];
  wets: Wet[];
  /** The painter put it there. */
  pinMs: number | null;
  notBeforeMs: number | null;
  /** Times that the painter keeps it out of; windows that begin in one of them are none for it. A pin stands above them. */
  notIn?: WorkWindow[];
  /** Chance that it is done over once it is touch-dry, in how many sittings, and which share of its time each takes. */
  redo?: { film: number; chance: number; sittings: number; share: number };
}

/** When a painting counts as done. */
export interface PlanGoal {
  project: string;
  dueMs: number | null;
  weight: number;
  /** Waits after the last works of it (or after films laid already): the latest decides. */
  ends: Lag[];
}

export interface WorkWindow {
  fromMs: number;
  toMs: number;
}

export type StageConstants = Pick<
  Constants,
  | 'coveredRate'
  | 'recoatOverTouch'
  | 'dryHardOverTouch'
  | 'modernVarnishMinDays'
  | 'varnishMinDays'
  | 'varnishMaxDays'
  | 'varnishThroughMultiple'
>;

/** One painter, a calendar, works with waits between them, and what is due. Times ms since the epoch, UTC. */
export interface PlanProblem {
  nowMs: number;
  slotMs: number;
  /** Hours for work, in order, without overlap. */
  windows: WorkWindow[];
  clocks: Record<PlanClockKind, PlanClock>;
  films: PlanFilm[];
  works: PlanWork[];
  goals: PlanGoal[];
  constants: StageConstants;
  /** How surely plans come true; absent: as is usual, and all hours are held. */
  habits?: PlanHabits;
}

/** Spreads of the logarithm of minutes, of one sitting and of all together, and the chance that hours are held. */
export interface PlanHabits {
  ownSd: number;
  sharedSd: number;
  hold: number;
}

/** What a plan costs. Days late and days to finish are days; see `docs/method.md`, "The plan". */
export interface PlanWeights {
  lateDay: number;
  finishDay: number;
  session: number;
  mediumChange: number;
}

export const USUAL_WEIGHTS: PlanWeights = {
  lateDay: 100,
  finishDay: 1,
  session: 2,
  mediumChange: 1,
};

/** Above any J of days: what cannot be had is given up only when nothing else helps. */
export const PENALTY = 100_000;
