import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { useSwatches } from '@/store/hooks';
import { colour } from '@/ui/tokens';
import { tubeColours } from './colours';
import type { Tube } from '@/core/cabinet/tube-names';

/** A tube as it looks: squeezed out above, one part in nine of white below, for a transparent dark says nothing neat. */
export function TubeSwatch({ tube, width = 24 }: { tube: Tube; width?: number }) {
  const swatches = useSwatches();
  const [masstone, tint] = useMemo(() => tubeColours(tube, swatches), [tube, swatches]);
  return (
    <View style={[styles.swatch, { width }]} aria-hidden>
      <View style={{ flex: 3, backgroundColor: masstone }} />
      <View style={{ flex: 2, backgroundColor: tint }} />
    </View>
  );
}

const styles = StyleSheet.create({
  swatch: {
    height: 36,
    borderRadius: 3,
    borderWidth: 1,
    borderColor: colour.rule,
    overflow: 'hidden',
  },
});
