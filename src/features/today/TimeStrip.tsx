import { Fragment } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from '@/ui/Text';
import { colour, radius } from '@/ui/tokens';

/** The works as lit stretches of the time, cleaning hatched at the end. */
export function TimeStrip({
  works,
  cleaning,
  spare,
}: {
  /** `after`: minutes of drying before it. */
  works: { key: string; minutes: number; after: number }[];
  cleaning: number;
  spare: number;
}) {
  return (
    <View style={{ flexDirection: 'row', gap: 2, height: 34 }} aria-hidden>
      {works.map((w, i) => (
        <Fragment key={w.key}>
          {w.after > 0 ? <View style={{ flex: w.after }} /> : null}
          <View style={[styles.part, { flex: w.minutes }]}>
            <Text size="small" strong numberOfLines={1}>{`${i + 1}: ${w.minutes} min`}</Text>
          </View>
        </Fragment>
      ))}
      {spare > 0 ? <View style={{ flex: spare }} /> : null}
      <View
        style={[
          styles.part,
          { flex: cleaning, backgroundColor: 'transparent', borderStyle: 'dashed' },
        ]}
      >
        <Text size="small" tone="ink2" numberOfLines={1}>
          {String(cleaning)}
        </Text>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  part: {
    backgroundColor: colour.well,
    borderRadius: radius.s,
    borderWidth: 1,
    borderColor: colour.rule,
    alignItems: 'center',
    justifyContent: 'center',
    overflow: 'hidden',
  },
});
