import { useRouter } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { AT_FIRST, WINDOW } from '@/ui/ListScreen';
import { FilmStateKey } from '@/ui/film/StateKey';
import { SharedTextures } from '@/ui/film/textures';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { WeeksBand } from '@/ui/time/WeeksBand';
import { space } from '@/ui/tokens';
import { useSteady } from '@/ui/useSteady';
import { PaintingLanes, type Chosen } from './PaintingLanes';
import type { PaintingPlanView, PlanView } from './usePlanView';
import type { useReplan } from './useReplan';

interface LanesProps {
  /** Null until there is a plan. */
  view: PlanView | null;
  wide: boolean;
  chosen: Chosen | null;
  onChoose: (chosen: Chosen) => void;
  held: string | null;
  onHold: (workId: string) => void;
  replan: ReturnType<typeof useReplan>;
  head: ReactNode;
  foot: ReactNode;
  /** What two fingers do. */
  pinch: object;
}

const labelWidthOf = (wide: boolean): number => (wide ? 112 : 84);

/** What has something to show in these weeks. */
const rowsOf = (view: PlanView | null): PaintingPlanView[] =>
  view?.paintings.filter((p) => p.goal || p.lanes.some((l) => l.bands.length > 0)) ?? [];

/** The weeks: sessions in their light, and below them each painting's passages; only those about in sight are drawn. */
export function Lanes(props: LanesProps) {
  const { view, wide, chosen, onChoose, head, foot, pinch } = props;
  const router = useRouter();
  const openDates = useSteady((id: string) => router.push(`/plan/${id}`));
  return (
    <SharedTextures>
      <FlatList
        style={{ flex: 1 }}
        contentContainerStyle={styles.content}
        {...pinch}
        data={rowsOf(view)}
        keyExtractor={({ painting }) => painting.id}
        renderItem={({ item }) => (
          <PaintingLanes
            nowMs={view!.nowMs}
            fromMs={view!.fromMs}
            toMs={view!.toMs}
            sessions={view!.sessions}
            painting={item}
            labelWidth={labelWidthOf(wide)}
            chosen={chosen?.paintingId === item.painting.id ? chosen.passageId : null}
            onChoose={onChoose}
            onDates={openDates}
          />
        )}
        initialNumToRender={AT_FIRST}
        maxToRenderPerBatch={AT_FIRST}
        windowSize={WINDOW}
        ListHeaderComponent={
          <>
            {head}
            {view ? <Sessions {...props} view={view} /> : null}
          </>
        }
        ListFooterComponent={
          <>
            {view ? (
              <>
                <FilmStateKey />
                <Text size="small" tone="ink2" style={{ marginTop: space.s }}>
                  A beginning that fades in: it may be so late, nine times in ten. Dashed: the last
                  safe day of the next step.
                </Text>
              </>
            ) : null}
            {foot}
          </>
        }
      />
    </SharedTextures>
  );
}

/** The sessions of these weeks; at a desk they are held, dragged and nudged there. */
function Sessions({ view, wide, held, onHold, replan }: LanesProps & { view: PlanView }) {
  const [width, setWidth] = useState(0);
  const labelWidth = labelWidthOf(wide);
  const worksAt = (key: string) => view.sessions.find((s) => s.works[0]!.id === key)?.works;
  const drop = useSteady((key: string, atMs: number) => {
    const works = worksAt(key);
    if (works) replan.drop(works, atMs);
  });
  const nudge = useSteady((key: string, by: 1 | -1) => {
    const works = worksAt(key);
    if (works) replan.move(works, by);
  });
  return (
    <View onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
      <View style={{ flexDirection: 'row', marginTop: space.s }}>
        <Text size="small" tone="ink2" style={{ width: labelWidth }}>
          {wide ? 'sessions in the light of the day' : 'sessions'}
        </Text>
        {width > labelWidth ? (
          <WeeksBand
            width={width - labelWidth}
            height={wide ? 84 : 52}
            fromMs={view.fromMs}
            toMs={view.toMs}
            days={view.days}
            sessions={view.bandSessions}
            nowMs={view.nowMs}
            selected={held}
            {...(wide ? { onPick: onHold, onDrop: drop, onNudge: nudge } : {})}
          />
        ) : null}
      </View>
      {wide && replan.refusal ? <Notice tone="refusal">{replan.refusal}</Notice> : null}
      {view.impossible.map((sentence) => (
        <Notice key={sentence} tone="refusal">
          {sentence}
        </Notice>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ content: { padding: space.xl, paddingTop: space.l } });
