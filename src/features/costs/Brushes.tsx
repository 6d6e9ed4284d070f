import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { putBrush } from '@/core/cabinet/edit';
import { brushSchema, type CabinetBrush } from '@/core/cabinet/brush-schema';
import { BRUSH_SHAPES } from '@/core/costs/vocabulary';
import { brushLives, type BrushLife } from '@/core/costs/brushes';
import { useSessions } from '@/features/session/useSession';
import { parseNumber } from '@/forms';
import { useText } from '@/forms/useText';
import { changeCabinet } from '@/store/actions';
import { making, nowIso } from '@/store/clock';
import { useNow, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Problem } from '@/ui/Says';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import { MoneyField } from './MoneyField';

const lifeWords = ({ hours, leftHours }: BrushLife): string =>
  leftHours === null
    ? `${hours.toFixed(1)} h in the hand`
    : leftHours > 0
      ? `${hours.toFixed(1)} h in the hand, ${leftHours.toFixed(1)} h of its best left`
      : `over its best for ${(-leftHours).toFixed(1)} h: for scrubbing in, or a new one`;

const NEVER: readonly CabinetBrush[] = [];

/** The brushes and how far they have gone. */
export function Brushes() {
  const dispatch = useStoreDispatch();
  const brushes = useStoreSelector((s) => s.cabinet.brushes) ?? NEVER;
  const lives = brushLives(brushes, useSessions(), useNow());
  const [adding, setAdding] = useState(false);
  const retire = (brush: CabinetBrush) =>
    dispatch(
      changeCabinet(`Put “${brush.name}” away`, (c) =>
        putBrush(c, { ...brush, retiredAt: nowIso() }),
      ),
    );
  return (
    <View style={{ gap: space.s }}>
      <Heading>Brushes</Heading>
      {lives.length === 0 ? <Text tone="ink2">None are noted.</Text> : null}
      {lives.map((life) => (
        <View key={life.brush.id} style={styles.row}>
          <View style={{ flex: 1 }}>
            <Text
              strong
            >{`${life.brush.name}, ${life.brush.shape}, ${life.brush.widthMm} mm`}</Text>
            <Text size="small" tone="ink2">
              {lifeWords(life)}
            </Text>
          </View>
          <Action
            title="Put away"
            label={`Put away: ${life.brush.name}`}
            kind="quiet"
            onPress={() => retire(life.brush)}
          />
        </View>
      ))}
      {adding ? (
        <AddBrush onDone={() => setAdding(false)} />
      ) : (
        <Action
          title="A new brush"
          onPress={() => setAdding(true)}
          style={{ alignSelf: 'flex-start' }}
        />
      )}
    </View>
  );
}

function AddBrush({ onDone }: { onDone: () => void }) {
  const dispatch = useStoreDispatch();
  const name = useText('brush-name', brushSchema.shape.name);
  const [shape, setShape] = useState<CabinetBrush['shape']>('filbert');
  const [width, setWidth] = useState('10');
  const [best, setBest] = useState('');
  const [use, setUse] = useState('30');
  const [price, setPrice] = useState<number | undefined>(undefined);
  const [refusal, setRefusal] = useState<string | null>(null);
  const add = () => {
    const called = name.accepted();
    if (called === null) return;
    const { newId, now } = making();
    const read = brushSchema.safeParse({
      id: newId(),
      name: called,
      shape,
      widthMm: parseNumber(width),
      priceMinor: price ?? null,
      bestHours: best.trim() === '' ? null : parseNumber(best),
      newAt: now,
      usePct: parseNumber(use),
      retiredAt: null,
    });
    if (!read.success) return setRefusal(read.error.issues[0]!.message);
    dispatch(changeCabinet(`Noted the brush “${called}”`, (c) => putBrush(c, read.data)));
    name.done();
    onDone();
  };
  return (
    <View>
      <Field
        label="Name of the brush"
        value={name.text}
        onChangeText={name.set}
        error={name.error}
      />
      <Choice
        label="Shape"
        options={BRUSH_SHAPES.map((key) => ({ key, name: key }))}
        value={shape}
        onChange={setShape}
      />
      <Stepper
        label="Width"
        unit="mm"
        step={1}
        min={0.1}
        max={100}
        text={width}
        onChangeText={setWidth}
      />
      <Stepper
        label="In the hand, of the hours at the easel"
        unit="%"
        step={10}
        min={0}
        max={100}
        text={use}
        onChangeText={setUse}
      />
      <Stepper
        label="At its best for, if you know"
        unit="h"
        step={5}
        min={1}
        max={10_000}
        text={best}
        onChangeText={setBest}
      />
      <MoneyField label="Price of the brush" minor={price} onMinor={setPrice} />
      <Problem says={refusal} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action title="Note the brush" onPress={add} />
        <Action title="Not now" kind="quiet" onPress={onDone} />
      </View>
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
    paddingVertical: space.xs,
  },
});
