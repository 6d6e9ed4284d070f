import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import type { CabinetMedium, CabinetPaint } from '@/core/cabinet';
import { useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Screen } from '@/ui/Screen';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import { SwatchPart } from '@/features/lazy';
import { MediumRecipe, useMediumEdit } from './MediumEditor';
import { PaintFields, usePaintEdit } from './PaintEditor';

/** What is open beside, or instead of, the list. */
export type Chosen = { kind: 'paint' | 'medium'; id: string } | null;

/** The one in hand; one that is not there is said so. */
export function Editor({ chosen }: { chosen: NonNullable<Chosen> }) {
  const cabinet = useStoreSelector((state) => state.cabinet);
  const isNew = chosen.id === 'new';
  if (chosen.kind === 'paint') {
    const paint = cabinet.paints.find((p) => p.id === chosen.id) ?? null;
    return !paint && !isNew ? (
      <Gone what="That paint" />
    ) : (
      <PaintPage key={chosen.id} paint={paint} />
    );
  }
  const medium = cabinet.mediums.find((m) => m.id === chosen.id) ?? null;
  return !medium && !isNew ? (
    <Gone what="That medium" />
  ) : (
    <MediumPage key={chosen.id} medium={medium} />
  );
}

function Gone({ what }: { what: string }) {
  return (
    <Screen title={`${what} is not in the cabinet`} onBack={useBack()}>
      <Text tone="ink2">
        It may have been taken out, or made in another browser. Import the studio to have it.
      </Text>
    </Screen>
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
          disabled={!edit.form.value}
          archive={paint ? { on: paint.archived, press: edit.archive } : null}
        />
      }
    >
      <PaintFields edit={edit} />
      {paint ? <SwatchPart paint={paint} /> : null}
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
          disabled={!edit.form.value}
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
