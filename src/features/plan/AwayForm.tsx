import { useState } from 'react';
import { View } from 'react-native';
import { EXCEPTIONS } from '@/core/plan-record/hours';
import { exceptionSchema, type CalendarException, type Hours } from '@/core/plan-record/schema';
import type { FieldIssue } from '@/core/issues';
import { useForm } from '@/forms';
import { making, nowMs } from '@/store/clock';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
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

/** What is wrong with the days together, said where they begin. */
const wholeProblem = (issues: FieldIssue[], tried: boolean): string | undefined =>
  tried ? issues.find((i) => i.where === '')?.message : undefined;

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
  const [fresh] = useState((): CalendarException => ({
    id: making().newId(),
    kind: kinds[0]!,
    from: dayInput(nowMs() + DAY_MS),
    to: dayInput(nowMs() + 14 * DAY_MS),
    hours: kinds[0] === 'extra' ? EXTRA_HOURS : null,
  }));
  const form = useForm({ key: `away:${title}`, schema: exceptionSchema, document: fresh });
  const { kind, from } = form.draft;
  const done = () => {
    if (form.keep((e) => onDone({ ...e, id: making().newId() }))) form.restart();
  };
  return (
    <View style={{ gap: space.s }}>
      {kinds.length > 1 ? (
        <Choice
          label="What it is"
          options={KINDS.filter((k) => kinds.includes(k.key))}
          value={kind}
          onChange={(key) =>
            form.set((d) => ({
              ...d,
              kind: key,
              hours: key === 'extra' ? EXTRA_HOURS : null,
              ...(key === 'extra' ? { to: d.from } : {}),
            }))
          }
        />
      ) : null}
      <View style={{ flexDirection: 'row', gap: space.m }}>
        <DateField
          label={kind === 'extra' ? 'On' : 'First day'}
          {...form.text('from')}
          value={from}
          onChangeText={(day) =>
            // An extra day ends as it begins.
            form.set(
              (d) => ({ ...d, from: day, ...(d.kind === 'extra' ? { to: day } : {}) }),
              'from',
            )
          }
          error={form.text('from').error ?? wholeProblem(form.issues, form.tried)}
        />
        {kind === 'extra' ? null : <DateField label="Last day" {...form.text('to')} />}
      </View>
      {kind === 'extra' ? (
        <View style={{ flexDirection: 'row', gap: space.m }}>
          <HoursFields
            day="Extra day"
            from={form.number('hours.from', 'clock')}
            to={form.number('hours.to', 'clock')}
            error={form.problem('hours')}
          />
        </View>
      ) : null}
      <Action title={title} onPress={done} />
    </View>
  );
}
