import { StyleSheet, View } from 'react-native';
import type { Picture } from '@/core/looking/schema';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { pictureName } from './picture-name';
import type { MapAsked } from './useLook';

const VIEWS = [
  { key: 'masses', name: 'masses' },
  { key: 'grey', name: 'greys' },
  { key: 'warmth', name: 'warm and cool' },
  { key: 'colour', name: 'colour' },
] as const;

interface Set<T> {
  value: T;
  set: (value: T) => void;
}

/** How the pictures of the values are drawn, and which stands beside the work. */
export function MapControls({
  view,
  masses,
  way,
  squint,
  beside,
  choices,
}: {
  view: Set<MapAsked['view']>;
  masses: Set<string>;
  way: Set<MapAsked['way']>;
  squint: Set<string>;
  beside: { value: string | null; set: (id: string) => void };
  /** The design and the references. */
  choices: readonly Picture[];
}) {
  return (
    <View style={{ gap: space.m }}>
      <Choice label="Shown in" options={[...VIEWS]} value={view.value} onChange={view.set} />
      {view.value === 'warmth' ? (
        <Text size="small">
          Rust is warmer than the picture as a whole, blue cooler; what is grey is neither.
        </Text>
      ) : null}
      {choices.length > 1 ? (
        <Choice
          label="Beside it"
          options={choices.map((p) => ({
            key: p.id,
            name: pictureName(p),
          }))}
          value={beside.value}
          onChange={beside.set}
        />
      ) : null}
      <View style={styles.figures}>
        {view.value === 'masses' ? (
          <Stepper
            label="Masses"
            step={1}
            min={2}
            max={9}
            text={masses.value}
            onChangeText={masses.set}
          />
        ) : null}
        <Stepper
          label="Squint: nothing finer than"
          unit="cm"
          step={0.5}
          min={0}
          max={20}
          text={squint.value}
          onChangeText={squint.set}
        />
      </View>
      {view.value === 'masses' ? (
        <Choice
          label="Masses parted"
          options={[
            { key: 'breaks', name: 'where values part' },
            { key: 'even', name: 'evenly' },
            { key: 'areas', name: 'by area' },
          ]}
          value={way.value}
          onChange={way.set}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, rowGap: space.s },
});
