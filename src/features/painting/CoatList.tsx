import { chevronRightIcon } from '@/ui/desk-icons';
import { useRouter } from 'expo-router';
import { coatAddress } from '@/features/addresses';
import { StyleSheet, View } from 'react-native';
import { isBegun, unlaidPassages, type Coat, type Painting } from '@/core/painting';
import { moveCoatTo } from '@/core/painting/coats';
import { changePainting } from '@/store/actions';
import { recipeColour } from '@/features/colours';
import { useStoreDispatch, useSwatches } from '@/store/hooks';
import { Reorder } from '@/ui/Reorder';
import { Action } from '@/ui/Action';
import { Icon } from '@/ui/Icon';
import { GoTo } from '@/ui/GoTo';
import { Heading, Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';

/** The plan: every coat, lowest first, with where it still has to go. */
export function CoatList({ painting }: { painting: Painting }) {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  return (
    <View style={{ marginBottom: space.huge }}>
      <Heading style={{ marginBottom: space.s }}>Coats, in order</Heading>
      <Reorder
        rows={painting.coats}
        keyOf={(coat) => coat.id}
        nameOf={(coat) => coat.name}
        row={(coat) => <CoatRow painting={painting} coat={coat} />}
        onMove={(from, to) =>
          dispatch(
            changePainting(
              painting.id,
              `Moved ${painting.coats[from]!.name.toLowerCase()}`,
              (p, m) => moveCoatTo(p, painting.coats[from]!.id, to, m),
            ),
          )
        }
      />
      <Action
        title="Add a coat"
        style={{ marginTop: space.m, alignSelf: 'flex-start' }}
        onPress={() =>
          router.push({
            pathname: '/paintings/[id]/coats/[coatId]',
            params: { id: painting.id, coatId: 'new' },
          })
        }
      />
    </View>
  );
}

function CoatRow({ painting, coat }: { painting: Painting; coat: Coat }) {
  const swatches = useSwatches();
  const router = useRouter();
  const unlaid = unlaidPassages(painting, coat);
  const names = (ids: string[]) =>
    painting.passages
      .filter((p) => ids.includes(p.id))
      .map((p) => p.name)
      .join(', ');
  const where =
    coat.passageIds.length === painting.passages.length
      ? 'the whole surface'
      : names(coat.passageIds);
  const status =
    unlaid.length === 0
      ? 'laid'
      : unlaid.length === coat.passageIds.length &&
          !unlaid.some((id) => isBegun(painting, coat, id))
        ? 'planned'
        : unlaid.some((id) => isBegun(painting, coat, id))
          ? `begun, the rest still on ${names(unlaid)}`
          : `still on ${names(unlaid)}`;
  return (
    <GoTo
      href={coatAddress(painting.id, coat.id)}
      onGo={() => router.push(coatAddress(painting.id, coat.id))}
      label={`${coat.name}, ${where}, ${status}: edit`}
      style={styles.row}
    >
      <View style={[styles.swatch, { backgroundColor: recipeColour(coat.recipe, swatches) }]} />
      <View style={{ flex: 1 }}>
        <Text strong>{coat.name}</Text>
        <Text size="small" tone="ink2">
          {`${where}${coat.spot ? `, ${coat.spot.name}` : ''}; ${status}`}
        </Text>
      </View>
      <Icon path={chevronRightIcon} tint={colour.ink2} />
    </GoTo>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingVertical: space.s,
    minHeight: TARGET,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  swatch: { width: 24, height: 32, borderRadius: 3, borderWidth: 1, borderColor: colour.rule },
});
