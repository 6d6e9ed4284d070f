import sharp from 'sharp';
import { lightnessOf } from '../optics/colour';
import { CODE_TO_LINEAR } from '../optics/srgb';
import { blurred } from './blur';
import { tellColours } from './tell-colour';
import { INPUT, newPainting } from '../tests/paintings';
import { intentOf, lookingOf, putFinestBrush, putIntent, rankingOf, toggleRank } from './edit';
import { driftedBy, placesSigma } from './drawing';
import { mapOf, type MapAsked } from './maps';
import { MOST, NO_LOOKING } from './none';
import { passageHistogram } from './values';
import { labelsOf } from './passages';
import type { Raster } from './photo';
import { departingProportions } from './proportions';
import type { Pull } from './pull';
import { gradedOf } from './relations';
import { tellMarks, tellPull } from './tell-eye';
import { tellPlumb, tellProportion } from './tell-drawing';
import { shareWords, tellGraded } from './tell';
import { tellRegistered, tellSeries } from './tell-time';
import type { Looked } from './look';

const WIDTH = 40;
const HEIGHT = 30;
/** A raster of 1 px/mm whose lightness and colour are functions of the place. */
function rasterOf(lab: (x: number, y: number) => readonly [number, number, number]): Raster {
  const planes = [0, 1, 2].map((k) =>
    Float32Array.from(
      { length: WIDTH * HEIGHT },
      (_, i) => lab(i % WIDTH, Math.floor(i / WIDTH))[k]!,
    ),
  ) as [Float32Array, Float32Array, Float32Array];
  const [L, a, b] = planes;
  return {
    widthMm: WIDTH,
    heightMm: HEIGHT,
    width: WIDTH,
    height: HEIGHT,
    pxPerMm: 1,
    L,
    a,
    b,
    Y: L.map((v) => ((v + 16) / 116) ** 3),
    photoPx: 1,
    clipped: 0,
  };
}
const ASKED: MapAsked = {
  view: 'masses',
  k: 3,
  way: 'hand',
  thresholds: [30, 70],
  squintMm: 0,
  distanceM: null,
  mostPx: 100,
  key: 'fit',
};
const at = (map: { rgba: Uint8ClampedArray; width: number }, x: number, y: number) =>
  [...map.rgba.slice(4 * (y * map.width + x), 4 * (y * map.width + x) + 3)] as [
    number,
    number,
    number,
  ];

