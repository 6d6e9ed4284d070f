import { parseNumber } from '@/core/formats/number-text';
import { majorOf, minorOf, USUAL_DIGITS } from '@/core/costs/money';
import { minorSchema } from '@/core/costs/schema';
import { useStoreSelector } from '@/store/hooks';

/** Money as the painter's own place writes it; without a currency a plain figure. No rates are known, and none fetched. */
export interface MoneyWords {
  digits: number;
  /** "€ 12.50", "12.50". */
  say(minor: number): string;
  /** As it is typed. */
  show(minor: number): string;
  /** What was typed in the smallest coin, or why it is none. */
  read(text: string): { minor: number } | { problem: string };
}

export function moneyWords(currency: string | undefined, locale?: string): MoneyWords {
  const format = new Intl.NumberFormat(
    locale,
    currency
      ? { style: 'currency', currency, currencyDisplay: 'narrowSymbol' }
      : { minimumFractionDigits: USUAL_DIGITS, maximumFractionDigits: USUAL_DIGITS },
  );
  // Kept in hundredths whatever the currency: another one only changes how amounts are written, never what they are.
  const digits = USUAL_DIGITS;
  return {
    digits,
    say: (minor) => format.format(majorOf(minor)),
    show: (minor) => (minor % 100 === 0 ? String(majorOf(minor)) : majorOf(minor).toFixed(digits)),
    read(text) {
      const value = parseNumber(text);
      if (Number.isNaN(value)) return { problem: 'Write an amount such as 12.50.' };
      const read = minorSchema.safeParse(minorOf(value));
      return read.success ? { minor: read.data } : { problem: read.error.issues[0]!.message };
    },
  };
}

export const useMoney = (): MoneyWords =>
  moneyWords(useStoreSelector((s) => s.studio.money?.currency));
