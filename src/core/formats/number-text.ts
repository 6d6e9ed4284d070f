const SPACES = /[\s\u00a0\u2009\u202f']/g;
const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i;

/**
 * A number as people write it: with a decimal point or a decimal comma, thousands set apart by spaces, apostrophes or
 * the sign that is not the decimal one. A single comma is a decimal comma: "1,234" is a little over one.
 * @returns NaN where the text is no number; empty is none.
 * @example parseNumber('12,5') // 12.5
 * @example parseNumber('1 234.5') // 1234.5
 */
export function parseNumber(text: string): number {
  const bare = text.trim().replace('−', '-').replace(SPACES, '');
  const comma = bare.lastIndexOf(',');
  const point = bare.lastIndexOf('.');
  const dotted =
    comma >= 0 && point >= 0
      ? comma > point
        ? bare.replaceAll('.', '').replace(',', '.')
        : bare.replaceAll(',', '')
      : bare.replace(',', '.');
  return NUMBER.test(dotted) ? Number(dotted) : NaN;
}
