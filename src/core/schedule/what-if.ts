import { z } from 'zod';
import { followedAir, type AirRecord } from '../climate';
import { BINDERS } from '@/data/binders';
import type { Constants } from '@/data/constants';
import { constantAir, temperatureFactor, type Climate, type StudioAir } from '../drying';
import { binderOfPart } from '../film';
import type { Coat, Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';
import { exceptionSchema, hoursSchema } from '../plan-record/schema';
import type { PlanRecord } from '../plan-record/schema';

const id = z.string().min(1).max(80);
const MOST_PASSAGES = 200;

/** One thing that might be otherwise. */
export const whatIfSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('away'), exception: exceptionSchema }),
  /** A coat less, everywhere or on some passages; what of it is begun stays. */
  z.object({
    kind: z.literal('drop'),
    paintingId: id,
    coatId: id,
    passageIds: z.array(id).min(1).max(MOST_PASSAGES).optional(),
  }),
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

const laidOn = (painting: Painting, coatId: string): Set<string> =>
  new Set(
    laidEvents(painting)
      .filter((e) => e.coatId === coatId)
      .flatMap((e) => e.passageIds),
  );

/** Passages on which nothing of a coat lies: there it may be left out. */
export function mayBeLeftOutOn(painting: Painting, coat: Coat): string[] {
  const begun = laidOn(painting, coat.id);
  return coat.passageIds.filter((id) => !begun.has(id));
}

/** A coat without some of its passages; nothing of it where none is left. */
function without(
  painting: Painting,
  coat: Coat,
  { passageIds = coat.passageIds }: { passageIds?: string[] | undefined },
): Coat[] {
  const out = mayBeLeftOutOn(painting, coat).filter((id) => passageIds.includes(id));
  const left = coat.passageIds.filter((id) => !out.includes(id));
  return left.length > 0 ? [{ ...coat, passageIds: left }] : [];
}

/** Coats that oil out or close a picture have no painting medium. */
const NO_MEDIUM = new Set<Coat['role']>(['oiling-out', 'varnish']);

/**
 * Whether alkyd medium may take the place of a coat's medium: it is still to be laid, has one, and is oil paint. Ordinary
 * alkyd does not go into acrylic, nor into water-mixable paint.
 */
export function takesAlkyd(painting: Painting, { id, role, recipe }: Coat): boolean {
  const tubes = [...recipe.mix, ...(recipe.colours ?? []).flatMap((colour) => colour.mix)];
  return (
    recipe.mediumShare > 0 &&
    !NO_MEDIUM.has(role) &&
    laidOn(painting, id).size === 0 &&
    tubes.map(binderOfPart).every((b) => b !== 'water-mixable' && BINDERS[b].kind !== 'acrylic')
  );
}

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
        coats: p.coats.flatMap((c) => (c.id === change.coatId ? without(p, c, change) : [c])),
      }));
    case 'alkyd':
      return painting(change.paintingId, (p) => ({
        ...p,
        coats: p.coats.map((c) =>
          takesAlkyd(p, c)
            ? { ...c, recipe: { ...c.recipe, medium: [{ ingredient: 'alkyd-medium', parts: 1 }] } }
            : c,
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
