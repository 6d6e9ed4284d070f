import { useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { EmptyStudio } from '@/features/frame/EmptyStudio';
import { StudioLink } from '@/features/frame/StudioLink';
import { usePaintings } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { minusIcon, plusIcon } from '@/ui/desk-icons';
import { Sheet } from '@/ui/Sheet';
import { StepButton } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { useShort, useWide } from '@/ui/Split';
import { colour, radius, space } from '@/ui/tokens';
import { Lanes } from './Lanes';
import type { Chosen } from './PaintingLanes';
import { PlanFoot } from './PlanFoot';
import { PlanPanel } from './PlanPanel';
import { PlanState } from './PlanState';
import { PlanTabs } from './PlanTabs';
import { StepSheet } from './StepSheet';
import { useWatchPlan } from './useWatchPlan';
import { usePlanView, type PaintingPlanView, type PlanView } from './usePlanView';
import { useReplan } from './useReplan';

/** Weeks in sight, from near to far. */
const SPANS = [2, 5, 10, 26] as const;
const SPAN_WORDS = ['two weeks', 'five weeks', 'ten weeks', 'half a year'] as const;
/** Two fingers this much closer or farther apart change the span by one. */
const PINCH = 1.35;

/** The painting that is told of unless another is chosen: the least sure of its date. */
const first = (paintings: PaintingPlanView[]): PaintingPlanView | null =>
  [...paintings]
    .filter((p) => p.goal)
    .sort((a, b) => (a.goal!.chance ?? 2) - (b.goal!.chance ?? 2))[0] ??
  paintings[0] ??
  null;

/** Weeks of film: what lies, what is to come, and whether the dates will hold. */
export function PlanScreen() {
  const wide = useWide();
  const short = useShort();
  useWatchPlan();
  const [span, setSpan] = useState(1);
  const view = usePlanView(SPANS[span]!, wide ? 6 : 3);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [held, setHeld] = useState<string | null>(null);
  const [figures, setFigures] = useState(false);
  const replan = useReplan();
  const empty = usePaintings().length === 0;
  const pinch = usePinch((by) => setSpan((s) => Math.min(SPANS.length - 1, Math.max(0, s + by))));
  if (empty)
    return (
      <ScrollView contentContainerStyle={styles.content}>
        <Heading level={1} size="title">
          Plan
        </Heading>
        <EmptyStudio />
      </ScrollView>
    );
  const painting =
    view?.paintings.find((p) => p.painting.id === chosen?.paintingId) ??
    (view ? first(view.paintings) : null);
  const foot =
    view && painting && !wide ? (
      <PlanFoot
        view={view}
        painting={painting}
        chosen={chosen}
        replan={replan}
        onFigures={() => setFigures(true)}
        onOpenStep={setHeld}
      />
    ) : null;
  const holding = view && held !== null ? worksOf(view, held) : [];
  return (
    <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column' }}>
      <Lanes
        view={view}
        wide={wide}
        chosen={chosen}
        onChoose={setChosen}
        held={held}
        onHold={setHeld}
        replan={replan}
        pinch={pinch}
        foot={short ? foot : null}
        head={
          <>
            <View style={styles.head}>
              <Heading level={1} size="title" style={{ flex: 1 }}>
                Plan
              </Heading>
              <Text tone="ink2">{SPAN_WORDS[span]}</Text>
              <StepButton
                path={plusIcon}
                name="Fewer weeks"
                onPress={() => setSpan(Math.max(0, span - 1))}
              />
              <StepButton
                path={minusIcon}
                name="More weeks"
                onPress={() => setSpan(Math.min(SPANS.length - 1, span + 1))}
              />
              {wide ? null : <StudioLink />}
            </View>
            <PlanTabs />
            <PlanState />
          </>
        }
      />
      {view && painting && wide ? (
        <ScrollView
          style={styles.panel}
          contentContainerStyle={{ padding: space.xl }}
          // Scrolled with the keys too, when nothing in it can be pressed.
          {...({ tabIndex: 0 } as object)}
        >
          <PlanPanel
            view={view}
            painting={painting}
            chosen={chosen}
            replan={replan}
            onOpenStep={setHeld}
          />
        </ScrollView>
      ) : null}
      {short ? null : foot}
      {view && painting && figures ? (
        <Sheet name="Figures" onClose={() => setFigures(false)}>
          <PlanPanel
            view={view}
            painting={painting}
            chosen={chosen}
            replan={replan}
            onOpenStep={(id) => {
              setFigures(false);
              setHeld(id);
            }}
          />
          <Action title="Close" onPress={() => setFigures(false)} />
        </Sheet>
      ) : null}
      {view && holding.length > 0 ? (
        <StepSheet view={view} works={holding} replan={replan} onClose={() => setHeld(null)} />
      ) : null}
    </View>
  );
}

/** The step that a work belongs to, as it is planned. */
function worksOf(view: PlanView, workId: string) {
  const ids = view.stepOf(workId)?.workIds ?? [workId];
  const all = view.sessions.flatMap((s) => s.works);
  const one = all.filter((w) => w.id === workId);
  return one.length > 0 ? one : all.filter((w) => ids.includes(w.id));
}

/** Two fingers on the lanes change the span. */
function usePinch(onPinch: (by: 1 | -1) => void) {
  const apart = useRef<number | null>(null);
  const distance = (touches: { pageX: number; pageY: number }[]): number =>
    Math.hypot(touches[0]!.pageX - touches[1]!.pageX, touches[0]!.pageY - touches[1]!.pageY);
  return {
    onTouchMove: (event: { nativeEvent: { touches: { pageX: number; pageY: number }[] } }) => {
      const { touches } = event.nativeEvent;
      if (touches.length < 2) {
        apart.current = null;
        return;
      }
      const now = distance(touches);
      const from = apart.current ?? now;
      if (now / from > PINCH || from / now > PINCH) {
        onPinch(now > from ? -1 : 1);
        apart.current = now;
      } else apart.current = from;
    },
    onTouchEnd: () => {
      apart.current = null;
    },
  };
}

const styles = StyleSheet.create({
  content: { padding: space.xl, paddingTop: space.l },
  head: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  panel: {
    flexGrow: 0,
    width: 344,
    backgroundColor: colour.sheet,
    borderLeftWidth: 1,
    borderLeftColor: colour.rule,
    borderRadius: radius.s,
  },
});
