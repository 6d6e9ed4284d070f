import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Action } from '@/ui/Action';
import { Problem } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { clock, dayMonthYear, shortTime } from '@/ui/time/words';
import { colour, radius, space } from '@/ui/tokens';
import { nextWords, type Chosen } from './PaintingLanes';
import { byWhen, inTwenty, minutesWord } from './plan-words';
import type { PaintingPlanView, PlanView } from './usePlanView';
import type { Replan } from './useReplan';

interface Props {
  view: PlanView;
  painting: PaintingPlanView;
  chosen: Chosen | null;
  replan: Replan;
  onFigures: () => void;
  onOpenStep: (workId: string) => void;
}

/** At the foot of a phone: the odds in one line, what to do by when, and the thing to do. */
export function PlanFoot(props: Props) {
  const { painting, chosen } = props;
  const lane = painting.lanes.find((l) => l.passageId === chosen?.passageId) ?? null;
  return (
    <View style={styles.foot} role="region" aria-label="What the plan says">
      {lane ? <LaneFoot {...props} lane={lane} /> : <OddsFoot {...props} />}
      <Problem says={props.replan.refusal} />
      <Buttons {...props} />
    </View>
  );
}

function OddsFoot({ view, painting }: Props) {
  const { goal, dueMs, delays, delayed } = painting;
  const finish = goal && Number.isFinite(goal.p90Ms) ? shortTime(goal.p90Ms, view.nowMs) : 'never';
  return (
    <View style={styles.row}>
      <View>
        <Text size="title" strong accessibilityLiveRegion="polite">
          {goal?.chance === null || goal === null ? finish : inTwenty(goal.chance)}
        </Text>
        <Text size="small" tone="ink2">
          {dueMs === null ? 'done, 9 in 10' : `for ${dayMonthYear(dueMs)}`}
        </Text>
      </View>
      <View style={{ flex: 1 }}>
        <Heading level={2}>
          {delays?.lastSafe && delayed
            ? `${delayed.coat.name} by ${byWhen(delays.lastSafe, view.nowMs)}.`
            : painting.painting.title}
        </Heading>
        <Text size="small" tone="ink2" numberOfLines={3}>
          {delays?.lastSafe
            ? `${painting.painting.title}. ${slackWords(painting)}`
            : dueMs === null
              ? 'No date set for it.'
              : delays
                ? 'No day is safe for its next coat.'
                : 'Working out its last safe day.'}
        </Text>
      </View>
    </View>
  );
}

function slackWords({ goal, delays }: PaintingPlanView): string {
  const points = Math.round((delays?.perDay ?? 0) * 100);
  const costs = points > 0 ? `costs ${points} ${points === 1 ? 'point' : 'points'}` : '';
  if (goal?.slackDays === null || goal === null || !Number.isFinite(goal.slackDays)) return '';
  const days = Math.round(goal.slackDays);
  const many = Math.abs(days) === 1 ? 'day' : 'days';
  const done = `${Math.abs(days)} ${many} ${days >= 0 ? 'early' : 'late'} at even odds`;
  return costs ? `${done}; a day’s delay ${costs}.` : `${done}.`;
}

function LaneFoot({ view, lane }: Props & { lane: PaintingPlanView['lanes'][number] }) {
  const { next } = lane;
  return (
    <View>
      <Heading level={2}>{`${lane.name}: ${nextWords(next, view.nowMs)}`}</Heading>
      <Text size="small" tone="ink2">
        {next?.startMs === null || !next
          ? 'Tap another lane for its next step.'
          : `${clock(next.startMs)}, ${minutesWord(next.step.minutes)}${next.step.workIds.length > 1 ? ` in ${next.step.workIds.length} sittings` : ''}.`}
      </Text>
    </View>
  );
}

function Buttons({ view, painting, chosen, replan, onFigures, onOpenStep }: Props) {
  const router = useRouter();
  const lane = painting.lanes.find((l) => l.passageId === chosen?.passageId);
  const ids = lane?.next?.step.workIds ?? painting.delays?.workIds ?? [];
  const works = view.sessions.flatMap((s) => s.works).filter((w) => ids.includes(w.id));
  const startMs = works[0]?.startMs;
  const today =
    startMs !== undefined &&
    new Date(startMs).toDateString() === new Date(view.nowMs).toDateString();
  return (
    <View style={{ flexDirection: 'row', gap: space.m }}>
      {works.length > 0 && (today || view.hoursToday) ? (
        <Action
          title={today ? 'Begin' : 'Put it in today'}
          kind="primary"
          style={{ flex: 2 }}
          onPress={() => (today ? router.push('/session') : replan.today(works))}
        />
      ) : null}
      {lane && works[0] ? (
        <Action title="Move" style={{ flex: 1 }} onPress={() => onOpenStep(works[0]!.id)} />
      ) : null}
      <Action title="Figures" style={{ flex: 1 }} onPress={onFigures} />
    </View>
  );
}

const styles = StyleSheet.create({
  foot: {
    gap: space.s,
    padding: space.l,
    backgroundColor: colour.sheet,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
    borderTopLeftRadius: radius.l,
    borderTopRightRadius: radius.l,
  },
  row: { flexDirection: 'row', gap: space.l, alignItems: 'center' },
});
