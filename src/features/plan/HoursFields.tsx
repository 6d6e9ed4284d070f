import { Field } from '@/ui/Field';
import type { NumberBinding } from '@/forms';

/** From one time of a day to another. */
export function HoursFields({
  day,
  from,
  to,
  error,
}: {
  /** What the hours are of, for those who listen. */
  day: string;
  from: NumberBinding;
  to: NumberBinding;
  /** What is wrong with the two together. */
  error?: string | undefined;
}) {
  const field = ({ text, ...binding }: NumberBinding) => ({ value: text, ...binding });
  return (
    <>
      <Field
        label="from"
        spoken={`${day} from`}
        {...field(from)}
        error={from.error ?? error}
        selectOnFocus
      />
      <Field label="to" spoken={`${day} to`} {...field(to)} selectOnFocus />
    </>
  );
}
