import type { ConstantRow } from './constants';
import { lowRow, valuesOf } from './rows';

/**
 * The search for a plan: which moves it makes, how often, and how hot. None of these changes what a plan is worth, only
 * how soon a good one is found; each was tried against the optimum of a general solver (npm run bench).
 */
const TRIED = 'tried against the optimum of a general solver; npm run bench';
const tried = (value: number, unit: string): ConstantRow => lowRow(value, unit, TRIED);

export const SEARCH_ROWS = {
  /** Rounds from hot to cold of a small problem. */
  cycle: tried(2000, 'rounds'),
  /** Up to this many works a problem is small: cheap enough to be heated anew some times. */
  smallWorks: tried(20, 'works'),
  smallCycles: tried(10, 'cycles'),
  /** Up to this many works three cycles find what ten do. */
  tinyWorks: tried(12, 'works'),
  tinyCycles: tried(3, 'cycles'),
  fewestRounds: tried(1500, 'rounds'),
  mostRounds: tried(50_000, 'rounds'),
  roundsTimesWorks: tried(275_000, 'rounds times works'),
  /** Days given to a painting without a date, where it competes with dated ones. */
  undatedDays: tried(400, 'd'),
  /** Between the urgencies of two paintings that are taken one after the other: no chain is as long. */
  paintingsApart: tried(1e5, 'd'),
  /** What has no date, or was not in the last plan, comes after all that has: later than any moment. */
  afterAll: tried(1e15, 'ms'),
  /** What never dries ends this long after the calendar. */
  neverDays: tried(3650, 'd'),
  /** Up to this many works the whole plan is now and then built anew. */
  wholeWorks: tried(40, 'works'),
  /** From this many works on, moving single works is too dear to do to the end. */
  largeWorks: tried(300, 'works'),
  largePolish: tried(400, 'moves'),
  exchanges: tried(200, 'moves a round'),
  /** Of large problems one round in so many tears down and builds; the others exchange. */
  ruinEvery: tried(4, 'rounds'),
  /** How much dearer a plan may become at the start: of a large one, and of a small one as share of its cost. */
  warmLarge: tried(1, 'days late'),
  warmLeast: tried(2, 'days late'),
  warmShare: tried(0.004, 'share of the cost'),
  warmMostCost: tried(1e4, 'days late'),
  /** The same of a problem of a studio's size, which is begun several times instead. */
  warmLeastStudio: tried(0.5, 'days late'),
  warmShareStudio: tried(0.001, 'share of the cost'),
  /** How often each kind of part is torn down: all; a work or two; a session; else a painting or two. */
  ruinWhole: tried(0.2, 'chance'),
  ruinWorks: tried(0.4, 'chance, cumulated'),
  ruinSession: tried(0.65, 'chance, cumulated'),
  ruinPaintingWhole: tried(0.8, 'chance, cumulated'),
  ruinPaintingWork: tried(0.5, 'chance'),
  ruinMostWorks: tried(150, 'works of a session'),
  /** Everything from a moment on; seldom where walks through the calendar do that better. */
  ruinFlow: tried(0.1, 'chance'),
  ruinFlowStudio: tried(0.03, 'chance'),
  ruinFlowFromStart: tried(0.3, 'chance'),
  /**
   * How the torn part is built again: in the order it stood, but for a painting or two that are put off or brought
   * forward; paintings in a random order; by slack, some paintings sooner. No joining; no waiting for a medium; no skipping.
   */
  orderStays: tried(0.8, 'chance'),
  shiftNone: tried(0.2, 'chance'),
  shiftOne: tried(0.7, 'chance, cumulated'),
  apartBySlack: tried(0.3, 'chance'),
  rankPaintings: tried(0.1, 'chance'),
  joinNever: tried(0.6, 'chance'),
  passMediumNever: tried(0.6, 'chance'),
  skipNever: tried(0.85, 'chance'),
  skipMost: tried(0.4, 'chance'),
  /**
   * How often a part of a studio's plan is built by walking the calendar, not work by work; and by what a session's works
   * are chosen then and in walks: days that a medium which is out is worth, and one that fills the session; slots for
   * which a session is begun; days for a day that must still follow.
   */
  rebuildForward: tried(0.5, 'chance'),
  walkBonusNone: tried(0.2, 'chance'),
  walkBonusMost: tried(30, 'd'),
  walkFillNone: tried(0.3, 'chance'),
  walkLeastMost: tried(3, 'slots'),
  walkTailMost: tried(2, 'days for a day'),
  keepShut: tried(0.5, 'chance'),
  /**
   * Walks through the calendar: how many for a studio and for a small problem, ways in which each plan is gone on with, plans looked at in all of them, and
   * slots of all plans together that are kept in memory. The order in which a session's works are chosen: days for a
   * slot that a painting still wants, chance days for each painting, and how often a session is passed.
   */
  beams: tried(8, 'walks'),
  beamsSmall: tried(2, 'walks'),
  beamTries: tried(12, 'plans'),
  beamPlans: tried(200_000, 'plans'),
  walkShareSmall: tried(0.15, 'share of a studio’s plans'),
  beamMostSlots: tried(4e6, 'slots'),
  beamLoad: tried(4, 'd'),
  beamNoise: tried(10, 'd'),
  beamSkip: tried(0.3, 'chance'),
  /** The later part walked again: plans looked at, walks at most, plans kept and gone on with, the latest start, and rounds of mending. */
  againPlans: tried(140_000, 'plans'),
  againMost: tried(80, 'walks'),
  againWidth: tried(20, 'plans'),
  againTries: tried(12, 'plans'),
  againUpTo: tried(0.9, 'share of the windows'),
  againRounds: tried(300, 'rounds'),
  /** The search over the order of the paintings: plans built, by the size; how a plan is changed, cumulated; its heat. */
  orderLooks: tried(8000, 'plans'),
  orderLooksSmall: tried(500, 'plans'),
  orderLooksTimesWorks: tried(220_000, 'plans times works'),
  orderLooksTimesWorksLarge: tried(300_000, 'plans times works'),
  orderMoves: tried(0.5, 'chance, cumulated'),
  orderSpread: tried(0.6, 'chance, cumulated'),
  orderJoin: tried(0.65, 'chance, cumulated'),
  orderMedium: tried(0.7, 'chance, cumulated'),
  orderApartLeast: tried(0.3, 'd'),
  orderApartMost: tried(1e5, 'd'),
  orderHeat: tried(0.01, 'share of the cost'),
  /** Searches begun from different plans in a problem of a studio's size; the better half of them goes on each time. */
  starts: tried(4, 'searches'),
  /** The last plan stays unless another is better by so much: what was told is not turned over for a trifle. */
  worthMoving: tried(0.005, 'share of the cost'),
  /** The painter, or the page, is asked every so many rounds whether to stop. */
  askEvery: tried(16, 'rounds'),
} as const satisfies Record<string, ConstantRow>;

export const SEARCH = valuesOf(SEARCH_ROWS);
/** How far urgencies are shaken before the torn part is built again, days; each as likely. */
export const SEARCH_NOISE_DAYS = [0, 1, 4, 20] as const;
/** The same where the part is built in the order it stood. */
export const SEARCH_SHAKE_DAYS = [0, 0.3, 1] as const;
/** How far a painting is put off or brought forward, days, at most; each as likely. */
export const SEARCH_SHIFT_DAYS = [3, 10, 30] as const;
/** Of the windows that are not used, so many stay shut for a round; each as likely. */
export const SEARCH_SHUT_SHARES = [0, 0.3, 1] as const;
