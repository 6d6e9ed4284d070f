import Papa from 'papaparse';
import { plainCell } from './csv-cells';

export interface CsvRow {
  /** Where it begins, as an editor counts: the heading is line 1. A cell may hold several lines. */
  line: number;
  row: Partial<Record<string, string>>;
  /** What is wrong with it as a row; cells that are missing at its end are not. */
  problems: string[];
}

const linesIn = (text: string): number => text.split(/\r\n?|\n/).length - 1;

/** The rows of a table with named columns, each with its line; guarded cells as they were. */
export function csvRows(text: string): { fields: string[]; rows: CsvRow[] } {
  const clean = text.replace(/^\uFEFF/, '');
  const rows: CsvRow[] = [];
  let fields: string[] = [];
  // Of the heading's end, then of each row's: lines are counted on from there, not from the beginning each time.
  let from = 0;
  let line = 1;
  Papa.parse<CsvRow['row']>(clean, {
    header: true,
    skipEmptyLines: 'greedy',
    transform: plainCell,
    transformHeader: (name) => name.trim().toLowerCase(),
    step: ({ data, errors, meta }) => {
      if (fields.length === 0) {
        fields = meta.fields ?? [];
        from = /\r\n?|\n/.exec(clean)?.index ?? 0;
        from += clean.startsWith('\r\n', from) ? 2 : 1;
        line += 1;
      }
      rows.push({
        line,
        row: data,
        problems: errors.filter((e) => e.code !== 'TooFewFields').map((e) => e.message),
      });
      line += linesIn(clean.slice(from, meta.cursor));
      from = meta.cursor;
    },
  });
  // Without a row no step is taken: the heading is read by itself.
  if (rows.length === 0)
    fields = (Papa.parse<string[]>(clean, { preview: 1 }).data[0] ?? []).map((name) =>
      name.trim().toLowerCase(),
    );
  return { fields, rows };
}
