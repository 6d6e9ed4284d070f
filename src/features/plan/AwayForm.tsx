import { useState } from 'react';
import { View } from 'react-native';
import { EXCEPTIONS, exceptionSchema, type CalendarException, type Hours } from '@/core/plan/hours';
import { issuesOf } from '@/core/issues';
import { making, nowMs } from '@/store/clock';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { dayInput } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { HoursFields } from './HoursFields';

const KINDS = [
  { key: 'away' as const, name: 'away' },
  { key: 'ill' as const, name: 'ill' },
  { key: 'extra' as const, name: 'extra day' },
];
export const EXTRA_HOURS: Hours = { from: 10 * 60, to: 14 * 60 };
const DAY_MS = 86_400_000;

/** Days on which the week does not hold. */
export function AwayForm({
  title,
  kinds = [...EXCEPTIONS],
  onDone,
}: {
  title: string;
  kinds?: CalendarException['kind'][];
  onDone: (exception: CalendarException) => void;
}) {
  const [kind, setKind] = useState<CalendarException['kind']>(kinds[0]!);
  const [from, setFrom] = useState(dayInput(nowMs() + DAY_MS));
  const [to, setTo] = useState(dayInput(nowMs() + 14 * DAY_MS));
  const [hours, setHours] = useState(EXTRA_HOURS);
  const [error, setError] = useState('');
  const done = () => {
    const parsed = exceptionSchema.safeParse({
      id: making().newId(),
      kind,
      from,
      to: kind === 'extra' ? from : to,
      hours: kind === 'extra' ? hours : null,
    });
    if (!parsed.success) return setError(issuesOf(parsed.error)[0]!.message);
    setError('');
    onDone(parsed.data);
  };
  return (
    <View style={{ gap: space.s }}>
      {kinds.length > 1 ? (
        <Choice
          label="What it is"
          options={KINDS.filter((k) => kinds.includes(k.key))}
          value={kind}
          onChange={setKind}
        />
      ) : null}
      <View style={{ flexDirection: 'row', gap: space.m }}>
        <Field
          label={kind === 'extra' ? 'On' : 'First day'}
          inputType="date"
          value={from}
          onChangeText={setFrom}
          error={error || undefined}
        />
        {kind === 'extra' ? null : (
          <Field label="Last day" inputType="date" value={to} onChangeText={setTo} />
        )}
      </View>
      {kind === 'extra' ? (
        <View style={{ flexDirection: 'row', gap: space.m }}>
          <HoursFields day="Extra day" hours={hours} onChange={setHours} />
        </View>
      ) : null}
      <Action title={title} onPress={done} />
    </View>
  );
}
