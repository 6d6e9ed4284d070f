import type { Painting } from '../painting/schema';
import { workedMinutes } from '../session/time';
import { accountsOf, pictureAccount, type Reckoning } from './accounts';
import { partOf } from './money';

export interface YearAccount {
  year: number;
  /** Hours at the easel in that year, on whatever. */
  minutes: number;
  sold: number;
  gotMinor: number;
  commissionMinor: number;
  /** Cost of the pictures sold in it, their studies' shares with them. */
  costMinor: number;
  netMinor: number;
  /** Over all hours of the year; null without any. */
  perHourMinor: number | null;
  /** Sent somewhere, by what came of it. */
  sent: { waiting: number; accepted: number; refused: number; withdrawn: number };
}

/**
 * Year by year, the latest first: what was sold in it against the hours that were worked in it, sold or not.
 * @param yearOf the year of a moment in the painter's own time
 */
export function yearAccounts(
  paintings: readonly Painting[],
  with_: Reckoning,
  yearOf: (ms: number) => number,
): YearAccount[] {
  const years = new Map<number, YearAccount>();
  const of = (year: number): YearAccount => {
    const there = years.get(year) ?? {
      year,
      minutes: 0,
      sold: 0,
      gotMinor: 0,
      commissionMinor: 0,
      costMinor: 0,
      netMinor: 0,
      perHourMinor: null,
      sent: { waiting: 0, accepted: 0, refused: 0, withdrawn: 0 },
    };
    years.set(year, there);
    return there;
  };
  for (const session of with_.sessions)
    for (const work of session.works) {
      const minutes = workedMinutes(work, with_.nowMs);
      if (minutes > 0) of(yearOf(Date.parse(session.startedAt))).minutes += minutes;
    }
  for (const painting of paintings) {
    const { sale, submissions } = accountsOf(painting);
    for (const s of submissions) of(yearOf(Date.parse(s.sentAt))).sent[s.outcome]++;
    if (!sale) continue;
    const year = of(yearOf(Date.parse(sale.at)));
    const account = pictureAccount(painting, with_);
    year.sold++;
    year.gotMinor += account.sale!.gotMinor;
    year.commissionMinor += account.sale!.commissionMinor;
    year.costMinor += account.costMinor;
    year.netMinor += account.sale!.netMinor;
  }
  return [...years.values()]
    .map((y) => ({
      ...y,
      perHourMinor: y.minutes > 0 ? partOf(y.netMinor, 60 / y.minutes) : null,
    }))
    .sort((a, b) => b.year - a.year);
}
