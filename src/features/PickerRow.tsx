import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';

/** One line to pick: its colours, its name, and a word about it. */
export function PickerRow({
  colours,
  name,
  detail,
  onPress,
}: {
  colours: string[];
  name: string;
  detail: string;
  onPress: () => void;
}) {
  return (
    <Pressable accessibilityRole="button" onPress={onPress} style={styles.row}>
      {colours.map((backgroundColor, i) => (
        <View key={i} style={[styles.swatch, { backgroundColor }]} />
      ))}
      <View style={{ flex: 1 }}>
        <Text strong>{name}</Text>
        <Text size="small" tone="ink2">
          {detail}
        </Text>
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    minHeight: TARGET,
    paddingVertical: space.xs,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  swatch: { width: 22, height: 34, borderRadius: 3, borderWidth: 1, borderColor: colour.rule },
});
