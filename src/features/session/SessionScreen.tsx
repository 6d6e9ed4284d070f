import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  isPaused,
  pause,
  resume,
  runningWork,
  sessionMinutes,
  timeBoxOf,
  type Session,
} from '@/core/session';
import { sessionSchema } from '@/core/session/schema';
import { PutDownSheet } from '@/features/record/PutDownSheet';
import { LayDialog } from '@/features/record/LayDialog';
import { useText } from '@/forms/useText';
import { changeSession } from '@/store/actions';
import {
  useNow,
  usePainting,
  useStoreDispatch,
  useStoreSelector,
  useSwatches,
} from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Problem } from '@/ui/Says';
import { Screen } from '@/ui/Screen';
import { Text } from '@/ui/Text';
import { clock } from '@/ui/time/words';
import { TwoColumns, useWide } from '@/ui/Split';
import { colour, space } from '@/ui/tokens';
import { AddWork } from './AddWork';
import { AtWork } from './AtWork';
import { EndSheet } from './EndSheet';
import { recipeColour } from '@/features/colours';
import { PalettePart } from './PalettePart';
import { PhotoPart } from './PhotoPart';
import { ShareOutSheet } from './ShareOutSheet';
import { TimeBoxBar } from './TimeBoxBar';
import { useWork } from './useWork';
import { WorkRow } from './WorkRow';
import { timer, useBegin, useKeepAwake, useRunningSession, useSeconds } from './useSession';

/** The session that runs, or the way into one. */
export function SessionScreen() {
  const session = useRunningSession();
  return session ? <Running session={session} /> : <Begin />;
}

function Begin() {
  const router = useRouter();
  const begin = useBegin();
  const goal = useText('session-goal', sessionSchema.shape.goal);
  const start = () => {
    const words = goal.accepted();
    if (words === null) return;
    begin({ works: [], boxMinutes: null, goal: words });
    goal.done();
  };
  return (
    <Screen title="Session">
      <View style={{ gap: space.m }}>
        <Text>
          No session runs. Today suggests one for the hours at hand; or begin with an empty one and
          add what you work on.
        </Text>
        <Field
          label="What you mean to do, in your words"
          value={goal.text}
          onChangeText={goal.set}
          error={goal.error}
        />
        <Action title="Begin now" kind="primary" onPress={start} />
        <Action title="See the log" onPress={() => router.push('/log')} />
      </View>
    </Screen>
  );
}

function Running({ session }: { session: Session }) {
  const now = useSeconds(!isPaused(session));
  const wide = useWide();
  const [ending, setEnding] = useState(false);
  useKeepAwake(!isPaused(session));
  const work = runningWork(session);
  return (
    <Screen
      title="Session"
      subtitle={`since ${clock(Date.parse(session.startedAt))}`}
      maxWidth={wide ? 1040 : 720}
    >
      <View style={{ gap: space.xl }}>
        <Head session={session} now={now} onEnd={() => setEnding(true)} />
        {session.goal ? (
          <Text>
            <Text strong>Goal: </Text>
            {session.goal}
          </Text>
        ) : null}
        <TwoColumns
          left={<Works session={session} now={now} />}
          right={
            <>
              {work ? <AtWork key={work.id} session={session} work={work} /> : null}
              <PalettePart session={session} running={work ?? session.works.at(-1) ?? null} />
              <PhotoPart
                session={session}
                paintingId={(work ?? session.works.at(-1))?.paintingId ?? null}
              />
            </>
          }
        />
      </View>
      {ending ? <EndSheet session={session} onClose={() => setEnding(false)} /> : null}
    </Screen>
  );
}

