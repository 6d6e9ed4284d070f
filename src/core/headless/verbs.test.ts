import { z } from 'zod';
import { recipe, tube } from '../tests/recipes';
import { refusal } from '../tests/refusal';
import { defineVerb, VERBS } from './verbs';
import { unknownKey } from './unknown-keys';

const LAID = '2026-01-01T00:00:00.000Z';
const windowsOf = (told: unknown) =>
  (told as { windows: Record<string, Record<string, string | null>> }).windows;

test('a key that nobody knows is refused by its name and place, however deep', () => {
  const input = { recipe: { ...recipe([tube('titanium-white')]), mediumshare: 0.5 }, laidAt: LAID };
  expect(refusal(() => VERBS.dry!.run(input))).toBe('unknown-key');
  expect(() => VERBS.dry!.run(input)).toThrow(/^Nothing here is called so. .*Known: .*mediumShare/);
  const known = VERBS.dry!.run({ recipe: recipe([tube('titanium-white')]), laidAt: LAID });
  expect(windowsOf(known).touchDry!.p50).toMatch(/^2026-01-0/);
  const shape = z.object({
    list: z.array(z.union([z.object({ a: z.number() }), z.object({ b: z.number() })])),
    named: z.record(z.string(), z.object({ c: z.number() })),
    open: z.unknown(),
  });
  const asked = (more: object) =>
    unknownKey(shape, { list: [{ a: 1 }, { b: 1 }], named: { any: { c: 1 } }, open: {}, ...more });
  expect(asked({ open: { whatever: 1 } })).toBeNull();
  expect(asked({ list: [{ a: 1 }, { d: 1 }] })).toEqual({ where: 'list.1.d', known: ['a', 'b'] });
  expect(asked({ named: { any: { c: 1, d: 1 } } })?.where).toBe('named.any.d');
});

test('what dries after the end of all calendars has no date, and is no error', () => {
  const told = VERBS.dry!.run({
    recipe: recipe([tube('ivory-black', 1, 'poppy')], 0, [], 10_000),
    climate: { temperatureC: 1, relativeHumidityPct: 90, light: 'dark', air: 'sealed' },
    laidAt: LAID,
  });
  const { touchDry, throughDry } = windowsOf(told);
  expect(throughDry!.p90).toBeNull();
  for (const at of Object.values({ ...touchDry, ...throughDry }))
    expect(at === null || !Number.isNaN(Date.parse(at))).toBe(true);
});

test('a fault of the program is not blamed on the input', () => {
  const broken = defineVerb({
    name: 'broken',
    summary: '',
    input: z.object({}),
    output: z.object({ ml: z.number() }),
    run: () => ({ ml: Infinity }),
  });
  expect(() => broken.run({})).toThrow(/^broken worked out something.*ml.*fault of the program/);
});

test('dry early against all tables is learned from, and stays a number', () => {
  const told = VERBS.learn!.run({
    films: [
      {
        id: 'a',
        recipe: recipe([tube('titanium-white')], 0, [], 50),
        laidAt: LAID,
        tests: [
          { id: 'x', at: '2026-01-02T00:00:00.000Z', finding: 'touch-dry' },
          { id: 'y', at: '2026-01-03T00:00:00.000Z', finding: 'nail-hard' },
        ],
      },
    ],
  }) as { films: { touchDoseDays: Record<string, number> }[] };
  const { p10, p90 } = told.films[0]!.touchDoseDays;
  expect(p10!).toBeGreaterThan(0.2);
  expect(p90!).toBeLessThan(1.6);
});

