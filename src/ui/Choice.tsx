import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from './Text';
import { colour, radius, space, TARGET } from './tokens';

export interface Option<K extends string> {
  key: K;
  name: string;
  /** A second line, for choices that need a reason. */
  blurb?: string;
  disabled?: boolean;
}

interface Props<K extends string> {
  label: string;
  options: Option<K>[];
  value: K | null;
  onChange: (key: K) => void;
  /** One below the other, with the blurbs. */
  stacked?: boolean;
  hideLabel?: boolean;
}

/** One of several, all in sight. */
export function Choice<K extends string>({
  label,
  options,
  value,
  onChange,
  stacked = false,
  hideLabel = false,
}: Props<K>) {
  // One stop for the group (arrows go on within it): the chosen one, or the first that can be chosen.
  const stop = options.some((o) => o.key === value) ? value : options.find((o) => !o.disabled)?.key;
  return (
    <View accessibilityRole="radiogroup" aria-label={label} style={{ marginBottom: space.m }}>
      {hideLabel ? null : (
        <Text size="small" tone="ink2" style={{ marginBottom: space.xs }}>
          {label}
        </Text>
      )}
      <View style={stacked ? styles.stack : styles.row}>
        {options.map((option) => (
          <OptionButton
            key={option.key}
            option={option}
            chosen={option.key === value}
            stop={option.key === stop}
            onPress={() => onChange(option.key)}
          />
        ))}
      </View>
    </View>
  );
}

function OptionButton<K extends string>({
  option,
  chosen,
  stop,
  onPress,
}: {
  option: Option<K>;
  chosen: boolean;
  stop: boolean;
  onPress: () => void;
}) {
  return (
    <Pressable
      accessibilityRole="radio"
      aria-checked={chosen}
      aria-disabled={option.disabled ?? false}
      tabIndex={stop ? 0 : -1}
      disabled={option.disabled ?? false}
      onPress={onPress}
      style={[styles.option, chosen && styles.chosen, option.disabled && { opacity: 0.55 }]}
    >
      <Text strong={chosen}>{option.name}</Text>
      {option.blurb ? (
        <Text size="small" tone="ink2">
          {option.blurb}
        </Text>
      ) : null}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  stack: { gap: space.s },
  option: {
    // A title of two hundred letters breaks within the screen.
    maxWidth: '100%',
    minHeight: TARGET,
    justifyContent: 'center',
    paddingHorizontal: space.l,
    paddingVertical: space.xs,
    borderRadius: radius.m,
    borderWidth: 1,
    borderColor: colour.rule,
  },
  chosen: {
    backgroundColor: colour.sheet,
    borderColor: colour.ink,
    borderWidth: 2,
    paddingHorizontal: space.l - 1,
  },
});

interface ManyProps<K extends string> {
  label: string;
  options: Option<K>[];
  values: K[];
  onChange: (keys: K[]) => void;
}

/** Any of several. */
export function ManyChoice<K extends string>({ label, options, values, onChange }: ManyProps<K>) {
  const toggle = (key: K) =>
    onChange(values.includes(key) ? values.filter((k) => k !== key) : [...values, key]);
  return (
    <View role="group" aria-label={label} style={{ marginBottom: space.m }}>
      <Text size="small" tone="ink2" style={{ marginBottom: space.xs }}>
        {label}
      </Text>
      <View style={styles.row}>
        {options.map((option) => (
          <Pressable
            key={option.key}
            accessibilityRole="checkbox"
            aria-checked={values.includes(option.key)}
            onPress={() => toggle(option.key)}
            style={[styles.option, values.includes(option.key) && styles.chosen]}
          >
            <Text strong={values.includes(option.key)}>{option.name}</Text>
          </Pressable>
        ))}
      </View>
    </View>
  );
}
