import { useDeferredValue, useMemo, useState } from 'react';
import { constantAir } from '@/core/drying';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import type { Painting, PaintingAssessment } from '@/core/painting';
import { USUAL_DEADLINE, type Milestone } from '@/core/painting/deadline';
import { dateIn, momentOf, nextDay } from '@/core/schedule/calendar';
import type { Delays } from '@/core/schedule/delays';
import { laneOf, type LaneFilm } from '@/core/schedule/lanes';
import type { PlannedSession } from '@/core/schedule';
import type { Step } from '@/core/schedule/steps';
import type { StudioPlan, ToldGoal } from '@/core/schedule/studio-plan';
import { PLAN_ODDS } from '@/data/plan';
import type { Swatches } from '@/core/optics/composition';
import { stackLook, type StackLook } from '@/core/painting/look';
import { filmStep, groundDrawing } from '@/features/film-view';
import {
  useAssessments,
  useAssessOptions,
  useNow,
  usePaintings,
  useStoreSelector,
  useSwatches,
} from '@/store/hooks';
import type { LaneBand } from '@/ui/time/FilmLane';
import type { BandDay, BandSession } from '@/ui/time/WeeksBand';
import { dayWord, hours, impossibleWords, refusedWords } from './plan-words';
import { bandLight } from './band-light';
import { settledIn } from './settled-in';
import { localZone } from '@/store/select-work';

const DAY_MS = 86_400_000;
/** Days of the past that stay in sight: what was laid lately is still drying. */
const BACK_DAYS = 2;

export interface LaneView {
  passageId: string;
  name: string;
  bands: LaneBand[];
  films: LaneFilm[];
  /** The coat to come, and where it stands in the plan. */
  next: { step: Step; startMs: number | null; endMs: number | null } | null;
}

export interface PaintingPlanView {
  painting: Painting;
  milestone: Milestone;
  dueMs: number | null;
  goal: ToldGoal | null;
  delays: Delays | null;
  /** The step that the delays are about. */
  delayed: Step | null;
  /** Works that decide the finish, in order, as they are told. */
  chain: { name: string; startMs: number; held: 'wait' | 'hours' | 'painter' | 'start' }[];
  groundColour: string;
  lanes: LaneView[];
}

export interface PlanView {
  nowMs: number;
  fromMs: number;
  toMs: number;
  days: BandDay[];
  sessions: PlannedSession[];
  bandSessions: BandSession[];
  paintings: PaintingPlanView[];
  impossible: string[];
  /** There are hours for work left today. */
  hoursToday: boolean;
  nameOf(workId: string): string;
  stepOf(workId: string): Step | null;
}

const bandOf = (film: LaneFilm, school: Painting['school'], look: StackLook): LaneBand => {
  const step = filmStep(film.layer, school, look);
  return {
    key: film.key,
    colour: step.colour,
    thicknessUm: step.thicknessUm,
    planned: film.step !== null,
    laidMs: film.laidMs,
    laidByMs: film.laidByMs,
    openMs: film.openMs,
    setMs: film.setMs,
    touchMs: film.touchMs,
    throughMs: film.throughMs,
  };
};

const stepName = (step: Step, painting: Painting | undefined): string => {
  const all = painting && step.passageIds.length === painting.passages.length;
  const passages = painting?.passages.filter((p) => step.passageIds.includes(p.id)) ?? [];
  return all
    ? step.coat.name
    : `${step.coat.name}: ${passages.map((p) => p.name).join(', ') || '?'}`;
};

interface Names {
  nameOf(workId: string): string;
  stepOf(workId: string): Step | null;
}

/** Names of works: "Glaze: wall", with the painting where there are several. */
export function useStepNames(plan: StudioPlan | null): Names {
  const paintings = usePaintings();
  return useMemo(() => {
    const byWork = new Map(plan?.steps.flatMap((s) => s.workIds.map((w) => [w, s] as const)) ?? []);
    const byId = new Map(paintings.map((p) => [p.id, p]));
    return {
      stepOf: (id) => byWork.get(id) ?? null,
      nameOf(id) {
        const step = byWork.get(id);
        if (!step) return 'A coat';
        const part =
          step.workIds.length > 1
            ? `, part ${step.workIds.indexOf(id) + 1} of ${step.workIds.length}`
            : '';
        return `${stepName(step, byId.get(step.paintingId))}${part}`;
      },
    };
  }, [plan, paintings]);
}

/** What a session is called: its day, hours and works. */
export const sessionName = (s: PlannedSession, nowMs: number, nameOf: Names['nameOf']): string =>
  `${dayWord(s.fromMs, nowMs)} ${hours(s.fromMs, s.toMs)}: ${s.works.map((w) => nameOf(w.id)).join('; ')}`;

