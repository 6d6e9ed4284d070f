import { StyleSheet, View } from 'react-native';
import type { ScreenColour } from '@/core/optics';
import { Text } from '../Text';
import { colour, space } from '../tokens';
import { TrueColour } from './TrueColour';

interface Side {
  screen: ScreenColour;
  value: number;
}

/** A place before and after a coat, side by side on the grey of the wall, with what has changed in words. */
export function BeforeAfter({
  name,
  before,
  after,
  words,
  note,
  height = 96,
}: {
  name: string;
  before: Side;
  after: Side;
  words: string;
  /** What is to be known of it, as that the screen cannot show it. */
  note?: string | null;
  height?: number;
}) {
  return (
    <View
      role="img"
      aria-label={`${name}: value ${before.value.toFixed(1)} before, ${after.value.toFixed(1)} after; ${words}${note ? `. ${note}` : ''}`}
    >
      <View style={styles.fields} aria-hidden>
        <TrueColour colour={before.screen} height={height} />
        <View style={styles.divider} />
        <TrueColour colour={after.screen} height={height} />
      </View>
      <View style={styles.words} aria-hidden>
        <Text size="small">
          value <Text strong>{before.value.toFixed(1)}</Text>
        </Text>
        <Text strong style={styles.change}>
          {words}
        </Text>
        <Text size="small">
          value <Text strong>{after.value.toFixed(1)}</Text>
        </Text>
      </View>
      {note ? (
        <Text size="small" tone="ink2">
          {note}
        </Text>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { flexDirection: 'row' },
  divider: { width: 2, backgroundColor: colour.ink },
  words: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    gap: space.s,
    paddingVertical: space.xs,
  },
  change: { flex: 1, textAlign: 'center' },
});
