import { addDays } from 'date-fns/addDays';
import { set } from 'date-fns/set';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import type { Painting } from '@/core/painting';
import type { ReadyBy, ReadyByLink } from '@/core/schedule/ready-by';
import { useSolved } from '@/features/useSolved';
import { planRecordOf } from '@/store/plan';
import { planRequestOf, selectPlanInput } from '@/store/select-plan';
import type { Store } from '@/store/store';
import { Action } from '@/ui/Action';
import { DateField } from '@/ui/DateField';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { localInput, shortTime } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { solveReadyBy } from '@/workers/plan-client';
import { dayWord, inTwenty, percent } from './plan-words';

interface Props {
  painting: Painting;
  coatId: string;
  passageId: string;
  coatName: string;
  nowMs: number;
  /** When it is to be begun; a week from now where nobody said. */
  atMs?: number;
  onClose: () => void;
}

const MORNING = { hours: 10, minutes: 0, seconds: 0, milliseconds: 0 };
const DAYS_AHEAD = 7;

/** "To paint this on Monday, tone by Thursday": the last safe day of every coat below one. */
export function ReadyBySheet({
  painting,
  coatId,
  passageId,
  coatName,
  nowMs,
  atMs: wished,
  onClose,
}: Props) {
  const store = useStore() as Store;
  const [text, setText] = useState(() =>
    localInput(wished ?? set(addDays(nowMs, DAYS_AHEAD), MORNING).getTime()),
  );
  const atMs = Date.parse(text);
  const valid = Number.isFinite(atMs) && atMs > nowMs;
  const ask = useMemo(
    () =>
      valid
        ? () => {
            const state = store.getState();
            const request = planRequestOf(selectPlanInput(state), planRecordOf(state), []);
            return solveReadyBy({
              studio: { ...request, paintings: [painting] },
              target: { coatId, passageId, atMs },
            });
          }
        : null,
    [store, painting, coatId, passageId, atMs, valid],
  );
  const { value, pending, failure } = useSolved(ask);
  return (
    <Sheet name="Ready by" onClose={onClose}>
      <View style={{ gap: space.m }}>
        <DateField
          label={`To begin ${coatName.toLowerCase()} on`}
          withTime
          value={text}
          onChangeText={setText}
          error={valid ? undefined : 'Must be a day and time to come.'}
        />
        {failure ? <Notice tone="refusal">{failure}</Notice> : null}
        {pending ? <Text tone="ink2">Working it out …</Text> : null}
        {value ? <Told painting={painting} told={value} atMs={atMs} nowMs={nowMs} /> : null}
        <Text size="small" tone="ink2">
          In your hours for work, as if this painting came before all others.
        </Text>
        <Action title="Close" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}

/** What a step is called: its coat, and its passage where it is laid on that alone. */
function stepName(painting: Painting, step: string): string {
  const [coatId, passageId] = step.slice(painting.id.length + 1).split('/');
  const coat = painting.coats.find((c) => c.id === coatId)?.name ?? 'A coat';
  const passage = painting.passages.find((p) => p.id === passageId)?.name;
  return passage ? `${coat}, ${passage}` : coat;
}

function Told({
  painting,
  told: { chance, links },
  atMs,
  nowMs,
}: {
  painting: Painting;
  told: ReadyBy;
  atMs: number;
  nowMs: number;
}) {
  if (links.length === 0)
    return <Heading level={2}>{`What lies below is ready by then: ${inTwenty(chance)}.`}</Heading>;
  const safe = links.every((l) => l.lastSafe !== null);
  return (
    <View style={{ gap: space.m }}>
      <Heading level={2} tone={safe ? 'ink' : 'brick'}>
        {safe
          ? `${links.map((l) => `${stepName(painting, l.step)} by ${dayWord(l.lastSafe!.fromMs, nowMs)}`).join('; ')}.`
          : `Not safely by ${shortTime(atMs, nowMs)}: ${inTwenty(chance)} when you begin at once.`}
      </Heading>
      {links.map((link) => (
        <Days key={link.step} name={stepName(painting, link.step)} link={link} nowMs={nowMs} />
      ))}
    </View>
  );
}

/** The days of one coat with their falling chances. */
function Days({ name, link, nowMs }: { name: string; link: ReadyByLink; nowMs: number }) {
  return (
    <View role="list" aria-label={`${name}, day by day`}>
      <Text strong>{name}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.m }}>
        {link.days.map(({ day, fromMs, chance }) => {
          const last = day === link.lastSafe?.day;
          return (
            <View key={day} role="listitem">
              <Text size="small" strong={last}>
                {dayWord(fromMs, nowMs)}
              </Text>
              <Text size="small" tone="ink2" strong={last}>
                {last ? `${percent(chance)}, last safe` : percent(chance)}
              </Text>
            </View>
          );
        })}
      </View>
    </View>
  );
}
