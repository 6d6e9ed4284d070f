import { memo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Heading, Text } from '@/ui/Text';
import { FilmLane } from '@/ui/time/FilmLane';
import { dayMonthYear, shortTime } from '@/ui/time/words';
import { TwentyDots } from '@/ui/time/TwentyDots';
import { GoTo } from '@/ui/GoTo';
import { colour, space, TARGET } from '@/ui/tokens';
import { byWhen, inTwenty } from './plan-words';
import type { PaintingPlanView, PlanView } from './usePlanView';

export const MILESTONE_WORDS = {
  'touch-dry': 'touch-dry',
  photographed: 'dry to be photographed',
  hung: 'dry to be framed and hung',
  travel: 'dry to be shipped',
  varnished: 'varnished',
} as const;

/** Chosen: a painting, and one of its passages or none. */
export interface Chosen {
  paintingId: string;
  passageId: string | null;
}

/** What all lanes have in common. */
interface Frame {
  nowMs: number;
  fromMs: number;
  toMs: number;
  sessions: PlanView['sessions'];
}

interface Props extends Frame {
  painting: PaintingPlanView;
  labelWidth: number;
  /** The chosen passage, when it is one of this painting. */
  chosen: string | null;
  onChoose: (chosen: Chosen) => void;
  onDates: (paintingId: string) => void;
}

const LANE_PX = 48;

/**
 * A painting in the plan: every passage a lane in which its film grows, and where the finish may fall. Drawn anew only
 * when something of it has changed: there may be dozens.
 */
export const PaintingLanes = memo(function PaintingLanes(props: Props) {
  const { painting, labelWidth, chosen, onChoose, onDates, ...frame } = props;
  const [width, setWidth] = useState(0);
  const laneWidth = Math.max(0, width - labelWidth);
  const { dueMs, delays, lanes } = painting;
  const { id, title } = painting.painting;
  const safe = delays?.lastSafe ?? null;
  return (
    <View
      role="region"
      aria-label={title}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
      style={styles.painting}
    >
      <View style={styles.head}>
        <Heading style={{ flex: 1 }}>{title}</Heading>
        <GoTo
          href={`/plan/${id}`}
          onGo={() => onDates(id)}
          label={`Date and waits of ${title}`}
          style={styles.due}
        >
          <Text strong tone={dueMs === null ? 'ink2' : 'brick'}>
            {dueMs === null ? 'set a date' : `due ${shortTime(dueMs, frame.nowMs)}`}
          </Text>
        </GoTo>
      </View>
      {lanes.map((lane) => (
        <Lane
          key={lane.passageId}
          {...frame}
          lane={lane}
          paintingId={id}
          groundColour={painting.groundColour}
          dueMs={dueMs}
          safeMs={safe?.untilMs ?? null}
          here={chosen === lane.passageId}
          labelWidth={labelWidth}
          laneWidth={laneWidth}
          onChoose={onChoose}
        />
      ))}
      {laneWidth > 0 && lanes.some((l) => l.next) ? (
        <Finish {...frame} painting={painting} labelWidth={labelWidth} laneWidth={laneWidth} />
      ) : null}
      {safe && painting.delayed ? (
        <Text size="small" strong style={{ marginLeft: labelWidth }}>
          {`${painting.delayed.coat.name} by ${byWhen(safe, frame.nowMs)}`}
        </Text>
      ) : null}
    </View>
  );
});

const Lane = memo(function Lane({
  lane,
  paintingId,
  groundColour,
  dueMs,
  safeMs,
  here,
  labelWidth,
  laneWidth,
  onChoose,
  nowMs,
  fromMs,
  toMs,
  sessions,
}: Frame & {
  lane: PaintingPlanView['lanes'][number];
  paintingId: string;
  groundColour: string;
  dueMs: number | null;
  safeMs: number | null;
  here: boolean;
  labelWidth: number;
  laneWidth: number;
  onChoose: (chosen: Chosen) => void;
}) {
  return (
    <Pressable
      accessibilityRole="button"
      aria-pressed={here}
      aria-label={`${lane.name}: ${nextWords(lane.next, nowMs)}`}
      onPress={() => onChoose({ paintingId, passageId: lane.passageId })}
      style={[styles.lane, here && styles.chosen]}
    >
      <Text
        numberOfLines={2}
        style={{ width: labelWidth, paddingRight: space.s }}
        strong={here}
        size="small"
      >
        {lane.name}
      </Text>
      {laneWidth > 0 ? (
        <FilmLane
          width={laneWidth}
          height={LANE_PX}
          fromMs={fromMs}
          toMs={toMs}
          groundColour={groundColour}
          bands={lane.bands}
          lit={sessions}
          nowMs={nowMs}
          dueMs={dueMs}
          safeMs={safeMs}
        />
      ) : null}
    </Pressable>
  );
});

/** Where the finish may fall: twenty dots as likely as one another, or in words when it lies beyond what is in sight. */
const Finish = memo(function Finish({
  painting,
  labelWidth,
  laneWidth,
  fromMs,
  toMs,
}: Frame & { painting: PaintingPlanView; labelWidth: number; laneWidth: number }) {
  const { goal, dueMs } = painting;
  if (!goal) return null;
  const milestone = MILESTONE_WORDS[painting.milestone];
  return (
    <View style={{ flexDirection: 'row' }}>
      <Text size="small" tone="ink2" style={{ width: labelWidth, paddingTop: space.m }}>
        {milestone}: twenty equal chances
      </Text>
      {goal.p50Ms > toMs ? (
        <Text size="small" strong style={{ paddingTop: space.m }}>
          {`even odds ${say(goal.p50Ms)}, 9 in 10 ${say(goal.p90Ms)}`}
        </Text>
      ) : (
        <TwentyDots
          width={laneWidth}
          fromMs={fromMs}
          toMs={toMs}
          twenty={goal.twenty}
          p50Ms={goal.p50Ms}
          p90Ms={goal.p90Ms}
          dueMs={dueMs}
          spoken={`${milestone} at even odds ${say(goal.p50Ms)}, nine in ten ${say(goal.p90Ms)}${goal.chance === null ? '' : `; ${inTwenty(goal.chance)} by the date`}.`}
        />
      )}
    </View>
  );
});

const say = (ms: number): string => (Number.isFinite(ms) ? dayMonthYear(ms) : 'never');

export function nextWords(next: PaintingPlanView['lanes'][number]['next'], nowMs: number): string {
  if (!next) return 'nothing more planned';
  return next.startMs === null
    ? `${next.step.coat.name} has no place in the plan`
    : `${next.step.coat.name} ${shortTime(next.startMs, nowMs)}`;
}

const styles = StyleSheet.create({
  painting: { marginTop: space.l },
  head: { flexDirection: 'row', alignItems: 'center' },
  due: { minHeight: TARGET, justifyContent: 'center', paddingLeft: space.m },
  lane: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: LANE_PX + 4,
    borderLeftWidth: 4,
    borderLeftColor: 'transparent',
    marginLeft: -8,
    paddingLeft: 4,
  },
  chosen: { borderLeftColor: colour.tawny, backgroundColor: colour.sheet },
});
