import { StyleSheet, View } from 'react-native';
import { LOOKING } from '@/data/looking';
import { lookingOf, putIntent } from '@/core/looking/edit';
import type { PassageTold } from '@/core/looking/tell';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

/** One passage: what is said of it, and whether it is meant so. */
export function PassageRow({
  painting,
  told,
  level,
}: {
  painting: Painting;
  told: PassageTold;
  level: 'order' | 'relative' | 'steps';
}) {
  const dispatch = useStoreDispatch();
  const intent = lookingOf(painting).intents.find((i) => i.id === told.id);
  const departs = intent?.departs ?? null;
  const set = (next: number | 'free' | null, label: string) =>
    dispatch(
      changePainting(painting.id, label, (p) =>
        putIntent(p, { id: told.id, departs: next, why: intent?.why ?? '' }),
      ),
    );
  const figure = (L: number) => (L / 10).toFixed(1);
  return (
    <View style={styles.row}>
      <View style={{ flex: 1 }}>
        <Text strong>{told.name}</Text>
        <Text size="small" tone={told.byL === null ? 'ink2' : 'tawny'}>
          {told.words}
        </Text>
        {level === 'steps' ? (
          <Text size="small" tone="ink2">
            {`value ${figure(told.designL!)} in the design, ${figure(told.workL)} ±${figure(LOOKING.sure * told.sigmaL)} here`}
          </Text>
        ) : null}
      </View>
      {departs !== null ? (
        <Action
          title="As in the design"
          kind="quiet"
          label={`As in the design: ${told.name}`}
          onPress={() => set(null, `Meant ${told.name} as in the design`)}
        />
      ) : (
        <>
          {told.byL !== null ? (
            <Action
              title="Meant so"
              kind="quiet"
              label={`Meant so: ${told.name}`}
              onPress={() =>
                set(
                  Math.max(-100, Math.min(100, Math.round(told.meantL!))),
                  `Meant ${told.name} so`,
                )
              }
            />
          ) : null}
          <Action
            title="Leave free"
            kind="quiet"
            label={`Leave free: ${told.name}`}
            onPress={() => set('free', `Left ${told.name} free`)}
          />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
});
