import { useState } from 'react';
import { issuesOf } from '@/core/issues';
import { hoursSchema, type Hours } from '@/core/plan/hours';
import { Field } from '@/ui/Field';
import { clockOf, minutesOfClock } from './clock-text';

/** Hours of a day as they are typed; kept when the field is left, unless they are none: then what is wrong is said. */
export function HoursFields({
  day,
  hours,
  onChange,
}: {
  /** What the hours are of, for those who listen. */
  day: string;
  hours: Hours;
  onChange: (hours: Hours) => void;
}) {
  const [from, setFrom] = useState(clockOf(hours.from));
  const [to, setTo] = useState(clockOf(hours.to));
  const [error, setError] = useState('');
  const keep = () => {
    const [a, b] = [minutesOfClock(from), minutesOfClock(to)];
    const parsed = hoursSchema.safeParse({ from: a, to: b });
    if (a === null || b === null) return setError('Give times such as 18:30.');
    if (!parsed.success) return setError(issuesOf(parsed.error)[0]!.message);
    setError('');
    if (a !== hours.from || b !== hours.to) onChange(parsed.data);
  };
  return (
    <>
      <Field
        label="from"
        spoken={`${day} from`}
        value={from}
        onChangeText={setFrom}
        onBlur={keep}
        error={error || undefined}
      />
      <Field label="to" spoken={`${day} to`} value={to} onChangeText={setTo} onBlur={keep} />
    </>
  );
}
