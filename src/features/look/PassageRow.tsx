import { StyleSheet, View } from 'react-native';
import { LOOKING } from '@/data/looking';
import { intentOf, lookingOf, putIntent } from '@/core/looking/edit';
import type { PassageTold } from '@/core/looking/tell';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import type { LookReply } from '@/workers/looking-protocol';
import { Spread } from './Spread';

const SPREAD_WIDTH = 150;

/** One passage: what is said of it, how its lightness is spread, whether it is meant so, whether it grades. */
export function PassageRow({
  painting,
  told,
  level,
  colour: said,
  spread,
}: {
  painting: Painting;
  told: PassageTold;
  level: 'order' | 'relative' | 'steps';
  /** How its colour parts from the design; null where it does not. */
  colour: string | null;
  spread: LookReply['histograms'][number] | undefined;
}) {
  const dispatch = useStoreDispatch();
  const { departs, graded = false } = intentOf(lookingOf(painting), told.id);
  const set = (next: number | 'free' | null, label: string) =>
    dispatch(
      changePainting(painting.id, label, (p) => putIntent(p, { id: told.id, departs: next })),
    );
  const figure = (L: number) => (L / 10).toFixed(1);
  return (
    <View style={styles.row}>
      <View style={styles.line}>
        <View style={{ flex: 1 }}>
          <Text strong>{told.name}</Text>
          <Text size="small" tone={told.byL === null ? 'ink2' : 'tawny'}>
            {told.words}
          </Text>
          {said ? (
            <Text size="small" tone="ink2">{`${said} in colour than in the design`}</Text>
          ) : null}
          {level === 'steps' && told.designL !== null ? (
            <Text size="small" tone="ink2">
              {`value ${figure(told.designL)} in the design, ${figure(told.workL)} ±${figure(LOOKING.sure * told.sigmaL)} here`}
            </Text>
          ) : null}
        </View>
        {spread ? <Spread name={told.name} {...spread} width={SPREAD_WIDTH} /> : null}
      </View>
      <View style={styles.do}>
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
            {told.designL !== null ? (
              <Action
                title="Leave free"
                kind="quiet"
                label={`Leave free: ${told.name}`}
                onPress={() => set('free', `Left ${told.name} free`)}
              />
            ) : null}
          </>
        )}
        <Action
          title={graded ? 'It is one tone' : 'It grades'}
          kind="quiet"
          label={graded ? `It is one tone: ${told.name}` : `It grades: ${told.name}`}
          onPress={() =>
            dispatch(
              changePainting(
                painting.id,
                graded ? `Meant ${told.name} as one tone` : `Meant ${told.name} to grade`,
                (p) => putIntent(p, { id: told.id, graded: graded ? undefined : true }),
              ),
            )
          }
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { paddingVertical: space.s, borderBottomWidth: 1, borderBottomColor: colour.rule },
  line: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  do: { flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'flex-end' },
});
