import { LOOKING } from '@/data/looking';
import { parseNumber } from '@/forms';

/** A distance as it is typed, m; the usual step back while it is none. */
export const metresOf = (text: string): number => {
  const m = parseNumber(text);
  return m >= 0.3 && m <= 20 ? m : LOOKING.viewM;
};
