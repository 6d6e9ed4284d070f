import { useState } from 'react';
import { View } from 'react-native';
import { accountsOf, setAccounts } from '@/core/costs/accounts';
import { saleSchema } from '@/core/costs/schema';
import type { Painting } from '@/core/painting';
import { putOnEasel } from '@/core/painting/easel';
import { parseNumber } from '@/forms';
import { useText } from '@/forms/useText';
import { changePainting } from '@/store/actions';
import { nowMs } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { DateField } from '@/ui/DateField';
import { Field } from '@/ui/Field';
import { Problem } from '@/ui/Says';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { dayInput, dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { MoneyField } from './MoneyField';
import { useMoney } from './money-words';

/** To whom it went, and for how much. */
export function SaleForm({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const money = useMoney();
  const { sale } = accountsOf(painting);
  if (!sale) return <NewSale painting={painting} />;
  return (
    <View style={{ gap: space.s }}>
      <Heading>Sold</Heading>
      <Text>{`${money.say(sale.gotMinor)} from ${sale.to}, ${dayMonthYear(Date.parse(sale.at))}, commission ${sale.commissionPct}\u00a0%.`}</Text>
      <Action
        title="It was not sold"
        kind="quiet"
        onPress={() =>
          dispatch(
            changePainting(painting.id, 'Took the sale back', (p, m) => {
              const kept = setAccounts(p, { sale: undefined }, m);
              // It left with the sale, and is back with it.
              return p.easel?.kind === 'gone' && p.easel.to === sale.to
                ? putOnEasel(kept, null, m)
                : kept;
            }),
          )
        }
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

function NewSale({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const usual = useStoreSelector((s) => s.studio.money?.commissionPct) ?? 0;
  const to = useText(`sold-to:${painting.id}`, saleSchema.shape.to);
  const [got, setGot] = useState<number | undefined>(accountsOf(painting).askedMinor);
  const [day, setDay] = useState(dayInput(nowMs()));
  const [commission, setCommission] = useState(String(usual));
  const [leaves, setLeaves] = useState(true);
  const [refusal, setRefusal] = useState<string | null>(null);
  const sell = () => {
    const who = to.accepted();
    if (who === null) return;
    const ms = Date.parse(day);
    if (Number.isNaN(ms) || ms > nowMs())
      return setRefusal('Give the day it was sold, today or earlier.');
    const read = saleSchema.safeParse({
      at: new Date(ms).toISOString(),
      to: who,
      gotMinor: got,
      commissionPct: parseNumber(commission),
    });
    if (!read.success) return setRefusal(read.error.issues[0]!.message);
    setRefusal(null);
    dispatch(
      changePainting(painting.id, `Sold ${painting.title}`, (p, m) => {
        const sold = setAccounts(p, { sale: read.data }, m);
        return leaves ? putOnEasel(sold, { kind: 'gone', at: read.data.at, to: who }, m) : sold;
      }),
    );
    to.done();
  };
  return (
    <View style={{ gap: space.s }}>
      <Heading>A sale</Heading>
      <Field label="Sold to" value={to.text} onChangeText={to.set} error={to.error} />
      <MoneyField label="Paid by the buyer" minor={got} onMinor={setGot} />
      <DateField label="Sold on" value={day} onChangeText={setDay} />
      <Stepper
        label="Commission of the gallery"
        unit="%"
        step={5}
        min={0}
        max={100}
        text={commission}
        onChangeText={setCommission}
      />
      <Tick title="It leaves the studio" checked={leaves} onPress={() => setLeaves(!leaves)} />
      <Problem says={refusal} />
      <Action title="Note the sale" onPress={sell} style={{ alignSelf: 'flex-start' }} />
    </View>
  );
}
