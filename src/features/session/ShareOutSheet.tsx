import { View } from 'react-native';
import { shareOut, type Session, type Work } from '@/core/session';
import { useNumberText } from '@/forms';
import { changeSession } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

const STEP = 15;
const LEAST = 1;
const MOST = 24 * 60;

/** The time of the session, shared out over its works by the painter. */
export function ShareOutSheet({ session, onClose }: { session: Session; onClose: () => void }) {
  const works = session.works.filter((w) => !w.done);
  const given = works.reduce((sum, w) => sum + (w.plannedMinutes ?? 0), 0);
  const spare = session.boxMinutes === null ? null : session.boxMinutes - given;
  return (
    <Sheet name="Share out the time" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>Share out the time</Heading>
        {works.map((work) => (
          <Minutes key={work.id} session={session} work={work} />
        ))}
        {works.length === 0 ? <Text tone="ink2">Nothing is left to work on.</Text> : null}
        {spare !== null ? (
          <Text tone={spare < 0 ? 'brick' : 'ink2'}>
            {spare < 0
              ? `${-spare} min more than there are.`
              : `${spare} min are left, cleaning included.`}
          </Text>
        ) : null}
        <Action title="Done" kind="primary" onPress={onClose} />
      </View>
    </Sheet>
  );
}

function Minutes({ session, work }: { session: Session; work: Work }) {
  const dispatch = useStoreDispatch();
  const text = useNumberText(work.plannedMinutes ?? STEP, (value) => {
    if (!(value >= LEAST && value <= MOST)) return 'Between 1 minute and a day.';
    dispatch(
      changeSession(session.id, `${work.name}: ${value} min`, (s) =>
        shareOut(s, work.id, Math.round(value)),
      ),
    );
    return null;
  });
  return <Stepper label={work.name} unit="min" step={STEP} min={LEAST} max={MOST} {...text} />;
}
