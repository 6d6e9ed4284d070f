import { Pressable, StyleSheet } from 'react-native';
import SearchBar from '@rneui/base/dist/SearchBar/SearchBar-default';
import { closeIcon, magnifyIcon } from './desk-icons';
import { Icon } from './Icon';
import { colour, font, radius, space, TARGET, type } from './tokens';

interface Props {
  label: string;
  value: string;
  onChangeText: (text: string) => void;
}

/** Words that a list is looked through by. The library's bar, with our own marks and a label that stays in sight. */
export function Search({ label, value, onChangeText }: Props) {
  return (
    <SearchBar
      platform="default"
      label={label}
      labelStyle={styles.label}
      aria-label={label}
      value={value}
      onChangeText={onChangeText}
      searchIcon={<Icon path={magnifyIcon} size={20} tint={colour.ink2} />}
      clearIcon={
        <Pressable
          accessibilityRole="button"
          aria-label="Clear the search"
          onPress={() => onChangeText('')}
          style={styles.clear}
        >
          <Icon path={closeIcon} size={20} tint={colour.ink2} />
        </Pressable>
      }
      containerStyle={styles.bar}
      inputContainerStyle={styles.box}
      inputStyle={styles.text}
      leftIconContainerStyle={styles.left}
      rightIconContainerStyle={styles.right}
    />
  );
}

const styles = StyleSheet.create({
  bar: {
    padding: 0,
    marginBottom: space.m,
    backgroundColor: 'transparent',
    borderTopWidth: 0,
    borderBottomWidth: 0,
  },
  label: { ...type.small, fontFamily: font.text, fontWeight: 'normal', color: colour.ink2 },
  box: {
    borderWidth: 1,
    borderBottomWidth: 1,
    borderColor: colour.ink2,
    borderRadius: radius.s,
    backgroundColor: colour.sheet,
    minHeight: TARGET,
  },
  text: { ...type.body, fontFamily: font.text, color: colour.ink, minWidth: 0, width: '100%' },
  left: { marginLeft: space.s, height: TARGET - 2, marginVertical: 0 },
  right: { marginRight: 0, height: TARGET - 2, marginVertical: 0 },
  clear: { width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center' },
});
