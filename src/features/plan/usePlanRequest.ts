import { useMemo } from 'react';
import { paceOf } from '@/core/session/time';
import type { WhatIf } from '@/core/plan/what-if';
import { PLAN_ODDS } from '@/data/plan';
import { useSessions } from '@/features/session/useSession';
import { useNow, usePaintings, useSolverAir, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import type { PlanRequest } from '@/workers/plan-protocol';

/** The zone of the machine: hours are meant on its clock. */
export const localZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

const SLOT_MS = PLAN_ODDS.slotMinutes * 60_000;
const SEED = 1;
const DRAWS = 10_000;

/** What the plan is made from. A new one only when something in it has changed, or a slot has gone by. */
export function usePlanRequest(whatIf: WhatIf[]): PlanRequest {
  const now = useNow();
  const nowMs = Math.floor(now / SLOT_MS) * SLOT_MS;
  const paintings = usePaintings();
  const entities = useStoreSelector((state) => state.paintings.entities);
  const sessions = useSessions();
  const latitudeDeg = useStoreSelector((state) => state.studio.latitudeDeg);
  const { climate, air, learned } = useSolverAir(nowMs);
  const record = useStoreSelector(planRecordOf);
  const { hours, exceptions, busy, pins, waits } = record;
  const pace = useMemo(() => paceOf(sessions, entities), [sessions, entities]);
  return useMemo(
    () => ({
      paintings,
      record,
      pace,
      climate,
      air,
      learned,
      nowMs,
      timeZone: localZone(),
      latitudeDeg,
      whatIf,
      seed: SEED,
      draws: DRAWS,
      quick: false,
    }),
    // Of the record only what the painter says: what the plan itself notes there must not set it off anew.
    [
      paintings,
      hours,
      exceptions,
      busy,
      pins,
      waits,
      pace,
      climate,
      air,
      learned,
      nowMs,
      latitudeDeg,
      whatIf,
    ],
  );
}
