import { z } from 'zod';
import type { StudioPlan } from '@/core/schedule/studio-plan';
import { studioPlanSchema } from '@/workers/plan-protocol';
import type { Storage } from '../storage';

const PLANNED_KEY = 'planned';
const keptPlanSchema = z.object({ key: z.string(), plan: studioPlanSchema });
export type KeptPlan = z.infer<typeof keptPlanSchema>;

/** What never comes is infinite, which JSON cannot write; no name begins with this sign. */
const NEVER = '\u0000∞';
const NEVER_BEFORE = '\u0000-∞';

const write = (_key: string, value: unknown): unknown =>
  value === Infinity ? NEVER : value === -Infinity ? NEVER_BEFORE : value;
const read = (_key: string, value: unknown): unknown =>
  value === NEVER ? Infinity : value === NEVER_BEFORE ? -Infinity : value;

/** The plan as it last was; null where none was kept or it is of another edition: it is only made anew then. */
export async function readKeptPlan(storage: Storage): Promise<KeptPlan | null> {
  try {
    const raw = await storage.getItem(PLANNED_KEY);
    return raw === null ? null : (keptPlanSchema.safeParse(JSON.parse(raw, read)).data ?? null);
  } catch {
    return null;
  }
}

/** Kept where there is room; it can be made again, so a full store is no failure. */
export const writeKeptPlan = (storage: Storage, key: string, plan: StudioPlan): Promise<void> =>
  storage.setItem(PLANNED_KEY, JSON.stringify({ key, plan }, write)).catch(() => undefined);
