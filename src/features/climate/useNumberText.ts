import { useState } from 'react';

/** A number that is kept as typed until it is valid. @param accept the reason it is refused, or null */
export function useNumberText(stored: number, accept: (value: number) => string | null) {
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState<string | undefined>(undefined);
  return {
    text: draft ?? String(stored),
    error,
    onChangeText(text: string) {
      const problem = text.trim() === '' ? 'Give a number.' : accept(Number(text));
      setError(problem ?? undefined);
      setDraft(problem === null && String(Number(text)) === text ? null : text);
    },
  };
}
