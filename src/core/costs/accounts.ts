import type { Handbook } from '../handbook';
import type { CabinetPaint } from '../cabinet/schema';
import { changed, type Making } from '../painting/making';
import type { Painting } from '../painting/schema';
import type { Session } from '../session/schema';
import { hoursOf } from './hours';
import { grossFor, partOf, USUAL_DIGITS } from './money';
import { NO_ACCOUNTS } from './none';
import type { Accounts } from './schema';
import { COSTS_MOST } from './vocabulary';
import { paintUsed, type PaintUsed } from './used';

/** What is kept of a painting's money; empty where nothing is. */
export const accountsOf = (painting: Pick<Painting, 'accounts'>): Accounts =>
  painting.accounts ?? NO_ACCOUNTS;

/** Change what is kept of a painting's money; undefined takes a field back. */
export function setAccounts(
  painting: Painting,
  change: { [K in keyof Accounts]?: Accounts[K] | undefined },
  making: Pick<Making, 'now'>,
): Painting {
  const next: Record<string, unknown> = { ...accountsOf(painting), ...change };
  for (const key of Object.keys(next)) if (next[key] === undefined) delete next[key];
  return changed(painting, making, { accounts: next as Accounts });
}

/** An entry of a list put in the place of the one with its id, or last; of a full list the oldest gives way. */
export function putEntry<K extends 'costs' | 'submissions'>(
  painting: Painting,
  list: K,
  entry: Accounts[K][number],
  making: Pick<Making, 'now'>,
): Painting {
  const now = accountsOf(painting)[list] as Accounts[K][number][];
  const next = now.some((e) => e.id === entry.id)
    ? now.map((e) => (e.id === entry.id ? entry : e))
    : [...now, entry].slice(-COSTS_MOST[list]);
  return setAccounts(painting, { [list]: next }, making);
}

/** Without an entry of a list. */
export const dropEntry = (
  painting: Painting,
  list: 'costs' | 'submissions',
  id: string,
  making: Pick<Making, 'now'>,
): Painting =>
  setAccounts(
    painting,
    { [list]: accountsOf(painting)[list].filter((e: { id: string }) => e.id !== id) },
    making,
  );

/** With what a picture is reckoned. */
export interface Reckoning {
  handbook: Handbook;
  paints: readonly CabinetPaint[];
  sessions: readonly Session[];
  paintings: Record<string, Painting | undefined>;
  nowMs: number;
  /** Decimal places of the currency. */
  digits?: number;
  /** What an hour should bring. */
  perHourMinor?: number | undefined;
  commissionPct?: number | undefined;
}

export interface PictureAccount {
  minutes: number;
  paint: PaintUsed[];
  paintMinor: number;
  /** Some paint has no price: the cost is a part of the whole. */
  paintIncomplete: boolean;
  otherMinor: number;
  feesMinor: number;
  /** What the study it was begun from adds, by the share that this picture bears. */
  study: { title: string; minutes: number; minor: number } | null;
  costMinor: number;
  /** Hours with the study's share. */
  allMinutes: number;
  sale: {
    gotMinor: number;
    commissionMinor: number;
    /** After commission and cost. */
    netMinor: number;
    /** Null without hours. */
    perHourMinor: number | null;
  } | null;
  /** The same for the price that is asked, before it is sold. */
  asked: { netMinor: number; perHourMinor: number | null } | null;
  /** The price at which an hour brings what is wanted, after commission and cost; null where nobody said. */
  neededMinor: number | null;
}

const sum = (amounts: readonly (number | null)[]): number =>
  amounts.reduce<number>((s, a) => s + (a ?? 0), 0);

/** What a picture has cost in money and hours, without its study. */
function ownCost(painting: Painting, with_: Reckoning) {
  const paint = paintUsed(painting, with_.handbook, with_.paints, with_.digits ?? USUAL_DIGITS);
  const accounts = accountsOf(painting);
  const paintMinor = sum(paint.map((p) => p.minor));
  const otherMinor = sum(accounts.costs.map((c) => c.minor));
  const feesMinor = sum(accounts.submissions.map((s) => s.feeMinor));
  return {
    minutes: hoursOf(painting, with_.sessions, with_.nowMs).minutes,
    paint,
    paintMinor,
    paintIncomplete: paint.some((p) => p.minor === null),
    otherMinor,
    feesMinor,
    minor: paintMinor + otherMinor + feesMinor,
  };
}

const perHour = (netMinor: number, minutes: number): number | null =>
  minutes > 0 ? partOf(netMinor, 60 / minutes) : null;

/**
 * What a picture cost, what it brought, what an hour of it was worth. Whole coins throughout: a line is rounded once,
 * and sums are of lines.
 */
export function pictureAccount(painting: Painting, with_: Reckoning): PictureAccount {
  const own = ownCost(painting, with_);
  const accounts = accountsOf(painting);
  const studied = painting.study && with_.paintings[painting.study.paintingId];
  const share = (accounts.studyPct ?? 100) / 100;
  const of = studied && ownCost(studied, with_);
  const study = of
    ? { title: studied!.title, minutes: of.minutes * share, minor: partOf(of.minor, share) }
    : null;
  const costMinor = own.minor + (study?.minor ?? 0);
  const allMinutes = own.minutes + (study?.minutes ?? 0);
  const commissionPct = accounts.sale?.commissionPct ?? with_.commissionPct ?? 0;
  const after = (gross: number, pct: number) => gross - partOf(gross, pct / 100) - costMinor;
  const { sale, askedMinor } = accounts;
  const wanted = with_.perHourMinor;
  return {
    minutes: own.minutes,
    paint: own.paint,
    paintMinor: own.paintMinor,
    paintIncomplete: own.paintIncomplete,
    otherMinor: own.otherMinor,
    feesMinor: own.feesMinor,
    study,
    costMinor,
    allMinutes,
    sale: sale
      ? {
          gotMinor: sale.gotMinor,
          commissionMinor: partOf(sale.gotMinor, sale.commissionPct / 100),
          netMinor: after(sale.gotMinor, sale.commissionPct),
          perHourMinor: perHour(after(sale.gotMinor, sale.commissionPct), allMinutes),
        }
      : null,
    asked:
      askedMinor === undefined
        ? null
        : {
            netMinor: after(askedMinor, commissionPct),
            perHourMinor: perHour(after(askedMinor, commissionPct), allMinutes),
          },
    neededMinor:
      wanted === undefined || commissionPct >= 100
        ? null
        : grossFor(partOf(wanted, allMinutes / 60) + costMinor, commissionPct),
  };
}
