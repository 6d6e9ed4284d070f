import Papa from 'papaparse';
import { COLUMNS, readPaintRow, rowOfPaint, type CabinetPaint, type Row } from '@/core/cabinet';

/** Paints as a table file, and back. The file is read whole before anything is taken over. */
export const paintsCsv = (paints: CabinetPaint[]): string =>
  `${Papa.unparse(
    { fields: [...COLUMNS], data: paints.map((p) => COLUMNS.map((c) => rowOfPaint(p)[c])) },
    { newline: '\n' },
  )}\n`;

export interface BadRow {
  /** As an editor counts it: the heading is line 1. */
  line: number;
  problems: string[];
}

export interface ReadPaints {
  paints: CabinetPaint[];
  bad: BadRow[];
}

const NEEDED = ['name', 'pigments'] as const;
const lineOf = (text: string, offset: number): number => text.slice(0, offset).split('\n').length;

/**
 * Read a table of paints. Bad rows are named by their line and what is wrong in which column; the good ones
 * are given beside them. Throws an Error when the file has no such table in it.
 */
export function readPaintsCsv(text: string, newId: () => string): ReadPaints {
  const clean = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
  const out: ReadPaints = { paints: [], bad: [] };
  const seen = new Map<string, number>();
  let fields: string[] = [];
  let from = 0;
  Papa.parse<Row>(clean, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
    step: ({ data, errors, meta }) => {
      if (fields.length === 0) {
        fields = meta.fields ?? [];
        from = clean.indexOf('\n') + 1;
      }
      const line = lineOf(clean, from);
      from = meta.cursor;
      const read = readPaintRow(data, newId);
      // A row that is cut short still says what it can; one with too many cells is out of step.
      const problems = [
        ...errors.filter((e) => e.code !== 'TooFewFields').map((e) => e.message),
        ...('problems' in read ? read.problems : []),
      ];
      if ('paint' in read && problems.length === 0) {
        const before = seen.get(read.paint.id);
        if (before === undefined) {
          seen.set(read.paint.id, line);
          out.paints.push(read.paint);
        } else out.bad.push({ line, problems: [`id: the same as in line ${before}.`] });
      } else out.bad.push({ line, problems });
    },
  });
  const missing = NEEDED.filter((name) => !fields.includes(name));
  if (missing.length > 0)
    throw new Error(
      `The file has no column "${missing[0]}". Its first line must name the columns: ${COLUMNS.join(', ')}.`,
    );
  return out;
}
