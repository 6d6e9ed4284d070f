import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from './Icon';
import { checkIcon } from './desk-icons';
import { Text } from './Text';
import { colour, space, TARGET } from './tokens';

/** Something that is so or not. Drawn here: the widget of the library wants an icon font, which does not ship. */
export function Tick({
  title,
  checked,
  onPress,
}: {
  title: string;
  checked: boolean;
  onPress: () => void;
}) {
  return (
    <Pressable
      accessibilityRole="checkbox"
      aria-checked={checked}
      aria-label={title}
      onPress={onPress}
      style={styles.row}
    >
      <View style={[styles.box, checked && styles.full]}>
        {checked ? <Icon path={checkIcon} size={20} tint={colour.onTawny} /> : null}
      </View>
      <Text style={{ flexShrink: 1 }}>{title}</Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, minHeight: TARGET },
  box: {
    width: 26,
    height: 26,
    borderRadius: 6,
    borderWidth: 2,
    borderColor: colour.ink2,
    alignItems: 'center',
    justifyContent: 'center',
  },
  full: { backgroundColor: colour.tawny, borderColor: colour.tawny },
});
