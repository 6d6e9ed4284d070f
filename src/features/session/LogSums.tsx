import { startOfISOWeek } from 'date-fns/startOfISOWeek';
import { subWeeks } from 'date-fns/subWeeks';
import { StyleSheet, View } from 'react-native';
import { minutesBetween, minutesByPainting, type Session } from '@/core/session';
import { useStoreSelector } from '@/store/hooks';
import { Heading, Text } from '@/ui/Text';
import { dayMonth } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { timer } from './useSession';

/** Weeks that are looked back on, this one with them. */
const WEEKS = 8;
/** Paintings that are named; the rest had less. */
const NAMED = 8;

/** Where the hours went: by week and by painting. */
export function LogSums({ sessions, nowMs }: { sessions: Session[]; nowMs: number }) {
  const paintings = useStoreSelector((s) => s.paintings.entities);
  const monday = startOfISOWeek(nowMs);
  const edges = [
    ...Array.from({ length: WEEKS }, (_, i) => subWeeks(monday, WEEKS - 1 - i).getTime()),
    Infinity,
  ];
  const weeks = minutesBetween(sessions, edges, nowMs)
    .map((minutes, i) => ({ name: `from ${dayMonth(edges[i]!)}`, minutes }))
    .reverse();
  const byPainting = Object.entries(minutesByPainting(sessions, nowMs))
    .flatMap(([id, minutes]) => {
      const name = paintings[id]?.title;
      return name && minutes > 0 ? [{ name, minutes }] : [];
    })
    .sort((a, b) => b.minutes - a.minutes)
    .slice(0, NAMED);
  return (
    <View style={{ gap: space.xl }}>
      <Sums title="Hours by week" rows={weeks} />
      <Sums title="Hours by painting" rows={byPainting} />
    </View>
  );
}

function Sums({ title, rows }: { title: string; rows: { name: string; minutes: number }[] }) {
  const most = Math.max(1, ...rows.map((r) => r.minutes));
  return (
    <View role="region" aria-label={title}>
      <Heading>{title}</Heading>
      {rows.map(({ name, minutes }, i) => (
        <View key={i} style={styles.row}>
          <View style={styles.words}>
            <Text style={{ flex: 1 }}>{name}</Text>
            <Text strong={minutes > 0} tone={minutes > 0 ? 'ink' : 'ink2'}>
              {minutes > 0 ? `${timer(minutes)} h` : 'none'}
            </Text>
          </View>
          <View style={[styles.bar, { width: `${(100 * minutes) / most}%` }]} />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { paddingVertical: space.xs, borderBottomWidth: 1, borderBottomColor: colour.rule },
  words: { flexDirection: 'row', gap: space.m },
  bar: { height: 6, borderRadius: 3, backgroundColor: colour.tawny, marginTop: 2 },
});
