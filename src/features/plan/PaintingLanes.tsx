import { useState } from 'react';
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
  travel: 'dry to travel',
  varnished: 'varnished',
} as const;

/** Chosen: a painting, and one of its passages or none. */
export interface Chosen {
  paintingId: string;
  passageId: string | null;
}

interface Props {
  view: PlanView;
  painting: PaintingPlanView;
  labelWidth: number;
  chosen: Chosen | null;
  onChoose: (chosen: Chosen) => void;
  onDates: (paintingId: string) => void;
}

const LANE_PX = 48;

/** A painting in the plan: every passage a lane in which its film grows, and where the finish may fall. */
export function PaintingLanes(props: Props) {
  const { view, painting, labelWidth, chosen, onChoose, onDates } = props;
  const [width, setWidth] = useState(0);
  const laneWidth = Math.max(0, width - labelWidth);
  const { goal, dueMs, delays } = painting;
  const safe = delays?.lastSafe ?? null;
  const title = painting.painting.title;
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
          href={`/plan/${painting.painting.id}`}
          onGo={() => onDates(painting.painting.id)}
          label={`Date and waits of ${title}`}
          style={styles.due}
        >
          <Text strong tone={dueMs === null ? 'ink2' : 'brick'}>
            {dueMs === null ? 'set a date' : `due ${shortTime(dueMs, view.nowMs)}`}
          </Text>
        </GoTo>
      </View>
      {painting.lanes.map((lane) => {
        const here =
          chosen?.paintingId === painting.painting.id && chosen.passageId === lane.passageId;
        return (
          <Pressable
            key={lane.passageId}
            accessibilityRole="button"
            aria-pressed={here}
            aria-label={`${lane.name}: ${nextWords(lane.next, view.nowMs)}`}
            onPress={() =>
              onChoose({ paintingId: painting.painting.id, passageId: lane.passageId })
            }
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
                fromMs={view.fromMs}
                toMs={view.toMs}
                groundColour={painting.groundColour}
                bands={lane.bands}
                lit={view.sessions}
                nowMs={view.nowMs}
                dueMs={dueMs}
                safeMs={safe?.untilMs ?? null}
              />
            ) : null}
          </Pressable>
        );
      })}
      {goal && laneWidth > 0 && painting.lanes.some((l) => l.next) ? (
        <View style={{ flexDirection: 'row' }}>
          <Text size="small" tone="ink2" style={{ width: labelWidth, paddingTop: space.m }}>
            {MILESTONE_WORDS[painting.milestone]}, in 20
          </Text>
          {goal.p50Ms > view.toMs ? (
            <Text size="small" strong style={{ paddingTop: space.m }}>
              {`even odds ${say(goal.p50Ms)}, 9 in 10 ${say(goal.p90Ms)}`}
            </Text>
          ) : (
            <TwentyDots
              width={laneWidth}
              fromMs={view.fromMs}
              toMs={view.toMs}
              twenty={goal.twenty}
              p50Ms={goal.p50Ms}
              p90Ms={goal.p90Ms}
              dueMs={dueMs}
              spoken={`${MILESTONE_WORDS[painting.milestone]} at even odds ${say(goal.p50Ms)}, nine in ten ${say(goal.p90Ms)}${goal.chance === null ? '' : `; ${inTwenty(goal.chance)} by the date`}.`}
            />
          )}
        </View>
      ) : null}
      {safe && painting.delayed ? (
        <Text size="small" strong style={{ marginLeft: labelWidth }}>
          {`${painting.delayed.coat.name} by ${byWhen(safe, view.nowMs)}`}
        </Text>
      ) : null}
    </View>
  );
}

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
