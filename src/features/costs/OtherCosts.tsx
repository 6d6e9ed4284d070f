import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { accountsOf, dropEntry, putEntry } from '@/core/costs/accounts';
import { costSchema } from '@/core/costs/schema';
import { COST_KINDS, type CostKind } from '@/core/costs/vocabulary';
import type { Painting } from '@/core/painting';
import { useText } from '@/forms/useText';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import { MoneyField } from './MoneyField';
import { useMoney } from './money-words';

/** Support, stretcher, frame and what else was paid for it. */
export function OtherCosts({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const money = useMoney();
  const { costs } = accountsOf(painting);
  const [kind, setKind] = useState<CostKind>('support');
  const what = useText(`cost-what:${painting.id}`, costSchema.shape.what);
  const [minor, setMinor] = useState<number | undefined>(undefined);
  const [round, setRound] = useState(0);
  const add = () => {
    const words = what.accepted();
    if (words === null || minor === undefined) return;
    dispatch(
      changePainting(painting.id, 'Noted a cost', (p, m) =>
        putEntry(p, 'costs', { id: m.newId(), kind, what: words, minor }, m),
      ),
    );
    what.done();
    setMinor(undefined);
    setRound(round + 1);
  };
  return (
    <View style={{ gap: space.s }}>
      <Heading>Paid for it</Heading>
      {costs.map((c) => (
        <View key={c.id} style={styles.row}>
          <Text style={{ flex: 1 }}>{c.what ? `${c.kind}: ${c.what}` : c.kind}</Text>
          <Text strong>{money.say(c.minor)}</Text>
          <Action
            title="Take out"
            label={`Take out: ${c.kind} ${c.what}`}
            kind="quiet"
            onPress={() =>
              dispatch(
                changePainting(painting.id, 'Took a cost out', (p, m) =>
                  dropEntry(p, 'costs', c.id, m),
                ),
              )
            }
          />
        </View>
      ))}
      <Choice
        label="For what"
        options={COST_KINDS.map((key) => ({ key, name: key }))}
        value={kind}
        onChange={setKind}
      />
      <Field
        label="In words, if you like"
        value={what.text}
        onChangeText={what.set}
        error={what.error}
      />
      <MoneyField key={round} label="Amount" minor={minor} onMinor={setMinor} />
      <Action
        title="Note the cost"
        onPress={add}
        disabled={minor === undefined}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
});
