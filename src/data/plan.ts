import type { ConstantRow } from './constants';
import { JUDGEMENT, lowRow, valuesOf } from './rows';

/** What a plan is made with: how minutes stray, how far it looks, what lateness weighs, how much is drawn. */
const row = lowRow;

export const PLAN_ROWS = {
  /** All works together run faster or slower. */
  paceSharedSd: row(0.2, 'ln min', JUDGEMENT),
  /** One sitting against another. */
  paceOwnSd: row(0.35, 'ln min', JUDGEMENT),
  /** Works are planned in steps of this length. */
  slotMinutes: row(15, 'min', JUDGEMENT),
  /** A work that may be interrupted is planned in sittings of at most this length. */
  sittingMinutes: row(120, 'min', JUDGEMENT),
  /** How far ahead is planned. */
  horizonDays: row(364, 'd', JUDGEMENT),
  /** What a day late costs of a painting that may slip, and of one that comes first, against any other. */
  maySlipWeight: row(0.3, '1', JUDGEMENT),
  firstWeight: row(3, '1', JUDGEMENT),
  /** A chance below this is no safe day. */
  safeChance: row(0.9, '1', 'the chance that stands behind a deadline, as elsewhere'),
  /** Where even the first day is not safe: how many points a delay may cost. */
  safeLoss: row(0.05, '1', 'one chance in twenty; judgement'),
  /** With less than this left of the hours nothing is begun any more. */
  goingHomeMinutes: row(7.5, 'min', JUDGEMENT),
  /** A work is begun in a session when at least one part in so many of it fits. */
  partsToBegin: row(2, 'parts of a work', JUDGEMENT),
  /** Hours shorter than this are none. */
  leastStretchMinutes: row(30, 'min', JUDGEMENT),
  /** Forecasts are noted for the steps of the next weeks: further ahead the plan will have changed. */
  saidAheadDays: row(28, 'd', JUDGEMENT),
  /** Draws for the delay of a step, for the day of each work, and of a first plan. */
  delayDraws: row(2048, 'draws', 'error of a chance near 0.9 under 0.7 points; computed'),
  workDraws: row(2048, 'draws', 'error of a chance near 0.9 under 0.7 points; computed'),
  quickDraws: row(1024, 'draws', 'error of a chance near 0.9 under 1 point; computed'),
  /** Rounds of the search for a first plan, and for the plan as if a step were put off. */
  quickRounds: row(250, 'rounds', JUDGEMENT),
  delayRounds: row(300, 'rounds', JUDGEMENT),
  /** Days of which the delay of a step is told. */
  readyByDraws: row(1500, 'draws', 'a standard error under 1.3 points; computed'),
  delayDays: row(6, 'd', JUDGEMENT),
} as const satisfies Record<string, ConstantRow>;

export type PlanKey = keyof typeof PLAN_ROWS;
export const PLAN_ODDS = valuesOf(PLAN_ROWS);
