import { useState } from 'react';
import { ScrollView, SectionList, StyleSheet, View } from 'react-native';
import { clusterRows, type TodayCluster, type TodayGroup, type TodayRow } from '@/core/today';
import {
  DaylightBand,
  ExportReminder,
  Finished,
  LookAgain,
  HoursAtHand,
  useReadable,
  WorthATouch,
} from '@/features/lazy';
import { EmptyStudio } from '@/features/frame/EmptyStudio';
import { StudioLink } from '@/features/frame/StudioLink';
import { UnreadableNotices } from '@/features/keep/UnreadableNotices';
import { AT_FIRST, WINDOW } from '@/ui/ListScreen';
import { SharedTextures } from '@/ui/film/textures';
import { Heading, Text } from '@/ui/Text';
import { DiamondKey } from '@/ui/time/WindowBar';
import { useNow } from '@/store/hooks';
import { longDay } from '@/ui/time/words';
import { Split, useShort, useWide } from '@/ui/Split';
import { colour, space } from '@/ui/tokens';
import { DaysHeader, TodayRowView } from './TodayRowView';
import { useAllJudged, useToday } from './useToday';

const GROUPS: { key: TodayGroup; name: string; none: string }[] = [
  { key: 'takes-a-coat', name: 'Takes a coat now', none: 'Nothing takes a coat now.' },
  { key: 'still-open', name: 'Still open', none: '' },
  { key: 'leave-alone', name: 'Leave alone until', none: '' },
];

/** What can be worked, by what the film allows. */
export function TodayScreen() {
  return useAllJudged() ? <Today /> : <Judging />;
}

function Judging() {
  return (
    <View style={styles.head}>
      <View>
        {/* Not yet the heading that the focus goes to: it would be gone a moment later. */}
        <Heading level={2} size="title">
          {longDay(useNow())}
        </Heading>
        <Text tone="ink2" size="small">
          Looking at every painting …
        </Text>
      </View>
    </View>
  );
}

function Today() {
  const view = useToday();
  useReadable();
  const [width, setWidth] = useState(0);
  const wide = useWide();
  const short = useShort();
  const hours = <HoursAtHand rows={view.rows} beside={wide} />;
  if (view.empty) {
    return (
      <ScrollView contentContainerStyle={[styles.content, styles.empty]}>
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
  const list = (
    <SharedTextures>
      <SectionList
        style={{ flex: 1 }}
        onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
        contentContainerStyle={styles.rows}
        sections={groupsOf(view.rows)}
        keyExtractor={keyOf}
        renderItem={({ item }) => (
          <View style={[styles.content, wide && styles.wide]}>
            <TodayRowView cluster={item} nowMs={view.nowMs} />
          </View>
        )}
        renderSectionHeader={({ section }) => (
          <View style={[styles.content, wide && styles.wide]}>
            <GroupHead group={section} nowMs={view.nowMs} />
          </View>
        )}
        initialNumToRender={AT_FIRST}
        maxToRenderPerBatch={AT_FIRST}
        windowSize={WINDOW}
        ListHeaderComponent={
          <>
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
            <View style={[styles.content, wide && styles.wide]}>
              <UnreadableNotices />
            </View>
          </>
        }
        ListFooterComponent={
          <View style={[styles.content, wide && styles.wide]}>
            <WorthATouch rows={view.rows} nowMs={view.nowMs} />
            <LookAgain />
            <Finished />
            <ExportReminder />
          </View>
        }
      />
    </SharedTextures>
  );
  if (wide) return <Split panel={hours}>{list}</Split>;
  return (
    <View style={{ flex: 1 }}>
      {list}
      {short ? null : hours}
    </View>
  );
}

interface GroupOfRows {
  key: TodayGroup;
  name: string;
  none: string;
  /** The days stand over it. */
  days: boolean;
  data: TodayCluster[];
}

/** The groups that have something to say. */
const groupsOf = (rows: Record<TodayGroup, TodayRow[]>): GroupOfRows[] =>
  GROUPS.map((group) => ({
    ...group,
    data: clusterRows(rows[group.key]),
  }))
    .filter(({ data, none }) => data.length > 0 || none !== '')
    // The days stand once, over the first rows that have a bar.
    .map((group, _i, all) => ({
      ...group,
      days: group.key === all.find(({ key }) => key !== 'takes-a-coat')?.key,
    }));

const keyOf = ({ row }: TodayCluster): string =>
  `${row.painting.id}-${row.passage.id}-${row.spotName ?? ''}`;

function GroupHead({ group, nowMs }: { group: GroupOfRows; nowMs: number }) {
  return (
    <View style={{ marginTop: space.l }}>
      <View style={styles.groupHead}>
        <Heading size="large">{group.name}</Heading>
        {group.key === 'leave-alone' ? <MarkKey /> : null}
      </View>
      {group.days ? <DaysHeader nowMs={nowMs} /> : null}
      <View style={styles.rule} />
      {group.data.length === 0 ? (
        <Text tone="ink2" style={{ paddingVertical: space.m }}>
          {group.none}
        </Text>
      ) : null}
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
  content: { paddingHorizontal: space.xl },
  empty: { paddingBottom: space.xxl, paddingTop: space.s },
  rows: { paddingBottom: space.xxl },
  wide: { maxWidth: 900 },
  // As tall as what comes into it, so that nothing moves.
  band: { height: 80 },
  groupHead: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  key: { flexDirection: 'row', alignItems: 'center', gap: space.xs },
  rule: { height: 1, backgroundColor: colour.rule, marginTop: space.xs },
});
