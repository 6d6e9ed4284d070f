import { METHOD_KEYS } from '@/data/method-keys';
import { paintingSchema } from '@/core/painting/schema';
import { making } from '@/core/tests/paintings';
import {
  buildPainting,
  evenShares,
  newPaintingFormSchema,
  newPaintingOf,
  sharesProblem,
  withAnother,
  withoutPassage,
  type NewPaintingForm,
} from './new-painting-form';

const form = (over: Partial<NewPaintingForm> = {}): NewPaintingForm => ({
  title: 'Form',
  support: 'linen',
  widthMm: 200,
  heightMm: 165,
  ground: 'acrylic-gesso',
  gessoCoats: 4,
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
    { id: '1', name: 'a', share: 0.4 },
    { id: '2', name: 'b', share: 0.6 },
  ],
  ...over,
});

test('sizes go into the painting as they are', () => {
  expect(newPaintingOf(form()).support).toEqual({ kind: 'linen', widthMm: 200, heightMm: 165 });
});

const wrong = (over: Partial<NewPaintingForm>): Record<string, string> =>
  Object.fromEntries(
    (newPaintingFormSchema.safeParse(form(over)).error?.issues ?? []).map((i) => [
      i.path.join('.'),
      i.message,
    ]),
  );

test('what is wrong stands where it is', () => {
  expect(wrong({})).toEqual({});
  expect(wrong({ title: ' ' })).toEqual({ title: 'Give it a title; it can change later.' });
  expect(wrong({ widthMm: NaN })).toEqual({ widthMm: 'The width must be a number.' });
  expect(wrong({ heightMm: 0 })).toEqual({ heightMm: 'The height must be above 0.' });
  expect(wrong({ gessoCoats: 2.5 })).toEqual({
    gessoCoats: 'Between 1 and 12 whole coats of gesso.',
  });
  expect(wrong({ ground: 'oil-ground', groundDay: '' })).toEqual({
    groundDay: 'Give the day, about.',
  });
  expect(wrong({ groundDay: '2999-01-01' })).toEqual({
    groundDay: 'That day is still to come.',
  });
  expect(wrong({ ground: 'bare' }).ground).toMatch(/its acids rot the fibres/);
  expect(wrong({ method: 'over-old-oil' }).method).toMatch(/begins on an old painting/);
  expect(
    wrong({
      passages: [
        { id: '1', name: 'sky', share: 0.5 },
        { id: '2', name: 'Sky', share: 0.5 },
      ],
    }),
  ).toEqual({ 'passages.1.name': 'Another passage has this name.' });
});

test('what the form builds is a valid painting, by every method on a ground it takes', () => {
  for (const method of METHOD_KEYS) {
    const ground = method === 'over-old-oil' ? 'old-painting' : 'acrylic-gesso';
    const painting = buildPainting(form({ method, ground }), making());
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
  expect(newPaintingOf(form({ ground })).ground).toEqual(kept);
});

test('a panel that is not sealed says so', () => {
  expect(newPaintingOf(form({ support: 'wood-panel', sealed: false })).support.sealed).toBe(false);
  expect(newPaintingOf(form({ support: 'linen', sealed: false })).support.sealed).toBe(undefined);
});

test('what the core objects to comes back as its sentence', () => {
  expect(buildPainting(form({ method: 'acrylic-under', ground: 'oil-ground' }), making())).toMatch(
    /does not hold on an oil or alkyd ground/,
  );
  expect(buildPainting(form({ widthMm: 5 }), making())).toMatch(/at least 2 cm/);
});

test('shares must make 100 %, give or take their rounding', () => {
  const shares = (...s: number[]) => sharesProblem(s.map((share) => ({ share })));
  expect(shares(0.4, 0.6)).toBeNull();
  expect(shares(0.33, 0.33, 0.33)).toBeNull();
  expect(shares(0.3, 0.6)).toBe('The shares make 90 %; they must make 100 %.');
  expect(shares(NaN, 0.6)).toBeNull();
});

test('passages that come and go leave the surface whole', () => {
  let passages = form().passages;
  const total = () => passages.reduce((sum, p) => sum + p.share, 0);
  for (const id of ['c', 'd', 'e', 'f', 'g', 'h']) {
    passages = withAnother(passages, id) as typeof passages;
    expect(total()).toBeCloseTo(1, 9);
    expect(Math.min(...passages.map((p) => p.share))).toBeGreaterThan(0);
  }
  expect(passages.map((p) => p.share)).toEqual([0.2, 0.2, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1]);
  for (const id of ['1', 'd', 'h']) {
    passages = withoutPassage(passages, id) as typeof passages;
    expect(total()).toBeCloseTo(1, 9);
  }
  expect(evenShares(passages).map((p) => p.share)).toEqual([0.2, 0.2, 0.2, 0.2, 0.2]);
  // Every digit of the others stays; a share that is no number yet gives nothing.
  const typed = [
    { id: '1', name: 'a', share: 0.123456 },
    { id: '2', name: 'b', share: { typed: 'half', as: 'percent' as const, was: null } },
  ];
  expect(withAnother(typed, 'c').map((p) => p.share)).toEqual([
    0.061728,
    typed[1]!.share,
    0.061728,
  ]);
});