function Head({ session, now, onEnd }: { session: Session; now: number; onEnd: () => void }) {
  const dispatch = useStoreDispatch();
  const swatches = useSwatches();
  const [width, setWidth] = useState(0);
  const paused = isPaused(session);
  const elapsed = sessionMinutes(session, now);
  const box = timeBoxOf(session, now);
  const paintings = useStoreSelector((s) => s.paintings.entities);
  const parts = box.works.map(({ work, worked }) => {
    const coat = paintings[work.paintingId]?.coats.find((c) => c.id === work.coatId);
    return {
      key: work.id,
      worked,
      planned: work.plannedMinutes ?? 0,
      paint: coat ? recipeColour(coat.recipe, swatches) : colour.well,
    };
  });
  return (
    <View style={{ gap: space.s }}>
      <View style={styles.head}>
        <View style={{ flex: 1 }}>
          <Text size="figure" accessibilityRole="timer" aria-label="Time in this session">
            {timer(elapsed, true)}
          </Text>
          {box.leftMinutes !== null ? (
            <Text tone={box.leftMinutes < 0 ? 'brick' : 'ink2'} size="small">
              {box.leftMinutes >= 0
                ? `${timer(box.leftMinutes)} left of ${timer(session.boxMinutes!)}`
                : `${timer(-box.leftMinutes)} over ${timer(session.boxMinutes!)}`}
            </Text>
          ) : null}
        </View>
        <Action
          title={paused ? 'Go on' : 'Pause'}
          onPress={() =>
            dispatch(
              changeSession(session.id, paused ? 'Went on' : 'Paused', paused ? resume : pause),
            )
          }
        />
        <Action title="End" onPress={onEnd} />
      </View>
      {session.boxMinutes !== null || session.works.length > 0 ? (
        <View onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
          {width > 0 ? (
            <TimeBoxBar
              width={width}
              parts={parts}
              elapsed={elapsed}
              box={session.boxMinutes ?? elapsed}
            />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

function Works({ session, now }: { session: Session; now: number }) {
  const at = useWork(session);
  const [adding, setAdding] = useState(false);
  const [sharing, setSharing] = useState(false);
  const { works } = timeBoxOf(session, now);
  return (
    <View>
      <Problem says={at.refusal ? `Not noted. ${at.refusal.message}` : null} />
      <View role="list" aria-label="Works of this session">
        {works.map(({ work, worked, left }, i) => (
          <WorkRow
            key={work.id}
            session={session}
            work={work}
            number={i + 1}
            worked={worked}
            left={left}
            onFinish={at.finish}
            onPutDown={at.putDown}
          />
        ))}
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action title="Work on something else" kind="quiet" onPress={() => setAdding(true)} />
        {works.some(({ work }) => !work.done) ? (
          <Action title="Share out the time" kind="quiet" onPress={() => setSharing(true)} />
        ) : null}
      </View>
      {adding ? <AddWork session={session} onClose={() => setAdding(false)} /> : null}
      {sharing ? <ShareOutSheet session={session} onClose={() => setSharing(false)} /> : null}
      <Asked at={at} />
    </View>
  );
}

/** What is asked when work is put down, or looked at before it is laid. */
function Asked({ at }: { at: ReturnType<typeof useWork> }) {
  const now = useNow();
  const { asking } = at;
  const painting = usePainting(asking?.work.paintingId ?? '');
  if (!asking) return null;
  const { work } = asking;
  if (asking.what === 'how-far')
    return (
      <PutDownSheet
        name={work.name}
        rest={at.isRest(work)}
        onChoose={(howFar) => at.choose(work, howFar)}
        onClose={at.close}
      />
    );
  if (!painting || !work.coatId) return null;
  return (
    <LayDialog
      painting={painting}
      coatId={work.coatId}
      passageId={work.passageIds[0] ?? ''}
      passageIds={work.passageIds}
      nowMs={now}
      more={asking.more}
      onLaid={() => at.laid(asking)}
      {...(asking.more
        ? {
            onNothing: () => {
              at.finished(work);
              at.close();
            },
          }
        : {})}
      onClose={at.close}
    />
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: space.s, flexWrap: 'wrap' },
});
