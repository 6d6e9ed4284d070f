import fc from 'fast-check';
import Papa from 'papaparse';
import { guardedCell, guardedRow, plainCell } from './csv-cells';

// OWASP, "CSV Injection": the characters that make a cell a formula; from memory.
test.each(['=1+1', '+1', '-1', '@sum', '\tx', '\rx'])('%j is no formula any more', (cell) => {
  expect(guardedCell(cell)).toBe(`'${cell}`);
  expect(plainCell(guardedCell(cell))).toBe(cell);
});

test('every cell comes back as it was, by way of a file too', () => {
  fc.assert(
    fc.property(
      fc
        .oneof(fc.string(), fc.stringMatching(/^'{0,3}[=+@-].{0,5}$/))
        .filter((t) => !/[\r\n]/.test(t)),
      (cell) => {
        expect(plainCell(guardedCell(cell))).toBe(cell);
        const [row] = Papa.parse<{ a: string }>(Papa.unparse([guardedRow({ a: cell, b: 'b' })]), {
          header: true,
        }).data;
        expect(plainCell(row!.a)).toBe(cell);
        expect(/^[=+\-@\t\r]/.test(guardedCell(cell))).toBe(false);
      },
    ),
  );
});
