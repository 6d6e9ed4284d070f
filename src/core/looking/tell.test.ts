import { INPUT, newPainting } from '../tests/paintings';
import { mergePaintings } from '../painting/merge';
import {
  lookingOf,
  photoIdsOf,
  putBorder,
  putIntent,
  putOutline,
  putPicture,
  putPoint,
  borderOf,
  outlinesOf,
  withoutOutline,
  withoutPicture,
  withoutPoint,
} from './edit';
import type { EdgeFound } from './edges';
import type { Looked } from './look';
import type { Pair } from './relations';
import { keyOf, orderOf } from './relations';
import type { Picture } from './schema';
import { tellDrift, tellEdges, tellRange, tellValues, valuesWords } from './tell';
import { tellChange } from './tell-time';
import { LOOKING } from '@/data/looking';
import { VERBS } from '../headless/verbs';
import { paintingSchema } from '../painting/schema';
import { tube } from '../tests/recipes';
import { MOST } from './none';

const names = new Map([
  ['w', 'wall'],
  ['s', 'slate'],
  ['c', 'cloth'],
  ['q', 'quinces'],
]);
const looked = (
  level: Looked['trust']['level'],
  pairs: Pair[],
  more: Partial<Looked> = {},
): Looked => ({
  trust: { level, sigmaCurve: 0.8, sigmaLight: 1, sigmaL: 1.4, why: [] },
  geometry: { pxPerMm: 2, sigmaMm: 0.5, doubt: null },
  values: pairs.map((p) => ({
    id: p.id,
    areaCm2: 100,
    L: p.workL,
    medianL: p.workL,
    spread: 2,
    a: 0,
    b: 0,
    chroma: 0,
    warm: 0,
    glareShare: 0,
    mixed: false,
    fools: 0,
    centre: [0, 0],
    whole: false,
    sigmaL: 1.4,
  })),
  neighbours: [],
  order: orderOf(pairs, () => 0.8),
  key: keyOf(pairs),
  range: { p005: 12, p995: 82, lightest: [{ id: 'c', share: 1 }], darkest: [] },
  graded: [],
  edges: [],
  drift: null,
  distance: [],
  attention: [],
  ...more,
});
const pairs = (slate: number, more: Partial<Pair> = {}): Pair[] => [
  { id: 'w', designL: 47, workL: 47 },
  { id: 's', designL: 22, workL: slate, ...more },
  { id: 'c', designL: 82, workL: 82 },
  { id: 'q', designL: 62, workL: 62 },
];

