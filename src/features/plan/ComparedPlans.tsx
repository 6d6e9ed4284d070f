import { StyleSheet, View } from 'react-native';
import type { StudioPlan, ToldGoal } from '@/core/schedule/studio-plan';
import { nowMs } from '@/store/clock';
import { usePaintings } from '@/store/hooks';
import { Text } from '@/ui/Text';
import { shortTime } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { inTwenty, minutesWord } from './plan-words';

const minutesOf = ({ plan }: StudioPlan): number =>
  plan.sessions.reduce(
    (sum, s) => sum + s.works.reduce((m, w) => m + (w.endMs - w.startMs) / 60_000, 0),
    0,
  );

/** Two plans side by side, painting by painting. */
export function ComparedPlans({ now, other }: { now: StudioPlan; other: StudioPlan }) {
  const paintings = usePaintings();
  const at = nowMs();
  const day = (ms: number | undefined) =>
    ms === undefined ? '–' : Number.isFinite(ms) ? shortTime(ms, at) : 'never';
  const told = (plan: StudioPlan, id: string) => plan.goals.find((g) => g.project === id);
  const chanceOf = (goal: ToldGoal | undefined) =>
    typeof goal?.chance === 'number' ? inTwenty(goal.chance) : '–';
  const rows = paintings.flatMap((p) => {
    const [a, b] = [told(now, p.id), told(other, p.id)];
    if (!a && !b) return [];
    const line = (name: string, left: string, right: string) => ({ name, left, right });
    return [
      {
        title: p.title,
        lines: [
          ...(a?.dueMs || b?.dueMs ? [line('by the date', chanceOf(a), chanceOf(b))] : []),
          line('even odds', day(a?.p50Ms), day(b?.p50Ms)),
          line('9 in 10', day(a?.p90Ms), day(b?.p90Ms)),
        ],
      },
    ];
  });
  return (
    <View role="table" aria-label="Two plans side by side">
      <Line name="" left="as it is" right="as it might be" head />
      {rows.map((row) => (
        <View key={row.title} role="rowgroup">
          <Text strong style={{ marginTop: space.s }}>
            {row.title}
          </Text>
          {row.lines.map((l) => (
            <Line key={l.name} {...l} />
          ))}
        </View>
      ))}
      <Line
        name="sessions"
        left={String(now.plan.sessions.length)}
        right={String(other.plan.sessions.length)}
      />
      <Line
        name="at work"
        left={minutesWord(minutesOf(now))}
        right={minutesWord(minutesOf(other))}
      />
      <Line
        name="cannot be had"
        left={String(now.plan.impossible.length)}
        right={String(other.plan.impossible.length)}
      />
    </View>
  );
}

function Line({
  name,
  left,
  right,
  head = false,
}: {
  name: string;
  left: string;
  right: string;
  head?: boolean;
}) {
  const changed = !head && left !== right;
  return (
    <View role="row" style={styles.line}>
      <Text role="rowheader" tone="ink2" style={{ flex: 1.2 }}>
        {name}
      </Text>
      <Text role={head ? 'columnheader' : 'cell'} style={{ flex: 1 }} tone={head ? 'ink2' : 'ink'}>
        {left}
      </Text>
      <Text
        role={head ? 'columnheader' : 'cell'}
        style={{ flex: 1 }}
        strong={changed}
        tone={head ? 'ink2' : changed ? 'tawny' : 'ink'}
      >
        {right}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    gap: space.s,
    paddingVertical: 6,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
});
