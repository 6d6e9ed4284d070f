import { View } from 'react-native';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { localInput } from '@/ui/time/words';
import type { When, WhenValue } from './laying-form';

const HOUR_MS = 3_600_000;
const OPTIONS: { key: When; name: string }[] = [
  { key: 'now', name: 'now' },
  { key: 'hour', name: 'an hour ago' },
  { key: 'yesterday', name: 'a day ago' },
  { key: 'earlier', name: 'earlier' },
];

export const whenNow = (nowMs: number): WhenValue => ({ when: 'now', typed: localInput(nowMs) });

/** ISO time of the choice; the text as typed where it is no date, so that the core can refuse it. */
export function whenIso({ when, typed }: WhenValue, nowMs: number): string {
  if (when === 'earlier') {
    const ms = Date.parse(typed);
    return Number.isNaN(ms) ? typed : new Date(ms).toISOString();
  }
  const back = { now: 0, hour: HOUR_MS, yesterday: 24 * HOUR_MS }[when];
  return new Date(nowMs - back).toISOString();
}

/** When it was done. */
export function WhenChoice({
  value,
  onChange,
  error,
}: {
  value: WhenValue;
  onChange: (value: WhenValue) => void;
  error?: string | undefined;
}) {
  return (
    <View>
      <Choice
        label="When"
        options={OPTIONS}
        value={value.when}
        onChange={(when) => onChange({ ...value, when })}
      />
      {value.when === 'earlier' ? (
        <DateField
          label="Day and time"
          withTime
          value={value.typed}
          onChangeText={(typed) => onChange({ ...value, typed })}
          error={error}
        />
      ) : null}
    </View>
  );
}
