import { StyleSheet, View } from 'react-native';
import { ingredientFigures, type MediumPart } from '@/core/film';
import { INGREDIENTS } from '@/data/ingredients';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

/** A jar seen from the side: as high as each ingredient is much; what leaves as vapour is drawn dashed. */
export function JarDrawing({ parts, height = 132 }: { parts: MediumPart[]; height?: number }) {
  const total = parts.reduce((s, p) => s + p.parts, 0) || 1;
  const layers = parts.map((part) => {
    const { solids } = ingredientFigures(part);
    const stays =
      solids.oilFraction + solids.resinFraction + solids.alkydFraction + solids.waxFraction;
    return { part, share: part.parts / total, stays };
  });
  const words = layers
    .map((l) => `${INGREDIENTS[l.part.ingredient].name} ${Math.round(l.share * 100)} %`)
    .join(', ');
  return (
    <View style={styles.row}>
      <View role="img" aria-label={`In the jar: ${words}`} style={[styles.jar, { height }]}>
        {layers.map(({ part, share, stays }) => (
          <View key={part.ingredient} style={{ height: `${share * 100}%`, flexDirection: 'row' }}>
            {stays > 0 ? <View style={[styles.stays, { width: `${stays * 100}%` }]} /> : null}
            {stays < 1 ? <View style={styles.leaves} /> : null}
          </View>
        ))}
      </View>
      <View style={[styles.names, { height }]}>
        {layers.map(({ part, share }) => (
          <View key={part.ingredient} style={{ height: `${share * 100}%`, minHeight: 0 }}>
            <Text size="small" numberOfLines={1}>
              {share < 0.1
                ? ''
                : `${INGREDIENTS[part.ingredient].name}, ${Math.round(share * 100)} %`}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}

/** Medium in a jar: pale amber, as oil looks in glass. */
const CLEAR_MEDIUM = '#e4cf9d';

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: space.m, alignItems: 'stretch' },
  jar: {
    width: 96,
    borderWidth: 2,
    borderTopWidth: 0,
    borderColor: colour.ink,
    borderBottomLeftRadius: 10,
    borderBottomRightRadius: 10,
    overflow: 'hidden',
    backgroundColor: colour.sheet,
  },
  stays: {
    backgroundColor: CLEAR_MEDIUM,
    borderTopWidth: 1,
    borderTopColor: colour.ink2,
  },
  leaves: {
    flex: 1,
    borderTopWidth: 1,
    borderLeftWidth: 1,
    borderColor: colour.ink2,
    borderStyle: 'dashed',
  },
  names: { flex: 1 },
});
