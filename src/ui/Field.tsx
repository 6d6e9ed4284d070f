import { StyleSheet, View, type KeyboardTypeOptions, type TextInputProps } from 'react-native';
import Input from '@rneui/themed/dist/Input';
import { Text } from './Text';
import { space } from './tokens';

/** React Native's text input knows no days; on the web the browser has a field for them, with its calendar. */
const dated = (type: string) =>
  function DatedInput(props: TextInputProps & { ref?: React.Ref<HTMLInputElement> }) {
    const { value, onChangeText, onBlur, style, ref } = props;
    return (
      <input
        type={type}
        ref={ref}
        aria-label={props['aria-label']}
        value={value}
        onChange={(event) => onChangeText?.(event.target.value)}
        onBlur={() => (onBlur as (() => void) | undefined)?.()}
        style={{ ...BARE, ...css(style) }}
      />
    );
  };
/** The frame is drawn round it. */
const BARE = { border: 'none', background: 'transparent', padding: 0, outlineOffset: 4 } as const;
/** Styles of React Native as CSS: a line height without a unit would be a multiple of the letters there. */
function css(style: TextInputProps['style']): React.CSSProperties {
  const { lineHeight, ...same } = StyleSheet.flatten(style);
  return {
    ...(same as React.CSSProperties),
    ...(lineHeight ? { lineHeight: `${lineHeight}px` } : {}),
  };
}
const DATED = {
  date: dated('date'),
  'datetime-local': dated('datetime-local'),
};

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
  /** A day or a moment: the browser's own field for it, with its calendar. */
  inputType?: keyof typeof DATED | undefined;
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
  inputType,
  testID,
}: Props) {
  return (
    <View style={{ flexGrow: 1, flexShrink: 1, minWidth: 0 }}>
      <Input
        label={label}
        aria-label={unit ? `${spoken}, ${unit}` : spoken}
        value={value}
        onChangeText={onChangeText}
        errorMessage={error ?? ''}
        errorProps={{
          accessibilityLiveRegion: 'polite',
          style: { display: error ? 'flex' : 'none' },
        }}
        {...(onBlur ? { onBlur } : {})}
        {...(placeholder ? { placeholder } : {})}
        {...(keyboard ? { keyboardType: keyboard } : {})}
        {...(unit ? { rightIcon: <Text tone="ink2">{unit}</Text> } : {})}
        {...(inputType ? { InputComponent: DATED[inputType] } : {})}
        {...(testID ? { testID } : {})}
        // A browser's own field does not go below some twenty letters unless it is told that it may.
        inputStyle={{ minWidth: 0, width: '100%' }}
        renderErrorMessage={Boolean(error)}
        containerStyle={{ marginBottom: space.m }}
      />
    </View>
  );
}
