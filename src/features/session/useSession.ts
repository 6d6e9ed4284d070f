import { useEffect, useState } from 'react';
import { beginSession, type Session, type SessionPlan } from '@/core/session';
import { addSession } from '@/store/actions';
import { making, nowMs } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { selectSessions } from '@/store/select-work';

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