describe('what a verb is asked and tells', () => {
  const WHITE = recipe([tube('titanium-white')], 0, [], 50);
  const now = '2026-02-17T10:00:00.000Z';
  const coat = (name: string, laidAt: string | null) => ({ name, recipe: WHITE, laidAt });
  const stack = (...coats: object[]) => ({ now, coats });

  test.each([
    ['laid on what is only planned', stack(coat('a', null), coat('b', '2026-02-01T10:00:00Z'))],
    [
      'laid before what it lies on',
      stack(coat('a', '2026-02-05T10:00:00Z'), coat('b', '2026-02-01T10:00:00Z')),
    ],
    ['laid after now', stack(coat('a', '2026-03-01T10:00:00Z'))],
  ])('coats out of order are refused: %s', (_, input) => {
    for (const verb of ['verdicts', 'compatibility', 'may-go-on'])
      expect(refusal(() => VERBS[verb]!.run(input))).toBe('order');
    expect(refusal(() => VERBS.repair!.run({ ...input, coat: 0 }))).toBe('order');
  });

  test('readings stand for the climate: in the cold the coat below is still wet', () => {
    const readings = Array.from({ length: 16 * 24 }, (_, i) => ({
      at: new Date(Date.parse('2026-02-02T00:00:00Z') + i * 3_600_000).toISOString(),
      temperatureC: 4,
      relativeHumidityPct: 60,
    }));
    const asked = stack(coat('a', '2026-02-11T10:00:00Z'), coat('b', null));
    const answer = (more: object) =>
      (VERBS['may-go-on']!.run({ ...asked, ...more }) as { coats: { answer: string }[] }).coats.at(
        -1,
      )!.answer;
    expect(answer({})).not.toBe('wait');
    expect(answer({ series: { readings } })).toBe('wait');
  });

  test('dry and film tell what the time is made of: the factors make the dose', () => {
    const film = recipe(
      [tube('raw-umber'), tube('titanium-white', 3)],
      0.2,
      [{ ingredient: 'alkyd-medium', parts: 1 }],
      20,
    );
    const told = VERBS.dry!.run({
      recipe: film,
      laidAt: LAID,
      below: { surface: 'acrylic', cure: 1 },
    }) as {
      touchDoseDays: { median: number; sigma: number; p05: number; p95: number };
      openDoseDays: { median: number };
      factors: Record<string, number>;
      windows: Record<string, Record<string, string>>;
    };
    const f = told.factors;
    expect(f.oilDays! * (f.pigmentFactor! * 0.75) ** f.tubeExponent!).toBeGreaterThan(0);
    expect(
      Math.max(0.25, f.baseDays! * f.alkydFactor! * f.drierTouchFactor!) *
        f.cloveFactor! *
        f.groundFactor! *
        f.underFactor! *
        f.thicknessFactor!,
    ).toBeCloseTo(told.touchDoseDays.median, 10);
    expect(f.groundLoss).toBeCloseTo(Math.min(0.5, 2 / f.oilUm!), 10);
    const { median, sigma, p05, p95 } = told.touchDoseDays;
    expect(p95 / median).toBeCloseTo(Math.exp(1.6448536 * sigma), 5);
    expect(p05 * p95).toBeCloseTo(median ** 2, 8);
    expect(Date.parse(told.windows.touchDry!.p05!)).toBeLessThan(
      Date.parse(told.windows.touchDry!.p10!),
    );
    const paint = VERBS.film!.run(film) as {
      drying: Record<string, number>;
      groundLoss: Record<string, number>;
    };
    expect(paint.drying.baseDays).toBe(f.baseDays);
    expect(paint.groundLoss.acrylic).toBe(f.groundLoss);
  });

  test('learn: readings, the film below, and films still to be told', () => {
    const film = { recipe: WHITE, laidAt: LAID };
    const told = VERBS.learn!.run({
      films: [
        { ...film, id: 'a', tests: [{ id: 'x', at: '2026-01-06T00:00:00Z', finding: 'tacky' }] },
      ],
      forecast: [
        { ...film, id: 'b' },
        { ...film, id: 'c', below: { surface: null, cure: 0.3 } },
      ],
    }) as { forecast: { id: string; touchDoseDays: Record<string, number> }[] };
    const [b, c] = told.forecast;
    const tables = VERBS.dry!.run(film) as { touchDoseDays: { median: number } };
    // Tacky after five days: slower than the tables, and slower still over what is wet.
    expect(b!.touchDoseDays.p50).toBeGreaterThan(1.1 * tables.touchDoseDays.median);
    expect(c!.touchDoseDays.p50).toBeGreaterThan(b!.touchDoseDays.p50!);
  });

  test('tubes in raw and sun-thickened linseed dry by their oil', () => {
    const touch = (binder: 'linseed' | 'linseed-raw' | 'linseed-sun-thickened') =>
      (
        VERBS.dry!.run({ recipe: recipe([tube('titanium-white', 1, binder)]), laidAt: LAID }) as {
          touchDoseDays: { median: number };
        }
      ).touchDoseDays.median;
    expect(touch('linseed-sun-thickened')).toBeLessThan(touch('linseed'));
    expect(touch('linseed-raw')).toBeGreaterThan(touch('linseed'));
  });
});
