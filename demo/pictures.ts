import type { Lab } from '../src/core/optics/colour';
import { project, seenFrom } from '../src/core/looking/homography';
import type { Point } from '../src/core/looking/photo';
import {
  baked,
  disc,
  over,
  photographed,
  plain,
  rect,
  type Camera,
  type Picture,
} from '../src/core/tests/photograph';
import type { Photo } from '../src/core/looking/photo';
import type { Looking } from '../src/core/looking/schema';
import type { Painting } from '../src/core/painting';

/**
 * The pictures of the demo studio, made by code: a design and stages of it as functions of the place, mm, in Lab. The
 * photographs of them are made from these, with perspective, light, tone curve and noise of their own.
 */

const W = 500;
const H = 400;
export const QUINCES_SUPPORT = { widthMm: W, heightMm: H };

const FRUIT = [
  { x: 190, y: 232, r: 52 },
  { x: 292, y: 246, r: 46 },
  { x: 398, y: 226, r: 42 },
] as const;
const TABLE = 255;

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
const PAINTED_CLOTH = CLOTH.map(([x, y]): Point => [x === W ? W + 20 : x, y === H ? H + 20 : y]);

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

/** Distance to a polygon, negative inside; good enough near its border. */
const polygon =
  (ring: readonly Point[]) =>
  (x: number, y: number): number => {
    let inside = false;
    let near = Infinity;
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [x1, y1] = ring[i]!;
      const [x2, y2] = ring[j]!;
      if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) inside = !inside;
      const t = Math.min(
        1,
        Math.max(
          0,
          ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / ((x2 - x1) ** 2 + (y2 - y1) ** 2),
        ),
      );
      near = Math.min(near, Math.hypot(x - x1 - t * (x2 - x1), y - y1 - t * (y2 - y1)));
    }
    return inside ? -near : near;
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

export function quincesPicture(stage: Stage): Picture {
  const { soft } = stage;
  // Light falls from the upper left over the wall.
  let picture = over(plain(stage.wall), (x, y) => (x - 330 + y * 0.35) / 1.06, stage.wallLight, 6);
  picture = over(picture, rect(-10, TABLE, W + 10, H + 10), stage.slate, soft);
  FRUIT.forEach(({ x, y, r }) => {
    picture = over(
      picture,
      (px, py) => (Math.hypot((px - x - 30) / 1.7, (py - y - r + 6) / 0.42) - r) / 1.5,
      (_, py) => (py > TABLE ? stage.slateShadow : stage.wall),
      4,
    );
  });
  picture = over(picture, polygon(PAINTED_CLOTH), stage.cloth, soft);
  FRUIT.forEach((f, i) => {
    const x = f.x + (i === 2 ? stage.slip : 0);
    const body = over(
      over(
        plain(stage.fruit),
        (px, py) => f.r * 0.55 - Math.hypot(px - x + 18, py - f.y + 16) + 14,
        stage.fruitShadow,
        7,
      ),
      disc(x - 18, f.y - 20, f.r * 0.24),
      stage.fruitLight,
      3,
    );
    picture = over(picture, disc(x, f.y, f.r), body, soft);
  });
  return picture;
}

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
const SHOTS: Record<string, Shot> = {
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

/** px/mm: a little finer than the photos. */
const BAKED = 1.25;

/** The photo of an id, as a camera saw the invented picture; null where the demo has none. */
export function demoPhoto(id: string): Photo | null {
  const shot = SHOTS[id];
  return shot
    ? photographed(
        baked(quincesPicture(shot.stage), QUINCES_SUPPORT, BAKED),
        QUINCES_SUPPORT,
        shot.camera,
      )
    : null;
}

const DAY_MS = 86_400_000;

/** What the demo keeps of the pictures of its still life. */
export function quincesLooking({ passages }: Painting, nowMs: number): Looking {
  const idOf = (name: string) => passages.find((p) => p.name === name)!.id;
  return {
    pictures: Object.entries(SHOTS).map(([id, { kind, daysAgo, camera, stage }]) => {
      const { width, height, corners } = camera;
      const part = ([x, y]: Point): [number, number] => [x / width, y / height];
      const back = seenFrom(corners, QUINCES_SUPPORT);
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
                  project(back, name.startsWith('right quince') ? [at[0] + stage.slip, at[1]] : at),
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
