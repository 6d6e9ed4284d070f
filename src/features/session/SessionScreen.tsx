import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { GATES } from '@/data/gates';
import { passGate, reworkOf } from '@/core/painting/notes-of';
import type { Painting } from '@/core/painting';
import {
  isPaused,
  isRunning,
  pause,
  resume,
  runningWork,
  sessionMinutes,
  takeUp,
  timeBoxOf,
  type Session,
  type Work,
} from '@/core/session';
import { changePainting, changeSession } from '@/store/actions';
import { usePainting, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { clock } from '@/ui/time/words';
import { colour, space, WIDE_FROM } from '@/ui/tokens';
import { AddWork } from './AddWork';
import { CorrectionSheet } from './CorrectionSheet';
import { EndSheet } from './EndSheet';
import { PalettePart, recipeColour } from './PalettePart';
import { PhotoPart } from './PhotoPart';
import { TimeBoxBar } from './TimeBoxBar';
import {
  timer,
  useBegin,
  useFinish,
  useKeepAwake,
  useRunningSession,
  useSeconds,
} from './useSession';

/** The session that runs, or the way into one. */
export function SessionScreen() {
  const session = useRunningSession();
  return session ? <Running session={session} /> : <Begin />;
}

function Begin() {
  const router = useRouter();
  const begin = useBegin();
  return (
    <Screen title="Session">
      <View style={{ gap: space.m }}>
        <Text>
          No session runs. Today suggests one for the hours at hand; or begin with an empty one and
          add what you work on.
        </Text>
        <Action
          title="Begin now"
          kind="primary"
          onPress={() => begin({ works: [], boxMinutes: null, goal: '' })}
        />
        <Action title="See the log" onPress={() => router.push('/log')} />
      </View>
    </Screen>
  );
}

function Running({ session }: { session: Session }) {
  const now = useSeconds(!isPaused(session));
  const wide = useWindowDimensions().width >= WIDE_FROM;
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
        <View style={wide ? { flexDirection: 'row', gap: space.huge } : { gap: space.xl }}>
          <View style={wide ? { flex: 1 } : null}>
            <Works session={session} now={now} />
          </View>
          <View style={[{ gap: space.xl }, wide && { flex: 1 }]}>
            {work ? <AtWork work={work} /> : null}
            <PalettePart session={session} running={work ?? session.works.at(-1) ?? null} />
            <PhotoPart
              session={session}
              paintingId={(work ?? session.works.at(-1))?.paintingId ?? null}
            />
          </View>
        </View>
      </View>
      {ending ? <EndSheet session={session} onClose={() => setEnding(false)} /> : null}
    </Screen>
  );
}

function Head({ session, now, onEnd }: { session: Session; now: number; onEnd: () => void }) {
  const dispatch = useStoreDispatch();
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
      paint: coat ? recipeColour(coat.recipe) : colour.well,
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
  const { finish, refusal } = useFinish(session);
  const [adding, setAdding] = useState(false);
  const { works } = timeBoxOf(session, now);
  return (
    <View>
      {refusal ? <Notice tone="refusal">{`Not noted. ${refusal}`}</Notice> : null}
      <View role="list" aria-label="Works of this session">
        {works.map(({ work, worked, left }, i) => (
          <WorkRow
            key={work.id}
            session={session}
            work={work}
            number={i + 1}
            worked={worked}
            left={left}
            onFinish={finish}
          />
        ))}
      </View>
      <Action title="Work on something else" kind="quiet" onPress={() => setAdding(true)} />
      {adding ? <AddWork session={session} onClose={() => setAdding(false)} /> : null}
    </View>
  );
}

function WorkRow({
  session,
  work,
  number,
  worked,
  left,
  onFinish,
}: {
  session: Session;
  work: Work;
  number: number;
  worked: number;
  left: number | null;
  onFinish: (work: Work, laid: boolean) => void;
}) {
  const dispatch = useStoreDispatch();
  const painting = usePainting(work.paintingId);
  const now = isRunning(work);
  const names = painting?.passages
    .filter((p) => work.passageIds.includes(p.id))
    .map((p) => p.name)
    .join(', ');
  const state = work.done ? 'done' : now ? 'now' : worked > 0 ? 'put down' : 'planned';
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
            {names ? ` ${names}` : ''}
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
      {session.endedAt === null && !work.done ? (
        <View
          style={{
            flexDirection: 'row',
            gap: space.s,
            justifyContent: 'flex-end',
            flexWrap: 'wrap',
          }}
        >
          {now ? (
            <Action title="Put down" kind="quiet" onPress={() => onFinish(work, false)} />
          ) : (
            <Action
              title="Take up"
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
          {now && work.coatId ? (
            <Action title="Laid, done" kind="primary" onPress={() => onFinish(work, true)} />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

/** Corrections, gates and rework of what is in hand. */
function AtWork({ work }: { work: Work }) {
  const painting = usePainting(work.paintingId);
  const [correcting, setCorrecting] = useState(false);
  if (!painting) return null;
  return (
    <View style={{ gap: space.xs }}>
      <Heading>{`At work on ${painting.title}`}</Heading>
      <Gates painting={painting} coatId={work.coatId} />
      {work.passageIds.map((id) => {
        const { planned, laid, reworked } = reworkOf(painting, id);
        const name = painting.passages.find((p) => p.id === id)?.name;
        return reworked > 0 || laid > planned ? (
          <Text key={id} size="small" tone="ink2">
            {`${name}: ${laid} coats laid of ${planned} in the method, reworked ${reworked} ${reworked === 1 ? 'time' : 'times'}`}
          </Text>
        ) : null;
      })}
      <Action
        title="Correction"
        onPress={() => setCorrecting(true)}
        style={{ alignSelf: 'flex-start' }}
      />
      {correcting ? (
        <CorrectionSheet
          painting={painting}
          passageIds={work.passageIds}
          onClose={() => setCorrecting(false)}
        />
      ) : null}
    </View>
  );
}

function Gates({ painting, coatId }: { painting: Painting; coatId: string | null }) {
  const dispatch = useStoreDispatch();
  const role = painting.coats.find((c) => c.id === coatId)?.role;
  const passed = new Set((painting.gates ?? []).map((g) => g.id));
  const gates = GATES.filter((g) => g.role === role);
  return (
    <>
      {gates.map((gate) => (
        <Tick
          key={gate.id}
          title={gate.question}
          checked={passed.has(gate.id)}
          onPress={() =>
            dispatch(
              changePainting(painting.id, gate.question, (p, making) =>
                passGate(p, gate.id, !passed.has(gate.id), making),
              ),
            )
          }
        />
      ))}
    </>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: space.s, flexWrap: 'wrap' },
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
