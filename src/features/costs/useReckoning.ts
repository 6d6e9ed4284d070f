import { useMemo } from 'react';
import type { Reckoning } from '@/core/costs/accounts';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { useSessions } from '@/features/session/useSession';
import { useNow, useStoreSelector } from '@/store/hooks';
import { useMoney } from './money-words';

/** With what the studio's pictures are reckoned. */
export function useReckoning(): Reckoning {
  const sessions = useSessions();
  const paints = useStoreSelector((s) => s.cabinet.paints);
  const paintings = useStoreSelector((s) => s.paintings.entities);
  const money = useStoreSelector((s) => s.studio.money);
  const nowMs = useNow();
  const { digits } = useMoney();
  return useMemo(
    () => ({
      handbook: STUDIO_HANDBOOK,
      paints,
      sessions,
      paintings,
      nowMs,
      digits,
      perHourMinor: money?.perHourMinor,
      commissionPct: money?.commissionPct,
    }),
    [paints, sessions, paintings, nowMs, digits, money],
  );
}
