import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { accountsOf, dropEntry, putEntry } from '@/core/costs/accounts';
import { submissionSchema, type Submission } from '@/core/costs/schema';
import { OUTCOMES, SHOWN_AT } from '@/core/costs/vocabulary';
import type { Painting } from '@/core/painting';
import { useText } from '@/forms/useText';
import { changePainting } from '@/store/actions';
import { nowMs } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { Field } from '@/ui/Field';
import { Problem } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { dayInput, dayMonthYear } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { MoneyField } from './MoneyField';
import { useMoney } from './money-words';

/** Where it was sent, and what came of it. */
export function Submissions({ painting }: { painting: Painting }) {
  const { submissions } = accountsOf(painting);
  const [adding, setAdding] = useState(false);
  return (
    <View style={{ gap: space.s }}>
      <Heading>Sent to</Heading>
      {submissions.length === 0 ? <Text tone="ink2">Nowhere yet.</Text> : null}
      {submissions.map((s) => (
        <Sent key={s.id} painting={painting} sent={s} />
      ))}
      {adding ? (
        <Add painting={painting} onDone={() => setAdding(false)} />
      ) : (
        <Action
          title="It was sent somewhere"
          onPress={() => setAdding(true)}
          style={{ alignSelf: 'flex-start' }}
        />
      )}
    </View>
  );
}

function Sent({ painting, sent }: { painting: Painting; sent: Submission }) {
  const dispatch = useStoreDispatch();
  const money = useMoney();
  const put = (change: Partial<Submission>) =>
    dispatch(
      changePainting(painting.id, `Heard of “${sent.to}”`, (p, m) =>
        putEntry(p, 'submissions', { ...sent, ...change }, m),
      ),
    );
  return (
    <View style={styles.row}>
      <Text strong>{`${sent.to} (${sent.kind})`}</Text>
      <Text size="small" tone="ink2">
        {`sent ${dayMonthYear(Date.parse(sent.sentAt))}${sent.feeMinor > 0 ? `, fee ${money.say(sent.feeMinor)}` : ''}${sent.answeredAt ? `, answered ${dayMonthYear(Date.parse(sent.answeredAt))}` : ''}`}
      </Text>
      <Choice
        label={`What came of ${sent.to}`}
        hideLabel
        options={OUTCOMES.map((key) => ({ key, name: key }))}
        value={sent.outcome}
        onChange={(outcome) =>
          put({
            outcome,
            answeredAt: outcome === 'waiting' ? null : new Date(nowMs()).toISOString(),
          })
        }
      />
      <Action
        title="Take out"
        label={`Take out: ${sent.to}`}
        kind="quiet"
        onPress={() =>
          dispatch(
            changePainting(painting.id, 'Took a submission out', (p, m) =>
              dropEntry(p, 'submissions', sent.id, m),
            ),
          )
        }
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

function Add({ painting, onDone }: { painting: Painting; onDone: () => void }) {
  const dispatch = useStoreDispatch();
  const to = useText(`sent-to:${painting.id}`, submissionSchema.shape.to);
  const [kind, setKind] = useState<Submission['kind']>('show');
  const [day, setDay] = useState(dayInput(nowMs()));
  const [fee, setFee] = useState<number | undefined>(undefined);
  const [refusal, setRefusal] = useState<string | null>(null);
  const add = () => {
    const who = to.accepted();
    if (who === null) return;
    const ms = Date.parse(day);
    if (Number.isNaN(ms)) return setRefusal('Give the day it was sent.');
    dispatch(
      changePainting(painting.id, `Sent to ${who}`, (p, m) =>
        putEntry(
          p,
          'submissions',
          {
            id: m.newId(),
            to: who,
            kind,
            sentAt: new Date(ms).toISOString(),
            outcome: 'waiting',
            answeredAt: null,
            feeMinor: fee ?? 0,
          },
          m,
        ),
      ),
    );
    to.done();
    onDone();
  };
  return (
    <View>
      <Field label="To whom, or where" value={to.text} onChangeText={to.set} error={to.error} />
      <Choice
        label="What it is"
        options={SHOWN_AT.map((key) => ({ key, name: key }))}
        value={kind}
        onChange={setKind}
      />
      <DateField label="Sent on" value={day} onChangeText={setDay} />
      <MoneyField label="Fee, if any" minor={fee} onMinor={setFee} />
      <Problem says={refusal} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action title="Note it as sent" onPress={add} />
        <Action title="Not now" kind="quiet" onPress={onDone} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    gap: space.xs,
  },
});
