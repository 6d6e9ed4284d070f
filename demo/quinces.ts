import type { Lab } from '../src/core/optics/colour';
import type { Point } from '../src/core/looking/photo';
import type { Looking } from '../src/core/looking/schema';
import type { Painting } from '../src/core/painting';
import type { Camera } from './photograph';

/** What is known of the still life of the demo and of its photos, without the pictures themselves. */

export const W = 500;
export const H = 400;
export const QUINCES_SUPPORT = { widthMm: W, heightMm: H };

export const FRUIT = [
  { x: 190, y: 232, r: 52 },
  { x: 292, y: 246, r: 46 },
  { x: 398, y: 226, r: 42 },
] as const;
export const TABLE = 255;

const round = ({ x, y, r }: (typeof FRUIT)[number]): Point[] =>
  Array.from({ length: 28 }, (_, i): Point => {
    const t = (i / 28) * 2 * Math.PI;
    return [Math.round(x + r * Math.cos(t)), Math.round(y + r * Math.sin(t))];
  });
/** The edge of the cloth over the table. */
const CLOTH: Point[] = [
  [300, 400],
  [310, 362],
  [330, 330],
  [362, 306],
  [410, 292],
  [460, 288],
  [500, 290],
  [500, 400],
];

/** As it is painted: over the edges of the support. */
export const PAINTED_CLOTH = CLOTH.map(([x, y]): Point => [
  x === W ? W + 20 : x,
  y === H ? H + 20 : y,
]);

/** Outlines of the passages, mm; what has more `above` lies over the others. */
export const QUINCES_OUTLINES: Record<string, { rings: Point[][]; above: number }> = {
  wall: {
    rings: [
      [
        [0, 0],
        [W, 0],
        [W, TABLE],
        [0, TABLE],
      ],
    ],
    above: 0,
  },
  slate: {
    rings: [
      [
        [0, TABLE],
        [W, TABLE],
        [W, H],
        [0, H],
      ],
    ],
    above: 0,
  },
  cloth: { rings: [CLOTH], above: 1 },
  quinces: { rings: FRUIT.map(round), above: 2 },
};

/** How a stage departs from the design. */
export interface Stage {
  wall: Lab;
  wallLight: Lab;
  slate: Lab;
  slateShadow: Lab;
  cloth: Lab;
  fruit: Lab;
  fruitShadow: Lab;
  fruitLight: Lab;
  /** Softness of the borders, mm. */
  soft: number;
  /** The right quince slipped so far to the right, mm. */
  slip: number;
}

export const DESIGN: Stage = {
  wall: [44, -2, -3],
  wallLight: [52, -1, 1],
  slate: [24, -1, -4],
  slateShadow: [13, 0, -1],
  cloth: [82, 1, 7],
  fruit: [66, 10, 58],
  fruitShadow: [45, 18, 42],
  fruitLight: [83, 2, 40],
  soft: 1.2,
  slip: 0,
};

/** As they stand on the easel, session by session. */
export const STAGES: Record<'brunaille' | 'lights' | 'today', Stage> = {
  brunaille: {
    ...DESIGN,
    wall: [52, 6, 14],
    wallLight: [57, 5, 13],
    slate: [50, 7, 14],
    slateShadow: [30, 8, 14],
    cloth: [70, 4, 16],
    fruit: [60, 7, 20],
    fruitShadow: [42, 9, 18],
    fruitLight: [70, 5, 18],
    soft: 2.5,
    slip: 2,
  },
  lights: {
    ...DESIGN,
    wall: [48, 0, 2],
    wallLight: [54, 1, 3],
    slate: [42, 2, 2],
    slateShadow: [24, 3, 4],
    cloth: [78, 2, 9],
    fruit: [64, 9, 46],
    fruitShadow: [44, 15, 36],
    fruitLight: [78, 3, 34],
    soft: 1.5,
    slip: 9,
  },
  today: { ...DESIGN, slate: [38, 0, -2], slateShadow: [21, 1, 1], slip: 9 },
};

/** Points of the drawing that are watched, mm. */
export const QUINCES_POINTS: { name: string; at: Point }[] = [
  { name: 'left quince, left rim', at: [138, 232] },
  { name: 'left quince, top', at: [190, 180] },
  { name: 'middle quince, top', at: [292, 200] },
  { name: 'right quince, top', at: [398, 184] },
  { name: 'right quince, right rim', at: [440, 226] },
  { name: 'table edge, left', at: [0, TABLE] },
];

const STEPS = [92, 78, 64, 50, 36, 22] as const;
const SIZE = { width: 720, height: 624 };
/** A grey strip below the picture, in px of the photo. */
const STRIP = { x: 96, y: 552, w: 88, h: 48 };
const strip = (x: number, y: number): number | null => {
  if (y < STRIP.y || y >= STRIP.y + STRIP.h || x < STRIP.x) return null;
  return STEPS[Math.floor((x - STRIP.x) / STRIP.w)] ?? null;
};

