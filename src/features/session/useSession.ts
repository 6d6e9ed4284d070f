import { useEffect, useState } from 'react';
import { CoreError } from '@/core/errors';
import { layCoat } from '@/core/painting/events';
import { openAt, topLaid, unlaidPassages, type Painting } from '@/core/painting';
import { assessPainting } from '@/core/painting';
import {
  beginSession,
  finishWork,
  type Session,
  type SessionPlan,
  type Work,
} from '@/core/session';
import { addSession, changePainting, changeSession } from '@/store/actions';
import { making, nowIso, nowMs } from '@/store/clock';
import { useAssessOptions, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { selectSessions } from '@/store/select-plan';

const SECOND_MS = 1000;

/** The present to the second, for a timer that is looked at. */
export function useSeconds(running: boolean): number {
  const [now, setNow] = useState(nowMs);
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => setNow(nowMs()), SECOND_MS);
    return () => clearInterval(timer);
  }, [running]);
  return now;
}

export const useSessions = (): Session[] => useStoreSelector(selectSessions);

/** The session that runs: the newest that has not ended. */
export const useRunningSession = (): Session | null =>
  useSessions().find((s) => s.endedAt === null) ?? null;

export function useBegin() {
  const dispatch = useStoreDispatch();
  return (plan: SessionPlan): string => {
    const session = beginSession(plan, making());
    dispatch(addSession(session));
    return session.id;
  };
}

/** "0:42", "1:05:10" with seconds. */
export function timer(minutes: number, seconds = false): string {
  const total = Math.max(0, Math.floor(minutes * 60));
  const two = (n: number) => String(n).padStart(2, '0');
  const [h, m, s] = [Math.floor(total / 3600), Math.floor(total / 60) % 60, total % 60];
  return seconds ? `${h}:${two(m)}:${two(s)}` : `${h}:${two(m)}`;
}

/** Work is done: the session notes it, and the coat is laid on what it was for. */
export function useFinish(session: Session) {
  const dispatch = useStoreDispatch();
  const options = useAssessOptions();
  const paintings = useStoreSelector((state) => state.paintings.entities);
  const [refusal, setRefusal] = useState<string | null>(null);

  /** Into the wet where the film on top is open: paint laid then goes into it. */
  const intoWet = (painting: Painting, passageIds: string[]): boolean =>
    assessPainting(painting, options)
      .passages.filter((p) => passageIds.includes(p.passage.id))
      .every((p) => {
        const top = topLaid(p.base);
        return top !== null && openAt(top, nowMs());
      });

  const lay = (work: Work): void => {
    const painting = paintings[work.paintingId];
    const coat = painting?.coats.find((c) => c.id === work.coatId);
    if (!painting || !coat) return;
    const open = unlaidPassages(painting, coat);
    const passageIds = work.passageIds.filter((id) => open.includes(id));
    if (passageIds.length === 0) return;
    dispatch(
      changePainting(painting.id, `Laid ${coat.name.toLowerCase()}`, (p, m) =>
        layCoat(
          p,
          {
            coatId: coat.id,
            passageIds,
            at: nowIso(),
            spot: coat.spot,
            intoWet: intoWet(p, passageIds),
          },
          m,
        ),
      ),
    );
  };

  return {
    refusal,
    finish(work: Work, laid: boolean) {
      setRefusal(null);
      try {
        if (laid) lay(work);
        dispatch(
          changeSession(session.id, `Finished ${work.name.toLowerCase()}`, (s, m) =>
            finishWork(s, work.id, m),
          ),
        );
      } catch (error) {
        setRefusal(error instanceof CoreError ? error.message : String(error));
      }
    },
  };
}

interface WakeLock {
  release(): Promise<void>;
}

/** The screen stays on while a session runs, where the browser allows it. */
export function useKeepAwake(on: boolean): void {
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) return;
    let lock: WakeLock | null = null;
    let over = false;
    (navigator.wakeLock as { request(kind: 'screen'): Promise<WakeLock> })
      .request('screen')
      .then((held) => {
        lock = held;
        if (over) void held.release();
      })
      // A browser that refuses (battery low, window hidden) leaves the screen to its own rules.
      .catch(() => undefined);
    return () => {
      over = true;
      if (lock) void lock.release();
    };
  }, [on]);
}
