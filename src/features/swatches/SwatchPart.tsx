import { format } from 'date-fns/format';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  countingSwatch,
  putSwatch,
  withoutSwatch,
  type CabinetPaint,
  type Swatch,
} from '@/core/cabinet';
import { changeCabinet } from '@/store/actions';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import { laidWords } from './patch-drafts';
import { SwatchSheet } from './SwatchSheet';
import { useFit } from './useFit';

/** What the painter's own swatches say of a tube, beside what general data say; both are kept. */
export function SwatchPart({ paint }: { paint: CabinetPaint }) {
  const cabinet = useStoreSelector((s) => s.cabinet);
  const [reading, setReading] = useState(false);
  const swatches = useMemo(
    () =>
      (cabinet.swatches ?? [])
        .filter((s) => s.paintId === paint.id)
        .sort((a, b) => b.at.localeCompare(a.at)),
    [cabinet.swatches, paint.id],
  );
  const counts = countingSwatch(cabinet, paint.id);
  return (
    <View style={{ gap: space.s, marginTop: space.xl }}>
      <Heading>Its colour</Heading>
      <Text>
        {counts
          ? `By your swatches of ${format(new Date(counts.at), 'd MMMM yyyy')}.`
          : 'By general data for its pigment. Your tube may be half or double as strong.'}
      </Text>
      {swatches.map((swatch) => (
        <SwatchRow
          key={swatch.id}
          swatch={swatch}
          paint={paint}
          counts={counts?.id === swatch.id}
        />
      ))}
      <Action
        title={swatches.length === 0 ? 'Read my swatches' : 'Read new swatches'}
        style={{ alignSelf: 'flex-start' }}
        onPress={() => setReading(true)}
      />
      {reading ? <SwatchSheet paint={paint} onClose={() => setReading(false)} /> : null}
    </View>
  );
}

function SwatchRow({
  swatch,
  paint,
  counts,
}: {
  swatch: Swatch;
  paint: CabinetPaint;
  counts: boolean;
}) {
  const dispatch = useStoreDispatch();
  const { words } = useFit(paint, swatch.patches);
  const day = format(new Date(swatch.at), 'd MMM yyyy');
  const set = (used: boolean) =>
    dispatch(
      changeCabinet(
        `${used ? 'Went by' : 'Left'} the swatches of ${paint.name.toLowerCase()}`,
        (c) => putSwatch(c, { ...swatch, used }),
      ),
    );
  return (
    <View style={styles.row}>
      <Text strong>{`${day}${counts ? ', counts' : ''}`}</Text>
      <Text size="small" tone="ink2">
        {swatch.patches.map((p) => laidWords(p.laid)).join(', ')}
      </Text>
      {words.map((w) => (
        <Text key={w} size="small">
          {w}
        </Text>
      ))}
      <Text size="small" tone="ink2">
        {`Off by ${swatch.misfit.map((m) => m.toFixed(1)).join(', ')} steps; by general data alone ${swatch.tableMisfit.map((m) => m.toFixed(1)).join(', ')}.`}
      </Text>
      <View style={styles.do}>
        <Action
          title={swatch.used ? 'Go by the table' : 'Go by these'}
          kind="quiet"
          label={`${swatch.used ? 'Go by the table, not by the swatches of' : 'Go by these swatches of'} ${day}`}
          onPress={() => set(!swatch.used)}
        />
        <Action
          title="Take out"
          kind="quiet"
          label={`Take out the swatches of ${day}`}
          onPress={() =>
            dispatch(
              changeCabinet(`Took swatches of ${paint.name.toLowerCase()} out`, (c) =>
                withoutSwatch(c, swatch.id),
              ),
            )
          }
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    gap: 2,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  do: { flexDirection: 'row', gap: space.m },
});
