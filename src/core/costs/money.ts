import { CoreError } from '../errors';

/** Decimal places of most currencies; the interface asks the platform for those of one. */
export const USUAL_DIGITS = 2;

/**
 * A price as it is written, in the smallest coin; the nearest whole one, halves away from zero.
 * @example minorOf(12.345, 2) // 1235
 */
export function minorOf(amount: number, digits = USUAL_DIGITS): number {
  if (!Number.isFinite(amount))
    throw new CoreError('range', 'amount', 'That is no amount of money. Write it as 12.50.');
  // By the decimal text: 1.005 * 100 would be 100.49999.
  const [whole, power = '0'] = String(Math.abs(amount)).split('e');
  const minor = Math.round(Number(`${whole}e${Number(power) + digits}`));
  return amount < 0 ? -minor : minor;
}

/** In the currency's own unit, for showing. */
export const majorOf = (minor: number, digits = USUAL_DIGITS): number => minor / 10 ** digits;

/** A share of an amount, whole coins, halves away from zero. */
export function partOf(minor: number, share: number): number {
  const exact = minor * share;
  return Math.sign(exact) * Math.round(Math.abs(exact) + Number.EPSILON * Math.abs(exact));
}

/** The least amount of which, after a commission, at least so much is left. */
export function grossFor(netMinor: number, commissionPct: number): number {
  if (commissionPct >= 100)
    throw new CoreError(
      'range',
      'commissionPct',
      'At a commission of 100 % nothing is left of any price. Correct the commission.',
    );
  let gross = Math.ceil(netMinor / (1 - commissionPct / 100));
  // The division may be off by a coin either way.
  while (gross > 0 && gross - 1 - partOf(gross - 1, commissionPct / 100) >= netMinor) gross--;
  while (gross - partOf(gross, commissionPct / 100) < netMinor) gross++;
  return gross;
}
