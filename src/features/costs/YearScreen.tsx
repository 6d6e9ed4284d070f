import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { moneySchema, percentSchema, type Money } from '@/core/costs/schema';
import { yearAccounts } from '@/core/costs/year';
import { isOnEasel } from '@/core/painting';
import { needsOf, shoppingList } from '@/core/quantity';
import { ShoppingTable } from '@/features/bench/ShoppingTable';
import { usePaintsNow } from '@/features/usePaintsNow';
import { timer } from '@/features/session/useSession';
import { useNumberText } from '@/forms';
import { useText } from '@/forms/useText';
import { useNow, usePaintings, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { settingsChanged } from '@/store/studio';
import { Field } from '@/ui/Field';
import { Screen, WIDE } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Table } from '@/ui/Table';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { Brushes } from './Brushes';
import { MoneyField } from './MoneyField';
import { useMoney } from './money-words';
import { useReckoning } from './useReckoning';

/** The money of all pictures, year by year; what it is reckoned by; brushes; what runs out. */
export function YearScreen() {
  const router = useRouter();
  return (
    <Screen
      title="Money, brushes, shopping"
      onBack={() => router.navigate('/studio')}
      maxWidth={WIDE}
    >
      <TwoColumns
        left={
          <>
            <Years />
            <ReckonedBy />
          </>
        }
        right={
          <>
            <RunsOut />
            <Brushes />
          </>
        }
      />
    </Screen>
  );
}

function Years() {
  const paintings = usePaintings();
  const reckoning = useReckoning();
  const money = useMoney();
  const years = useMemo(
    () => yearAccounts(paintings, reckoning, (ms) => new Date(ms).getFullYear()),
    [paintings, reckoning],
  );
  if (years.length === 0)
    return (
      <View style={{ gap: space.s }}>
        <Heading>Year by year</Heading>
        <Text tone="ink2">Nothing has been worked, sent or sold yet.</Text>
      </View>
    );
  return (
    <View style={{ gap: space.s }}>
      <Heading>Year by year</Heading>
      {years.map((y) => (
        <View key={y.year} style={{ marginBottom: space.m }}>
          <Table
            name={`The year ${y.year}`}
            rowHeads
            columns={[{ head: String(y.year) }, { head: '', width: 150 }]}
            rows={[
              { key: 'h', cells: ['hours at the easel', `${timer(y.minutes)} h`] },
              { key: 's', cells: ['pictures sold', String(y.sold)] },
              { key: 'g', cells: ['got', money.say(y.gotMinor)] },
              { key: 'c', cells: ['commission', money.say(y.commissionMinor)] },
              { key: 'k', cells: ['cost of those sold', money.say(y.costMinor)] },
              {
                key: 'n',
                cells: [
                  { words: 'left', strong: true },
                  { words: money.say(y.netMinor), strong: true },
                ],
              },
              {
                key: 'p',
                cells: [
                  'an hour, sold or not',
                  y.perHourMinor === null ? '–' : money.say(y.perHourMinor),
                ],
              },
              {
                key: 'w',
                cells: [
                  'sent: waiting, accepted, refused, withdrawn',
                  `${y.sent.waiting}, ${y.sent.accepted}, ${y.sent.refused}, ${y.sent.withdrawn}`,
                ],
              },
            ]}
          />
        </View>
      ))}
    </View>
  );
}

function ReckonedBy() {
  const dispatch = useStoreDispatch();
  const money = useStoreSelector((s) => s.studio.money) ?? {};
  const set = (change: { [K in keyof Money]?: Money[K] | undefined }) => {
    const next: Record<string, unknown> = { ...money, ...change };
    for (const key of Object.keys(next)) if (next[key] === undefined) delete next[key];
    dispatch(settingsChanged({ money: next as Money }));
  };
  const currency = useText('currency', moneySchema.shape.currency.unwrap(), money.currency ?? '');
  const [unknown, setUnknown] = useState<string | undefined>(undefined);
  const leaveCurrency = () => {
    const code = currency.text.trim().toUpperCase();
    if (code === (money.currency ?? '')) return;
    if (code === '') {
      set({ currency: undefined });
      return currency.done();
    }
    if (!Intl.supportedValuesOf('currency').includes(code))
      return setUnknown(`“${code}” is no currency. Write its three letters, such as EUR or USD.`);
    setUnknown(undefined);
    set({ currency: code });
    currency.set(code);
  };
  const commission = useNumberText(money.commissionPct ?? 0, (value) => {
    const read = percentSchema.safeParse(value);
    if (!read.success) return read.error.issues[0]!.message;
    if (value !== money.commissionPct) set({ commissionPct: value });
    return null;
  });
  return (
    <View style={{ gap: space.s }}>
      <Heading>Reckoned by</Heading>
      <Field
        label="Currency, three letters"
        value={currency.text}
        onChangeText={(text) => {
          setUnknown(undefined);
          currency.set(text);
        }}
        onBlur={leaveCurrency}
        error={unknown}
        placeholder="EUR"
      />
      <MoneyField
        label="An hour should bring"
        minor={money.perHourMinor}
        onMinor={(perHourMinor) => set({ perHourMinor })}
      />
      <Stepper
        label="Usual commission of a gallery"
        unit="%"
        step={5}
        min={0}
        max={100}
        {...commission}
      />
      <Text size="small" tone="ink2">
        No rates are fetched and nothing is converted: a new currency only changes how amounts are
        written.
      </Text>
    </View>
  );
}

/** What runs out before all that is planned on the easel is laid: one list for all pictures. */
function RunsOut() {
  const paintings = usePaintings();
  const now = useNow();
  const paints = usePaintsNow();
  const { digits } = useMoney();
  const list = useMemo(() => {
    const needs = paintings
      .filter((p) => isOnEasel(p, now))
      .flatMap((p) => needsOf(STUDIO_HANDBOOK, p));
    return shoppingList(STUDIO_HANDBOOK, needs, paints, digits);
  }, [paintings, now, paints, digits]);
  return (
    <View style={{ gap: space.s }}>
      <Heading>What runs out</Heading>
      {list.lines.length === 0 ? (
        <Text tone="ink2">Nothing is planned that takes paint.</Text>
      ) : (
        <>
          <Text tone="ink2">
            Every coat that is planned on the easel, against what the cabinet has now: tubes run
            down with the coats laid since you last said what is left in them.
          </Text>
          <ShoppingTable list={list} title="all pictures" />
        </>
      )}
    </View>
  );
}
