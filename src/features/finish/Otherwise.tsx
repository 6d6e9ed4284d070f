import { useState } from 'react';
import { View } from 'react-native';
import type { FateKind } from '@/core/finish/sorted';
import { DAY_MS } from '@/core/drying';
import { nowMs } from '@/store/clock';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { Problem } from '@/ui/Says';
import { dayInput } from '@/ui/time/words';
import { space } from '@/ui/tokens';

/** Leave it, look at it again on a day, or let it sort itself. */
export function Otherwise({
  fate,
  onFate,
}: {
  fate: FateKind;
  onFate: (fate: { kind: 'leave' } | { kind: 'again'; at: string } | undefined) => void;
}) {
  const [chosen, setChosen] = useState<'leave' | 'again' | 'itself'>(
    fate === 'leave' ? 'again' : 'leave',
  );
  const [day, setDay] = useState(() => dayInput(nowMs() + 7 * DAY_MS));
  const [refusal, setRefusal] = useState<string | null>(null);
  const put = () => {
    if (chosen !== 'again') return onFate(chosen === 'leave' ? { kind: 'leave' } : undefined);
    const ms = Date.parse(day);
    if (!(ms > nowMs())) return setRefusal('Give a day that is still to come.');
    onFate({ kind: 'again', at: new Date(ms).toISOString() });
  };
  return (
    <View style={{ marginTop: space.s }}>
      <Choice
        label="What becomes of it"
        options={[
          { key: 'leave', name: 'leave it' },
          { key: 'again', name: 'look again on a day' },
          { key: 'itself', name: 'by kind and weight' },
        ]}
        value={chosen}
        onChange={setChosen}
      />
      {chosen === 'again' ? <DateField label="Day" value={day} onChangeText={setDay} /> : null}
      <Problem says={refusal} />
      <Action title="So be it" onPress={put} style={{ alignSelf: 'flex-start' }} />
    </View>
  );
}
