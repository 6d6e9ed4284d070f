import { View, type KeyboardTypeOptions } from 'react-native';
import Input from '@rneui/themed/dist/Input';
import { Problem } from './Says';
import { Text } from './Text';
import { space } from './tokens';

interface Props {
  label: string;
  /** What it is called when it is read out, where the label leans on what stands around it. */
  spoken?: string;
  value: string;
  onChangeText: (text: string) => void;
  onBlur?: () => void;
  error?: string | undefined;
  placeholder?: string;
  keyboard?: KeyboardTypeOptions;
  unit?: string;
  /** For short texts that are replaced, not mended. */
  selectOnFocus?: boolean;
  testID?: string;
}

/** A labelled field; what is wrong with it stands right below it. */
export function Field({
  label,
  spoken = label,
  value,
  onChangeText,
  onBlur,
  error,
  placeholder,
  keyboard,
  unit,
  selectOnFocus = false,
  testID,
}: Props) {
  return (
    <View style={{ flexGrow: 1, flexShrink: 1, minWidth: 0, marginBottom: space.m }}>
      <Input
        label={label}
        aria-label={unit ? `${spoken}, ${unit}` : spoken}
        value={value}
        onChangeText={onChangeText}
        selectTextOnFocus={selectOnFocus}
        aria-invalid={Boolean(error)}
        {...(onBlur ? { onBlur } : {})}
        {...(placeholder ? { placeholder } : {})}
        {...(keyboard ? { keyboardType: keyboard } : {})}
        {...(unit ? { rightIcon: <Text tone="ink2">{unit}</Text> } : {})}
        {...(testID ? { testID } : {})}
        // A browser's own field does not go below some twenty letters unless it is told that it may.
        inputStyle={{ minWidth: 0, width: '100%' }}
        // Said below, in a place that stands before there is anything to say.
        renderErrorMessage={false}
      />
      <Problem says={error} />
    </View>
  );
}
