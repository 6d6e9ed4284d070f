import { StyleSheet, View } from 'react-native';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { usePaintsNow } from '@/features/usePaintsNow';
import type { PaintEdit } from './PaintEditor';

const TUBE_SIZES = ['12', '20', '37', '40', '60', '120', '150', '200', '225'] as const;

/** Size of the tube, what is left of it, what it cost. */
export function StockFields({ edit: { form } }: { edit: PaintEdit }) {
  const tube = form.number('tubeMl', 'millilitres');
  const { id, leftAt, tubeMl } = form.draft;
  const now = usePaintsNow().find((p) => p.id === id);
  return (
    <View style={{ gap: space.s }}>
      <Heading>How much there is</Heading>
      <Choice
        label="Size of the tube, ml"
        options={TUBE_SIZES.map((key) => ({ key, name: key }))}
        value={TUBE_SIZES.find((s) => s === tube.text) ?? null}
        onChange={tube.onChangeText}
      />
      <View style={styles.steppers}>
        <Stepper label="Or another size" unit="ml" step={10} min={1} max={5000} {...tube} />
        <Stepper
          label="Left of it; 200 % is two tubes"
          unit="%"
          step={10}
          min={0}
          max={1000}
          {...form.number('left', 'percent')}
        />
        <Stepper
          label="Price of a tube"
          step={1}
          min={0}
          max={1000}
          {...form.number('price', 'money', null)}
        />
      </View>
      {now && leftAt === undefined ? (
        <Text size="small" tone="ink2">
          Say what is left of it now, and the coats laid from then on run it down.
        </Text>
      ) : null}
      {now && typeof leftAt === 'string' && typeof tubeMl === 'number' ? (
        <Text size="small" tone="ink2">
          {`Said ${dayMonthYear(Date.parse(leftAt))}. With the coats laid since then about ${Math.round(now.left * tubeMl)} ml are left.`}
        </Text>
      ) : null}
    </View>
  );
}

/** What the painter knows better than the table. */
export function CorrectionFields({ edit: { form } }: { edit: PaintEdit }) {
  const { oilWtPct, dryingFactor } = form.draft;
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
          {...form.number('oilWtPct', 'number', null)}
        />
        <Stepper
          label="Drying factor; above 1 is slower"
          step={0.1}
          min={0.1}
          max={10}
          {...form.number('dryingFactor', 'number', null)}
        />
        <Stepper
          label="Aluminium stearate by weight"
          unit="%"
          step={0.5}
          min={0}
          max={15}
          {...form.number('stearateWtPct', 'number', 'absent')}
        />
        {oilWtPct !== null || dryingFactor !== null ? (
          <Action
            title="Go by the table"
            kind="quiet"
            onPress={() => form.set((d) => ({ ...d, oilWtPct: null, dryingFactor: null }))}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  steppers: { flexDirection: 'row', flexWrap: 'wrap', gap: space.l, alignItems: 'flex-end' },
});
