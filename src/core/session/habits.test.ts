import { METHODS } from '@/data/methods';
import { layCoat, reduceFilm } from '../painting/events';
import type { CoatRole, Painting } from '../painting/schema';
import { part, recipe, tube } from '../tests/recipes';
import { stackOf } from '../tests/paintings';
import { beginSession, endSession } from '.';
import { habitsOf, heldOf, holdChance, redoneOf, USUAL_HABITS } from './habits';
import { paceSamples, usualMinutes } from './pace';
import type { Session } from './schema';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const START = Date.UTC(2026, 0, 5, 18);
const iso = (ms: number): string => new Date(ms).toISOString();
let n = 0;
const making = (ms: number) => ({ now: iso(ms), newId: () => `h${++n}` });

/** Coats of these kinds one over the other, laid a week apart on the first passage. */
function painted(roles: CoatRole[], days = roles.map((_, i) => 7 * i)): Painting {
  const painting = stackOf(
    roles.map(() => recipe([tube('yellow-ochre')], 0.2, [part('stand-oil')], 30)),
    roles.map((role) => ({ role })),
  );
  return painting.coats.reduce(
    (p, coat, i) =>
      layCoat(
        p,
        {
          coatId: coat.id,
          passageIds: [painting.passages[0]!.id],
          at: iso(START + days[i]! * DAY),
          spot: null,
          intoWet: false,
        },
        making(START + 90 * DAY),
      ),
    painting,
  );
}

const taken = (p: Painting, day: number, left: 'half' | 'trace'): Painting =>
  reduceFilm(
    p,
    {
      passageId: p.passages[0]!.id,
      spotName: null,
      how: 'scraped',
      left,
      at: iso(START + day * DAY),
    },
    making(START + 90 * DAY),
  );

describe('coats done over', () => {
  test('a coat over the other is none; going back over a later stage is one', () => {
    expect(redoneOf(painted(['tone', 'underpainting', 'overpainting', 'glaze']))).toEqual({
      laid: 3,
      redone: 0,
    });
    expect(redoneOf(painted(['underpainting', 'glaze', 'overpainting', 'glaze', 'glaze']))).toEqual(
      {
        laid: 5,
        redone: 1,
      },
    );
  });

  test('who follows a method does nothing over', () => {
    for (const [key, { coats }] of Object.entries(METHODS))
      expect([key, redoneOf(painted(coats.map((c) => c.role))).redone]).toEqual([key, 0]);
  });

  test('scraped to a trace on a later day is one; on the same day, or to the half, it is a way of laying', () => {
    const painting = painted(['underpainting', 'overpainting']);
    expect(redoneOf(taken(painting, 9, 'trace')).redone).toBe(1);
    expect(redoneOf(taken(painting, 9, 'half')).redone).toBe(0);
    expect(redoneOf(taken(painting, 7.04, 'trace')).redone).toBe(0);
  });
});

const session = (fromMs: number, hours: number): Session =>
  endSession(
    beginSession({ works: [], boxMinutes: null, goal: '' }, making(fromMs)),
    making(fromMs + hours * HOUR),
  );

describe('hours held', () => {
  /** Two hours from six in the evening, twelve days in a row. */
  const windows = Array.from({ length: 12 }, (_, d) => ({
    fromMs: START + d * DAY,
    toMs: START + d * DAY + 2 * HOUR,
  }));

  test('held where a session met them, moved where the day had one elsewhere; nothing before the first', () => {
    const sessions = [3, 4, 6, 8].map((d) => session(START + d * DAY + HOUR, 3));
    sessions.push(session(START + 9 * DAY - 8 * HOUR, 2));
    expect(heldOf(windows, sessions, 'UTC')).toEqual({ hours: 9, held: 4, moved: 1 });
    expect(heldOf(windows, [], 'UTC')).toEqual({ hours: 0, held: 0, moved: 0 });
  });

  test('two stretches on one day: a session in the first is not the second one moved', () => {
    const both = [windows[0]!, { fromMs: START + 4 * HOUR, toMs: START + 5 * HOUR }];
    expect(heldOf(both, [session(START, 1)], 'UTC')).toEqual({ hours: 2, held: 1, moved: 0 });
  });

  test('the chance is told from eight stretches on, never nothing or all', () => {
    expect(holdChance({ hours: 7, held: 7, moved: 0 })).toBeNull();
    expect(holdChance({ hours: 8, held: 8, moved: 0 })).toBeCloseTo(0.9, 10);
    expect(holdChance({ hours: 8, held: 0, moved: 0 })).toBeCloseTo(0.1, 10);
  });
});

describe('minutes', () => {
  const painting = painted(['overpainting']);
  const coat = painting.coats[0]!;
  const usual = usualMinutes(
    coat,
    (painting.support.widthMm * painting.support.heightMm * painting.passages[0]!.share) / 100,
  );
  /** Sittings that took so many times the usual. */
  const sittings = (times: number[]): Session[] =>
    times.map((x) => {
      const from = START - (usual * x * 60_000) / 2;
      const base = beginSession(
        {
          works: [
            {
              paintingId: painting.id,
              passageIds: [painting.passages[0]!.id],
              coatId: coat.id,
              name: coat.name,
              plannedMinutes: null,
            },
          ],
          boxMinutes: null,
          goal: '',
        },
        making(from),
      );
      return endSession(base, making(from + usual * x * 60_000));
    });
  const paintings = { [painting.id]: painting };
  const habits = (times: number[]) => {
    const sessions = sittings(times);
    return habitsOf(paceSamples(sessions, paintings), sessions, paintings, [], 'UTC');
  };

  test('without a log all is as usual', () => {
    expect(habitsOf([], [], {}, [], 'UTC')).toEqual(USUAL_HABITS);
  });

  test('who always takes as long is told so narrowly, who strays widely; the doubt about all falls', () => {
    const steady = habits(Array.from({ length: 12 }, () => 1));
    const wild = habits(Array.from({ length: 12 }, (_, k) => (k % 2 ? 3 : 1 / 3)));
    expect(steady.sittings).toBe(12);
    // Eight usual sittings and twelve without any spread: sqrt(8 / 20) of the usual.
    expect(steady.ownSd).toBeCloseTo(USUAL_HABITS.ownSd * Math.sqrt(8 / 20), 6);
    expect(wild.ownSd).toBeGreaterThan(0.7);
    expect(steady.sharedSd).toBeLessThan(USUAL_HABITS.sharedSd);
    expect(steady.sharedSd).toBeGreaterThanOrEqual(0.08);
  });
});