describe('maps', () => {
  const thirds = rasterOf((x) => [x < 10 ? 20 : x < 25 ? 50 : 90, 0, 0]);

  test('masses parted by hand: shares and greys of each', () => {
    const map = mapOf(thirds, ASKED);
    expect(map.thresholds).toEqual([30, 70]);
    expect(map.shares.map((s) => Number(s.toFixed(3)))).toEqual([0.25, 0.375, 0.375]);
    // Codes of L* 20, 50 and 90: IEC 61966-2-1 and CIE Lab.
    expect([at(map, 3, 9)[0], at(map, 15, 9)[0], at(map, 35, 9)[0]]).toEqual([48, 119, 226]);
  });

  test('against the design: even where only the key moved, rust where lighter, blue where darker, hatched beyond a value', () => {
    const keyed = rasterOf((x) => [0.8 * (x < 10 ? 20 : x < 25 ? 50 : 90) + 12, 0, 0]);
    const asked: MapAsked = { ...ASKED, view: 'difference', key: { slope: 0.8, intercept: 12 } };
    const even = mapOf(keyed, asked, thirds);
    expect(new Set(Array.from({ length: WIDTH }, (_, x) => at(even, x, 15).join())).size).toBe(1);
    const off = mapOf(
      rasterOf((x, y) => [(x < 10 ? 20 : x < 25 ? 50 : 90) + (y < 15 ? 8 : -20), 0, 0]),
      { ...asked, key: { slope: 1, intercept: 0 } },
      thirds,
    );
    const [r, , b] = at(off, 15, 4);
    expect(r).toBeGreaterThan(b);
    const dark = Array.from({ length: 8 }, (_, x) => at(off, 14 + x, 26));
    expect(dark.every(([red, , blue]) => blue > red)).toBe(true);
    // Hatching is seen without hue: within eight pixels it comes and goes.
    expect(new Set(dark.map((p) => p.join())).size).toBeGreaterThan(1);
  });

  test('a reference is held against the work by its quartiles: another key is no difference', () => {
    const other = rasterOf((x, y) => [30 + x + (y % 7), 0, 0]);
    const keyed = rasterOf((x, y) => [0.7 * (30 + x + (y % 7)) + 20, 0, 0]);
    const map = mapOf(keyed, { ...ASKED, view: 'difference', key: 'fit' }, other);
    expect(new Set(Array.from({ length: WIDTH }, (_, x) => at(map, x, 15).join())).size).toBe(1);
  });

  test('strength of colour: a grey is neutral, the stronger the further from it', () => {
    const map = mapOf(
      rasterOf((x) => [50, x < 20 ? 0 : 60, 0]),
      { ...ASKED, view: 'chroma' },
    );
    const [grey, strong] = [at(map, 5, 5), at(map, 30, 5)];
    expect(Math.max(...grey) - Math.min(...grey)).toBeLessThan(4);
    expect(strong[0] - strong[2]).toBeGreaterThan(80);
  });

  test('a view smaller than the raster is a mean of light, as sharp makes it in linear light', async () => {
    const board = rasterOf((x, y) => [(x + y) % 2 === 0 ? 0 : 100, 0, 0]);
    const map = mapOf(board, { ...ASKED, view: 'grey', mostPx: 20 });
    const png = await sharp(Buffer.from(Uint8Array.from(board.L, (v) => (v > 50 ? 255 : 0))), {
      raw: { width: WIDTH, height: HEIGHT, channels: 1 },
    })
      .gamma(2.2)
      .resize(20, 15, { kernel: 'linear' })
      .raw()
      .toBuffer();
    // looking.md, check 14: half black, half white is L* 76, code 188; averaged in codes it would be 127.
    expect(at(map, 10, 7)[0]).toBe(188);
    expect(Math.abs(png[7 * 20 + 10]! - 188)).toBeLessThanOrEqual(3);
    expect(lightnessOf(0.5)).toBeCloseTo(76.07, 1);
  });

  test('a squint melts light as sharp does (blur in scRGB), away from the edges', async () => {
    const [width, height, sigma] = [120, 90, 4];
    const codes = Uint8Array.from({ length: width * height }, (_, i) => {
      const [x, y] = [i % width, Math.floor(i / width)];
      return (x - 60) ** 2 + (y - 45) ** 2 < 400 ? 230 : x > 80 ? 40 : 118;
    });
    const raw = { width, height, channels: 3 as const };
    // The whole of its bell: by itself libvips cuts it off where it is a fifth.
    const bell = { sigma, minAmplitude: 0.001, precision: 'float' as const };
    const theirs = await sharp(Buffer.from([...codes].flatMap((c) => [c, c, c])), { raw })
      .pipelineColourspace('scrgb')
      .blur(bell)
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true });
    const mine = blurred(
      Float32Array.from(codes, (c) => CODE_TO_LINEAR[c]!),
      width,
      height,
      sigma,
    );
    let worst = 0;
    for (let y = 16; y < height - 16; y++)
      for (let x = 16; x < width - 16; x++) {
        const at = y * width + x;
        const code = theirs.data[at * theirs.info.channels]!;
        worst = Math.max(worst, Math.abs(mine[at]! - CODE_TO_LINEAR[code]!));
      }
    // Light of 1 is white. Three boxes have no tails: a hundredth of white, which in a deep dark is 2 L*.
    expect(worst).toBeLessThan(0.015);
  });

  test('the lightness of a passage in steps of two', () => {
    const all = labelsOf(thirds, [
      {
        id: 'all',
        rings: [
          [
            [0, 0],
            [WIDTH, 0],
            [WIDTH, HEIGHT],
            [0, HEIGHT],
          ],
        ],
      },
    ]);
    const histogram = passageHistogram(thirds, all, 0);
    expect(histogram.reduce((s, v) => s + v, 0)).toBeCloseTo(1, 9);
    expect([10, 25, 45].every((i) => histogram[i]! > 0.15)).toBe(true);
  });
});

const NAMES = new Map([
  ['w', 'wall'],
  ['s', 'slate'],
  ['c', 'cloth'],
]);

