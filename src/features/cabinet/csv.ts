import Papa from 'papaparse';
import { guardedCell } from '@/core/formats/csv-cells';
import { csvRows } from '@/core/formats/csv-rows';
import {
  COLUMNS,
  MEDIUM_COLUMNS,
  readMediumRow,
  readPaintRow,
  rowOfMedium,
  rowOfPaint,
  type CabinetMedium,
  type CabinetPaint,
  type Row,
} from '@/core/cabinet';

/** Paints and mediums as table files, and back. A file is read whole before anything is taken over. */
const table = (columns: readonly string[], rows: Record<string, string>[]): string =>
  `${Papa.unparse(
    {
      fields: [...columns],
      data: rows.map((row) => columns.map((c) => guardedCell(row[c] ?? ''))),
    },
    { newline: '\n' },
  )}\n`;

export const paintsCsv = (paints: CabinetPaint[]): string => table(COLUMNS, paints.map(rowOfPaint));
export const mediumsCsv = (mediums: CabinetMedium[]): string =>
  table(MEDIUM_COLUMNS, mediums.map(rowOfMedium));

export interface BadRow {
  /** As an editor counts it: the heading is line 1. */
  line: number;
  problems: string[];
}

export interface ReadTable<T> {
  items: T[];
  bad: BadRow[];
}

interface Reading<T> {
  columns: readonly string[];
  needed: readonly string[];
  read: (row: Row) => { item: T } | { problems: string[] };
}

/**
 * Read a table. Bad rows are named by their line and what is wrong in which column; the good ones are given
 * beside them. Throws an Error when the file has no such table in it.
 */
function readTable<T extends { id: string }>(
  text: string,
  { columns, needed, read }: Reading<T>,
): ReadTable<T> {
  const out: ReadTable<T> = { items: [], bad: [] };
  const seen = new Map<string, number>();
  const { fields, rows } = csvRows(text);
  for (const { line, row: cells, problems: broken } of rows) {
    const row = read(cells);
    // A row that is cut short still says what it can; one with too many cells is out of step.
    const problems = [...broken, ...('problems' in row ? row.problems : [])];
    if ('item' in row && problems.length === 0) {
      const before = seen.get(row.item.id);
      if (before === undefined) {
        seen.set(row.item.id, line);
        out.items.push(row.item);
      } else out.bad.push({ line, problems: [`id: the same as in line ${before}.`] });
    } else out.bad.push({ line, problems });
  }
  const missing = needed.find((name) => !fields.includes(name));
  if (missing !== undefined)
    throw new Error(
      `The file has no column "${missing}". Its first line must name the columns: ${columns.join(', ')}.`,
    );
  return out;
}

export const readPaintsCsv = (text: string, newId: () => string): ReadTable<CabinetPaint> =>
  readTable(text, {
    columns: COLUMNS,
    needed: ['name', 'pigments'],
    read: (row) => {
      const read = readPaintRow(row, newId);
      return 'paint' in read ? { item: read.paint } : read;
    },
  });

export const readMediumsCsv = (text: string, newId: () => string): ReadTable<CabinetMedium> =>
  readTable(text, {
    columns: MEDIUM_COLUMNS,
    needed: ['name', 'ingredients'],
    read: (row) => {
      const read = readMediumRow(row, newId);
      return 'medium' in read ? { item: read.medium } : read;
    },
  });
