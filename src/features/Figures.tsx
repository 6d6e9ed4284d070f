import { StyleSheet, View } from 'react-native';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

/** Figures two by two, each with its name above and what it means below. */
export function Figures({ children }: { children: React.ReactNode }) {
  return <View style={styles.figures}>{children}</View>;
}

export function Figure({ name, value, note }: { name: string; value: string; note: string }) {
  return (
    <View style={styles.figure}>
      <Text size="small" tone="ink2">
        {name}
      </Text>
      <Text size="large" strong>
        {value}
      </Text>
      <Text size="small" tone="ink2">
        {note}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  figures: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    borderTopWidth: 1,
    borderTopColor: colour.rule,
  },
  figure: {
    width: '50%',
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    paddingRight: space.s,
  },
});
