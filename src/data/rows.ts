import type { ConstantRow } from './constants';

/** A parameter that no publication gives: chosen by this project, and how. */
export const JUDGEMENT = 'judgement of this project; no publication gives the number';

export const lowRow = (value: number, unit: string, source = JUDGEMENT): ConstantRow => ({
  value,
  unit,
  source,
  confidence: 'low',
});

/** The values of a table, by key. */
export const valuesOf = <K extends string>(rows: Record<K, ConstantRow>): Record<K, number> =>
  Object.fromEntries(
    (Object.entries(rows) as [K, ConstantRow][]).map(([key, row]) => [key, row.value]),
  ) as Record<K, number>;
