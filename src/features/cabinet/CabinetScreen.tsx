import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CabinetMedium, CabinetPaint } from '@/core/cabinet';
import { cabinetMediumAddress, cabinetPaintAddress } from '@/features/addresses';
import { usePaintsNow } from '@/features/usePaintsNow';
import { useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Search } from '@/ui/Search';
import { Tick } from '@/ui/Tick';
import { ListScreen } from '@/ui/ListScreen';
import { Heading, Text } from '@/ui/Text';
import { useWide } from '@/ui/Split';
import { colour, space } from '@/ui/tokens';
import { foundMediums, foundPaints, ORDER_NAMES, ORDERS, type Order } from './cabinet-list';
import { CsvActions } from './CsvActions';
import { Editor, type Chosen } from './CabinetPages';
import { MediumRow, PaintRow } from './CabinetRows';

/** The painter's own paints and mediums: a list, and on a wide screen the one in hand beside it. */
export function CabinetScreen({ chosen }: { chosen: Chosen }) {
  const wide = useWide();
  if (!wide) return chosen ? <Editor key={chosen.id} chosen={chosen} /> : <List chosen={null} />;
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={styles.list}>
        <List chosen={chosen} />
      </View>
      <View style={styles.panel}>
        {chosen ? (
          <Editor key={chosen.id} chosen={chosen} />
        ) : (
          <View style={{ padding: space.huge }}>
            <Heading>Take one out to look at it</Heading>
            <Text tone="ink2">
              A paint shows what it is made of, how it dries and what to heed; a medium what stays
              of it.
            </Text>
          </View>
        )}
      </View>
    </View>
  );
}

function List({ chosen }: { chosen: Chosen }) {
  const router = useRouter();
  const cabinet = useStoreSelector((state) => state.cabinet);
  const [kind, setKind] = useState<'paint' | 'medium'>(chosen?.kind ?? 'paint');
  const [search, setSearch] = useState('');
  const [order, setOrder] = useState<Order>('name');
  const [archived, setArchived] = useState(false);
  const paints = foundPaints(usePaintsNow(), search, order, archived);
  const mediums = foundMediums(cabinet.mediums, search, archived);
  const none = (kind === 'paint' ? paints : mediums).length === 0;
  return (
    <ListScreen<CabinetPaint | CabinetMedium>
      title="Cabinet"
      subtitle="Your own paints and mediums"
      foot={
        <View style={styles.foot}>
          <Action
            title={kind === 'paint' ? 'A new paint' : 'A new medium'}
            kind="primary"
            onPress={() =>
              router.push(
                kind === 'paint' ? cabinetPaintAddress('new') : cabinetMediumAddress('new'),
              )
            }
            style={{ flexGrow: 1 }}
          />
        </View>
      }
      rows={kind === 'paint' ? paints : mediums}
      keyOf={(entry) => entry.id}
      row={(entry) =>
        kind === 'paint' ? (
          <PaintRow paint={entry as CabinetPaint} here={entry.id === chosen?.id} />
        ) : (
          <MediumRow medium={entry as CabinetMedium} here={entry.id === chosen?.id} />
        )
      }
      above={
        <>
          <Choice
            label="What to look at"
            hideLabel
            options={[
              { key: 'paint', name: 'paints' },
              { key: 'medium', name: 'mediums' },
            ]}
            value={kind}
            onChange={setKind}
          />
          <Search
            label="Find by name, code, pigment or metal"
            value={search}
            onChangeText={setSearch}
          />
          <Arrange
            kind={kind}
            order={order}
            onOrder={setOrder}
            archived={archived}
            onArchived={() => setArchived(!archived)}
          />
        </>
      }
      below={
        <>
          {none ? (
            <Text tone="ink2">
              {search.trim() === ''
                ? archived
                  ? 'Nothing is archived.'
                  : 'Nothing here yet.'
                : `Nothing answers to "${search.trim()}".`}
            </Text>
          ) : null}
          <View style={{ marginTop: space.xl }}>
            <CsvActions key={kind} kind={kind} />
          </View>
        </>
      }
    />
  );
}

/** How the list is put in order, folded away until it is wanted. */
function Arrange({
  kind,
  order,
  onOrder,
  archived,
  onArchived,
}: {
  kind: 'paint' | 'medium';
  order: Order;
  onOrder: (order: Order) => void;
  archived: boolean;
  onArchived: () => void;
}) {
  const [open, setOpen] = useState(false);
  const now = [kind === 'paint' ? ORDER_NAMES[order] : 'by name', archived ? 'archived' : null]
    .filter((x) => x !== null)
    .join(', ');
  if (!open)
    return (
      <Action
        title={`Shown ${now}`}
        kind="quiet"
        onPress={() => setOpen(true)}
        style={{ alignSelf: 'flex-start' }}
      />
    );
  return (
    <View>
      {kind === 'paint' ? (
        <Choice
          label="In order"
          options={ORDERS.map((key) => ({ key, name: ORDER_NAMES[key] }))}
          value={order}
          onChange={onOrder}
        />
      ) : null}
      <Tick title="What is archived" checked={archived} onPress={onArchived} />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { width: 460, borderRightWidth: 1, borderRightColor: colour.rule },
  panel: { flex: 1, backgroundColor: colour.sheet },
  foot: {
    flexDirection: 'row',
    gap: space.m,
    padding: space.m,
    paddingHorizontal: space.xl,
    backgroundColor: colour.sheet,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
  },
});
