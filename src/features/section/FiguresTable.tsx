import { useState } from 'react';
import { View } from 'react-native';
import type { Layer } from '@/core/painting';
import { isBroken } from '@/core/tell';
import { Action } from '@/ui/Action';
import { Table, type Column, type TableRow } from '@/ui/Table';
import { Text } from '@/ui/Text';
import { duration, shortTime } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import type { SectionView } from './useSectionView';

/** The figures of every film of the section, one tap away. */
export function FiguresTable({ view }: { view: SectionView }) {
  const [open, setOpen] = useState(false);
  const { painting, stack, nowMs } = view;
  if (!open)
    return <Action title="Figures" onPress={() => setOpen(true)} style={{ marginTop: space.m }} />;
  const total = stack.layers.reduce((s, l) => s + l.thicknessUm, 0);
  return (
    <View style={{ marginTop: space.l }}>
      <Table
        name="Figures of the films"
        columns={COLUMNS}
        rows={[...stack.layers]
          .reverse()
          .map((layer) => figureRow(layer, isBroken(layer, painting.school), nowMs))}
        rowHeads
      />
      <Text size="small" tone="ink2" style={{ marginTop: space.s }}>
        {`${Math.round(total)} µm in all. Binder: oil, resin or acrylic in the dry film, % by volume. Load: pigment against what the binder can hold; above 1 the film has pores and looks chalky. Added: oil, varnish and alkyd per volume of tube paint.`}
      </Text>
    </View>
  );
}

const NARROW = 40;
const COLUMNS: Column[] = [
  { head: 'film, top first' },
  { head: 'µm', width: NARROW },
  { head: 'binder', width: 48 },
  { head: 'load', width: NARROW },
  { head: 'added', width: NARROW },
  { head: 'dry in / laid', width: 74 },
];

function figureRow(layer: Layer, broken: boolean, nowMs: number): TableRow {
  const { composition: c, film } = layer;
  return {
    key: film.key,
    cells: [
      { words: film.name, strong: broken, tone: broken ? 'brick' : 'ink' },
      layer.thicknessUm < 10 ? layer.thicknessUm.toFixed(1) : String(Math.round(layer.thicknessUm)),
      // A drawing or a varnish is no film that is mixed.
      film.asLaid.material === null ? String(Math.round(c.fatness * 100)) : '–',
      c.reducedPvc === null ? '–' : c.reducedPvc.toFixed(2),
      c.addedOilRatio === null ? '–' : c.addedOilRatio.toFixed(2),
      {
        words:
          film.laidAtMs === null
            ? duration(layer.times.touch.median)
            : shortTime(film.laidAtMs, nowMs),
        tone: 'ink2',
      },
    ],
  };
}
