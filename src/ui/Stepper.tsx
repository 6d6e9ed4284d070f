import { minusIcon, plusIcon } from './desk-icons';
import { parseNumber } from '@/core/formats/number-text';
import { Pressable, StyleSheet, TextInput, View } from 'react-native';
import { Icon } from './Icon';
import { Problem } from './Says';
import { Text } from './Text';
import { colour, font, radius, space, TARGET, type } from './tokens';

interface Props {
  label: string;
  /** As typed; the owner parses it. */
  text: string;
  onChangeText: (text: string) => void;
  onBlur?: () => void;
  /** What counts while it is empty. */
  placeholder?: string;
  step: number;
  min: number;
  max: number;
  unit?: string;
  error?: string | undefined;
  hideLabel?: boolean;
  testID?: string;
}

const tidy = (value: number): string => String(Number(value.toFixed(4)));

/** A number with big steps beside it, and typing for those who have clean hands. */
export function Stepper({
  label,
  text,
  onChangeText,
  onBlur,
  placeholder,
  step,
  min,
  max,
  unit,
  error,
  hideLabel = false,
  testID,
}: Props) {
  const by = (direction: 1 | -1) => {
    const value = parseNumber(text === '' && placeholder ? placeholder : text);
    const from = Number.isFinite(value) ? value : min;
    // From an odd value go to the next step, not past it.
    const next =
      direction === 1
        ? Math.floor(from / step + 1e-9) * step + step
        : Math.ceil(from / step - 1e-9) * step - step;
    onChangeText(tidy(Math.min(max, Math.max(min, next))));
  };
  return (
    <View>
      {hideLabel ? null : (
        <Text size="small" tone="ink2">
          {label}
        </Text>
      )}
      <View style={styles.row}>
        <StepButton path={minusIcon} name={`Less: ${label}`} onPress={() => by(-1)} />
        <TextInput
          aria-label={unit ? `${label}, ${unit}` : label}
          aria-invalid={Boolean(error)}
          value={text}
          onChangeText={onChangeText}
          {...(onBlur ? { onBlur } : {})}
          {...(placeholder ? { placeholder } : {})}
          inputMode="decimal"
          selectTextOnFocus
          style={[styles.input, error ? { borderColor: colour.brick } : null]}
          {...(testID ? { testID } : {})}
        />
        {unit ? <Text tone="ink2">{unit}</Text> : null}
        <StepButton path={plusIcon} name={`More: ${label}`} onPress={() => by(1)} />
      </View>
      <Problem says={error} />
    </View>
  );
}

/** One big step less or more. */
export function StepButton({
  path,
  name,
  onPress,
}: {
  path: string;
  name: string;
  onPress: () => void;
}) {
  return (
    <Pressable accessibilityRole="button" aria-label={name} onPress={onPress} style={styles.button}>
      <Icon path={path} />
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  button: {
    width: TARGET,
    height: TARGET,
    borderRadius: radius.m,
    borderWidth: 1.5,
    borderColor: colour.ink2,
    alignItems: 'center',
    justifyContent: 'center',
  },
  input: {
    ...type.large,
    fontFamily: font.strong,
    color: colour.ink,
    fontVariant: ['tabular-nums', 'lining-nums'],
    textAlign: 'center',
    width: 62,
    minHeight: TARGET,
    borderBottomWidth: 1,
    borderColor: colour.rule,
  },
});
