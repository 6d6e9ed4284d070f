import {
  aspectOf,
  aspectProblem,
  cornerProblem,
  homography,
  inverse,
  placeSigma,
  project,
  seenFrom,
  supportCorners,
} from './homography';
import { areaCm2, labelsOf, neighboursOf } from './passages';
import type { Point } from './photo';

const SUPPORT = { widthMm: 600, heightMm: 450 };
const CORNERS: Point[] = [
  [312, 268],
  [1720, 196],
  [1655, 1310],
  [350, 1240],
];

describe('the way from support to photo', () => {
  // Worked values, computed apart from this program with a general linear solver.
  test('is that of the worked corners, and goes back', () => {
    const h = seenFrom(CORNERS, SUPPORT);
    expect(h[0]).toBeCloseTo(1.968224, 5);
    expect(h[6]).toBeCloseTo(-2.200249e-4, 9);
    const [x, y] = project(h, [300, 225]);
    expect(x).toBeCloseTo(962.853, 2);
    expect(y).toBeCloseTo(772.98, 2);
    const [u, v] = project(inverse(h), [1000, 750]);
    expect(u).toBeCloseTo(316.378, 2);
    expect(v).toBeCloseTo(215.028, 2);
    for (const p of [
      [0, 0],
      [600, 450],
      [17, 333],
    ] as Point[]) {
      const back = project(inverse(h), project(h, p));
      expect(back[0]).toBeCloseTo(p[0], 6);
      expect(back[1]).toBeCloseTo(p[1], 6);
    }
  });

  test('of more than four points least squares come as near as their error', () => {
    const h = seenFrom(CORNERS, SUPPORT);
    const places: Point[] = [
      ...supportCorners(SUPPORT),
      [300, 0],
      [300, 450],
      [0, 225],
      [600, 225],
      [300, 225],
    ];
    const noisy = places.map((p, i): Point => {
      const [x, y] = project(h, p);
      return [x + 0.5 * Math.sin(i * 7), y + 0.5 * Math.cos(i * 5)];
    });
    const found = homography(places, noisy);
    // Half a pixel of error in each corner must not become more than half a pixel anywhere.
    for (const p of places) {
      const [x, y] = project(found, p);
      const [tx, ty] = project(h, p);
      expect(Math.hypot(x - tx, y - ty)).toBeLessThan(0.75);
    }
    const [x, y] = project(found, [150, 110]);
    const [tx, ty] = project(h, [150, 110]);
    expect(Math.hypot(x - tx, y - ty)).toBeLessThan(0.5);
  });

  test('the focal length and the shape follow from a slanting view; a frontal one says nothing', () => {
    const slanting: Point[] = [
      [469.29, 258.34],
      [1535.36, 388.08],
      [1421.16, 1096.17],
      [441.6, 1134.11],
    ];
    const seen = aspectOf(slanting, [1000, 750])!;
    expect(seen.focalPx).toBeCloseTo(1600, 0);
    expect(seen.aspect).toBeCloseTo(1.33334, 3);
    expect(aspectOf(supportCorners(SUPPORT), [300, 225])).toBeNull();
    const photo = { width: 2000, height: 1500 };
    expect(aspectProblem(slanting, photo, SUPPORT)).toBeNull();
    expect(aspectProblem(slanting, photo, { widthMm: 600, heightMm: 500 })).toMatch(/do not agree/);
  });

  test('the error of a place is that of all four corners, not a quarter of it', () => {
    const frontal = supportCorners(SUPPORT).map(([x, y]): Point => [x * 2.5, y * 2.5]);
    const at = (p: Point) => placeSigma(frontal, SUPPORT, p, 1);
    // Closed form: the centre is where the diagonals cross, so var x = (1 + (W/H)^2) / 4 px^2, var y = (1 + (H/W)^2) / 4.
    expect(at([300, 225]).x).toBeCloseTo(Math.sqrt((1 + (600 / 450) ** 2) / 4) / 2.5, 6);
    expect(at([300, 225]).y).toBeCloseTo(Math.sqrt((1 + (450 / 600) ** 2) / 4) / 2.5, 6);
    expect(at([300, 0]).x).toBeCloseTo(0.39, 1);
    expect(at([300, 0]).y).toBeCloseTo(0.28, 2);
    expect(at([0, 0]).x).toBeCloseTo(0.4, 1);
  });

  test.each([
    ['three', CORNERS.slice(0, 3), /missing/],
    [
      'on a line',
      [
        [0, 0],
        [100, 0],
        [200, 0],
        [0, 100],
      ],
      /on a line/,
    ],
    ['crossed', [CORNERS[0], CORNERS[2], CORNERS[1], CORNERS[3]], /cross/],
    ['mirrored', [...CORNERS].reverse(), /mirrored/],
    ['tiny', CORNERS.map(([x, y]) => [x / 100, y / 100]), /too small/],
  ] as [string, Point[], RegExp][])(
    'corners that cannot be right are refused: %s',
    (_, corners, says) => {
      expect(cornerProblem(corners)).toMatch(says);
      expect(() => seenFrom(corners, SUPPORT)).toThrow(says);
    },
  );

  test('whichever way the photo lies, the picture stands upright', () => {
    const turned = CORNERS.map(([x, y]): Point => [1600 - y, x]);
    expect(cornerProblem(turned)).toBeNull();
  });
});

describe('passages on the support', () => {
  test('the shoelace of a quadrilateral, and of one with a hole', () => {
    const ring: Point[] = [
      [0, 0],
      [120, 0],
      [150, 80],
      [40, 110],
    ];
    expect(areaCm2([ring])).toBeCloseTo(114.5, 6);
    const square = (a: number, b: number): Point[] => [
      [a, a],
      [b, a],
      [b, b],
      [a, b],
    ];
    expect(areaCm2([square(0, 100), square(40, 60)])).toBeCloseTo(96, 6);
  });

  test('every pixel has one passage, what lies above covers, and all areas add up to the support', () => {
    const raster = { width: 300, height: 225, pxPerMm: 0.5 };
    const box = (x0: number, y0: number, x1: number, y1: number): Point[] => [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ];
    const labels = labelsOf(raster, [
      { id: 'jug', rings: [box(200, 200, 300, 300)], above: 1 },
      { id: 'wall', rings: [box(0, 0, 600, 250)] },
      { id: 'cloth', rings: [box(0, 250, 600, 450)] },
    ]);
    const counts = [0, 0, 0, 0];
    for (const l of labels.map) counts[l]! += 1;
    expect(counts[0]).toBe(0);
    expect(counts[1]! / 0.25 / 100).toBeCloseTo(100, 0);
    expect(counts.reduce((s, c) => s + c, 0)).toBe(300 * 225);
    // The middle of the jug is 50 mm from its border: 25 px.
    expect(labels.inside[125 * 300 + 125]).toBeGreaterThan(23);
    expect(labels.inside[125 * 300 + 125]).toBeLessThan(27);
    const met = neighboursOf(labels, { ...raster, widthMm: 600, heightMm: 450 } as never);
    expect(met.map(({ a, b }) => [a, b].sort().join())).toEqual([
      'cloth,wall',
      'jug,wall',
      'cloth,jug',
    ]);
    // Wall and cloth meet on 500 mm; upright and level borders are counted pi/4 short by the mean over all directions.
    expect(met[0]!.lengthMm / (Math.PI / 4)).toBeCloseTo(500, -1);
  });
});
