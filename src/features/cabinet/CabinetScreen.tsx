import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { asTube, hazardOf, type CabinetMedium, type CabinetPaint } from '@/core/cabinet';
import { BINDERS } from '@/data/binders';
import { cabinetMediumAddress, cabinetPaintAddress } from '@/features/addresses';
import { mediumWords } from '@/features/MediumPicker';
import { tubeCodes, tubeColour } from '@/features/tubes';
import { useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { GoTo } from '@/ui/GoTo';
import { Tick } from '@/ui/Tick';
import { Screen } from '@/ui/Screen';
import { Heading, Text } from '@/ui/Text';
import { duration } from '@/ui/time/words';
import { colour, space, TARGET, WIDE_FROM } from '@/ui/tokens';
import {
  foundMediums,
  foundPaints,
  ORDER_NAMES,
  ORDERS,
  paintFigures,
  type Order,
} from './cabinet-list';
import { CsvActions } from './CsvActions';
import { MediumRecipe, useMediumEdit } from './MediumEditor';
import { PaintFields, usePaintEdit } from './PaintEditor';

/** What is open beside, or instead of, the list. */
export type Chosen = { kind: 'paint' | 'medium'; id: string } | null;

/** The painter's own paints and mediums: a list, and on a wide screen the one in hand beside it. */
export function CabinetScreen({ chosen }: { chosen: Chosen }) {
  const wide = useWindowDimensions().width >= WIDE_FROM;
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
  const paints = foundPaints(cabinet.paints, search, order, archived);
  const mediums = foundMediums(cabinet.mediums, search, archived);
  const none = (kind === 'paint' ? paints : mediums).length === 0;
  return (
    <Screen
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
    >
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
      <Field label="Find by name, code, pigment or metal" value={search} onChangeText={setSearch} />
      <Arrange
        kind={kind}
        order={order}
        onOrder={setOrder}
        archived={archived}
        onArchived={() => setArchived(!archived)}
      />
      <View role="list" aria-label={kind === 'paint' ? 'Paints' : 'Mediums'}>
        {kind === 'paint'
          ? paints.map((p) => <PaintRow key={p.id} paint={p} here={p.id === chosen?.id} />)
          : mediums.map((m) => <MediumRow key={m.id} medium={m} here={m.id === chosen?.id} />)}
      </View>
      {none ? (
        <Text tone="ink2">
          {search.trim() === ''
            ? archived
              ? 'Nothing is archived.'
              : 'Nothing here yet.'
            : `Nothing answers to "${search.trim()}".`}
        </Text>
      ) : null}
      {kind === 'paint' ? (
        <View style={{ marginTop: space.xl }}>
          <CsvActions />
        </View>
      ) : null}
    </Screen>
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

const LEFT_SHOWN = 1;

function PaintRow({ paint, here }: { paint: CabinetPaint; here: boolean }) {
  const router = useRouter();
  const tube = { own: asTube(paint) };
  const { composition: c, touchDays } = paintFigures(paint);
  const { metals } = hazardOf(paint);
  const ml = Math.round(paint.left * paint.tubeMl);
  return (
    <View role="listitem">
      <GoTo
        href={cabinetPaintAddress(paint.id)}
        onGo={() => router.push(cabinetPaintAddress(paint.id))}
        label={`${paint.name}, ${tubeCodes(tube)}, ${ml} ml left: open`}
        style={[styles.row, here && styles.here]}
      >
        <View style={[styles.swatch, { backgroundColor: tubeColour(tube) }]} />
        <View style={{ flex: 1 }}>
          <Text strong>{paint.name}</Text>
          <Text size="small" tone="ink2">
            {`${tubeCodes(tube)}, in ${BINDERS[paint.binder].name}; ${Math.round(c.fatness * 100)} % ${paint.binder === 'acrylic' ? 'binder' : 'oil'}, dry in ${duration(touchDays)}`}
          </Text>
          {metals.length > 0 ? (
            <Text size="small" strong>{`holds ${metals.join(', ')}`}</Text>
          ) : null}
        </View>
        <View style={styles.left}>
          <Text strong style={{ textAlign: 'right' }}>{`${ml} ml`}</Text>
          <View style={styles.tube}>
            <View style={[styles.full, { width: `${Math.min(LEFT_SHOWN, paint.left) * 100}%` }]} />
          </View>
        </View>
      </GoTo>
    </View>
  );
}

function MediumRow({ medium, here }: { medium: CabinetMedium; here: boolean }) {
  const router = useRouter();
  return (
    <View role="listitem">
      <GoTo
        href={cabinetMediumAddress(medium.id)}
        onGo={() => router.push(cabinetMediumAddress(medium.id))}
        label={`${medium.name}: open`}
        style={[styles.row, here && styles.here]}
      >
        <View style={{ flex: 1 }}>
          <Text strong>{medium.name}</Text>
          <Text size="small" tone="ink2">
            {mediumWords(medium)}
          </Text>
        </View>
      </GoTo>
    </View>
  );
}

/** The one in hand; one that is not there is said so. */
function Editor({ chosen }: { chosen: NonNullable<Chosen> }) {
  const cabinet = useStoreSelector((state) => state.cabinet);
  const isNew = chosen.id === 'new';
  if (chosen.kind === 'paint') {
    const paint = cabinet.paints.find((p) => p.id === chosen.id) ?? null;
    return !paint && !isNew ? <Gone what="That paint" /> : <PaintPage paint={paint} />;
  }
  const medium = cabinet.mediums.find((m) => m.id === chosen.id) ?? null;
  return !medium && !isNew ? <Gone what="That medium" /> : <MediumPage medium={medium} />;
}

function Gone({ what }: { what: string }) {
  return (
    <View style={{ padding: space.huge }}>
      <Heading>{`${what} is not in the cabinet`}</Heading>
      <Text tone="ink2">
        It may have been made in another browser. Import the studio to have it.
      </Text>
    </View>
  );
}

function useBack() {
  const router = useRouter();
  return () => router.navigate('/cabinet');
}

function PaintPage({ paint }: { paint: CabinetPaint | null }) {
  const back = useBack();
  const edit = usePaintEdit(paint, back);
  return (
    <Screen
      title={paint?.name ?? 'A new paint'}
      onBack={back}
      foot={
        <Foot
          onKeep={edit.keep}
          disabled={!edit.checked.paint}
          archive={paint ? { on: paint.archived, press: edit.archive } : null}
        />
      }
    >
      <PaintFields edit={edit} />
    </Screen>
  );
}

function MediumPage({ medium }: { medium: CabinetMedium | null }) {
  const back = useBack();
  const edit = useMediumEdit(medium, back);
  return (
    <Screen
      title={medium?.name ?? 'A new medium'}
      onBack={back}
      foot={
        <Foot
          onKeep={edit.keep}
          disabled={!edit.checked.medium}
          archive={medium ? { on: medium.archived, press: edit.archive } : null}
        />
      }
    >
      <MediumRecipe edit={edit} />
    </Screen>
  );
}

function Foot({
  onKeep,
  disabled,
  archive,
}: {
  onKeep: () => void;
  disabled: boolean;
  archive: { on: boolean; press: () => void } | null;
}) {
  return (
    <View style={styles.foot}>
      {archive ? (
        <Action title={archive.on ? 'Back into use' : 'Archive'} onPress={archive.press} />
      ) : null}
      <Action
        title="Keep"
        kind="primary"
        onPress={onKeep}
        disabled={disabled}
        style={{ flexGrow: 1 }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { width: 460, borderRightWidth: 1, borderRightColor: colour.rule },
  panel: { flex: 1, backgroundColor: colour.sheet },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET,
    paddingVertical: space.s,
    paddingHorizontal: space.xs,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  here: { backgroundColor: colour.sheet },
  swatch: { width: 34, height: 48, borderRadius: 4, borderWidth: 1, borderColor: colour.rule },
  left: { width: 74, gap: space.xs },
  tube: { height: 8, borderWidth: 1, borderColor: colour.ink2, borderRadius: 2 },
  full: { height: 6, backgroundColor: colour.ink2 },
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