function paintingView(
  assessment: PaintingAssessment,
  plan: StudioPlan,
  air: Parameters<typeof laneOf>[5],
  names: Names,
  swatches: Swatches,
): PaintingPlanView {
  const { painting } = assessment;
  const planning = painting.planning ?? USUAL_DEADLINE;
  const works = new Map(plan.works.map((w) => [w.id, w]));
  const planned = new Map(
    plan.plan.sessions.flatMap((s) => s.works.map((w) => [w.id, w] as const)),
  );
  const steps = plan.steps.filter((s) => s.paintingId === painting.id);
  const endOf = (step: Step) => planned.get(step.workIds.at(-1)!)?.endMs ?? null;
  const delays = plan.delays.find((d) => d.project === painting.id) ?? null;
  return {
    painting,
    milestone: planning.milestone,
    dueMs: planning.dueAt === null ? null : Date.parse(planning.dueAt),
    goal: plan.goals.find((g) => g.project === painting.id) ?? null,
    delays,
    delayed: delays ? names.stepOf(delays.workIds[0] ?? '') : null,
    chain: (plan.plan.goals.find((g) => g.project === painting.id)?.chain ?? []).map((c) => ({
      name: names.nameOf(c.work),
      startMs: c.startMs,
      held: c.held,
    })),
    groundColour: groundDrawing(painting).colour,
    lanes: assessment.passages.map((p): LaneView => {
      const films = laneOf(p, steps, endOf, works, STUDIO_HANDBOOK.constants, air);
      const step = steps.find((s) => s.passageIds.includes(p.passage.id)) ?? null;
      const look = stackLook(p.base, painting, swatches);
      return {
        passageId: p.passage.id,
        name: p.passage.name,
        films,
        bands: films.map((f) => bandOf(f, painting.school, look)),
        next: step && {
          step,
          startMs: planned.get(step.workIds[0]!)?.startMs ?? null,
          endMs: endOf(step),
        },
      };
    }),
  };
}

/** The plan as it is drawn and said. Null until the first plan is there. */
export function usePlanView(weeks: number, labels: number): PlanView | null {
  const nowMs = useNow();
  const swatches = useSwatches();
  const assessments = useAssessments();
  const { climate, air } = useAssessOptions();
  const latitudeDeg = useStoreSelector((state) => state.studio.latitudeDeg);
  // Some dozen lanes are drawn anew with each plan or span: in slices, so that a tap meanwhile is heard.
  const plan = useDeferredValue(
    useStoreSelector((state) => state.planned.plan),
    null,
  );
  const spanWeeks = useDeferredValue(weeks);
  const names = useStepNames(plan);
  const { fromMs, toMs } = useMemo(() => {
    const zone = localZone();
    const from = momentOf(nextDay(dateIn(nowMs, zone), -BACK_DAYS), 0, zone);
    return { fromMs: from, toMs: from + spanWeeks * 7 * DAY_MS };
  }, [nowMs, spanWeeks]);
  const light = useMemo(
    () => bandLight(fromMs, toMs, nowMs, latitudeDeg, labels),
    [fromMs, toMs, nowMs, latitudeDeg, labels],
  );
  const next = useMemo((): PlanView | null => {
    if (!plan) return null;
    const zone = localZone();
    const through = air ?? constantAir(STUDIO_HANDBOOK.constants, climate);
    const { sessions } = plan.plan;
    return {
      nowMs,
      fromMs,
      toMs,
      days: light.map((day) => ({
        ...day,
        hours: plan.windows.filter(({ fromMs: at }) => at >= day.startMs && at < day.endMs),
      })),
      sessions,
      bandSessions: sessions
        .filter((s) => s.fromMs < toMs)
        .map((s) => ({
          key: s.works[0]!.id,
          fromMs: s.fromMs,
          toMs: s.toMs,
          pinned: s.works.some((w) => w.pinned),
          name: sessionName(s, nowMs, names.nameOf),
        })),
      paintings: assessments.map((a) => paintingView(a, plan, through, names, swatches)),
      impossible: [
        ...plan.plan.impossible.map((x) =>
          impossibleWords(x, names.nameOf, nowMs, PLAN_ODDS.slotMinutes),
        ),
        ...new Set(plan.refused.map((r) => refusedWords(names.nameOf(r.stepId)))),
      ],
      hoursToday: plan.windows.some(
        (w) => w.toMs > nowMs && dateIn(w.fromMs, zone) === dateIn(nowMs, zone),
      ),
      ...names,
    };
  }, [plan, nowMs, assessments, climate, air, fromMs, toMs, light, names, swatches]);
  // Of the view before, what still says the same is kept, so that it need not be drawn anew.
  const [shown, setShown] = useState<{ of: PlanView | null; view: PlanView | null }>({
    of: null,
    view: null,
  });
  if (shown.of === next) return shown.view;
  const view = next && settledIn(shown.view, next);
  setShown({ of: next, view });
  return view;
}
