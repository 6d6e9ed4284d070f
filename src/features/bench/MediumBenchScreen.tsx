import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { putMedium } from '@/core/cabinet';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import type { Batch } from '@/core/quantity';
import { Figure, Figures } from '@/features/Figures';
import { IngredientLines, type LineBinding } from '@/features/IngredientLines';
import { MediumPicker } from '@/features/MediumPicker';
import { changeCabinet } from '@/store/actions';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { CODECS, numberOf, parseNumber } from '@/forms';
import { cabinetMediumSchema } from '@/core/cabinet/schema';
import { useText } from '@/forms/useText';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { TwoColumns } from '@/ui/Split';
import { colour, space } from '@/ui/tokens';
import { StudioLink } from '@/features/frame/StudioLink';
import { BenchTabs } from './BenchTabs';
import { ForPaint } from './ForPaint';
import { JarDrawing } from './JarDrawing';
import { Jars } from './Jars';
import {
  MEASURE_NAMES,
  MEASURES,
  useMediumBench,
  type Measure,
  type MediumBench,
  type BenchLine,
} from './useMediumBench';

/** A medium reckoned both ways: from parts to millilitres, grams, teaspoons and drops, and back. */
export function MediumBenchScreen() {
  const mediums = useStoreSelector((state) => state.cabinet.mediums);
  const bench = useMediumBench(mediums.find((m) => !m.archived) ?? null);
  return (
    <Screen
      title="Bench"
      aside={<StudioLink />}
      subtitle="What to pour together, and how much"
      maxWidth={1180}
    >
      <BenchTabs />
      <TwoColumns
        left={<Recipe bench={bench} />}
        right={
          bench.batch && bench.parts ? (
            <>
              <BatchTable batch={bench.batch} />
              <ForPaint parts={bench.parts} />
              <Jars bench={bench} />
            </>
          ) : (
            <Notice tone="refusal">
              Every ingredient needs an amount above 0. Put one in, or take the line out.
            </Notice>
          )
        }
      />
    </Screen>
  );
}

function Recipe({ bench }: { bench: MediumBench }) {
  const [picking, setPicking] = useState(false);
  return (
    <View style={{ gap: space.m }}>
      <View style={styles.heading}>
        <Heading style={{ flex: 1 }}>{bench.name ?? 'A medium'}</Heading>
        <Action title="From the cabinet" onPress={() => setPicking(true)} />
      </View>
      {bench.parts ? <JarDrawing parts={bench.parts} /> : null}
      <Choice
        label="Measured in"
        options={MEASURES.map((key) => ({ key, name: MEASURE_NAMES[key] }))}
        value={bench.measure}
        onChange={(measure: Measure) => bench.setMeasure(measure)}
      />
      <IngredientLines
        measure={MEASURE_NAMES[bench.measure]}
        lines={bench.lines.map(({ amount, ...rest }) => ({ ...rest, parts: parseNumber(amount) }))}
        onChange={(lines) =>
          bench.setLines(
            lines.map(({ parts, solidsWtPct, ...rest }, i) => ({
              ...rest,
              ...(solidsWtPct === undefined ? {} : { solidsWtPct: numberOf(solidsWtPct) }),
              amount:
                amountOf(bench.lines, rest.ingredient, i) ?? CODECS.parts.show(numberOf(parts)),
            })),
          )
        }
        binding={(i) => lineBinding(bench, i)}
      />
      {bench.measure === 'parts' ? (
        <Stepper
          label="Make"
          unit="ml"
          step={10}
          min={1}
          max={5000}
          text={bench.ml}
          onChangeText={bench.setMl}
          error={parseNumber(bench.ml) > 0 ? undefined : 'Above 0 ml.'}
        />
      ) : null}
      <KeepMedium bench={bench} />
      {picking ? (
        <MediumPicker
          onPick={(medium) => {
            bench.take(medium);
            setPicking(false);
          }}
          onClose={() => setPicking(false)}
        />
      ) : null}
    </View>
  );
}

/** What was typed for an ingredient that is still in the list. */
const amountOf = (lines: BenchLine[], ingredient: BenchLine['ingredient'], at: number) =>
  (lines[at]?.ingredient === ingredient
    ? lines[at]
    : lines.find((l) => l.ingredient === ingredient)
  )?.amount;

