import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { unlaidPassages, type Painting } from '@/core/painting';
import { moveCoat, removeCoat, splitCoat } from '@/core/painting/coats';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Heading } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

/** Earlier, later, another like it, or out of the plan. */
export function PlanActions({
  painting,
  coatId,
  onBefore,
  onGone,
}: {
  painting: Painting;
  coatId: string;
  /** Keeps what was edited; false where it cannot be kept yet. */
  onBefore: () => boolean;
  onGone: () => void;
}) {
  const dispatch = useStoreDispatch();
  const coat = painting.coats.find((c) => c.id === coatId);
  const several = coat !== undefined && unlaidPassages(painting, coat).length > 1;
  const router = useRouter();
  const move = (by: -1 | 1) =>
    dispatch(
      changePainting(
        painting.id,
        by === 1 ? 'Moved a coat later' : 'Moved a coat earlier',
        (p, making) => moveCoat(p, coatId, by, making),
      ),
    );
  const remove = () => {
    dispatch(
      changePainting(painting.id, 'Took a coat out of the plan', (p, making) =>
        removeCoat(p, coatId, making),
      ),
    );
    onGone();
  };
  return (
    <View
      style={{ gap: space.s, borderTopWidth: 1, borderTopColor: colour.rule, paddingTop: space.l }}
    >
      <Heading>In the plan</Heading>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action title="Earlier" onPress={() => move(-1)} />
        <Action title="Later" onPress={() => move(1)} />
        <Action
          title="Another like it"
          onPress={() => {
            if (!onBefore()) return;
            router.replace({
              pathname: '/paintings/[id]/coats/[coatId]',
              params: { id: painting.id, coatId: 'new', after: coatId },
            });
          }}
        />
        {several ? (
          <Action
            title="One for each passage"
            onPress={() =>
              dispatch(
                changePainting(painting.id, 'Split a coat by passage', (p, making) =>
                  splitCoat(p, coatId, making),
                ),
              )
            }
          />
        ) : null}
        <Action title="Out of the plan" kind="danger" onPress={remove} />
      </View>
    </View>
  );
}
