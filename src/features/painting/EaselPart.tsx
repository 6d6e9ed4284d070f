import { useState } from 'react';
import { View } from 'react-native';
import { isOnEasel, type Easel, type Painting } from '@/core/painting';
import { putOnEasel } from '@/core/painting/easel';
import { easelSchema } from '@/core/painting/schema';
import { changePainting } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { useNow, useStoreDispatch } from '@/store/hooks';
import { easelWords } from '@/features/easel-words';
import { useText } from '@/forms/useText';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { Field } from '@/ui/Field';
import { Problem } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

type Where = 'easel' | Easel['kind'];
const WHERES: { key: Where; name: string }[] = [
  { key: 'easel', name: 'on the easel' },
  { key: 'resting', name: 'resting' },
  { key: 'finished', name: 'finished' },
  { key: 'gone', name: 'gone' },
];
const goneTo = easelSchema.options[2].shape.to;

/** On the easel, resting, finished or gone: what is not on the easel leaves Today and the plan, and keeps everything. */
export function EaselPart({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const nowMs = useNow();
  const { easel } = painting;
  const on = isOnEasel(painting, nowMs);
  const here: Where = on ? 'easel' : easel!.kind;
  const [chosen, setChosen] = useState<Where>(here);
  const [until, setUntil] = useState('');
  const to = useText(`gone:${painting.id}`, goneTo);
  const [refusal, setRefusal] = useState<string | null>(null);
  const put = () => {
    const at = nowIso();
    const untilMs = until.trim() === '' ? null : Date.parse(until);
    if (chosen === 'resting' && untilMs !== null && !(untilMs > nowMs))
      return setRefusal('Give a day that is still to come, or none.');
    const words = to.accepted();
    if (chosen === 'gone' && words === null) return;
    const next: Easel | null =
      chosen === 'easel'
        ? null
        : chosen === 'resting'
          ? {
              kind: 'resting',
              since: at,
              until: untilMs === null ? null : new Date(untilMs).toISOString(),
            }
          : chosen === 'finished'
            ? { kind: 'finished', at }
            : { kind: 'gone', at, to: words ?? '' };
    dispatch(
      changePainting(painting.id, `${painting.title}: ${chosen}`, (p, m) => putOnEasel(p, next, m)),
    );
    to.done();
    setRefusal(null);
  };
  return (
    <View style={{ gap: space.s }}>
      <Heading>{easelWords(painting, nowMs)}</Heading>
      <Choice label="Where it is" options={WHERES} value={chosen} onChange={setChosen} />
      {chosen === 'resting' ? (
        <DateField label="Until the day, if you know" value={until} onChangeText={setUntil} />
      ) : null}
      {chosen === 'gone' ? (
        <Field label="To whom, or where" value={to.text} onChangeText={to.set} error={to.error} />
      ) : null}
      <Text size="small" tone="ink2">
        What is not on the easel leaves Today and the plan; nothing of it is deleted. A finished
        picture waits for its varnish.
      </Text>
      <Problem says={refusal} />
      {chosen !== here || chosen === 'resting' ? (
        <Action
          title="Put it there"
          kind="primary"
          onPress={put}
          style={{ alignSelf: 'flex-start' }}
        />
      ) : null}
    </View>
  );
}