interface Shot {
  stage: Stage;
  daysAgo: number;
  kind: 'design' | 'progress';
  camera: Camera;
}
const stood = (corners: Camera['corners'], seed: number): Camera => ({
  ...SIZE,
  corners,
  seed,
  gain: 0.9,
  curve: { contrast: 1.12, middle: 0.95 },
  noise: true,
  samples: 1,
  beside: strip,
});

/** The photos of the demo, by id: each is made when it is first looked at. */
export const SHOTS: Record<string, Shot> = {
  'demo-look-design': {
    stage: DESIGN,
    daysAgo: 40,
    kind: 'design',
    camera: {
      width: 600,
      height: 480,
      corners: [
        [0, 0],
        [600, 0],
        [600, 480],
        [0, 480],
      ],
    },
  },
  'demo-look-1': {
    stage: STAGES.brunaille,
    daysAgo: 28,
    kind: 'progress',
    camera: stood(
      [
        [74, 48],
        [654, 35],
        [645, 509],
        [83, 520],
      ],
      3,
    ),
  },
  'demo-look-2': {
    stage: STAGES.lights,
    daysAgo: 13,
    kind: 'progress',
    camera: stood(
      [
        [62, 35],
        [664, 46],
        [658, 520],
        [74, 506],
      ],
      5,
    ),
  },
  'demo-look-3': {
    stage: STAGES.today,
    daysAgo: 0.2,
    kind: 'progress',
    camera: stood(
      [
        [69, 53],
        [661, 42],
        [650, 522],
        [78, 512],
      ],
      7,
    ),
  },
};

/**
 * Where a place of the support, mm, lies on a photo of these corners: the square to the quadrilateral in closed form
 * (Heckbert 1989, from memory). The demo is loaded before anything is looked at: it needs no algebra of matrices.
 */
function placeOn(corners: Camera['corners']): (at: Point) => Point {
  const [p, q, r, s] = corners as [Point, Point, Point, Point];
  const [dx1, dx2, sx] = [q[0] - r[0], s[0] - r[0], p[0] - q[0] + r[0] - s[0]];
  const [dy1, dy2, sy] = [q[1] - r[1], s[1] - r[1], p[1] - q[1] + r[1] - s[1]];
  const det = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / det;
  const h = (dx1 * sy - sx * dy1) / det;
  return ([x, y]) => {
    const [u, v] = [x / W, y / H];
    const w = g * u + h * v + 1;
    return [
      ((q[0] - p[0] + g * q[0]) * u + (s[0] - p[0] + h * s[0]) * v + p[0]) / w,
      ((q[1] - p[1] + g * q[1]) * u + (s[1] - p[1] + h * s[1]) * v + p[1]) / w,
    ];
  };
}

const DAY_MS = 86_400_000;

/** What the demo keeps of the pictures of its still life. */
export function quincesLooking({ passages }: Painting, nowMs: number): Looking {
  const idOf = (name: string) => passages.find((p) => p.name === name)!.id;
  return {
    pictures: Object.entries(SHOTS).map(([id, { kind, daysAgo, camera, stage }]) => {
      const { width, height, corners } = camera;
      const part = ([x, y]: Point): [number, number] => [x / width, y / height];
      const onPhoto = placeOn(corners);
      return {
        id,
        kind,
        purpose: '',
        takenAt: new Date(nowMs - daysAgo * DAY_MS).toISOString(),
        width,
        height,
        corners: kind === 'design' ? null : corners.map(part),
        patches:
          kind === 'design'
            ? []
            : STEPS.map((L, i) => ({
                id: `step-${i}`,
                L,
                quad: (
                  [
                    [STRIP.x + i * STRIP.w + 4, STRIP.y + 4],
                    [STRIP.x + (i + 1) * STRIP.w - 4, STRIP.y + 4],
                    [STRIP.x + (i + 1) * STRIP.w - 4, STRIP.y + STRIP.h - 4],
                    [STRIP.x + i * STRIP.w + 4, STRIP.y + STRIP.h - 4],
                  ] as Point[]
                ).map(part),
              })),
        marks:
          kind === 'design'
            ? []
            : QUINCES_POINTS.map(({ name, at }, i) => ({
                id: `point-${i}`,
                // What slipped on the picture was marked where it is.
                at: part(
                  onPhoto(name.startsWith('right quince') ? [at[0] + stage.slip, at[1]] : at),
                ),
              })),
      };
    }),
    outlines: Object.entries(QUINCES_OUTLINES).map(([name, { rings, above }]) => ({
      id: idOf(name),
      above,
      rings: rings.map((ring) => ring.map(([x, y]): [number, number] => [x, y])),
    })),
    intents: [],
    borders: [
      { a: idOf('quinces'), b: idOf('wall'), kind: 'firm' as const },
      { a: idOf('slate'), b: idOf('cloth'), kind: 'soft' as const },
    ].map((x) => ({ ...x, id: [x.a, x.b].sort().join(' ') })),
    points: QUINCES_POINTS.map(({ name, at }, i) => ({
      id: `point-${i}`,
      name,
      at: [at[0], at[1]] as [number, number],
    })),
  };
}
