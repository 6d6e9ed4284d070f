import { BINDERS } from '@/data/binders';
import { PIGMENT_ROWS } from '@/data/pigments';
import { parseNumber } from '../formats/number-text';
import { issuesOf } from '../issues';
import { pigmentRow } from './paints';
import { INGREDIENTS } from '@/data/ingredients';
import {
  cabinetMediumSchema,
  cabinetPaintSchema,
  type CabinetMedium,
  type CabinetPaint,
} from './schema';

/**
 * A paint as a row of a table file, and back. One row per paint; several pigments are written
 * "PW6 titanium-white 2 + PB29 ultramarine-blue 1". Reading a row never throws: it gives the paint, or what is wrong.
 */
export const COLUMNS = [
  'id',
  'name',
  'pigments',
  'binder',
  'extender_pct',
  'tube_ml',
  'price',
  'left_pct',
  'left_at',
  'oil_wt_pct',
  'drying_factor',
  'stearate_wt_pct',
  'make_up_unknown',
  'archived',
] as const;
export type Column = (typeof COLUMNS)[number];
export type Row = Partial<Record<string, string>>;

/** The shortest text that reads as the same number again, also where the column is in per cent. */
function tidy(value: number, per = 1): string {
  for (let digits = 4; digits < 17; digits++) {
    const text = String(Number((value * per).toPrecision(digits)));
    if (Number(text) / per === value) return text;
  }
  return String(value * per);
}
const orEmpty = (value: number | null): string => (value === null ? '' : tidy(value));

/** A paint as a row of the CSV file: text by column, shares in per cent, amounts in ml. */
export const rowOfPaint = (paint: CabinetPaint): Record<Column, string> => ({
  id: paint.id,
  name: paint.name,
  pigments: paint.pigments
    .map((p) =>
      `${pigmentRow(p.pigment)?.ci.replace(/ .*/, '') ?? ''} ${p.pigment} ${tidy(p.parts)}`.trim(),
    )
    .join(' + '),
  binder: paint.binder,
  extender_pct: tidy(paint.extenderShare, 100),
  tube_ml: tidy(paint.tubeMl),
  price: orEmpty(paint.price),
  left_pct: tidy(paint.left, 100),
  left_at: paint.leftAt ?? '',
  oil_wt_pct: orEmpty(paint.oilWtPct),
  drying_factor: orEmpty(paint.dryingFactor),
  stearate_wt_pct: orEmpty(paint.stearateWtPct ?? null),
  make_up_unknown: paint.makeUpUnknown ? 'yes' : 'no',
  archived: paint.archived ? 'yes' : 'no',
});

/** NaN where it is none, so that the schema says so. */
const number = (text: string | undefined): number => parseNumber(text ?? '');
const numberOr = <T>(text: string | undefined, absent: T): number | T =>
  (text ?? '').trim() === '' ? absent : number(text);
const YES = new Set(['yes', 'true', '1', 'x']);
const yes = (text: string | undefined): boolean => YES.has((text ?? '').trim().toLowerCase());

/** A pigment by its key, its Colour Index name where only one pigment bears it, or its name. */
function pigmentNamed(words: string): string {
  const said = words.toLowerCase().trim();
  const byKey = said.split(/\s+/).find((word) => pigmentRow(word));
  if (byKey) return byKey;
  const byCi = PIGMENT_ROWS.filter((r) => r.ci.toLowerCase() === said);
  if (byCi.length === 1) return byCi[0]!.key;
  const byName = PIGMENT_ROWS.filter(
    (r) =>
      r.name.toLowerCase().replace(/ \(.*/, '') === said || r.key === said.replace(/\s+/g, '-'),
  );
  return byName.length === 1 ? byName[0]!.key : words.trim();
}

function pigmentsFrom(text: string): { pigment: string; parts: number }[] {
  return text
    .split('+')
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '')
    .map((piece) => {
      const match = /^(.*?)\s+([0-9]+(?:[.,][0-9]+)?)$/.exec(piece);
      return match
        ? { pigment: pigmentNamed(match[1]!), parts: number(match[2]) }
        : { pigment: pigmentNamed(piece), parts: 1 };
    });
}

function binderNamed(text: string | undefined): string {
  const said = (text ?? '').trim().toLowerCase();
  const found = Object.values(BINDERS).find((b) => b.key === said || b.name === said);
  return found?.key ?? said;
}

