import { driftOf, plumbOf, proportion, robustSimilarity, similarity } from './drawing';
import { clipRay, meetingPoint, nextInDepth, raysFrom, ticksTo } from './guides';
import { project, seenFrom } from './homography';
import type { Point } from './photo';

const SUPPORT = { widthMm: 600, heightMm: 450 };
const CORNERS: Point[] = [
  [300, 260],
  [1700, 200],
  [1660, 1300],
  [340, 1240],
];

/** 1.01 times, half a degree, 3 mm right and 4 mm up, as complex numbers. */
const meant = ([x, y]: Point): Point => {
  const [c, s] = [1.01 * Math.cos(Math.PI / 360), 1.01 * Math.sin(Math.PI / 360)];
  return [c * x - s * y + 3, s * x + c * y - 4];
};
const FOUR: Point[] = [
  [100, 80],
  [480, 90],
  [470, 380],
  [120, 360],
];

describe('drift', () => {
  test('the similarity of four points is exact; least squares swallow a fifth that strayed, the robust one does not', () => {
    const s = similarity(FOUR, FOUR.map(meant));
    expect(Math.hypot(s.re, s.im)).toBeCloseTo(1.01, 9);
    const five: Point[] = [...FOUR, [300, 220]];
    const to = five.map(meant);
    to[4] = [to[4]![0] + 6, to[4]![1]];
    const bent = similarity(five, to);
    expect(Math.hypot(bent.re, bent.im)).toBeCloseTo(1.01017, 4);
    const left = (q: typeof bent) => {
      const [x, y] = five[4]!;
      return Math.hypot(
        q.re * x - q.im * y + q.x - to[4]![0],
        q.im * x + q.re * y + q.y - to[4]![1],
      );
    };
    expect(left(bent)).toBeCloseTo(4.8, 1);
    expect(left(robustSimilarity(five, to, 0.1))).toBeCloseTo(6, 6);
  });

  test('on a photo the one that strayed is told, the others are not, within half a millimetre', () => {
    const h = seenFrom(CORNERS, SUPPORT);
    const five: Point[] = [...FOUR, [300, 220], [200, 300]];
    const points = five.map((design, i) => {
      const [x, y] = meant(design);
      return { id: String(i), design, photo: project(h, [x + (i === 4 ? 6 : 0), y]), sigmaPx: 1 };
    });
    const drift = driftOf(CORNERS, SUPPORT, points, 0.5)!;
    expect(drift.scale).toBeCloseTo(1.01, 5);
    expect(drift.rotationDeg).toBeCloseTo(0.5, 4);
    expect(drift.points.filter((p) => p.strays).map((p) => p.id)).toEqual(['4']);
    expect(Math.abs(drift.points[4]!.strayMm - 6)).toBeLessThan(0.5);
    expect(drift.points[0]!.strayMm).toBeLessThan(1e-6);
    expect(drift.points[4]!.sigmaMm).toBeLessThan(1);
    expect(driftOf(CORNERS, SUPPORT, [])).toBeNull();
  });

  test('a bare finger of 25 px tells nothing of 2 mm', () => {
    const h = seenFrom(CORNERS, SUPPORT);
    const points = [
      { id: 'eye', design: [300, 200] as Point, photo: project(h, [302, 200]), sigmaPx: 25 },
    ];
    expect(driftOf(CORNERS, SUPPORT, points, 25)!.points[0]).toMatchObject({ tells: false });
    expect(
      driftOf(CORNERS, SUPPORT, [{ ...points[0]!, sigmaPx: 0.3 }], 0.1)!.points[0],
    ).toMatchObject({ tells: true });
  });

  test('posts that hang true in the design: how far they lean', () => {
    const [lean] = plumbOf(
      [
        { id: 'top', design: [100, 50], work: [100, 50] },
        { id: 'foot', design: [101, 250], work: [107, 250] },
      ],
      1,
    );
    expect(lean!.kind).toBe('plumb');
    expect(lean!.leanDeg).toBeCloseTo((Math.atan2(7, 200) * 180) / Math.PI, 6);
    expect(lean!.sigmaDeg).toBeCloseTo(0.405, 2);
  });

  test('dividers: a half told to its error', () => {
    const { ratio, sigma } = proportion(100, 200, 1);
    expect(ratio).toBe(0.5);
    expect(sigma).toBeCloseTo(0.0079, 4);
  });
});

describe('guides', () => {
  test('lines to a point out of reach are equal ticks on both edges', () => {
    const ticks = ticksTo({ widthMm: 600, heightMm: 400 }, [1450, 180], 4);
    expect(ticks.map((t) => t.right.toFixed(2))).toEqual([
      '74.48',
      '133.10',
      '191.72',
      '250.34',
      '308.97',
    ]);
  });

  test('three lines meet where they meet; parallel ones nowhere', () => {
    const [x, y] = meetingPoint([
      [
        [0, 100],
        [100, 110],
      ],
      [
        [0, 300],
        [100, 290],
      ],
      [
        [0, 400],
        [100, 380],
      ],
    ])!;
    expect(x).toBeCloseTo(1000, 6);
    expect(y).toBeCloseTo(200, 6);
    expect(
      meetingPoint([
        [
          [0, 0],
          [100, 0],
        ],
        [
          [0, 50],
          [100, 50],
        ],
      ]),
    ).toBeNull();
  });

  test('posts at even distances in depth', () => {
    expect(nextInDepth(400, 300, 4).map((r) => r.toFixed(2))).toEqual([
      '240.00',
      '200.00',
      '171.43',
      '150.00',
    ]);
  });

  test('rays from a tack outside the picture enter and leave it on its edges', () => {
    const hit = clipRay(SUPPORT, [-340, -120], [260, 480])!;
    expect(hit.enters).toEqual([0, 220]);
    expect(hit.leaves[1]).toBeCloseTo(450, 9);
    expect(clipRay(SUPPORT, [-100, -100], [-50, 200])).toBeNull();
    const rays = raysFrom(SUPPORT, [-340, -120], 6);
    expect(rays).toHaveLength(6);
    for (const r of rays) expect(r.from!.mm).toBeGreaterThanOrEqual(0);
    const inside = raysFrom(SUPPORT, [300, 225], 8);
    expect(inside.every((r) => r.from === null)).toBe(true);
    expect(new Set(inside.map((r) => r.to.side)).size).toBe(4);
  });
});
