import { useState } from 'react';

/**
 * Keys for the rows of a list whose entries have no id, so that taking one out does not hand its field's focus to the
 * next. Rows come at the end, or go by `removed`.
 */
export function useRowKeys(count: number): { keys: number[]; removed(row: number): void } {
  const [{ keys, next }, set] = useState(() => ({
    keys: Array.from({ length: count }, (_, i) => i),
    next: count,
  }));
  // More than there were: new ones at the end. Fewer, without a word: the last ones went, as undo has it.
  const missing = Math.max(0, count - keys.length);
  const now = [...keys.slice(0, count), ...Array.from({ length: missing }, (_, i) => next + i)];
  if (now.length !== keys.length) set({ keys: now, next: next + missing });
  return {
    keys: now,
    removed: (row) => set({ keys: now.filter((_, i) => i !== row), next: next + missing }),
  };
}
