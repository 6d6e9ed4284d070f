import type { ViewStyle } from 'react-native';
import { Icon } from './Icon';
import { Button } from './rne';
import { colour } from './tokens';

interface Props {
  title: string;
  onPress: () => void;
  /** primary: the one thing to do here; plain: outlined; quiet: words only. */
  kind?: 'primary' | 'plain' | 'quiet' | 'danger';
  icon?: string;
  disabled?: boolean;
  style?: ViewStyle;
  testID?: string;
  /** Read out where the title alone does not say what it is about; it begins with the title. */
  label?: string;
}

const LOOKS = {
  primary: { type: 'solid', text: colour.onTawny, border: colour.tawny },
  plain: { type: 'outline', text: colour.ink, border: colour.ink2 },
  quiet: { type: 'clear', text: colour.ink, border: 'transparent' },
  danger: { type: 'outline', text: colour.brick, border: colour.brick },
} as const;

/** A button. */
export function Action({
  title,
  onPress,
  kind = 'plain',
  icon,
  disabled = false,
  style,
  testID,
  label,
}: Props) {
  const look = LOOKS[kind];
  return (
    <Button
      title={title}
      {...(label ? { 'aria-label': label, accessibilityLabel: label } : {})}
      onPress={onPress}
      disabled={disabled}
      type={look.type}
      titleStyle={{ color: look.text }}
      disabledTitleStyle={{ color: colour.ink2 }}
      disabledStyle={kind === 'primary' ? { backgroundColor: colour.well } : {}}
      buttonStyle={{
        borderColor: look.border,
        borderWidth: kind === 'plain' || kind === 'danger' ? 1.5 : 0,
      }}
      containerStyle={style}
      {...(icon
        ? {
            icon: <Icon path={icon} tint={look.text} size={20} />,
            iconContainerStyle: { marginRight: 8 },
          }
        : {})}
      {...(testID ? { testID } : {})}
    />
  );
}
