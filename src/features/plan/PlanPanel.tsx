import { StyleSheet, View } from 'react-native';
import { Action } from '@/ui/Action';
import { Problem } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { DiamondKey } from '@/ui/time/WindowBar';
import { clock, shortTime } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { MILESTONE_WORDS, nextWords, type Chosen } from './PaintingLanes';
import { byWhen, HELD_WORDS, inTwenty, minutesWord, percent } from './plan-words';
import type { LaneView, PaintingPlanView, PlanView } from './usePlanView';
import type { Replan } from './useReplan';

interface Props {
  view: PlanView;
  painting: PaintingPlanView;
  chosen: Chosen | null;
  replan: Replan;
  onOpenStep: (workId: string) => void;
}

const day = (ms: number, nowMs: number): string =>
  Number.isFinite(ms) ? shortTime(ms, nowMs) : 'never';

/** The odds of one painting, what decides them, and until when the next step may wait. */
export function PlanPanel({ view, painting, chosen, replan, onOpenStep }: Props) {
  const lane = painting.lanes.find((l) => l.passageId === chosen?.passageId) ?? null;
  return (
    <View role="region" aria-label={`Odds of ${painting.painting.title}`} style={{ gap: space.l }}>
      <Odds view={view} painting={painting} />
      {lane ? <NextStep view={view} lane={lane} onOpenStep={onOpenStep} /> : null}
      <LastSafe view={view} painting={painting} replan={replan} />
      <Chain view={view} painting={painting} />
    </View>
  );
}

function Row({ name, value, mark }: { name: string; value: string; mark?: 'hollow' | 'solid' }) {
  return (
    <View style={styles.row}>
      {mark ? <DiamondKey solid={mark === 'solid'} /> : null}
      <Text tone="ink2" style={{ flex: 1 }}>
        {name}
      </Text>
      <Text strong>{value}</Text>
    </View>
  );
}

function Odds({ view, painting }: { view: PlanView; painting: PaintingPlanView }) {
  const { goal, dueMs, milestone } = painting;
  const { nowMs } = view;
  if (!goal)
    return (
      <View>
        <Heading>{painting.painting.title}</Heading>
        <Text tone="ink2">Nothing more is planned on it, and it has no date.</Text>
      </View>
    );
  return (
    <View>
      <Heading>{painting.painting.title}</Heading>
      {goal.chance === null || dueMs === null ? (
        <Text tone="ink2">No date. Set one to see its odds.</Text>
      ) : (
        <>
          <Text size="figure" strong accessibilityLiveRegion="polite">
            {inTwenty(goal.chance)}
          </Text>
          <Text>
            {`${percent(goal.chance)} to be ${MILESTONE_WORDS[milestone]} by ${day(dueMs, nowMs)}.`}
          </Text>
        </>
      )}
      <View style={{ marginTop: space.s }}>
        <Row name="even odds" value={day(goal.p50Ms, nowMs)} mark="hollow" />
        <Row name="9 in 10" value={day(goal.p90Ms, nowMs)} mark="solid" />
        {goal.slackDays !== null && Number.isFinite(goal.slackDays) ? (
          <Row
            name={goal.slackDays < 0 ? 'late at even odds' : 'slack at even odds'}
            value={`${Math.abs(goal.slackDays).toFixed(goal.slackDays < 10 ? 1 : 0)} days`}
          />
        ) : null}
      </View>
    </View>
  );
}

function NextStep({
  view,
  lane,
  onOpenStep,
}: {
  view: PlanView;
  lane: LaneView;
  onOpenStep: (workId: string) => void;
}) {
  const { next } = lane;
  const below = lane.films.filter((f) => f.step === null).at(-1) ?? null;
  return (
    <View style={{ gap: space.xs }}>
      <Heading level={3}>{lane.name}</Heading>
      <Text>
        {next?.startMs === undefined || next.startMs === null
          ? `${nextWords(next, view.nowMs)}.`
          : `${next.step.coat.name}: ${shortTime(next.startMs, view.nowMs)} ${clock(next.startMs)}, ${minutesWord(next.step.minutes)}${next.step.workIds.length > 1 ? ` in ${next.step.workIds.length} sittings` : ''}.`}
      </Text>
      {below && below.touchByMs > view.nowMs ? (
        <Text tone="ink2">
          {`Below it, ${below.layer.film.name.toLowerCase()} is touch-dry ${day(below.touchMs, view.nowMs)} at even odds, ${day(below.touchByMs, view.nowMs)} in 9 of 10.`}
        </Text>
      ) : null}
      {next && next.startMs !== null ? (
        <Action title="Move it" onPress={() => onOpenStep(next.step.workIds[0]!)} />
      ) : null}
    </View>
  );
}

/** Safe days are drawn full height, the rest by their chance. */
function LastSafe({
  view,
  painting,
  replan,
}: {
  view: PlanView;
  painting: PaintingPlanView;
  replan: Replan;
}) {
  const { delays, delayed } = painting;
  if (!delays || !delayed) return null;
  const { lastSafe, perDay } = delays;
  const name = delayed.coat.name;
  const works = view.sessions.flatMap((s) => s.works).filter((w) => delays.workIds.includes(w.id));
  const isToday =
    works[0] && new Date(works[0].startMs).toDateString() === new Date(view.nowMs).toDateString();
  const points = Math.round(perDay * 100);
  return (
    <View style={{ gap: space.xs }}>
      <Heading level={3}>
        {lastSafe ? `${name} by ${byWhen(lastSafe, view.nowMs)}` : `${name}: no day is safe`}
      </Heading>
      <Text tone="ink2">
        {points > 0
          ? `Each day of delay costs about ${points} ${points === 1 ? 'point' : 'points'}.`
          : 'A few days of delay cost nothing to speak of.'}
      </Text>
      <View>
        {delays.rows.map((row) => (
          <Row
            key={row.day}
            name={`if begun ${shortTime(row.untilMs, view.nowMs).includes(':') ? 'today' : shortTime(row.untilMs, view.nowMs)}`}
            value={`${inTwenty(row.chance)}, ${percent(row.chance)}`}
          />
        ))}
      </View>
      {works.length > 0 && !isToday && view.hoursToday ? (
        <Action
          title={`Put ${name.toLowerCase()} in today`}
          kind="primary"
          onPress={() => replan.today(works)}
        />
      ) : null}
      <Problem says={replan.refusal} />
    </View>
  );
}

function Chain({ view, painting }: { view: PlanView; painting: PaintingPlanView }) {
  if (painting.chain.length === 0) return null;
  return (
    <View>
      <Heading level={3}>What decides it</Heading>
      {painting.chain.map((link) => (
        <View key={`${link.name}${link.startMs}`} style={styles.link}>
          <Text strong size="small">
            {`${shortTime(link.startMs, view.nowMs)}  ${link.name}`}
          </Text>
          <Text size="small" tone="ink2">
            {HELD_WORDS[link.held]}
          </Text>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    paddingVertical: 5,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  link: { paddingVertical: 5, borderBottomWidth: 1, borderBottomColor: colour.rule },
});
