import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { clusterRows, type TodayGroup, type TodayRow } from '@/core/today';
import { DaylightBand, HoursAtHand, useReadable, WorthATouch } from '@/features/lazy';
import { EmptyStudio } from '@/features/frame/EmptyStudio';
import { StudioLink } from '@/features/frame/StudioLink';
import { UnreadableNotices } from '@/features/keep/UnreadableNotices';
import { Heading, Text } from '@/ui/Text';
import { DiamondKey } from '@/ui/time/WindowBar';
import { longDay } from '@/ui/time/words';
import { useWide } from '@/ui/Split';
import { colour, space } from '@/ui/tokens';
import { DaysHeader, TodayRowView } from './TodayRowView';
import { useToday } from './useToday';

const GROUPS: { key: TodayGroup; name: string; none: string }[] = [
  { key: 'takes-a-coat', name: 'Takes a coat now', none: 'Nothing takes a coat now.' },
  { key: 'still-open', name: 'Still open', none: '' },
  { key: 'leave-alone', name: 'Leave alone until', none: '' },
];

/** What can be worked, by what the film allows. */
export function TodayScreen() {
  const view = useToday();
  useReadable();
  const [width, setWidth] = useState(0);
  const wide = useWide();
  if (view.empty) {
    return (
      <ScrollView contentContainerStyle={styles.content}>
        <View style={{ flexDirection: 'row', marginBottom: space.l }}>
          <Heading level={1} size="title" style={{ flex: 1 }}>
            {longDay(view.nowMs)}
          </Heading>
          <StudioLink />
        </View>
        <UnreadableNotices />
        <EmptyStudio />
      </ScrollView>
    );
  }
  return (
    <View style={{ flex: 1 }}>
      <ScrollView style={{ flex: 1 }} onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
        <View style={styles.head}>
          <View style={{ flex: 1 }}>
            <Heading level={1} size="title">
              {longDay(view.nowMs)}
            </Heading>
            <Text tone="ink2" size="small">
              <Text strong size="small">
                {view.climateLine}
              </Text>
              {`   ${view.rateLine}`}
            </Text>
          </View>
          <StudioLink />
        </View>
        <View style={styles.band}>
          {width > 0 ? <DaylightBand width={width} nowMs={view.nowMs} /> : null}
        </View>
        <View style={[styles.content, wide && { maxWidth: 900 }]}>
          <UnreadableNotices />
          {GROUPS.map((group, i) => (
            <Group
              key={group.key}
              name={group.name}
              none={group.none}
              rows={view.rows[group.key]}
              nowMs={view.nowMs}
              days={i === 0}
              keyed={group.key === 'leave-alone'}
            />
          ))}
          <WorthATouch rows={view.rows} nowMs={view.nowMs} />
        </View>
      </ScrollView>
      <HoursAtHand rows={view.rows} />
    </View>
  );
}

interface GroupProps {
  name: string;
  none: string;
  rows: TodayRow[];
  nowMs: number;
  days: boolean;
  keyed: boolean;
}

function Group({ name, none, rows, nowMs, days, keyed }: GroupProps) {
  if (rows.length === 0 && none === '') return null;
  return (
    <View role="region" aria-label={name} style={{ marginTop: space.l }}>
      <View style={styles.groupHead}>
        <Heading size="large">{name}</Heading>
        {keyed ? <MarkKey /> : null}
      </View>
      {days ? <DaysHeader nowMs={nowMs} /> : null}
      <View style={styles.rule} />
      {rows.length === 0 ? (
        <Text tone="ink2" style={{ paddingVertical: space.m }}>
          {none}
        </Text>
      ) : null}
      {clusterRows(rows).map((cluster) => (
        <TodayRowView
          key={`${cluster.row.painting.id}-${cluster.row.passage.id}-${cluster.row.spotName ?? ''}`}
          cluster={cluster}
          nowMs={nowMs}
        />
      ))}
    </View>
  );
}

function MarkKey() {
  return (
    <View style={styles.key}>
      <DiamondKey solid={false} />
      <Text size="small" tone="ink2">
        50 %
      </Text>
      <DiamondKey solid />
      <Text size="small" tone="ink2">
        90 % ready
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  head: { padding: space.xl, paddingBottom: space.m, flexDirection: 'row' },
  content: { paddingHorizontal: space.xl, paddingBottom: space.xxl, paddingTop: space.s },
  // As tall as what comes into it, so that nothing moves.
  band: { height: 80 },
  groupHead: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  key: { flexDirection: 'row', alignItems: 'center', gap: space.xs },
  rule: { height: 1, backgroundColor: colour.rule, marginTop: space.xs },
});
