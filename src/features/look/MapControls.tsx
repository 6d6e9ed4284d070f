import { StyleSheet, View } from 'react-native';
import type { MapView } from '@/core/looking/maps';
import type { MassChoice } from '@/core/looking/masses';
import type { Picture } from '@/core/looking/schema';
import { parseNumber } from '@/forms';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Problem } from '@/ui/Says';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { COMPARED, type ComparedBy } from './Compared';
import { pictureName } from './picture-name';

const VIEWS: { key: MapView; name: string }[] = [
  { key: 'masses', name: 'masses' },
  { key: 'grey', name: 'greys' },
  { key: 'warmth', name: 'warm and cool' },
  { key: 'chroma', name: 'strength of colour' },
  { key: 'colour', name: 'colour' },
];
const DIFFERENCE: (typeof VIEWS)[number] = { key: 'difference', name: 'as a difference' };

const LEGEND: Partial<Record<MapView, string>> = {
  warmth: 'Rust is warmer than the picture as a whole, blue cooler; what is grey is neither.',
  chroma: 'Grey is without colour; the more rust, the stronger it is.',
  difference:
    'Rust is lighter than the other asks for, blue darker, the key of the whole taken off; hatched beyond a value.',
};

interface Set<T> {
  value: T;
  set: (value: T) => void;
}

/** How the pictures of the values are drawn, and which stands beside the work. */
export function MapControls({
  view,
  masses,
  way,
  limits,
  squint,
  beside,
  compared,
  choices,
  difference,
}: {
  view: Set<MapView>;
  masses: Set<string>;
  way: Set<MassChoice>;
  /** Where the masses part, as values that are typed. */
  limits: Set<readonly string[]>;
  squint: Set<string>;
  beside: { value: string | null; set: (id: string) => void };
  /** How two pictures are held against each other; null where there is one alone. */
  compared: Set<ComparedBy> | null;
  /** The design and the references. */
  choices: readonly Picture[];
  /** Whether a difference from the design can be told. */
  difference: boolean;
}) {
  const legend = LEGEND[view.value];
  return (
    <View style={{ gap: space.m }}>
      {compared ? (
        <Choice
          label="Compared"
          options={[...COMPARED]}
          value={compared.value}
          onChange={compared.set}
        />
      ) : null}
      <Choice
        label="Shown in"
        options={difference ? [...VIEWS, DIFFERENCE] : VIEWS}
        value={view.value}
        onChange={view.set}
      />
      {legend ? <Text size="small">{legend}</Text> : null}
      {choices.length > 1 ? (
        <Choice
          label="Beside it"
          options={choices.map((p) => ({ key: p.id, name: pictureName(p) }))}
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
            { key: 'hand', name: 'by hand' },
          ]}
          value={way.value}
          onChange={way.set}
        />
      ) : null}
      {view.value === 'masses' && way.value === 'hand' && !limitsOf(limits.value) ? (
        <Problem says="From 0 to 10, each higher than the one before. Until then the masses part evenly." />
      ) : null}
      {view.value === 'masses' && way.value === 'hand' ? (
        <View style={styles.figures}>
          {limits.value.map((text, i) => (
            <Stepper
              key={i}
              label={`Mass ${i + 1} ends at value`}
              step={0.5}
              min={0}
              max={10}
              text={text}
              onChangeText={(next) => limits.set(limits.value.map((t, k) => (k === i ? next : t)))}
            />
          ))}
        </View>
      ) : null}
    </View>
  );
}

/** Thresholds as they are typed, values from dark to light, as L*; null while they do not rise. */
export function limitsOf(texts: readonly string[]): number[] | null {
  const values = texts.map((t) => 10 * parseNumber(t));
  return values.every((v, i) => v >= 0 && v <= 100 && (i === 0 || v > values[i - 1]!))
    ? values
    : null;
}

const styles = StyleSheet.create({
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, rowGap: space.s },
});
