import { addDays } from 'date-fns/addDays';
import { format } from 'date-fns/format';
import { startOfDay } from 'date-fns/startOfDay';
import { useRouter } from 'expo-router';
import { passageAddress } from '@/features/addresses';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useSwatches } from '@/store/hooks';
import type { TodayCluster, TodayRow } from '@/core/today';
import { coreSteps, groundDrawing } from '@/features/film-view';
import { FilmCore } from '@/ui/film/FilmCore';
import { StateSwatch } from '@/ui/film/StateSwatch';
import { GoTo } from '@/ui/GoTo';
import { Text } from '@/ui/Text';
import { WindowBar } from '@/ui/time/WindowBar';
import { useWide } from '@/ui/Split';
import { colour, space } from '@/ui/tokens';
import { rowTime, rowWords, sinceWords } from '@/features/due-words';

/** The bars run from now over this many days. */
const SPAN_DAYS = 7;
const DAY_MS = 86_400_000;
/** Film and name: as much as a phone can spare, more at a desk. */
const nameWidth = (wide: boolean): number => (wide ? 250 : 150);
const useNameWidth = (): number => nameWidth(useWide());

const midnights = (nowMs: number): number[] =>
  Array.from({ length: SPAN_DAYS }, (_, i) => startOfDay(addDays(nowMs, i + 1)).getTime());

/** Weekdays over the bars. */
export function DaysHeader({ nowMs }: { nowMs: number }) {
  const marginLeft = useNameWidth();
  // Above the narrow bars of a phone the word for now takes more of the row.
  const leastShare = useWide() ? 0.12 : 0.26;
  const shown = midnights(nowMs).filter((_, i) => i % 2 === 0);
  return (
    <View style={{ flexDirection: 'row', marginLeft, height: 20 }} aria-hidden>
      <Text size="small" tone="ink2">
        now
      </Text>
      {shown.map((ms) => {
        const share = (ms - nowMs) / (SPAN_DAYS * DAY_MS);
        return share > leastShare && share < 0.86 ? (
          <Text
            key={ms}
            size="small"
            tone="ink2"
            style={{ position: 'absolute', left: `${share * 100}%` }}
          >
            {format(ms, 'EEE')}
          </Text>
        ) : null;
      })}
    </View>
  );
}

function barOf(row: TodayRow) {
  const { reason, window, readyAtMs } = row;
  if (reason === 'open') {
    return {
      readyFromMs: null,
      readyByMs: null,
      openUntil: { p10: window!.p10, p50: window!.p50 },
      marks: [
        { ms: window!.p10, solid: true },
        { ms: window!.p50, solid: false },
      ],
    };
  }
  return {
    readyFromMs: window?.p25 ?? readyAtMs,
    readyByMs: window?.p75 ?? readyAtMs,
    marks: [
      { ms: window?.p50 ?? null, solid: false },
      { ms: window?.p90 ?? null, solid: true },
    ],
  };
}

/** One passage: its film, its name, its state in texture and word, and its window. */
export function TodayRowView({ cluster, nowMs }: { cluster: TodayCluster; nowMs: number }) {
  const { row } = cluster;
  const router = useRouter();
  const [width, setWidth] = useState(0);
  const nameSpace = useNameWidth();
  const swatches = useSwatches();
  const names = cluster.whole ? 'whole surface' : cluster.passages.map((p) => p.name).join(', ');
  const name = row.spotName ? `${names}: ${row.spotName}` : names;
  const words = rowWords(row, nowMs);
  return (
    <GoTo
      href={passageAddress(row.painting.id, row.passage.id)}
      onGo={() => router.push(passageAddress(row.painting.id, row.passage.id))}
      label={`${name}, ${row.painting.title}: ${words}`}
      style={styles.row}
    >
      <View style={[styles.name, { width: nameSpace - space.m }]}>
        <FilmCore
          steps={coreSteps(row.stack, row.painting, swatches)}
          ground={groundDrawing(row.painting)}
          height={58}
          width={32}
        />
        <View style={{ flex: 1 }}>
          <Text strong numberOfLines={3}>
            {name}
          </Text>
          <Text size="small" tone="ink2" numberOfLines={2}>
            {row.painting.title}
          </Text>
        </View>
      </View>
      <View style={{ flex: 1 }} onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
        <View style={styles.words}>
          <StateSwatch state={row.top ? row.top.state : 'through-dry'} />
          <Text size="small" style={{ flex: 1 }}>
            {words}
          </Text>
          <Text strong tone={row.group === 'takes-a-coat' ? 'tawny' : 'ink'}>
            {rowTime(row, nowMs)}
          </Text>
        </View>
        {row.group === 'takes-a-coat' ? (
          <Text size="small" tone="ink2">
            {sinceWords(row, nowMs)}
          </Text>
        ) : width > 0 ? (
          <WindowBar
            width={width}
            fromMs={nowMs}
            toMs={nowMs + SPAN_DAYS * DAY_MS}
            state={row.top ? row.top.state : 'through-dry'}
            ticks={midnights(nowMs)}
            {...barOf(row)}
          />
        ) : null}
      </View>
    </GoTo>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    gap: space.m,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    alignItems: 'center',
    minHeight: 76,
  },
  name: { flexDirection: 'row', gap: space.s, alignItems: 'flex-end' },
  words: { flexDirection: 'row', alignItems: 'center', gap: space.s, marginBottom: 2 },
});
