import { useStoreSelector } from '@/store/hooks';
import { nowMs } from '@/store/clock';
import { planRecordOf } from '@/store/plan';
import { saveFile } from '@/features/keep/files';
import { MILESTONE_WORDS } from './PaintingLanes';
import type { CalendarEntry } from './calendar-out';
import type { PlanView } from './usePlanView';

const QUARTER_MS = 15 * 60_000;

/** Sessions, windows of drying and dates of the plan, for a calendar. */
export function entriesOf(view: PlanView): CalendarEntry[] {
  const titleOf = new Map(view.paintings.map((p) => [p.painting.id, p.painting.title]));
  const works = view.sessions.flatMap((s) =>
    s.works.map((w): CalendarEntry => ({
      key: w.id,
      kind: 'work',
      fromMs: w.startMs,
      toMs: w.endMs,
      summary: `${titleOf.get(w.project) ?? ''}: ${view.nameOf(w.id)}`,
      description: 'Planned by Tawny Hour. Import the file again and it moves with the plan.',
    })),
  );
  const known = new Map<string, number>();
  /** A window by its painting, passage and coats, laid or planned; the second of the same coat is told apart. */
  const keyOf = (paintingId: string, passageId: string, coatIds: string[]): string => {
    const key = `${paintingId}/${passageId}/${coatIds.join('+')}`;
    const n = known.get(key) ?? 0;
    known.set(key, n + 1);
    return n === 0 ? key : `${key}/${n + 1}`;
  };
  const dry = view.paintings.flatMap((p) =>
    p.lanes.flatMap((lane) =>
      lane.films
        .filter((f) => f.touchByMs > view.nowMs && Number.isFinite(f.touchByMs))
        .map((f): CalendarEntry => ({
          key: keyOf(p.painting.id, lane.passageId, f.layer.film.coatIds),
          kind: 'dry',
          fromMs: f.touchMs,
          toMs: Math.max(f.touchByMs, f.touchMs + QUARTER_MS),
          summary: `${p.painting.title}, ${lane.name}: ${f.layer.film.name} gets touch-dry`,
          description: 'From even odds to nine chances in ten.',
        })),
    ),
  );
  const due = view.paintings.flatMap((p): CalendarEntry[] =>
    p.dueMs === null
      ? []
      : [
          {
            key: p.painting.id,
            kind: 'due',
            fromMs: p.dueMs,
            toMs: p.dueMs + QUARTER_MS,
            summary: `${p.painting.title}: ${MILESTONE_WORDS[p.milestone]}`,
            description: 'The date it is due.',
          },
        ],
  );
  return [...works, ...dry, ...due];
}

/** Save the plan as a calendar file. The writer is fetched when it is asked for. */
export function usePlanExport(view: PlanView | null): () => Promise<void> {
  const { revision, alarmMinutes } = useStoreSelector(planRecordOf);
  return async () => {
    if (!view) return;
    const { calendarFile } = await import('./calendar-out');
    saveFile(
      'tawny-hour-plan.ics',
      calendarFile(entriesOf(view), { nowMs: nowMs(), sequence: revision, alarmMinutes }),
      'text/calendar',
    );
  };
}
