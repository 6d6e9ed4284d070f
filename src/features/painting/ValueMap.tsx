import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { OPTICS_BENCH } from '@/data/optics-bench';
import type { PaintingAssessment } from '@/core/painting';
import { turnedPairs, valueMap, type MapPoint } from '@/core/painting/value-map';
import { useSwatches } from '@/store/hooks';
import { TrueColour } from '@/ui/film/TrueColour';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

const FIELD = 44;

/** Each passage's colour now, with its next coat, and finished: the lightest at the end first, with its value. */
export function ValueMap({ assessment }: { assessment: PaintingAssessment }) {
  const swatches = useSwatches();
  const rows = useMemo(() => valueMap(assessment, swatches), [assessment, swatches]);
  const turned = turnedPairs(rows);
  if (rows.length < 2) return null;
  return (
    <View style={{ gap: space.xs, marginBottom: space.huge }}>
      <Heading>Values, now and to the end</Heading>
      <View role="table" aria-label="Value of each passage">
        <View role="row" style={styles.row}>
          {['passage', 'now', 'next', 'finished'].map((head, i) => (
            <Text
              key={head}
              role="columnheader"
              size="small"
              tone="ink2"
              style={i === 0 ? styles.name : styles.point}
            >
              {head}
            </Text>
          ))}
        </View>
        {rows.map((row) => (
          <View key={row.passageId} role="row" style={styles.row}>
            <Text role="rowheader" strong style={styles.name} numberOfLines={2}>
              {row.name}
            </Text>
            <Point point={row.now} />
            {row.next ? (
              <Point point={row.next} />
            ) : (
              <Text role="cell" size="small" tone="ink2" style={styles.point}>
                as it is
              </Text>
            )}
            <Point point={row.finished} />
          </View>
        ))}
      </View>
      {turned.map(([now, end]) => (
        <Text key={`${now}|${end}`} size="small">
          {`Now ${now} is lighter than ${end}; at the end it is the other way round.`}
        </Text>
      ))}
    </View>
  );
}

function Point({ point: { look, value, warmth } }: { point: MapPoint }) {
  const { warmFrom } = OPTICS_BENCH;
  const temperature = warmth > warmFrom ? 'warm' : warmth < -warmFrom ? 'cool' : 'neutral';
  return (
    <View role="cell" style={styles.point}>
      <View style={styles.field} aria-hidden>
        <TrueColour colour={look.screen} height={FIELD} />
      </View>
      <Text size="small">{`${value.toFixed(1)} ${temperature}`}</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    paddingVertical: space.xs,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  name: { flex: 1, minWidth: 64 },
  point: { width: 84 },
  field: { flexDirection: 'row', height: FIELD },
});
