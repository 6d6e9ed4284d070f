import { z } from 'zod';
import { followedAir, type AirRecord } from '../climate';
import type { Constants } from '@/data/constants';
import { constantAir, temperatureFactor, type Climate, type StudioAir } from '../drying';
import type { Painting } from '../painting/schema';
import { exceptionSchema, hoursSchema } from '../plan-record/schema';
import type { PlanRecord } from '../plan-record/schema';

const id = z.string().min(1).max(80);

/** One thing that might be otherwise. */
export const whatIfSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('away'), exception: exceptionSchema }),
  z.object({ kind: z.literal('drop'), paintingId: id, coatId: id }),
  /** Alkyd medium in the place of every other, in the coats still to be laid. */
  z.object({ kind: z.literal('alkyd'), paintingId: id }),
  z.object({ kind: z.literal('warmer'), byC: z.number().min(-15).max(15) }),
  /** Work on a day of the week as well; 0 is Monday. */
  z.object({
    kind: z.literal('also'),
    weekday: z.number().int().min(0).max(6),
    hours: hoursSchema,
  }),
]);
export type WhatIf = z.infer<typeof whatIfSchema>;

export interface Supposed {
  paintings: Painting[];
  record: PlanRecord;
  warmerC: number;
}

const isLaidAnywhere = (painting: Painting, coatId: string): boolean =>
  painting.events.some((e) => e.kind === 'laid' && e.coatId === coatId);

/** The studio as it would be. Nothing given is changed; what was laid stays as it was. */
export function suppose(paintings: Painting[], record: PlanRecord, changes: WhatIf[]): Supposed {
  let out: Supposed = { paintings, record, warmerC: 0 };
  for (const change of changes) out = supposeOne(out, change);
  return out;
}

function supposeOne(now: Supposed, change: WhatIf): Supposed {
  const painting = (id: string, to: (p: Painting) => Painting): Supposed => ({
    ...now,
    paintings: now.paintings.map((p) => (p.id === id ? to(p) : p)),
  });
  switch (change.kind) {
    case 'away':
      return {
        ...now,
        record: { ...now.record, exceptions: [...now.record.exceptions, change.exception] },
      };
    case 'drop':
      return painting(change.paintingId, (p) => ({
        ...p,
        coats: p.coats.filter((c) => c.id !== change.coatId),
      }));
    case 'alkyd':
      return painting(change.paintingId, (p) => ({
        ...p,
        coats: p.coats.map((c) =>
          c.recipe.mediumShare === 0 || isLaidAnywhere(p, c.id)
            ? c
            : { ...c, recipe: { ...c.recipe, medium: [{ ingredient: 'alkyd-medium', parts: 1 }] } },
        ),
      }));
    case 'warmer':
      return { ...now, warmerC: now.warmerC + change.byC };
    case 'also': {
      const week = now.record.hours.week.map((day, i) =>
        i === change.weekday ? [...day, change.hours] : day,
      );
      return { ...now, record: { ...now.record, hours: { ...now.record.hours, week } } };
    }
  }
}

/**
 * The air from now on, warmer by some degrees: the rate of drying times the Arrhenius factor at the mean temperature of
 * the coming week; what is past stays. Acrylic dries by humidity and is not changed.
 */
export function warmerFrom(
  constants: Constants,
  air: StudioAir,
  nowMs: number,
  byC: number,
): StudioAir {
  if (byC === 0) return air;
  const WEEK_MS = 7 * 86_400_000;
  const { temperatureC } = air.meanBetween(nowMs, nowMs + WEEK_MS);
  const factor =
    temperatureFactor(constants, temperatureC + byC) /
    Math.max(1e-9, temperatureFactor(constants, temperatureC));
  return {
    ...air,
    meanBetween(fromMs, toMs) {
      const mean = air.meanBetween(fromMs, toMs);
      return toMs > nowMs ? { ...mean, temperatureC: mean.temperatureC + byC } : mean;
    },
    clock(kind, laidAtMs, coveredAtMs) {
      const clock = air.clock(kind, laidAtMs, coveredAtMs);
      if (kind === 'acrylic') return clock;
      const sofar = clock.doseAt(Math.max(nowMs, laidAtMs));
      return {
        doseAt(ms) {
          const dose = clock.doseAt(ms);
          return ms <= nowMs ? dose : sofar + (dose - sofar) * factor;
        },
        timeOf: (dose) => clock.timeOf(dose <= sofar ? dose : sofar + (dose - sofar) / factor),
      };
    },
  };
}

/** The air of a studio, as it is told or followed. */
export const airFor = (
  constants: Constants,
  climate: Climate,
  record: AirRecord | null,
): StudioAir => (record ? followedAir(constants, record) : constantAir(constants, climate));