describe('what draws the eye', () => {
  const pull = (id: string, value: number): Pull => ({
    id,
    pull: value,
    value,
    colour: 0,
    edge: 'w',
  });

  test('is told where it departs from the order that is wanted, and no tie is', () => {
    const pulls = [pull('c', 30), pull('s', 20), pull('w', 10)];
    expect(tellPull(pulls, ['c', 's', 'w'], NAMES)).toEqual([]);
    expect(tellPull(pulls, ['w', 's', 'c'], NAMES)).toEqual([
      'The eye goes first to cloth, wanted third. What adds most is the border with wall.',
      'The eye goes third to wall, wanted first.',
    ]);
    // Within a tenth of the strongest they pull alike.
    expect(tellPull([pull('c', 30), pull('s', 28)], ['s', 'c'], NAMES)).toEqual([]);
    // What has no rank is left out.
    expect(tellPull(pulls, ['s', 'w'], NAMES)).toEqual([]);
  });

  test('the row closes up when one is taken out, and other intents stay', () => {
    const painting = putIntent(newPainting(INPUT), { id: 's', departs: -5, why: 'dusk' });
    const ranked = ['w', 's', 'c'].reduce(toggleRank, painting);
    expect(rankingOf(lookingOf(ranked))).toEqual(['w', 's', 'c']);
    const less = toggleRank(ranked, 'w');
    expect(rankingOf(lookingOf(less))).toEqual(['s', 'c']);
    expect(intentOf(lookingOf(less), 's')).toEqual({ id: 's', departs: -5, why: 'dusk', rank: 1 });
    expect(intentOf(lookingOf(less), 'w')).toEqual({ id: 'w', departs: null, why: '' });
    expect(lookingOf(putFinestBrush(less, 3)).finestBrushMm).toBe(3);
  });

  test('marks finer than the brush, in words', () => {
    expect(tellMarks({ share: 0.03, seen: 0.66 }, 2, 3)).toBe(
      'Marks finer than a brush of 2 mm cover 3 % of it; from 3 m about a third of them is gone.',
    );
    expect(tellMarks({ share: 0.03, seen: 0.02 }, 2, 12)).toMatch(/nearly all of them are gone/);
    expect(tellMarks({ share: 0.03, seen: 0.99 }, 2, 1)).toMatch(/they are still there/);
    expect(tellMarks({ share: 0, seen: null }, 2, 1)).toMatch(/^Hardly a mark/);
  });
});

test('what is kept of passages that are gone gives way where the list is full', () => {
  const painting = newPainting(INPUT);
  const gone = Array.from({ length: MOST.outlines }, (_, i) => ({
    id: `gone-${i}`,
    departs: null,
    why: '',
  }));
  const full = { ...painting, looking: { ...NO_LOOKING, intents: gone } };
  const own = painting.passages[0]!.id;
  const { intents } = lookingOf(putIntent(full, { id: own, departs: 'free' }));
  expect(intents.map((i) => i.id)).toEqual([own]);
  // With room they stay: a passage that is taken back finds its own again.
  const some = { ...full, looking: { ...NO_LOOKING, intents: gone.slice(1) } };
  expect(lookingOf(putIntent(some, { id: own, departs: 'free' })).intents).toHaveLength(
    MOST.outlines,
  );
});

test('a drift is drawn as it is told: beside the whole from four points on', () => {
  const point = (id: string, moved: [number, number], stray: [number, number]) => ({
    id,
    moved,
    mm: Math.hypot(...moved),
    stray,
    strayMm: Math.hypot(...stray),
    sigmaMm: 1,
    tells: Math.hypot(...moved) > 2,
    strays: Math.hypot(...stray) > 2,
  });
  const points = [point('a', [9, 0], [6, 0]), point('b', [3, 0], [0, 0])];
  const drift = (more: typeof points) => ({
    scale: 1,
    rotationDeg: 0,
    offsetMm: [3, 0] as const,
    points: [...points, ...more],
  });
  const few = drift([]);
  expect(few.points.map((p) => driftedBy(few, p))).toEqual([
    [9, 0],
    [3, 0],
  ]);
  const many = drift([point('c', [3, 0], [0, 0]), point('d', [3, 0], [0, 0])]);
  expect(many.points.map((p) => driftedBy(many, p))).toEqual([[6, 0], null, null, null]);
  expect(placesSigma(many)).toBe(1);
});

