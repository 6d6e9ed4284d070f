import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { asTube, hazardOf, type CabinetMedium, type CabinetPaint } from '@/core/cabinet';
import { BINDERS } from '@/data/binders';
import { cabinetMediumAddress, cabinetPaintAddress } from '@/features/addresses';
import { mediumWords } from '@/features/MediumPicker';
import { TubeSwatch } from '@/features/TubeSwatch';
import { tubeCodes } from '@/core/cabinet/tube-names';
import { ListRow } from '@/ui/ListRow';
import { Text } from '@/ui/Text';
import { duration } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { paintFigures } from './cabinet-list';

const LEFT_SHOWN = 1;

export function PaintRow({ paint, here }: { paint: CabinetPaint; here: boolean }) {
  const router = useRouter();
  const tube = { own: asTube(paint) };
  const { composition: c, touchDays } = paintFigures(paint);
  const { metals } = hazardOf(paint);
  const ml = Math.round(paint.left * paint.tubeMl);
  return (
    <ListRow
      href={cabinetPaintAddress(paint.id)}
      onGo={() => router.push(cabinetPaintAddress(paint.id))}
      label={`${paint.name}, ${tubeCodes(tube)}, ${ml} ml left: open`}
      here={here}
    >
      <TubeSwatch tube={tube} />
      <View style={{ flex: 1 }}>
        <Text strong>{paint.name}</Text>
        <Text size="small" tone="ink2">
          {`${tubeCodes(tube)}, in ${BINDERS[paint.binder].name}; ${Math.round(c.fatness * 100)} % ${paint.binder === 'acrylic' ? 'binder' : 'oil'}, dry in ${duration(touchDays)}`}
        </Text>
        {metals.length > 0 ? <Text size="small" strong>{`holds ${metals.join(', ')}`}</Text> : null}
      </View>
      <View style={styles.left}>
        <Text strong style={{ textAlign: 'right' }}>{`${ml} ml`}</Text>
        <View style={styles.tube}>
          <View style={[styles.full, { width: `${Math.min(LEFT_SHOWN, paint.left) * 100}%` }]} />
        </View>
      </View>
    </ListRow>
  );
}

export function MediumRow({ medium, here }: { medium: CabinetMedium; here: boolean }) {
  const router = useRouter();
  return (
    <ListRow
      href={cabinetMediumAddress(medium.id)}
      onGo={() => router.push(cabinetMediumAddress(medium.id))}
      label={`${medium.name}: open`}
      here={here}
    >
      <View style={{ flex: 1 }}>
        <Text strong>{medium.name}</Text>
        <Text size="small" tone="ink2">
          {mediumWords(medium)}
        </Text>
      </View>
    </ListRow>
  );
}

const styles = StyleSheet.create({
  swatch: { width: 34, height: 48, borderRadius: 4, borderWidth: 1, borderColor: colour.rule },
  left: { width: 74, gap: space.xs },
  tube: { height: 8, borderWidth: 1, borderColor: colour.ink2, borderRadius: 2 },
  full: { height: 6, backgroundColor: colour.ink2 },
});
