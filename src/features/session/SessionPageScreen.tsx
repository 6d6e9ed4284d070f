import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import {
  editSession,
  pausedMinutes,
  REACHED,
  removeWork,
  sessionMinutes,
  workedMinutes,
  type Session,
} from '@/core/session';
import { airAddress } from '@/features/addresses';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { useLiveForm } from '@/forms';
import { changeSession, removeSession } from '@/store/actions';
import { useNow, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { Field } from '@/ui/Field';
import { Screen } from '@/ui/Screen';
import { Heading, Text } from '@/ui/Text';
import { TakeOut } from '@/ui/TakeOut';
import { longDay, clock } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { correctionSchema } from './correction';
import { PhotoPart } from './PhotoPart';
import { timer } from './useSession';

function subtitleOf(session: Session, nowMs: number): string {
  const { startedAt, endedAt, pauses } = session;
  const when = `${clock(Date.parse(startedAt))}${endedAt ? ` to ${clock(Date.parse(endedAt))}` : ', running'}`;
  const times = pauses.length === 1 ? 'once' : `${pauses.length} times`;
  const broken =
    pauses.length === 0 ? '' : `, interrupted ${times} for ${timer(pausedMinutes(session, nowMs))}`;
  return `${when}; ${timer(sessionMinutes(session, nowMs))} h at work${broken}`;
}

/** One session of the log, to be read and corrected. */
export function SessionPageScreen({ id }: { id: string }) {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  const session = useStoreSelector((s) => s.sessions.entities[id]);
  const nowMs = useNow();
  if (!session) return <NotHereScreen what="That session" />;
  const mixes = session.palette;
  return (
    <Screen
      title={longDay(Date.parse(session.startedAt))}
      subtitle={subtitleOf(session, nowMs)}
      onBack={() => router.navigate('/log')}
    >
      <View style={{ gap: space.xl }}>
        <Works session={session} nowMs={nowMs} />
        {mixes.length > 0 ? (
          <Text>
            <Text strong>On the palette: </Text>
            {mixes.map((m) => m.name).join(', ')}
          </Text>
        ) : null}
        <PhotoPart session={session} paintingId={session.works[0]?.paintingId ?? null} />
        <Edit key={session.id} session={session} />
        <View style={{ flexDirection: 'row', gap: space.s, flexWrap: 'wrap' }}>
          {session.endedAt === null ? (
            <Action
              title="Back to the easel"
              kind="primary"
              onPress={() => router.push('/session')}
            />
          ) : null}
          <Action
            title="What it left in the air"
            onPress={() => router.push(airAddress(session.id))}
          />
          <Action
            title="Delete this session"
            kind="danger"
            onPress={() => {
              dispatch(removeSession(session.id));
              router.replace('/log');
            }}
          />
        </View>
      </View>
    </Screen>
  );
}

function Works({ session, nowMs }: { session: Session; nowMs: number }) {
  const dispatch = useStoreDispatch();
  const paintings = useStoreSelector((s) => s.paintings.entities);
  return (
    <View>
      {session.works.map((work) => (
        <View
          key={work.id}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: space.m,
            borderBottomWidth: 1,
            borderBottomColor: colour.rule,
          }}
        >
          <View style={{ flex: 1 }}>
            <Text strong>{work.name}</Text>
            <Text size="small" tone="ink2">
              {[
                paintings[work.paintingId]?.passages
                  .filter((p) => work.passageIds.includes(p.id))
                  .map((p) => p.name)
                  .join(', '),
                paintings[work.paintingId]?.title,
                work.done ? 'done' : 'not finished',
              ]
                .filter(Boolean)
                .join('; ')}
            </Text>
          </View>
          <Text strong>{timer(workedMinutes(work, nowMs))}</Text>
          <TakeOut
            name={work.name}
            onPress={() =>
              dispatch(
                changeSession(session.id, `Took out ${work.name.toLowerCase()}`, (s) =>
                  removeWork(s, work.id),
                ),
              )
            }
          />
        </View>
      ))}
    </View>
  );
}

function Edit({ session }: { session: Session }) {
  const dispatch = useStoreDispatch();
  const { startedAt, endedAt, goal, reached, note } = session;
  const nowMs = useNow();
  const form = useLiveForm(
    {
      key: `session:${session.id}`,
      schema: useMemo(() => correctionSchema(nowMs), [nowMs]),
      document: useMemo(
        () => ({ startedAt, endedAt, goal, reached, note }),
        [startedAt, endedAt, goal, reached, note],
      ),
    },
    (corrected) =>
      dispatch(
        changeSession(session.id, 'Corrected the session', (s) => editSession(s, corrected)),
      ),
  );
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>In words</Heading>
      <Field label="Goal" {...form.text('goal')} />
      <Choice
        label="Reached"
        options={REACHED.map((key) => ({ key, name: key }))}
        value={form.draft.reached}
        onChange={(key) => form.put('reached', key)}
      />
      <Field label="Note" {...form.text('note')} />
      <DateField label="Began" withTime {...form.moment('startedAt')} />
      {session.endedAt !== null ? (
        <DateField label="Ended" withTime {...form.moment('endedAt')} />
      ) : null}
    </View>
  );
}