describe('plumb and proportion', () => {
  // looking.md, checks 35: 1 mm taps on 200 mm are 0.405 degrees; r 0.5 of 100 and 200 mm has a sigma of 0.0079.
  const point = (id: string, x: number, y: number, dx = 0) => ({
    id,
    design: [x, y] as const,
    work: [x + dx, y] as const,
  });

  test('a distance that grew is told in the unit, with its error; one inside it is not', () => {
    const points = [point('w', 0, 0), point('s', 200, 0), point('c', 100, 0, 20)];
    const [first, second] = departingProportions(points, ['w', 's'], 1);
    expect(first).toMatchObject({ from: 's', to: 'c', design: 0.5, work: expect.closeTo(0.4, 6) });
    expect(second!.sigma).toBeCloseTo(0.6 * Math.SQRT2 * Math.hypot(1 / 120, 1 / 200), 6);
    expect(tellProportion(second!, NAMES)).toBe(
      'Wall to cloth: 0.60 (±0.01) of it, 0.50 in the design.',
    );
    expect(
      departingProportions(
        [point('w', 0, 0), point('s', 200, 0), point('c', 100, 0, 1)],
        ['w', 's'],
        1,
      ),
    ).toEqual([]);
  });

  test('what leans within the error hangs true', () => {
    const lean = { a: 'w', b: 'c', kind: 'plumb' as const, leanDeg: 2, sigmaDeg: 0.405 };
    expect(tellPlumb(lean, NAMES)).toBe(
      'Wall and cloth should hang plumb; they lean by 2.0° (±0.7).',
    );
    expect(tellPlumb({ ...lean, leanDeg: 0.6 }, NAMES)).toBeNull();
  });
});

describe('grades and rows in words', () => {
  const graded = (profile: number[]) => [{ id: 'w', ...gradedOf(profile) }];
  const looked = (profile: number[], level: 'order' | 'steps') =>
    ({ graded: graded(profile), trust: { level } }) as unknown as Looked;

  test('one way, turning back, and no figure without grey steps', () => {
    const even = [30, 34, 38, 42, 46, 50];
    expect(tellGraded(looked(even, 'steps'), [], NAMES)).toEqual([
      'Wall runs one way over 2.0 values.',
    ]);
    expect(tellGraded(looked(even, 'order'), [], NAMES)[0]).not.toMatch(/\d/);
    // looking.md, check 24: a fall of 3 L* below what it had reached.
    const turning = [30, 34, 38, 36, 35, 42, 48, 52];
    expect(tellGraded(looked(turning, 'order'), [], NAMES)).toEqual([
      'Wall turns back about half of the way to its light end.',
    ]);
    // As the design turns, so may the work.
    expect(tellGraded(looked(turning, 'order'), graded(turning), NAMES)[0]).toMatch(/runs one way/);
  });

  test('shares in words', () => {
    expect([0.1, 0.3, 0.5, 0.68, 0.95].map(shareWords)).toEqual([
      'an eighth',
      'a third',
      'half',
      'two thirds',
      'nine tenths',
    ]);
  });

  test('to and fro, slowing, and how well two photos lie', () => {
    expect(
      tellSeries(
        { perHour: [], slowing: true, churned: [{ id: 's', walkedL: 15, gainedL: 5 }] },
        'steps',
        NAMES,
      ),
    ).toEqual([
      'The last 3 sittings changed little for their hours.',
      'Slate was painted to and fro: 1.5 values walked, 0.5 values gained.',
    ]);
    expect(
      tellSeries(
        { perHour: [], slowing: false, churned: [{ id: 's', walkedL: 16, gainedL: 4 }] },
        'relative',
        NAMES,
      ),
    ).toEqual(['Slate was painted to and fro: about 1½ values walked, about half a value gained.']);
    const change = { passages: [], shareChanged: 0, work: 0 };
    expect(tellRegistered({ ...change, registeredMm: 0.44 })).toMatch(/within 0.4 mm/);
    expect(tellRegistered({ ...change, registeredMm: 2.2 })).toMatch(
      /2.2 mm apart: set their corners again/,
    );
    expect(tellRegistered({ ...change, registeredMm: null })).toMatch(/^Too little/);
  });
});

describe('colour against the design', () => {
  const value = (id: string, warm: number, chroma: number) => ({ id, warm, chroma, areaCm2: 100 });
  const looked = (level: 'order' | 'steps', values: ReturnType<typeof value>[]) =>
    ({ trust: { level }, values }) as unknown as Looked;
  const design = [value('w', 0, 10), value('s', 20, 30)];

  test('a cast that all share is none; what parts from the rest is told', () => {
    const cast = looked('steps', [value('w', 15, 14), value('s', 35, 34)]);
    expect(tellColours(cast, design).map((c) => c.words)).toEqual([null, null]);
    const parted = looked('steps', [value('w', 0, 30), value('s', 0, 30)]);
    expect(tellColours(parted, design)).toEqual([
      { id: 'w', words: 'stronger and warmer' },
      { id: 's', words: 'greyer and cooler' },
    ]);
  });

  test('without grey steps nothing is told of colour', () => {
    const parted = looked('order', [value('w', 0, 30), value('s', 0, 30)]);
    expect(tellColours(parted, design).every((c) => c.words === null)).toBe(true);
  });
});
