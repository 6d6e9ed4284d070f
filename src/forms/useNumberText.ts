import { useState } from 'react';
import { parseNumber } from '@/core/formats/number-text';
import { CODECS } from './numbers';
import type { NumberBinding } from './useForm';

/**
 * One number of a setting: written as soon as it is right, kept as typed until then.
 * @param accept writes the number, or gives the reason why it is refused
 */
export function useNumberText(
  stored: number,
  accept: (value: number) => string | null,
): NumberBinding {
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState<string | undefined>(undefined);
  const shown = CODECS.number.show(stored);
  return {
    text: draft ?? shown,
    error,
    onChangeText(text) {
      setDraft(text);
      if (text.trim() === '') return setError('Give a number.');
      // Typed back to what it showed, it is what it was, to the last digit.
      const value = text === shown ? stored : parseNumber(text);
      setError((Number.isNaN(value) ? 'Must be a number.' : accept(value)) ?? undefined);
    },
    onBlur() {
      if (error === undefined) setDraft(null);
    },
  };
}
