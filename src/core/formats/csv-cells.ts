/**
 * A spreadsheet takes a cell that begins with one of these for a formula and runs it (OWASP, CSV injection; from
 * memory). Such a cell is written with an apostrophe before it, which spreadsheets do not show, and read without it; a
 * name that begins with apostrophes and then one of these gets one more, so that every cell comes back as it was.
 */
const FORMULA = /^'*[=+\-@\t\r]/;
const GUARDED = /^'+[=+\-@\t\r]/;

/** A cell as it is written: what a spreadsheet would run gets an apostrophe before it. */
export const guardedCell = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);
/** The cell as it was before it was guarded. */
export const plainCell = (text: string): string => (GUARDED.test(text) ? text.slice(1) : text);

/** A row with all its texts guarded. */
export const guardedRow = <T extends Record<string, unknown>>(row: T): T =>
  Object.fromEntries(
    Object.entries(row).map(([key, cell]) => [
      key,
      typeof cell === 'string' ? guardedCell(cell) : cell,
    ]),
  ) as T;
