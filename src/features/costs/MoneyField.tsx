import { useState } from 'react';
import { Field } from '@/ui/Field';
import { useMoney } from './money-words';

/** An amount that is written when the field is left; empty takes it back. */
export function MoneyField({
  label,
  minor,
  onMinor,
}: {
  label: string;
  minor: number | undefined;
  onMinor: (minor: number | undefined) => void;
}) {
  const money = useMoney();
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | undefined>(undefined);
  const shown = minor === undefined ? '' : money.show(minor);
  const leave = () => {
    if (typed === null) return;
    if (typed.trim() === '') {
      setError(undefined);
      setTyped(null);
      if (minor !== undefined) onMinor(undefined);
      return;
    }
    const read = money.read(typed);
    if ('problem' in read) return setError(read.problem);
    setError(undefined);
    setTyped(null);
    if (read.minor !== minor) onMinor(read.minor);
  };
  return (
    <Field
      label={label}
      value={typed ?? shown}
      onChangeText={setTyped}
      onBlur={leave}
      error={error}
      keyboard="decimal-pad"
    />
  );
}
