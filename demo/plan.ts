import type { Painting } from '../src/core/painting';
import { USUAL_DEADLINE } from '../src/core/painting/deadline';
import type { Deadline } from '@/core/painting/deadline-schema';
import { NEW_PLAN_RECORD } from '../src/core/plan-record/record';
import type { PlanForecast, PlanRecord } from '@/core/plan-record/schema';

/** Dates, hours and past forecasts of the invented studio. */
const DAY_MS = 86_400_000;
const HOUR = 60;

/** The end of an afternoon some days ahead. */
function afternoon(nowMs: number, daysAhead: number): string {
  const at = new Date(nowMs + daysAhead * DAY_MS);
  at.setHours(17, 0, 0, 0);
  return at.toISOString();
}

/** A date for a painting, and how an edge of it is meant. */
export function dated(
  painting: Painting,
  nowMs: number,
  daysAhead: number,
  over: Partial<Deadline>,
): Painting {
  return {
    ...painting,
    planning: { ...USUAL_DEADLINE, dueAt: afternoon(nowMs, daysAhead), ...over },
  };
}

const EVENING = { from: 18 * HOUR, to: 20 * HOUR + 30 };
const MORNING = { from: 10 * HOUR, to: 14 * HOUR };

/** What the plan said a week before each coat that is laid: most of it held. */
function forecasts(paintings: Painting[]): PlanForecast[] {
  let n = 0;
  return paintings.flatMap((painting) =>
    painting.events.flatMap((event): PlanForecast[] => {
      if (event.kind !== 'laid') return [];
      const laid = Date.parse(event.at);
      n += 1;
      // One in eight came later than was said nine times in ten.
      const late = n % 8 === 0;
      const iso = (days: number) => new Date(laid + days * DAY_MS).toISOString();
      const coat = painting.coats.find((c) => c.id === event.coatId);
      const step = `${painting.id}/${event.coatId}`;
      return coat && coat.passageIds.length === event.passageIds.length
        ? [
            {
              id: `demo-${n}/${step}`,
              step,
              madeAt: iso(-7),
              p50: iso(late ? -5 : n % 2 === 0 ? -2 : 1),
              p90: iso(late ? -2 : 3),
            },
          ]
        : [];
    }),
  );
}

export const demoPlan = (paintings: Painting[]): PlanRecord => ({
  ...NEW_PLAN_RECORD,
  revision: 1,
  hours: {
    week: [[EVENING], [EVENING], [EVENING], [EVENING], [], [MORNING], []],
    daylightOnly: false,
  },
  alarmMinutes: 30,
  forecasts: forecasts(paintings),
});
