import { StyleSheet, View } from 'react-native';
import { isRunning, takeUp, type Session, type Work } from '@/core/session';
import { changeSession } from '@/store/actions';
import { usePainting, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import { timer } from './useSession';
import { laidPart } from './useWork';

const ALL = 0.999;

/** One work of a session: what it is, how long it has had, how much of it lies there, and what to do with it. */
export function WorkRow({
  session,
  work,
  number,
  worked,
  left,
  onFinish,
  onPutDown,
}: {
  session: Session;
  work: Work;
  number: number;
  worked: number;
  left: number | null;
  onFinish: (work: Work) => void;
  onPutDown: (work: Work) => void;
}) {
  const dispatch = useStoreDispatch();
  const painting = usePainting(work.paintingId);
  const coat = painting?.coats.find((c) => c.id === work.coatId);
  const now = isRunning(work);
  const names = painting?.passages
    .filter((p) => work.passageIds.includes(p.id))
    .map((p) => p.name)
    .join(', ');
  const spot = coat?.spot?.name;
  const said = spot?.toLowerCase() === work.name.toLowerCase() ? undefined : spot;
  const where = [names, said].filter(Boolean).join(', ');
  const laid = painting && coat ? laidPart(painting, coat, work.passageIds) : 0;
  const state = work.done
    ? 'done'
    : now
      ? 'now'
      : laid > 0 && laid < ALL
        ? `${Math.round(laid * 100)} % laid`
        : worked > 0
          ? 'put down'
          : 'planned';
  return (
    <View style={styles.row} role="listitem">
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.m }}>
        <View style={[styles.number, (now || work.done) && { backgroundColor: colour.tawny }]}>
          <Text strong size="small" tone={now || work.done ? 'onTawny' : 'ink2'}>
            {String(number)}
          </Text>
        </View>
        <View style={{ flex: 1 }}>
          <Text>
            <Text strong>{work.name}</Text>
            {where ? ` ${where}` : ''}
          </Text>
          <Text size="small" tone="ink2">
            {painting?.title ?? 'a painting that is gone'}
          </Text>
        </View>
        <View style={{ alignItems: 'flex-end' }}>
          <Text strong tone={now ? 'tawny' : 'ink'}>
            {timer(worked)}
          </Text>
          <Text size="small" tone={now ? 'tawny' : 'ink2'}>
            {now && left !== null
              ? left >= 0
                ? `${timer(left)} left`
                : `${timer(-left)} over`
              : state}
          </Text>
        </View>
      </View>
      {session.endedAt === null ? (
        <View
          style={{
            flexDirection: 'row',
            gap: space.s,
            justifyContent: 'flex-end',
            flexWrap: 'wrap',
          }}
        >
          {now ? (
            <Action title="Put down" kind="quiet" onPress={() => onPutDown(work)} />
          ) : (
            <Action
              title={work.done ? 'Take up again' : 'Take up'}
              kind="quiet"
              onPress={() =>
                dispatch(
                  changeSession(session.id, `Took up ${work.name.toLowerCase()}`, (s, m) =>
                    takeUp(s, work.id, m),
                  ),
                )
              }
            />
          )}
          {now ? (
            <Action
              title={work.coatId ? 'Laid, done' : 'Done'}
              kind="primary"
              onPress={() => onFinish(work)}
            />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1, borderBottomColor: colour.rule, paddingVertical: space.s },
  number: {
    width: 30,
    height: 30,
    borderRadius: 15,
    borderWidth: 1.5,
    borderColor: colour.tawny,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
