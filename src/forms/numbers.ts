import { parseNumber } from '@/core/formats/number-text';

/** How a number of a document is shown and read back. Rounding is for the eye: what nobody typed is never rounded. */
export interface NumberCodec {
  show(value: number): string;
  /** NaN where the text is no number. */
  read(text: string): number;
}

const rounded = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

/** As many as a double holds of any decimal number (IEEE 754). */
const DECIMAL_DIGITS = 15;

const plain = (digits: number, factor = 1): NumberCodec => ({
  show: (value) => rounded(value * factor, digits),
  // 12.3 % must be 0.123 to the last digit: what the division adds behind the fifteenth goes again.
  read: (text) => Number((parseNumber(text) / factor).toPrecision(DECIMAL_DIGITS)),
});

const MM_PER_CM = 10;
/** By definition. */
const MM_PER_INCH = 25.4;
const MM_PER_UNIT: Record<string, number> = {
  mm: 1,
  cm: MM_PER_CM,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
};
const WITH_UNIT = /^(.*?)\s*(mm|cm|m|inches|inch|in|"|″)$/i;
const FRACTION = /^(?:(\d+)\s+)?(\d+)\s*[/⁄]\s*(\d+)$/;
const VULGAR: Record<string, string> = { '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8' };

/** "16 1/2" and "16½" as inches are marked on a rule; else a number. */
function withFraction(text: string): number {
  const spelled = text.replace(/[½¼¾⅛]/g, (sign) => ` ${VULGAR[sign]!}`).trim();
  const found = FRACTION.exec(spelled);
  if (!found || found[3] === '0') return parseNumber(spelled);
  return Number(found[1] ?? 0) + Number(found[2]) / Number(found[3]);
}

/** A length kept in mm; a unit that is typed behind the number counts before the studio's own. */
const length = (mmPer: number): NumberCodec => ({
  show: (mm) => rounded(mm / mmPer, 2),
  read(text) {
    const found = WITH_UNIT.exec(text.trim());
    return found
      ? withFraction(found[1]!) * MM_PER_UNIT[found[2]!.toLowerCase()]!
      : withFraction(text.trim()) * mmPer;
  },
});

const MINUTES_PER_HOUR = 60;
const MINUTES_A_DAY = 24 * MINUTES_PER_HOUR;
const CLOCK = /^(\d{1,2})(?:[:.h]?(\d{2}))?$/;
const two = (n: number): string => String(n).padStart(2, '0');

/** A time of day kept as minutes from midnight: "18:30", "18.30", "1830" and "18" are read; "24:00" ends a day. */
const clock: NumberCodec = {
  show: (minutes) =>
    `${two(Math.floor(minutes / MINUTES_PER_HOUR))}:${two(minutes % MINUTES_PER_HOUR)}`,
  read(text) {
    const found = CLOCK.exec(text.trim());
    const [hours, minutes] = [Number(found?.[1]), Number(found?.[2] ?? 0)];
    const at = hours * MINUTES_PER_HOUR + minutes;
    return minutes < MINUTES_PER_HOUR && at <= MINUTES_A_DAY ? at : NaN;
  },
};

export const CODECS = {
  number: plain(4),
  parts: plain(3),
  percent: plain(1, 100),
  micrometres: plain(1),
  millilitres: plain(2),
  money: plain(2),
  clock,
  cm: length(MM_PER_CM),
  inch: length(MM_PER_INCH),
} satisfies Record<string, NumberCodec>;
export type CodecKey = keyof typeof CODECS;
