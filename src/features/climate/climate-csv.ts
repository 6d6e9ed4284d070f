import { isValid } from 'date-fns/isValid';
import { parse as parseDate } from 'date-fns/parse';
import Papa from 'papaparse';
import { type Reading } from '@/core/climate';
import { isPlausibleTime } from '@/core/climate/readings';
import { readingSchema } from '@/core/climate/readings-schema';

/** How times are written in the file. */
export const TIME_FORMATS = [
  'iso',
  'dd/MM/yyyy HH:mm',
  'MM/dd/yyyy HH:mm',
  'dd.MM.yyyy HH:mm',
  'yyyy-MM-dd HH:mm',
  'epoch-s',
  'epoch-ms',
] as const;
export type TimeFormat = (typeof TIME_FORMATS)[number];

export interface ClimateMapping {
  time: number;
  temperature: number;
  humidity: number;
  format: TimeFormat;
  /** Hours east of UTC of times that do not say so themselves; null: as this computer's clock. */
  utcOffsetHours: number | null;
  unit: 'C' | 'F';
}

export interface BadRow {
  line: number;
  reason: string;
}

export interface ClimateCsv {
  header: string[];
  rows: string[][];
}

/** Split a file; the first row is its header. */
export function splitCsv(text: string): ClimateCsv {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [header = [], ...rows] = data;
  return { header: header.map((h) => h.trim()), rows };
}

const find = (header: string[], words: RegExp, otherwise: number): number => {
  const i = header.findIndex((h) => words.test(h));
  return i === -1 ? otherwise : i;
};

const FORMAT_LIKE: [RegExp, TimeFormat][] = [
  [/^\d{9,11}$/, 'epoch-s'],
  [/^\d{12,14}$/, 'epoch-ms'],
  [/^\d{4}-\d\d-\d\dT/, 'iso'],
  [/^\d{4}-\d\d-\d\d \d\d:\d\d(:\d\d)?$/, 'yyyy-MM-dd HH:mm'],
  [/^\d{4}-\d\d-\d\d /, 'iso'],
  [/^\d\d?\.\d\d?\.\d{4}/, 'dd.MM.yyyy HH:mm'],
];

/** What the columns most likely are; the painter corrects it. */
export function guessMapping({ header, rows }: ClimateCsv): ClimateMapping {
  const time = find(header, /time|date|datum|zeit|stamp/i, 0);
  const temperature = find(header, /temp|°|deg/i, 1);
  const first = rows[0]?.[time]?.trim() ?? '';
  const slashed = rows.map((r) => r[time]?.trim() ?? '').filter((t) => /^\d\d?\/\d\d?\//.test(t));
  // A first number above 12 can only be a day, a second one above 12 only the day of the American way.
  const american = slashed.some((t) => Number(t.split('/')[1]) > 12);
  return {
    time,
    temperature,
    humidity: find(header, /hum|rh|feucht|%/i, 2),
    format:
      FORMAT_LIKE.find(([like]) => like.test(first))?.[1] ??
      (slashed.length > 0 ? (american ? 'MM/dd/yyyy HH:mm' : 'dd/MM/yyyy HH:mm') : 'iso'),
    utcOffsetHours: null,
    unit: /F\b|fahrenheit/i.test(header[temperature] ?? '') ? 'F' : 'C',
  };
}

const HOUR_MS = 3_600_000;
const SAYS_ITS_ZONE = /(Z|[+-]\d\d:?\d\d)$/;

/** Milliseconds of a local time; NaN for what is no time. */
function localMs(text: string, format: TimeFormat): number {
  if (format === 'iso') return Date.parse(text.replace(' ', 'T'));
  const exact = parseDate(text, text.split(':').length > 2 ? `${format}:ss` : format, new Date(0));
  return isValid(exact) ? exact.getTime() : NaN;
}

function timeMs(raw: string, { format, utcOffsetHours }: ClimateMapping): number {
  const text = raw.trim();
  if (format === 'epoch-s' || format === 'epoch-ms')
    return /^\d+$/.test(text) ? Number(text) * (format === 'epoch-s' ? 1000 : 1) : NaN;
  const ms = localMs(text, format);
  if (format === 'iso' && SAYS_ITS_ZONE.test(text)) return ms;
  if (utcOffsetHours === null || Number.isNaN(ms)) return ms;
  // Read as this computer's time first; then moved to the zone of the file.
  return ms - new Date(ms).getTimezoneOffset() * 60_000 - utcOffsetHours * HOUR_MS;
}

/** A decimal comma is a comma between digits. */
const numberOf = (raw: string | undefined): number => {
  const text = (raw ?? '').trim().replace(/[°%CF\s]+$/i, '');
  return text === '' ? NaN : Number(/^-?\d+,\d+$/.test(text) ? text.replace(',', '.') : text);
};
const celsius = (t: number, unit: 'C' | 'F'): number => (unit === 'F' ? ((t - 32) * 5) / 9 : t);

/** Readings of a file, and every row that is none, by its line in the file. */
export function readClimateCsv(
  { rows }: ClimateCsv,
  mapping: ClimateMapping,
  nowMs: number,
): { readings: Reading[]; bad: BadRow[] } {
  const readings: Reading[] = [];
  const bad: BadRow[] = [];
  rows.forEach((row, i) => {
    const line = i + 2;
    const atMs = timeMs(row[mapping.time] ?? '', mapping);
    if (Number.isNaN(atMs)) {
      bad.push({ line, reason: `"${row[mapping.time] ?? ''}" is no time of that form.` });
      return;
    }
    if (!isPlausibleTime(atMs, nowMs)) {
      const when =
        Number.isFinite(atMs) && Math.abs(atMs) < 8e15 ? new Date(atMs).getUTCFullYear() : '?';
      bad.push({
        line,
        reason: `"${row[mapping.time] ?? ''}" would be in the year ${when}. Is the time of another form?`,
      });
      return;
    }
    const parsed = readingSchema.safeParse({
      atMs,
      temperatureC: celsius(numberOf(row[mapping.temperature]), mapping.unit),
      relativeHumidityPct: numberOf(row[mapping.humidity]),
    });
    if (parsed.success) readings.push(parsed.data);
    else
      bad.push({
        line,
        reason:
          parsed.error.issues[0]!.path[0] === 'temperatureC'
            ? `"${row[mapping.temperature] ?? ''}" is no temperature between -30 and 60 °C.`
            : `"${row[mapping.humidity] ?? ''}" is no humidity between 0 and 100 %.`,
      });
  });
  return { readings, bad };
}