describe('what a look says', () => {
  test('a passage that is too light, with figures only as fine as the photo tells', () => {
    const light = pairs(50);
    const steps = tellValues(looked('steps', light), light, names);
    expect(steps.verdict).toMatch(
      /^Slate is \d\.\d values too light and stands the wrong way to wall\.$/,
    );
    const about = tellValues(looked('relative', light), light, names);
    expect(about.verdict).toMatch(/^Slate is about \d½? values? too light/);
    // Without a card no number is told at all.
    const order = tellValues(looked('order', light), light, names);
    expect(
      [order.verdict, ...order.lines, ...order.passages.map((p) => p.words)].join(' '),
    ).not.toMatch(/\d/);
    expect(order.lines.join()).toMatch(/Wall should be lighter than slate; it is darker\./);
  });

  test('what holds, what is meant, and what is free is not told as a fault', () => {
    const held = tellValues(looked('steps', pairs(22)), pairs(22), names);
    expect(held.verdict).toBe('The relations hold.');
    const meant = pairs(37, { departure: { L: 15 } });
    expect(tellValues(looked('steps', meant), meant, names)).toMatchObject({
      verdict: 'The relations hold.',
    });
    const free = pairs(60, { departure: 'free' });
    const told = tellValues(looked('steps', free), free, names);
    expect(told.passages.find((p) => p.id === 's')!.words).toBe('left free');
    expect(told.verdict).toBe('The relations hold.');
    expect(tellValues(looked('steps', []), [], names).verdict).toMatch(/Give it a design/);
  });

  test('a picture keyed as a whole is told once, and nothing else', () => {
    const keyed = pairs(34).map((p) => ({ ...p, workL: p.designL + 12 }));
    const told = tellValues(looked('steps', keyed), keyed, names);
    expect(told.verdict).toBe('The relations hold.');
    expect(told.lines).toEqual(['The whole is keyed 1.2 values lighter.']);
  });

  test('numbers in words', () => {
    expect(valuesWords(13, 'steps')).toBe('1.3 values');
    expect(valuesWords(-10, 'steps')).toBe('1.0 value');
    expect(valuesWords(13, 'relative')).toBe('about 1½ values');
    expect(valuesWords(3, 'relative')).toBe('about half a value');
  });

  test('what is left of the range', () => {
    expect(tellRange(looked('steps', pairs(22)), names)).toBe(
      'Left for the last lights, above cloth: 1.4 values.',
    );
    const spent = looked('steps', pairs(22), {
      range: { p005: 5, p995: 94, lightest: [{ id: 'c', share: 1 }], darkest: [] },
    });
    expect(tellRange(spent, names)).toBe('The lights are spent: nothing is left above cloth.');
    expect(tellRange(looked('order', pairs(22)), names)).toBe('The lightest lights are in cloth.');
  });

  test('a border that is not as meant, beyond a quartile; drift with its error', () => {
    const edge: EdgeFound = {
      a: 's',
      b: 'c',
      lengthMm: 100,
      widthMm: 3,
      quartilesMm: [2.8, 3.2],
      atMost: false,
      lostShare: 0,
      kind: 'firm',
      dL: 40,
      dab: 5,
    };
    const painting = putBorder(newPainting(INPUT), 's', 'c', 'soft');
    const [told] = tellEdges([edge], lookingOf(painting), names);
    expect(told).toMatchObject({
      departs: true,
      words: 'slate against cloth: firm, 3.0 mm; meant soft, it is too hard',
    });
    const near = { ...edge, quartilesMm: [2.8, 6] as [number, number] };
    expect(tellEdges([near], lookingOf(painting), names)[0]!.departs).toBe(false);
    const point = {
      id: 'p',
      moved: [6, 0.5] as const,
      mm: 6,
      stray: [6, 0.5] as const,
      strayMm: 6,
      sigmaMm: 0.5,
      tells: true,
      strays: true,
    };
    const drift = { scale: 1, rotationDeg: 0, offsetMm: [0, 0] as const, points: [point] };
    expect(tellDrift(looked('steps', pairs(22), { drift }), new Map([['p', 'left rim']]))).toEqual([
      'Left rim: 6 mm (±0.8) too far right.',
    ]);
  });
});

test('the light end of paint is what the optics of this program give for dry titanium white', () => {
  const white = VERBS.colour!.run({
    ground: { grey: 0.8 },
    films: [
      { recipe: { mix: [tube('titanium-white')], medium: [], mediumShare: 0, thicknessUm: 120 } },
    ],
  }) as { colour: { lab: number[] } };
  expect(Math.abs(white.colour.lab[0]! - LOOKING.whitePaintL)).toBeLessThan(0.5);
});

describe('what a session changed', () => {
  const change = (shareChanged: number) => ({
    shareChanged,
    work: 10,
    registeredMm: 0.4,
    passages: [
      { id: 's', byL: -13, byChroma: 0, byWarm: 0, changed: true },
      { id: 'w', byL: 1, byChroma: 0, byWarm: 0, changed: false },
    ],
  });

  test('is told as finely as the coarser of both photos', () => {
    expect(tellChange(change(0.2), ['steps', 'steps'], names)).toEqual({
      verdict: '20 % of the picture changed.',
      lines: ['Slate: 1.3 values darker.'],
    });
    expect(tellChange(change(0.2), ['relative', 'steps'], names).lines).toEqual([
      'Slate: about 1½ values darker.',
    ]);
    expect(tellChange(change(0.001), ['steps', 'steps'], names).verdict).toMatch(
      /^Nothing changed/,
    );
  });

  test('without grey steps on either it may be the exposure: nothing is told', () => {
    for (const levels of [
      ['order', 'steps'],
      ['steps', 'order'],
    ] as const) {
      const told = tellChange(change(0.6), levels, names);
      expect([told.verdict, ...told.lines].join(' ')).not.toMatch(/\d/);
      expect(told.lines[0]).toMatch(/Both need grey steps/);
    }
  });
});

