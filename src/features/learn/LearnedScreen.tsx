import { useState } from 'react';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { pace, type Told } from '@/core/learn/explain';
import { setTestAside } from '@/core/painting/touch';
import { changePainting } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { settingsChanged } from '@/store/studio';
import { Action } from '@/ui/Action';
import { FactorBar } from '@/ui/time/FactorBar';
import { Notice } from '@/ui/Notice';
import { NARROW, Screen, WIDE } from '@/ui/Screen';
import { TwoColumns, useWide } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { shortTime } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { useLearned, type LearnedView, type TestRow } from './useLearned';

/** What touch tests have taught, and every test it rests on. */
export function LearnedScreen() {
  const router = useRouter();
  const view = useLearned();
  const { explanation } = view;
  const wide = useWide();
  return (
    <Screen
      title="What it has learned"
      onBack={() => router.navigate('/studio')}
      maxWidth={wide ? WIDE : NARROW}
    >
      <View style={{ gap: space.xl }}>
        <Heading>{view.sentence}</Heading>
        {view.problem ? (
          <Notice tone="refusal">{`The tests could not be learned from: ${view.problem}`}</Notice>
        ) : null}
        {explanation.widen > 1 ? (
          <Notice>
            {`Past forecasts missed more often than they should, so every window is ${Math.round(100 * (explanation.widen - 1))} % wider.`}
          </Notice>
        ) : null}
        {explanation.studio || explanation.factors.length > 0 ? (
          <TwoColumns left={<Factors view={view} />} right={<Evidence view={view} />} />
        ) : (
          <Evidence view={view} />
        )}
      </View>
    </Screen>
  );
}

function Factors({ view }: { view: LearnedView }) {
  const { studio, factors } = view.explanation;
  const dispatch = useStoreDispatch();
  const forgotten = useStoreSelector((state) => state.studio.forgotten);
  const forget = (factor: string) =>
    dispatch(settingsChanged({ forgotten: [...forgotten, { factor, at: nowIso() }] }));
  return (
    <View>
      <Text size="small" tone="ink2">
        Times against the tables: the mark is the best guess, the bar holds it with 18 chances in
        20.
      </Text>
      {studio ? <Factor told={studio} name="this studio" /> : null}
      {factors.map((told) => (
        <Factor
          key={told.key}
          told={told}
          name={view.nameOf(told.key)}
          {...(/^(paint|medium):(?!none)[^#]*$/.test(told.key)
            ? { onForget: () => forget(told.key) }
            : {})}
        />
      ))}
    </View>
  );
}

function Factor({ told, name, onForget }: { told: Told; name: string; onForget?: () => void }) {
  const [width, setWidth] = useState(0);
  return (
    <View
      style={{ paddingVertical: space.s, borderBottomWidth: 1, borderBottomColor: colour.rule }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.s }}>
        <Text style={{ flex: 1 }}>
          <Text strong>{name}</Text>
          {` ${pace(told)} the tables`}
        </Text>
        {onForget ? <Action title={`Forget`} kind="quiet" onPress={onForget} /> : null}
      </View>
      <View onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
        {width > 0 ? (
          <FactorBar width={width} factor={told.factor} low={told.low} high={told.high} />
        ) : null}
      </View>
    </View>
  );
}

function Evidence({ view }: { view: LearnedView }) {
  if (view.rows.length === 0)
    return (
      <Text tone="ink2">
        Touch a corner of the paint in the morning and note what the finger finds. Each test narrows
        the windows of everything that dries the same way.
      </Text>
    );
  const odd = view.rows.filter((r) => r.conflict && !r.test.setAside);
  return (
    <View>
      <Heading>{`${view.rows.length} ${view.rows.length === 1 ? 'test' : 'tests'}`}</Heading>
      {odd.length > 0 ? (
        <Notice>
          {`${odd.length === 1 ? 'One test does' : `${odd.length} tests do`} not agree with the rest. Misread, or a film unlike its recipe? Set it aside if you do not trust it.`}
        </Notice>
      ) : null}
      {view.rows.map((row) => (
        <Test key={row.test.id} row={row} nowMs={view.nowMs} />
      ))}
    </View>
  );
}

function Test({ row, nowMs }: { row: TestRow; nowMs: number }) {
  const dispatch = useStoreDispatch();
  const { test, painting } = row;
  const aside = test.setAside ?? false;
  const toggle = () =>
    dispatch(
      changePainting(
        painting.id,
        aside ? 'Took a test in again' : 'Set a test aside',
        (p, making) => setTestAside(p, test.id, !aside, making),
      ),
    );
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space.s,
        borderBottomWidth: 1,
        borderBottomColor: colour.rule,
        opacity: aside ? 0.75 : 1,
      }}
    >
      <View style={{ flex: 1, paddingVertical: space.s }}>
        <Text>
          <Text strong>{row.passageName}</Text>
          {`, ${painting.title}`}
        </Text>
        <Text size="small" tone="ink2">
          {`${shortTime(Date.parse(test.at), nowMs)}: ${test.finding}${test.twistMarks ? ', the twist marks' : ''}${aside ? '; set aside' : ''}`}
        </Text>
        {row.conflict && !aside ? (
          <Text size="small" tone="brick" strong>
            {`Against the rest: misread with ${Math.round(20 * row.conflict.misread)} chances in 20`}
          </Text>
        ) : null}
      </View>
      <Action title={aside ? 'Take in again' : 'Set aside'} kind="quiet" onPress={toggle} />
    </View>
  );
}
