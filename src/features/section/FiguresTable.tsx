import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Layer } from '@/core/painting';
import { isBroken } from '@/core/tell';
import { Action } from '@/ui/Action';
import { Text } from '@/ui/Text';
import { duration, shortTime } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import type { SectionView } from './useSectionView';

/** The figures of every film of the section, one tap away. */
export function FiguresTable({ view }: { view: SectionView }) {
  const [open, setOpen] = useState(false);
  const { painting, stack, nowMs } = view;
  if (!open)
    return <Action title="Figures" onPress={() => setOpen(true)} style={{ marginTop: space.m }} />;
  const total = stack.layers.reduce((s, l) => s + l.thicknessUm, 0);
  return (
    <View role="table" aria-label="Figures of the films" style={{ marginTop: space.l }}>
      <View role="row" style={styles.row}>
        <Head flex>film, top first</Head>
        <Head>µm</Head>
        <Head>% oil</Head>
        <Head>Λ</Head>
        <Head>added</Head>
        <Head wide>dry in / laid</Head>
      </View>
      {[...stack.layers].reverse().map((layer) => (
        <FigureRow
          key={layer.film.key}
          layer={layer}
          broken={isBroken(layer, painting.school)}
          nowMs={nowMs}
        />
      ))}
      <Text size="small" tone="ink2" style={{ marginTop: space.s }}>
        {`${Math.round(total)} µm in all. % oil: binder in the dry film by volume. Λ: pigment over what the binder can hold; above 1 the film has pores. Added: oil, varnish and alkyd per volume of tube paint.`}
      </Text>
    </View>
  );
}

function FigureRow({ layer, broken, nowMs }: { layer: Layer; broken: boolean; nowMs: number }) {
  const { composition: c, film } = layer;
  const cells = [
    layer.thicknessUm < 10 ? layer.thicknessUm.toFixed(1) : String(Math.round(layer.thicknessUm)),
    String(Math.round(c.fatness * 100)),
    c.reducedPvc === null ? '–' : c.reducedPvc.toFixed(2),
    c.addedOilRatio === null ? '–' : c.addedOilRatio.toFixed(2),
  ];
  return (
    <View role="row" style={styles.row}>
      <Text
        role="cell"
        size="small"
        strong={broken}
        tone={broken ? 'brick' : 'ink'}
        style={{ flex: 1 }}
      >
        {film.name}
      </Text>
      {cells.map((cell, i) => (
        <Text role="cell" key={i} size="small" style={styles.cell}>
          {cell}
        </Text>
      ))}
      <Text role="cell" size="small" tone="ink2" style={[styles.cell, styles.wide]}>
        {film.laidAtMs === null
          ? duration(layer.times.touch.median)
          : shortTime(film.laidAtMs, nowMs)}
      </Text>
    </View>
  );
}

function Head({
  children,
  flex = false,
  wide = false,
}: {
  children: string;
  flex?: boolean;
  wide?: boolean;
}) {
  return (
    <Text
      role="columnheader"
      size="small"
      tone="ink2"
      style={flex ? { flex: 1 } : [styles.cell, wide && styles.wide]}
    >
      {children}
    </Text>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    gap: space.xs,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  cell: { width: 42, textAlign: 'right' },
  wide: { width: 74 },
});
