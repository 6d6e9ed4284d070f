import { StyleSheet, View } from 'react-native';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { PaintEdit } from './PaintEditor';

const TUBE_SIZES = ['12', '20', '37', '40', '60', '120', '150', '200', '225'] as const;

/** Size of the tube, what is left of it, what it cost. */
export function StockFields({ edit: { draft, set, checked } }: { edit: PaintEdit }) {
  return (
    <View style={{ gap: space.s }}>
      <Heading>How much there is</Heading>
      <Choice
        label="Size of the tube, ml"
        options={TUBE_SIZES.map((key) => ({ key, name: key }))}
        value={TUBE_SIZES.find((s) => s === draft.tubeMl) ?? null}
        onChange={(tubeMl) => set({ tubeMl })}
      />
      <View style={styles.steppers}>
        <Stepper
          label="Or another size"
          unit="ml"
          step={10}
          min={1}
          max={5000}
          text={draft.tubeMl}
          onChangeText={(tubeMl) => set({ tubeMl })}
          error={checked.problem('tubeMl')}
        />
        <Stepper
          label="Left of it; 200 % is two tubes"
          unit="%"
          step={10}
          min={0}
          max={1000}
          text={draft.leftPct}
          onChangeText={(leftPct) => set({ leftPct })}
          error={checked.problem('left')}
        />
        <Stepper
          label="Price of a tube"
          step={1}
          min={0}
          max={1000}
          text={draft.price}
          onChangeText={(price) => set({ price })}
          error={checked.problem('price')}
        />
      </View>
    </View>
  );
}

/** What the painter knows better than the table. */
export function CorrectionFields({ edit: { draft, set, checked } }: { edit: PaintEdit }) {
  return (
    <View style={{ gap: space.s }}>
      <Heading>Known better than the table</Heading>
      <Text size="small" tone="ink2">
        From a maker’s sheet, or your own touch tests. Empty goes by the pigment table.
      </Text>
      <View style={styles.steppers}>
        <Stepper
          label="Oil by weight"
          unit="%"
          step={1}
          min={5}
          max={90}
          text={draft.oilWtPct}
          onChangeText={(oilWtPct) => set({ oilWtPct })}
          error={checked.problem('oilWtPct')}
        />
        <Stepper
          label="Drying factor; above 1 is slower"
          step={0.1}
          min={0.1}
          max={10}
          text={draft.dryingFactor}
          onChangeText={(dryingFactor) => set({ dryingFactor })}
          error={checked.problem('dryingFactor')}
        />
        {draft.oilWtPct !== '' || draft.dryingFactor !== '' ? (
          <Action
            title="Go by the table"
            kind="quiet"
            onPress={() => set({ oilWtPct: '', dryingFactor: '' })}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  steppers: { flexDirection: 'row', flexWrap: 'wrap', gap: space.l, alignItems: 'flex-end' },
});
