import { useState } from 'react';
import { View } from 'react-native';
import { asTube, pigmentRow } from '@/core/cabinet';
import { MIXED_TUBES, OTHER_NAMES } from '@/data/paint-names';
import { PIGMENT_ROWS } from '@/data/pigments';
import {
  tubeBinder,
  tubeCodes,
  tubeName,
  tubePigments,
  type Tube,
} from '@/core/cabinet/tube-names';
import { recentTubes, tubeId } from '@/features/tubes';
import { tubeColours } from './colours';
import { usePaintings, useStoreSelector, useSwatches } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Search } from '@/ui/Search';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { OwnPaint } from './OwnPaint';
import { PickerRow } from './PickerRow';

const DRIES: Record<string, string> = {
  'very-fast': 'dries very fast',
  fast: 'dries fast',
  medium: 'dries as most',
  slow: 'dries slowly',
  'very-slow': 'dries very slowly',
};

/** The table as tubes, ground in the binder that the mix has already. */
const tableTubes = (binder: Extract<Tube, { pigment: string }>['binder']): Tube[] =>
  PIGMENT_ROWS.map((row) => ({ pigment: row.key, binder }));

/** Mixed tubes of the trade as their pigments, in the binder of the mix. */
const mixedTubes = (binder: Extract<Tube, { pigment: string }>['binder']): Tube[] =>
  MIXED_TUBES.map(({ key, name, pigments }) => ({
    own: {
      id: `mixed-${key}`,
      name,
      pigments,
      binder,
      extenderShare: 0,
      oilWtPct: null,
      dryingFactor: null,
      makeUpUnknown: false,
    },
  }));

/** What can be found of a tube: its name, its Colour Index names, the names of its pigments. */
const wordsOf = (tube: Tube): string =>
  [
    tubeName(tube),
    tubeCodes(tube),
    ...tubePigments(tube).map((p) => pigmentRow(p.pigment)?.name ?? ''),
    ...('own' in tube ? [] : (OTHER_NAMES[tube.pigment] ?? [])),
  ]
    .join(' ')
    .toLowerCase();

function detail(tube: Tube): string {
  const rows = tubePigments(tube).map((p) => pigmentRow(p.pigment));
  const metals = [...new Set(rows.flatMap((r) => r?.metals ?? []))];
  const [row] = rows;
  const dries = rows.length === 1 && row ? `, ${row.transparency}, ${DRIES[row.drier_class]}` : '';
  return `${tubeCodes(tube)}${dries}, in ${tubeBinder(tube)}${metals.length > 0 ? `; holds ${metals.join(', ')}` : ''}`;
}

/** A paint: those used last, those of the cabinet, or any pigment of the table. */
export function PaintPicker({
  binder,
  onPick,
  onClose,
}: {
  /** What a pigment of the table is ground in when it is picked. */
  binder: Extract<Tube, { pigment: string }>['binder'];
  onPick: (tube: Tube) => void;
  onClose: () => void;
}) {
  const paintings = usePaintings();
  const paints = useStoreSelector((state) => state.cabinet.paints);
  const [search, setSearch] = useState('');
  const [making, setMaking] = useState(false);
  const swatches = useSwatches();
  const wanted = search.trim().toLowerCase();
  const matching = (tubes: Tube[]) => tubes.filter((t) => wordsOf(t).includes(wanted));
  const own = paints.filter((p) => !p.archived).map((p): Tube => ({ own: asTube(p) }));
  const lists = [
    { name: 'Used last', tubes: wanted === '' ? recentTubes(paintings) : [] },
    { name: 'In the cabinet', tubes: matching(own) },
    { name: 'Any pigment of the table', tubes: matching(tableTubes(binder)) },
    {
      name: 'Mixed tubes, by their usual make-up: see the label of yours',
      tubes: matching(mixedTubes(binder)),
    },
  ].filter((list) => list.tubes.length > 0);
  if (making)
    return (
      <Sheet name="A paint of your own" onClose={onClose}>
        <OwnPaint name={search.trim()} onMade={onPick} onBack={() => setMaking(false)} />
      </Sheet>
    );
  return (
    <Sheet name="Choose a paint" onClose={onClose}>
      <Search label="Name or Colour Index" value={search} onChangeText={setSearch} />
      {lists.map((list) => (
        <View key={list.name} role="group" aria-label={list.name} style={{ marginBottom: space.m }}>
          <Heading level={3}>{list.name}</Heading>
          {list.tubes.map((tube) => (
            <PickerRow
              key={tubeId(tube)}
              colours={tubeColours(tube, swatches)}
              name={tubeName(tube)}
              detail={detail(tube)}
              onPress={() => onPick(tube)}
            />
          ))}
        </View>
      ))}
      {lists.length === 0 ? <Text tone="ink2">{`No paint is called "${search}".`}</Text> : null}
      <Action
        title={search.trim() === '' ? 'Make my own' : `Make my own: ${search.trim()}`}
        onPress={() => setMaking(true)}
        style={{ alignSelf: 'flex-start' }}
      />
      <Action title="Cancel" kind="quiet" onPress={onClose} />
    </Sheet>
  );
}
