import { StyleSheet, View } from 'react-native';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { capOf } from '@/core/quantity';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

const SCALE_TO = 0.6;
const at = (share: number): `${number}%` => `${(Math.min(share, SCALE_TO) / SCALE_TO) * 100}%`;

const WORDS = {
  within: 'Within the usual quarter.',
  'over-quarter': 'Over the usual quarter: only for a thin glaze, or with care.',
  'over-third':
    'Over a third: no teaching allows it in a body coat; glazes of at most 20 µm are let off.',
} as const;

/** Where a share of medium stands against the caps of a quarter and a third. */
export function CapGauge({ share }: { share: number }) {
  const { mediumShareCaution, mediumShareMax } = STUDIO_HANDBOOK.constants;
  const cap = capOf(STUDIO_HANDBOOK, share);
  const over = cap === 'over-third';
  return (
    <View style={{ gap: space.xs }}>
      <View
        role="img"
        aria-label={`Medium ${Math.round(share * 100)} % of the whole; caps at 25 and 33 %`}
        style={styles.gauge}
      >
        <View style={styles.line} />
        {[mediumShareCaution, mediumShareMax].map((mark) => (
          <View key={mark} style={[styles.mark, { left: at(mark) }]}>
            <View style={styles.tick} />
            <Text size="small" tone="ink2" style={styles.figure}>
              {`${Math.round(mark * 100)}`}
            </Text>
          </View>
        ))}
        <View
          style={[
            styles.dot,
            { left: at(share), backgroundColor: over ? colour.brick : colour.tawny },
          ]}
        />
      </View>
      <Text strong tone={over ? 'brick' : 'ink'}>
        {`${Math.round(share * 1000) / 10} % medium. ${WORDS[cap]}`}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  gauge: { height: 48, marginHorizontal: space.m },
  line: {
    position: 'absolute',
    left: 0,
    right: 0,
    top: 14,
    height: 2,
    backgroundColor: colour.ink,
  },
  mark: { position: 'absolute', top: 6, width: 40, marginLeft: -20, alignItems: 'center' },
  tick: { width: 2, height: 18, backgroundColor: colour.ink },
  figure: { fontSize: 15 },
  dot: {
    position: 'absolute',
    top: 5,
    width: 20,
    height: 20,
    marginLeft: -10,
    borderRadius: 10,
  },
});
