import type { Confidence } from './constants';

/** How far the minutes of a work stray from what was estimated: standard deviations of the logarithm. */
interface Row {
  value: number;
  unit: string;
  source: string;
  confidence: Confidence;
}
const row = (value: number, unit: string, source: string): Row => ({
  value,
  unit,
  source,
  confidence: 'low',
});
const JUDGEMENT = 'judgement; no source';

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
} as const satisfies Record<string, Row>;

export type PlanKey = keyof typeof PLAN_ROWS;
export const PLAN_ODDS = Object.fromEntries(
  Object.entries(PLAN_ROWS).map(([key, r]) => [key, r.value]),
) as Record<PlanKey, number>;
