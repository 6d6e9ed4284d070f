import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { fitDesign, gridOf, projectorDistance, thrownWidth, type Fit } from '@/core/transfer';
import { MM_PER } from '@/features/units';
import { usePaintings, useStoreSelector } from '@/store/hooks';
import { parseNumber } from '@/forms';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { TwoColumns } from '@/ui/Split';
import { space } from '@/ui/tokens';
import { StudioLink } from '@/features/frame/StudioLink';
import { BenchTabs } from './BenchTabs';
import { GridDrawing } from './GridDrawing';

const tidy = (value: number): string => String(Number(value.toFixed(2)));

interface Typed {
  designWidth: string;
  designHeight: string;
  width: string;
  height: string;
  cells: string;
  throwRatio: string;
  fit: Fit;
}

/** From a design to the support: scale, crop or margins, grid, and where a projector stands. */
export function GridScreen() {
  const units = useStoreSelector((state) => state.studio.units);
  const unit = units === 'inch' ? 'in' : 'cm';
  const paintings = usePaintings();
  const [typed, setTyped] = useState<Typed>({
    designWidth: '20',
    designHeight: '30',
    width: '60',
    height: '80',
    cells: '8',
    throwRatio: '1.5',
    fit: 'crop',
  });
  const set = (change: Partial<Typed>) => setTyped((t) => ({ ...t, ...change }));
  const cells = parseNumber(typed.cells);
  const sides = [typed.designWidth, typed.designHeight, typed.width, typed.height].map(parseNumber);
  const valid = sides.every((s) => s > 0) && Number.isInteger(cells) && cells >= 1 && cells <= 100;
  const side = (key: keyof Typed, label: string) => (
    <Stepper
      label={label}
      unit={unit}
      step={1}
      min={0.5}
      max={2000}
      text={typed[key]}
      onChangeText={(text) => set({ [key]: text })}
      error={parseNumber(typed[key]) > 0 ? undefined : 'Above 0.'}
    />
  );
  return (
    <Screen
      title="Bench"
      aside={<StudioLink />}
      subtitle="From the design to the support"
      maxWidth={1180}
    >
      <BenchTabs />
      <TwoColumns
        left={
          <>
            <View style={styles.pair}>
              {side('designWidth', 'Design, wide')}
              {side('designHeight', 'Design, high')}
            </View>
            <View style={styles.pair}>
              {side('width', 'Support, wide')}
              {side('height', 'Support, high')}
            </View>
            {paintings.length > 0 ? (
              <Choice
                label="Or the support of"
                options={paintings.map((p) => ({ key: p.id, name: p.title }))}
                value={null}
                onChange={(id) => {
                  const { support } = paintings.find((p) => p.id === id)!;
                  set({
                    width: tidy(support.widthMm / MM_PER[units]),
                    height: tidy(support.heightMm / MM_PER[units]),
                  });
                }}
              />
            ) : null}
            <Choice
              label="Where the proportions differ"
              options={[
                { key: 'crop', name: 'crop the design' },
                { key: 'margins', name: 'leave margins' },
              ]}
              value={typed.fit}
              onChange={(fit) => set({ fit })}
            />
            <View style={styles.pair}>
              <Stepper
                label="Cells along the longer side"
                step={1}
                min={1}
                max={100}
                text={typed.cells}
                onChangeText={(text) => set({ cells: text })}
                error={Number.isInteger(cells) && cells > 0 ? undefined : 'A whole number.'}
              />
              <Stepper
                label="Projector, throw ratio"
                step={0.1}
                min={0.1}
                max={10}
                text={typed.throwRatio}
                onChangeText={(throwRatio) => set({ throwRatio })}
              />
            </View>
          </>
        }
        right={
          valid ? (
            <Result typed={typed} sides={sides as [number, number, number, number]} unit={unit} />
          ) : (
            <Notice tone="refusal">
              All sides must be above 0, and the cells a whole number from 1 to 100.
            </Notice>
          )
        }
      />
    </Screen>
  );
}

function Result({
  typed,
  sides: [dw, dh, w, h],
  unit,
}: {
  typed: Typed;
  sides: [number, number, number, number];
  unit: string;
}) {
  const design = { width: dw, height: dh };
  const support = { width: w, height: h };
  const transfer = fitDesign(design, support, typed.fit);
  const grid = gridOf(transfer, parseNumber(typed.cells));
  const ratio = parseNumber(typed.throwRatio);
  const { used, placed, scale, exact } = transfer;
  const off = exact
    ? 'The proportions agree; nothing is lost.'
    : typed.fit === 'crop'
      ? used.y > 1e-9
        ? `Crop ${tidy(used.y)} ${unit} off the design at top and bottom.`
        : `Crop ${tidy(used.x)} ${unit} off the design left and right.`
      : placed.x > 1e-9
        ? `Leave ${tidy(placed.x)} ${unit} of the support free left and right.`
        : `Leave ${tidy(placed.y)} ${unit} of the support free at top and bottom.`;
  const lines = (list: typeof grid.vertical) => list.map((l) => tidy(l.support)).join(', ');
  return (
    <View style={{ gap: space.m }}>
      <Heading>{`${tidy(scale)} times as large`}</Heading>
      <Text>{off}</Text>
      <GridDrawing transfer={transfer} grid={grid} support={support} />
      <Text strong>
        {`${grid.columns} by ${grid.rows} cells: ${tidy(grid.cell.design)} ${unit} on the design, ${tidy(grid.cell.support)} ${unit} on the support.`}
      </Text>
      <Text>{`From the left edge, ${unit}: ${lines(grid.vertical)}`}</Text>
      <Text>{`From the top edge, ${unit}: ${lines(grid.horizontal)}`}</Text>
      {ratio > 0 && ratio < 20 ? (
        <Text strong>
          {`The projector stands ${tidy(projectorDistance(ratio, thrownWidth(design, scale)))} ${unit} away, when the design fills its picture.`}
        </Text>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', flexWrap: 'wrap', gap: space.l },
});