describe('what a painting keeps of its pictures', () => {
  const picture = (id: string, kind: Picture['kind']): Picture => ({
    id,
    kind,
    purpose: '',
    takenAt: '2026-03-01T10:00:00.000Z',
    width: 800,
    height: 600,
    corners: null,
    patches: [],
    marks: [],
  });
  const base = newPainting(INPUT);
  const [jars, wall] = base.passages;
  const ring: [number, number][] = [
    [0, 0],
    [100, 0],
    [100, 100],
  ];

  test('a second design leaves the first as a reference; outlines lie in the order they were drawn', () => {
    const two = putPicture(putPicture(base, picture('a', 'design')), picture('b', 'design'));
    expect(lookingOf(two).pictures.map((p) => p.kind)).toEqual(['reference', 'design']);
    const drawn = putOutline(putOutline(two, wall!.id, [ring]), jars!.id, [ring]);
    expect(outlinesOf(drawn).map((o) => o.id)).toEqual([wall!.id, jars!.id]);
    expect(outlinesOf(withoutOutline(drawn, wall!.id)).map((o) => o.id)).toEqual([jars!.id]);
    expect(lookingOf(withoutPicture(two, 'b')).pictures).toHaveLength(1);
    expect(photoIdsOf([{ photos: [{ id: 'a' }, { id: 'c' }] }], [two])).toEqual(['a', 'c', 'b']);
    expect(lookingOf(base).pictures).toEqual([]);
  });

  test('borders are the same from both sides; a point takes its marks with it', () => {
    const meant = putBorder(base, jars!.id, wall!.id, 'lost');
    expect(borderOf(lookingOf(meant), wall!.id, jars!.id)).toBe('lost');
    expect(
      borderOf(lookingOf(putBorder(meant, wall!.id, jars!.id, null)), jars!.id, wall!.id),
    ).toBeNull();
    const marked = putPoint(
      putPicture(base, { ...picture('a', 'progress'), marks: [{ id: 'rim', at: [0.5, 0.5] }] }),
      { id: 'rim', name: 'rim', at: [10, 20] },
    );
    expect(lookingOf(withoutPoint(marked, 'rim'))).toMatchObject({
      points: [],
      pictures: [{ marks: [] }],
    });
  });

  test('what is kept can be read again: full lists are refused in words', () => {
    const full = Array.from({ length: MOST.pictures }, (_, i) =>
      picture(`p${i}`, 'progress'),
    ).reduce((p, one) => putPicture(p, one), base);
    expect(paintingSchema.safeParse(full).success).toBe(true);
    expect(() => putPicture(full, picture('more', 'progress'))).toThrow(
      /already\. Take one out first/,
    );
    // One that is there is changed all the same.
    expect(
      lookingOf(putPicture(full, { ...picture('p0', 'progress'), purpose: 'light' })).pictures,
    ).toHaveLength(MOST.pictures);
    const points = Array.from({ length: MOST.points }, (_, i) => ({
      id: `x${i}`,
      name: 'x',
      at: [0, 0] as [number, number],
    }));
    const watched = points.reduce((p, one) => putPoint(p, one), base);
    expect(() => putPoint(watched, { id: 'more', name: 'x', at: [0, 0] })).toThrow(
      /60 points already/,
    );
  });

  test('what two tabs did to its pictures comes together', () => {
    const start = putPicture(base, picture('a', 'design'));
    const mine = putIntent(start, { id: jars!.id, departs: 'free', why: '' });
    const theirs = putPicture(putOutline(start, wall!.id, [ring]), picture('b', 'progress'));
    const merged = mergePaintings(start, mine, theirs);
    expect(merged.looking).toMatchObject({
      pictures: [{ id: 'a' }, { id: 'b' }],
      outlines: [{ id: wall!.id }],
      intents: [{ id: jars!.id, departs: 'free' }],
    });
  });
});