/** The fields of a line: amounts stay as typed, in the measure they were typed in. */
function lineBinding(bench: MediumBench, i: number): LineBinding {
  const line = bench.lines[i]!;
  const change = (next: Partial<BenchLine>) =>
    bench.setLines(bench.lines.map((l, n) => (n === i ? { ...l, ...next } : l)));
  const stay = (): void => undefined;
  return {
    parts: {
      text: line.amount,
      onChangeText: (amount) => change({ amount }),
      onBlur: stay,
      error: parseNumber(line.amount) > 0 ? undefined : 'Above 0.',
    },
    solids: {
      text: line.solidsWtPct === undefined ? '' : CODECS.number.show(line.solidsWtPct),
      onChangeText(text) {
        const solidsWtPct = parseNumber(text);
        change({ solidsWtPct: solidsWtPct > 0 && solidsWtPct < 100 ? solidsWtPct : undefined });
      },
      onBlur: stay,
      error: undefined,
    },
  };
}

/** A recipe found on the bench goes into the cabinet. */
function KeepMedium({ bench }: { bench: MediumBench }) {
  const dispatch = useStoreDispatch();
  const [naming, setNaming] = useState(false);
  const name = useText('medium-name', cabinetMediumSchema.shape.name);
  const { parts } = bench;
  if (!parts || bench.name !== null) return null;
  const keep = () => {
    const words = name.accepted();
    if (words === null) return;
    dispatch(
      changeCabinet(`Kept ${words}`, (c) =>
        putMedium(c, { id: nanoid(12), name: words, by: 'volume', parts, archived: false }),
      ),
    );
    name.done();
    setNaming(false);
  };
  return (
    <>
      <Action title="Keep it in the cabinet" onPress={() => setNaming(true)} />
      {naming ? (
        <Sheet name="Name the medium" onClose={() => setNaming(false)}>
          <View style={{ gap: space.m }}>
            <Field label="Name" value={name.text} onChangeText={name.set} error={name.error} />
            <Action title="Keep" kind="primary" onPress={keep} />
            <Action title="Cancel" kind="quiet" onPress={() => setNaming(false)} />
          </View>
        </Sheet>
      ) : null}
    </>
  );
}

/** Nobody counts more drops than this. */
const MANY_DROPS = 100;

const amount = (value: number): string =>
  value >= 100 ? String(Math.round(value)) : String(Number(value.toFixed(value < 1 ? 2 : 1)));

function BatchTable({ batch }: { batch: Batch }) {
  const { dropMl, teaspoonMl } = STUDIO_HANDBOOK.constants;
  return (
    <View>
      <Heading>{`${amount(batch.ml)} ml`}</Heading>
      <View role="table" aria-label="The batch in every measure">
        <View role="row" style={styles.row}>
          <Text role="columnheader" size="small" tone="ink2" style={{ flex: 1 }}>
            ingredient
          </Text>
          {['ml', 'g', '%', 'tsp', 'drops'].map((head) => (
            <Text key={head} role="columnheader" size="small" tone="ink2" style={styles.cell}>
              {head}
            </Text>
          ))}
        </View>
        {batch.lines.map((line) => (
          <View role="row" key={line.part.ingredient} style={styles.row}>
            <Text role="cell" style={{ flex: 1 }}>
              {line.name}
            </Text>
            <Text role="cell" strong style={styles.cell}>
              {amount(line.ml)}
            </Text>
            {[line.g, line.volumeShare * 100, line.tsp].map((value, i) => (
              <Text role="cell" key={i} style={styles.cell}>
                {amount(value)}
              </Text>
            ))}
            <Text role="cell" style={styles.cell}>
              {line.drops > MANY_DROPS ? '–' : String(Math.round(line.drops))}
            </Text>
          </View>
        ))}
      </View>
      <Text size="small" tone="ink2" style={{ marginVertical: space.s }}>
        {`A drop is taken as ${dropMl} ml (${Math.round(1 / dropMl)} to the ml), a teaspoon as ${teaspoonMl} ml. % by volume.`}
      </Text>
      <Figures>
        <Figure
          name="stays"
          value={`${(batch.solidsVolumeFraction * 100).toFixed(1)} %`}
          note="by volume; the rest is vapour"
        />
        <Figure
          name="stays"
          value={`${(batch.solidsWeightFraction * 100).toFixed(1)} %`}
          note="by weight"
        />
        <Figure
          name="oil"
          value={`${Math.round(batch.oilOfSolids * 100)} %`}
          note="of what stays"
        />
        <Figure
          name="weighs"
          value={`${amount(batch.g)} g`}
          note={`${batch.densityGPerMl.toFixed(3)} g to the ml`}
        />
      </Figures>
    </View>
  );
}

const styles = StyleSheet.create({
  heading: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  row: {
    flexDirection: 'row',
    gap: space.xs,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  cell: { width: 48, textAlign: 'right' },
});