export type ReadRow = { paint: CabinetPaint } | { problems: string[] };

const COLUMN_OF: Record<string, Column> = {
  pigments: 'pigments',
  binder: 'binder',
  extenderShare: 'extender_pct',
  tubeMl: 'tube_ml',
  price: 'price',
  left: 'left_pct',
  leftAt: 'left_at',
  oilWtPct: 'oil_wt_pct',
  dryingFactor: 'drying_factor',
  stearateWtPct: 'stearate_wt_pct',
  name: 'name',
  id: 'id',
};

/** @param newId for a row that names no paint */
export function readPaintRow(row: Row, newId: () => string): ReadRow {
  const parsed = cabinetPaintSchema.safeParse({
    id: (row.id ?? '').trim() || newId(),
    name: row.name ?? '',
    pigments: pigmentsFrom(row.pigments ?? ''),
    binder: binderNamed(row.binder || 'linseed'),
    extenderShare: Number((numberOr(row.extender_pct, 0) / 100).toFixed(6)),
    tubeMl: numberOr(row.tube_ml, 37),
    price: numberOr(row.price, null),
    left: Number((numberOr(row.left_pct, 100) / 100).toFixed(6)),
    ...((row.left_at ?? '').trim() === '' ? {} : { leftAt: row.left_at!.trim() }),
    oilWtPct: numberOr(row.oil_wt_pct, null),
    dryingFactor: numberOr(row.drying_factor, null),
    ...((row.stearate_wt_pct ?? '').trim() === ''
      ? {}
      : { stearateWtPct: numberOr(row.stearate_wt_pct, null) }),
    makeUpUnknown: yes(row.make_up_unknown),
    archived: yes(row.archived),
  });
  if (parsed.success) return { paint: parsed.data };
  return {
    problems: issuesOf(parsed.error).map(({ where, message }) => {
      const column = COLUMN_OF[where.split('.')[0]!] ?? where;
      return `${column}: ${message}`;
    }),
  };
}

export const MEDIUM_COLUMNS = ['id', 'name', 'by', 'ingredients', 'archived'] as const;
export type MediumColumn = (typeof MEDIUM_COLUMNS)[number];

/** "1 stand-oil + 1 damar-varnish 40.9% + 5 turpentine": parts, ingredient, strength where it is not the usual one. */
export const rowOfMedium = (medium: CabinetMedium): Record<MediumColumn, string> => ({
  id: medium.id,
  name: medium.name,
  by: medium.by,
  ingredients: medium.parts
    .map(
      ({ parts, ingredient, solidsWtPct }) =>
        `${tidy(parts)} ${ingredient}${solidsWtPct === undefined ? '' : ` ${tidy(solidsWtPct)}%`}`,
    )
    .join(' + '),
  archived: medium.archived ? 'yes' : 'no',
});

/** An ingredient by its key, or by its name. */
function ingredientNamed(words: string): string {
  const said = words.trim().toLowerCase();
  const found = Object.values(INGREDIENTS).find((i) => i.key === said || i.name === said);
  return found?.key ?? said;
}

const PART = /^([0-9]+(?:[.,][0-9]+)?)\s+(.*?)(?:\s+([0-9]+(?:[.,][0-9]+)?)\s*%)?$/;

function partsFrom(text: string) {
  return text
    .split('+')
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '')
    .map((piece) => {
      const match = PART.exec(piece);
      if (!match) return { parts: NaN, ingredient: ingredientNamed(piece) };
      const strength = match[3] === undefined ? {} : { solidsWtPct: number(match[3]) };
      return { parts: number(match[1]), ingredient: ingredientNamed(match[2]!), ...strength };
    });
}

export type ReadMediumRow = { medium: CabinetMedium } | { problems: string[] };

/** @param newId for a row that names no medium */
export function readMediumRow(row: Row, newId: () => string): ReadMediumRow {
  const parsed = cabinetMediumSchema.safeParse({
    id: (row.id ?? '').trim() || newId(),
    name: row.name ?? '',
    by: (row.by ?? '').trim().toLowerCase() || 'volume',
    parts: partsFrom(row.ingredients ?? ''),
    archived: yes(row.archived),
  });
  if (parsed.success) return { medium: parsed.data };
  return {
    problems: issuesOf(parsed.error).map(
      ({ where, message }) => `${where.startsWith('parts') ? 'ingredients' : where}: ${message}`,
    ),
  };
}
