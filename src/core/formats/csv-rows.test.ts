import { csvRows } from './csv-rows';

const lines = (text: string) => csvRows(text).rows.map((r) => r.line);

test('rows are counted as an editor counts, whatever ends a line and however many a cell holds', () => {
  for (const end of ['\n', '\r\n']) {
    const text = ['a,b', '1,2', `"three${end}lines${end}here",4`, '5,6'].join(end) + end;
    expect(lines(text)).toEqual([2, 3, 6]);
    expect(csvRows(text).rows[1]!.row.a).toBe(`three${end}lines${end}here`);
  }
});

test('the heading is read without rows, without its mark, in small letters', () => {
  expect(csvRows('\uFEFF Name ,LEFT_at\n')).toEqual({ fields: ['name', 'left_at'], rows: [] });
  expect(csvRows('')).toEqual({ fields: [], rows: [] });
});

test('what was guarded is plain again; a row that is cut short is no fault, one too long is', () => {
  const { rows } = csvRows("a,b\n'=1+1,2\nx\n1,2,3\n");
  expect(rows[0]!.row.a).toBe('=1+1');
  expect(rows[1]).toMatchObject({ row: { a: 'x' }, problems: [] });
  expect(rows[2]!.problems).toHaveLength(1);
});

test('fifty thousand rows are counted in one go', () => {
  const text = `a\n${'1\n'.repeat(50_000)}`;
  const { rows } = csvRows(text);
  expect(rows).toHaveLength(50_000);
  expect(rows.at(-1)!.line).toBe(50_001);
});
