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
