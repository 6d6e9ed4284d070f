import { useRef } from 'react';

/**
 * Keys for the rows of a list whose entries have no id, so that taking one out does not hand its field's focus to the
 * next. Rows come at the end, or go by `removed`.
 */
export function useRowKeys(count: number): { keys: number[]; removed(row: number): void } {
  const next = useRef(0);
  const keys = useRef<number[]>([]);
  while (keys.current.length < count) keys.current.push(next.current++);
  keys.current.length = count;
  return {
    keys: [...keys.current],
    removed: (row) => void keys.current.splice(row, 1),
  };
}
