import { StyleSheet, View } from 'react-native';
import CheckBox from '@rneui/themed/dist/CheckBox';
import { Icon } from './Icon';
import { checkIcon } from './desk-icons';
import { colour, TARGET, space } from './tokens';

/** Something that is so or not. The widget of the library, with our own mark: its icon fonts do not ship. */
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
    <CheckBox
      title={title}
      aria-label={title}
      aria-checked={checked}
      checked={checked}
      onPress={onPress}
      checkedIcon={
        <View style={[styles.box, styles.full]}>
          <Icon path={checkIcon} size={20} tint={colour.onTawny} />
        </View>
      }
      uncheckedIcon={<View style={styles.box} />}
      containerStyle={styles.row}
    />
  );
}

const styles = StyleSheet.create({
  row: { minHeight: TARGET, justifyContent: 'center', padding: 0, margin: 0 },
  box: {
    width: 26,
    height: 26,
    borderRadius: 6,
    borderWidth: 2,
    borderColor: colour.ink2,
    alignItems: 'center',
    justifyContent: 'center',
    marginRight: space.m - 10,
  },
  full: { backgroundColor: colour.tawny, borderColor: colour.tawny },
});
