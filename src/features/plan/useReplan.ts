import { useState } from 'react';
import type { PlannedSession, PlannedWork } from '@/core/schedule';
import { mondayOf, momentOf, nextDay } from '@/core/schedule/calendar';
import { nearestWindow, neighbourWindow, placesIn } from '@/core/schedule/move';
import { keepOut, letGo, pinWorks, unpinWorks } from '@/core/plan-record/record-edit';
import { PLAN_ODDS } from '@/data/plan';
import { changePlan } from '@/store/actions';
import { useNow, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { shortTime } from '@/ui/time/words';
import { localZone } from '@/store/select-work';
import { onDay } from './plan-words';
import { useStepNames } from './usePlanView';
import type { WorkWindow } from '@/core/schedule';

const SLOT_MS = PLAN_ODDS.slotMinutes * 60_000;
type Works = Pick<PlannedWork, 'id' | 'startMs' | 'endMs'>[];

export interface Replan {
  /** Why the last move could not be made; empty when it was. */
  refusal: string;
  move(works: Works, by: 1 | -1): void;
  drop(works: Works, atMs: number): void;
  /** Into hours of today. */
  today(works: Works): void;
  pin(works: Works): void;
  unpin(ids: string[]): void;
  /** Out of the week in which they stand. */
  notThatWeek(works: Works): void;
  letGo(ids: string[]): void;
}

/** What the hand does to the plan: each is a change that can be taken back; the rest moves around it. */
export function useReplan(): Replan {
  const dispatch = useStoreDispatch();
  const now = useNow();
  const plan = useStoreSelector((state) => state.planned.plan);
  const { nameOf } = useStepNames(plan);
  const [refusal, setRefusal] = useState('');
  const windows = plan?.windows ?? [];
  const sessions: PlannedSession[] = plan?.plan.sessions ?? [];
  const called = (works: { id: string }[]): string =>
    works.length === 1 ? nameOf(works[0]!.id) : `${works.length} works`;

  const put = (works: Works, window: WorkWindow | null, nowhere: string) => {
    const places = window && placesIn(works, window, sessions, SLOT_MS);
    if (!places) {
      setRefusal(
        window
          ? `${called(works)} does not fit into ${shortTime(window.fromMs, now)}: the hours are too short, or pinned full.`
          : nowhere,
      );
      return;
    }
    setRefusal('');
    dispatch(
      changePlan(`Put ${called(works)} ${onDay(window.fromMs, now)}`, (record) =>
        pinWorks(record, places),
      ),
    );
  };
  /** The week in which works stand. */
  const weekOf = (atMs: number): WorkWindow => {
    const zone = localZone();
    const monday = mondayOf(atMs, zone);
    return { fromMs: momentOf(monday, 0, zone), toMs: momentOf(nextDay(monday, 7), 0, zone) };
  };
  return {
    refusal,
    move: (works, by) =>
      put(
        works,
        neighbourWindow(windows, works[0]!.startMs, by),
        by === 1 ? 'There are no later hours in the year ahead.' : 'There are no earlier hours.',
      ),
    drop: (works, atMs) =>
      put(
        works,
        nearestWindow(windows, atMs),
        'There are no hours for work. Set them under Hours.',
      ),
    today: (works) => {
      const midnight = momentOf(nextDay(new Date(now).toLocaleDateString('sv'), 1), 0, localZone());
      put(
        works,
        windows.find((w) => w.fromMs < midnight) ?? null,
        'There are no hours left today. Add an extra day under Hours.',
      );
    },
    pin: (works) =>
      dispatch(
        changePlan(`Pinned ${called(works)}`, (record) =>
          pinWorks(record, Object.fromEntries(works.map((w) => [w.id, w.startMs]))),
        ),
      ),
    unpin: (ids) => dispatch(changePlan('Let a session move', (record) => unpinWorks(record, ids))),
    notThatWeek: (works) =>
      dispatch(
        changePlan(`Kept ${called(works)} out of a week`, (record) =>
          keepOut(
            record,
            works.map((w) => w.id),
            weekOf(works[0]!.startMs),
          ),
        ),
      ),
    letGo: (ids) =>
      dispatch(changePlan('May be in any week again', (record) => letGo(record, ids))),
  };
}
