import { METHOD_KEYS } from '@/data/method-keys';
import { paintingSchema } from '@/core/painting';
import { making } from '@/core/testing/paintings';
import {
  buildPainting,
  newPaintingOf,
  sharesProblem,
  type NewPaintingForm,
} from './new-painting-form';

const form = (over: Partial<NewPaintingForm> = {}): NewPaintingForm => ({
  title: 'Form',
  support: 'linen',
  width: '20',
  height: '16,5',
  ground: 'acrylic-gesso',
  gessoCoats: '4',
  groundDay: '2020-05-01',
  smooth: false,
  sealed: true,
  white: 'titanium',
  oldSurface: 'matt',
  oldLead: false,
  oldZinc: false,
  size: 'acrylic',
  method: 'direct-start',
  passages: [
    { name: 'a', share: '40' },
    { name: 'b', share: '60' },
  ],
  ...over,
});

test('sizes are kept in mm, from either unit, with a point or a comma', () => {
  expect(newPaintingOf(form(), 'cm').support).toEqual({
    kind: 'linen',
    widthMm: 200,
    heightMm: 165,
  });
  expect(newPaintingOf(form(), 'inch').support.widthMm).toBeCloseTo(508, 6);
});

test('what the form builds is a valid painting, by every method on a ground it takes', () => {
  for (const method of METHOD_KEYS) {
    const ground = method === 'over-old-oil' ? 'old-painting' : 'acrylic-gesso';
    const painting = buildPainting(form({ method, ground }), 'cm', making());
    expect(typeof painting).toBe('object');
    expect(paintingSchema.safeParse(painting).success).toBe(true);
  }
});

test.each([
  ['chalk-glue', { kind: 'chalk-glue', coats: 4, laidAt: '2020-05-01T00:00:00.000Z' }],
  ['alkyd-ground', { kind: 'alkyd-ground', laidAt: '2020-05-01T00:00:00.000Z' }],
  ['sized', { kind: 'bare', size: 'acrylic' }],
  [
    'old-painting',
    {
      kind: 'old-painting',
      paintedAt: '2020-05-01T00:00:00.000Z',
      surface: 'matt',
      lead: false,
      zinc: false,
    },
  ],
] as const)('a ground of %s is kept as it is', (ground, kept) => {
  expect(newPaintingOf(form({ ground }), 'cm').ground).toEqual(kept);
});

test('a panel that is not sealed says so', () => {
  expect(newPaintingOf(form({ support: 'wood-panel', sealed: false }), 'cm').support.sealed).toBe(
    false,
  );
  expect(newPaintingOf(form({ support: 'linen', sealed: false }), 'cm').support.sealed).toBe(
    undefined,
  );
});

test('what the core objects to comes back as its sentence', () => {
  expect(
    buildPainting(form({ method: 'acrylic-under', ground: 'oil-ground' }), 'cm', making()),
  ).toMatch(/does not hold on an oil or alkyd ground/);
  expect(buildPainting(form({ width: '0.5' }), 'cm', making())).toMatch(/at least 2 cm/);
});

test('shares must make 100 %, give or take their rounding', () => {
  const shares = (...s: string[]) => sharesProblem(s.map((share) => ({ share })));
  expect(shares('40', '60')).toBeNull();
  expect(shares('33', '33', '33')).toBeNull();
  expect(shares('30', '60')).toBe('The shares make 90 %; they must make 100 %.');
  expect(shares('', '60')).toBeNull();
});
