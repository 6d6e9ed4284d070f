import { format } from 'date-fns/format';

/** A UTC moment as local "2026-03-03T18:30"; what is no moment, as it was typed. */
export function localMoment(value: unknown): string {
  if (typeof value !== 'string') return '';
  const ms = Date.parse(value);
  return value.endsWith('Z') && !Number.isNaN(ms) ? format(ms, "yyyy-MM-dd'T'HH:mm") : value;
}

const LOCAL = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;

/** Local "2026-03-03T18:30" as a UTC moment; what is none stays as it was typed, for the schema to refuse. */
export function utcMoment(text: string): string {
  const ms = LOCAL.test(text) ? Date.parse(text) : NaN;
  return Number.isNaN(ms) ? text : new Date(ms).toISOString();
}
