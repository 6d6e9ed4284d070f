import { converter } from 'culori';
import type { Lab } from '../optics/colour';
import {
  disc,
  over,
  photographed,
  plain,
  rect,
  type Camera,
  type Picture,
} from '../../../demo/photograph';
import { boxesOf, blurred, squintSigmaMm } from './blur';
import { changeOf } from './change';
import {
  contrastSensitivity,
  cyclesPerDegree,
  detailLeft,
  nearestHonestM,
  ORDINARY,
  viewFrom,
  smallestSeenMm,
} from './distance';
import { edgeOf, kindOf, leastBlurMm, classLimits } from './edges';
import { pullsOf } from './pull';
import { stepWidth } from './step';
import { lightnessOf, luminanceOf } from '../optics/colour';
import { monotone, type Patch } from './light';
import { look, prepare, changed, type PassageAsked } from './look';
import { labelsOf } from './passages';
import type { Point, Raster } from './photo';
import { rectify } from './rectify';
import { helmholtzKohlrausch, passageValues } from './values';

const SUPPORT = { widthMm: 300, heightMm: 225 };
const SLANT: Point[] = [
  [90, 70],
  [520, 50],
  [505, 395],
  [100, 375],
];
// One sample a pixel: on plain fields it is the same, and four times as quick.
const CAMERA: Camera = { width: 620, height: 450, corners: SLANT, samples: 1 };
const box = (x0: number, y0: number, x1: number, y1: number): Point[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
/** Three by two fields of known lightness. */
const FIELDS: Lab[] = [
  [20, 0, 0],
  [35, 12, 10],
  [50, -10, 5],
  [62, 5, -14],
  [75, 3, 20],
  [88, 0, 3],
];
const chart: Picture = (x, y) =>
  FIELDS[Math.min(2, Math.floor(x / 100)) + 3 * Math.min(1, Math.floor(y / 112.5))]!;
const PASSAGES: PassageAsked[] = FIELDS.map((lab, i) => ({
  id: String(i),
  rings: [box((i % 3) * 100, i < 3 ? 0 : 112.5, (i % 3) * 100 + 100, i < 3 ? 112.5 : 225)],
  designLab: lab,
}));
const asked = { support: SUPPORT, passages: PASSAGES };

/** Grey steps along the foot of the photo. */
const STEPS = [96, 86, 75, 63, 50, 38, 27, 17];
const CARD: Patch[] = STEPS.map((L, i) => {
  const x = 110 + i * 48;
  return {
    quad: [
      [x, 405],
      [x + 44, 405],
      [x + 44, 440],
      [x, 440],
    ],
    L,
  };
});
const beside = (px: number, py: number): number | null => {
  if (py < 403 || py > 442 || px < 109) return null;
  const i = ((px - 109) / 48) | 0;
  return i < STEPS.length && (px - 109) % 48 < 46 ? STEPS[i]! : null;
};

describe('from the photo to Lab', () => {
  test('a chart under perspective comes back to a fifth of an L*, as culori has it', () => {
    const photo = photographed(chart, SUPPORT, CAMERA);
    const raster = rectify(photo, SLANT, SUPPORT);
    const values = passageValues(raster, labelsOf(raster, PASSAGES));
    values.forEach((v, i) => {
      expect(Math.abs(v.L - FIELDS[i]![0])).toBeLessThan(0.4);
      expect(Math.abs(v.a - FIELDS[i]![1])).toBeLessThan(0.8);
      expect(Math.abs(v.b - FIELDS[i]![2])).toBeLessThan(0.8);
    });
    const lab65 = converter('lab65');
    const at = 4 * (200 * photo.width + 200);
    const [r, g, b] = [0, 1, 2].map((c) => photo.data[at + c]! / 255) as [number, number, number];
    const flat = {
      data: Uint8ClampedArray.from({ length: 4 * 100 * 75 }, (_, i) => photo.data[at + (i % 4)]!),
      width: 100,
      height: 75,
      colorSpace: 'srgb' as const,
    };
    const own = rectify(
      flat,
      [
        [0, 0],
        [100, 0],
        [100, 75],
        [0, 75],
      ],
      SUPPORT,
    );
    const theirs = lab65({ mode: 'rgb', r, g, b });
    expect(own.L[50]).toBeCloseTo(theirs.l, 1);
    expect(own.a[50]).toBeCloseTo(theirs.a, 1);
    expect(own.b[50]).toBeCloseTo(theirs.b, 1);
  });

  test('a Display P3 photo is read as such: misread as sRGB it loses fifteen of chroma', () => {
    const data = Uint8ClampedArray.from(
      { length: 4 * 100 * 75 },
      (_, i) => [200, 60, 40, 255][i % 4]!,
    );
    const read = (colorSpace: 'srgb' | 'display-p3') => {
      const r = rectify(
        { data, width: 100, height: 75, colorSpace },
        [
          [0, 0],
          [100, 0],
          [100, 75],
          [0, 75],
        ],
        SUPPORT,
      );
      return [r.L[9]!, r.a[9]!, r.b[9]!];
    };
    const [L, a, b] = read('display-p3');
    expect(L).toBeCloseTo(47.65, 1);
    expect(a).toBeCloseTo(65.04, 0);
    expect(b).toBeCloseTo(53.52, 0);
    expect(read('srgb')[1]).toBeCloseTo(54.27, 0);
    expect(read('srgb')[2]).toBeCloseTo(43.2, 0);
  });

  test('sRGB codes and Munsell’s L*: IEC 61966-2-1 and CIE 15', () => {
    const code = (v: number) => {
      const c = v / 255;
      return lightnessOf(c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
    };
    expect([1, 64, 118, 128, 200].map((c) => code(c).toFixed(3))).toEqual([
      '0.274',
      '27.093',
      '49.637',
      '53.585',
      '80.604',
    ]);
    expect(lightnessOf(0.18)).toBeCloseTo(49.496, 3);
    for (const L of [3, 8, 20, 50, 95]) expect(lightnessOf(luminanceOf(L))).toBeCloseTo(L, 9);
    // Half black and half white weigh 76, not 53: light is averaged, not codes.
    expect(lightnessOf(0.5)).toBeCloseTo(76.07, 2);
    expect(lightnessOf(0.3 * luminanceOf(20) + 0.7 * luminanceOf(60))).toBeCloseTo(52.49, 2);
    expect(helmholtzKohlrausch(50, 60, 30)).toBeCloseTo(10.73, 1);
  });
});

describe('light and exposure', () => {
  const bent: Camera = {
    ...CAMERA,
    gain: 0.8,
    curve: { contrast: 1.25, middle: 0.9 },
    beside,
    noise: true,
  };
  const errors = (camera: Camera, patches: Patch[], more = {}) => {
    const shot = { photo: photographed(chart, SUPPORT, camera), corners: SLANT, patches, ...more };
    const prepared = prepare(shot, SUPPORT);
    const found = look(prepared, asked, shot)!;
    return { found, worst: Math.max(...found.values.map((v, i) => Math.abs(v.L - FIELDS[i]![0]))) };
  };

  test('eight grey steps undo exposure and tone curve; all within the stated error', () => {
    const { found, worst } = errors(bent, CARD);
    expect(worst).toBeLessThan(1);
    for (const [i, v] of found.values.entries())
      expect(Math.abs(v.L - FIELDS[i]![0])).toBeLessThan(1.645 * v.sigmaL);
    expect(found.trust.level).toBe('relative');
    // Without them it is far off, and says the order alone.
    const none = errors(bent, []);
    expect(none.worst).toBeGreaterThan(4);
    expect(none.found.trust.level).toBe('order');
    expect(none.found.trust.why.join()).toMatch(/Order of values only/);
    expect(none.found.order!.turned).toEqual([]);
    expect(none.found.order!.tau).toBeGreaterThan(0.8);
  });

  test('a lamp to one side is undone by a board, and by the picture turned upside down', () => {
    const lamp: Camera = { ...CAMERA, lamp: { at: [-150, 100], distanceMm: 400 }, beside };
    expect(errors(lamp, CARD).worst).toBeGreaterThan(4);
    const board = photographed(plain([90, 0, 0]), SUPPORT, { ...lamp, beside: () => null });
    const by = errors(lamp, CARD, { flat: { kind: 'board', photo: board } });
    expect(by.worst).toBeLessThan(1.6);
    expect(by.found.trust).toMatchObject({ level: 'steps', sigmaLight: 0.5 });
    const upside = photographed((x, y) => chart(300 - x, 225 - y), SUPPORT, lamp);
    const turned = errors(lamp, CARD, {
      flat: { kind: 'turned', photo: upside, corners: [SLANT[2], SLANT[3], SLANT[0], SLANT[1]] },
    });
    // The even part of the lamp stays: lens and hot spot are not told by turning.
    expect(turned.worst).toBeLessThan(4);
    expect(turned.worst).toBeLessThan(errors(lamp, CARD).worst / 2);
  });

  test('a burnt-out patch is left out and told; two like patches far apart tell uneven light', () => {
    const over = errors({ ...CAMERA, gain: 1.6, beside }, CARD.slice(0, 4));
    expect(over.found.trust.why.join()).toMatch(/burnt out and is left out/);
    const lamp: Camera = {
      ...CAMERA,
      lamp: { at: [-150, 100], distanceMm: 350 },
      beside: (x, y) => (beside(x, y) === null ? null : 60),
    };
    const same = CARD.map((p) => ({ ...p, L: 60 }));
    const told = errors(lamp, [same[0]!, same[7]!]);
    expect(told.found.trust.level).toBe('order');
    expect(told.found.trust.why.join()).toMatch(/uneven/);
  });

  test('the same strip on two sides in even light: steps are told, within their error', () => {
    const upper: Patch[] = CARD.map(({ quad, L }) => ({
      L,
      quad: quad.map(([x, y]): Point => [x, y - 400]),
    }));
    const both = (x: number, y: number) => beside(x, y) ?? beside(x, y + 400);
    const { found } = errors({ ...bent, beside: both }, [...CARD, ...upper]);
    expect(found.trust.level).toBe('steps');
    found.values.forEach((v, i) =>
      expect(Math.abs(v.L - FIELDS[i]![0])).toBeLessThan(1.645 * v.sigmaL),
    );
  });

  test('the curve through grey steps is monotone and meets them', () => {
    const f = monotone([
      { x: 0, y: 0 },
      { x: 10, y: 2 },
      { x: 11, y: 30 },
      { x: 40, y: 31 },
      { x: 50, y: 60 },
    ]);
    let last = -Infinity;
    for (let x = -5; x < 60; x += 0.25) {
      expect(f(x)).toBeGreaterThanOrEqual(last - 1e-9);
      last = f(x);
    }
    expect(f(11)).toBeCloseTo(30, 9);
  });

  test('shine is left out of a passage and told', () => {
    const spots = Array.from({ length: 14 }, (_, i) => disc(10 + i * 6, 20 + ((i * 37) % 70), 1.6));
    const shining = spots.reduce<Picture>((below, d) => over(below, d, [97, 0, 0]), chart);
    const photo = photographed(shining, SUPPORT, CAMERA);
    const raster = rectify(photo, SLANT, SUPPORT);
    const [first] = passageValues(raster, labelsOf(raster, PASSAGES));
    expect(first!.glareShare).toBeGreaterThan(0.005);
    expect(Math.abs(first!.L - 20)).toBeLessThan(1);
  });
});

describe('edges', () => {
  test('the width of a step: a Gaussian is 2.563 sigma wide, a ramp eight tenths of itself', () => {
    const gauss = over(plain([30, 0, 0]), (x) => -x, [70, 0, 0], 1);
    const row = Array.from({ length: 401 }, (_, i) => gauss((i - 200) / 20, 0)[0]);
    expect(stepWidth(row)!.width / 20).toBeCloseTo(2.563, 2);
    const ramp = Array.from({ length: 401 }, (_, i) =>
      Math.min(70, Math.max(30, 50 + ((i - 200) / 20) * 8)),
    );
    expect(stepWidth(ramp)!.width / 20).toBeCloseTo(4, 2);
    expect(stepWidth([5, 5, 5, 5, 5, 5, 5])).toBeNull();
  });

  test('classes by the distance of the eye', () => {
    expect(classLimits(1.5).map((v) => v.toFixed(2))).toEqual(['0.87', '3.49', '13.09']);
    expect([0.5, 2, 8, 20].map((w) => kindOf(w, 1.5))).toEqual(['hard', 'firm', 'soft', 'lost']);
  });

  test.each([1.2, 2.5, 4])(
    'a border of sigma %f mm on a photo is measured within a tenth',
    (sigma) => {
      const support = { widthMm: 120, heightMm: 90 };
      const corners: Point[] = [
        [40, 30],
        [760, 42],
        [745, 570],
        [50, 560],
      ];
      const picture = over(
        plain([35, 4, 4]),
        (x, y) => 60 + 0.1 * (y - 45) - x,
        [68, 2, 10],
        sigma,
      );
      const photo = photographed(picture, support, {
        width: 800,
        height: 600,
        corners,
        noise: true,
      });
      const raster = rectify(photo, corners, support);
      const labels = labelsOf(raster, [
        {
          id: 'left',
          rings: [
            [
              [0, 0],
              [55.5, 0],
              [64.5, 90],
              [0, 90],
            ],
          ],
        },
        {
          id: 'right',
          rings: [
            [
              [55.5, 0],
              [120, 0],
              [120, 90],
              [64.5, 90],
            ],
          ],
        },
      ]);
      const edge = edgeOf(raster, labels, 'left', 'right', leastBlurMm(raster))!;
      expect(Math.abs(edge.widthMm / (2.563 * sigma) - 1)).toBeLessThan(0.1);
      expect(edge.dL).toBeGreaterThan(30);
      expect(edge.lostShare).toBe(0);
      expect(edgeOf(raster, labels, 'left', 'left', 0)).toBeNull();
    },
  );

  test('two passages of one value run into each other; the pull is that of the worked border', () => {
    const support = { widthMm: 120, heightMm: 90 };
    const corners: Point[] = [
      [0, 0],
      [480, 0],
      [480, 360],
      [0, 360],
    ];
    const picture = over(plain([50, 0, 0]), (x) => x - 60, [51, 1, 0]);
    const raster = rectify(
      photographed(picture, support, { width: 480, height: 360, corners }),
      corners,
      support,
    );
    const labels = labelsOf(raster, [
      { id: 'a', rings: [box(0, 0, 60, 90)] },
      { id: 'b', rings: [box(60, 0, 120, 90)] },
    ]);
    expect(edgeOf(raster, labels, 'a', 'b', leastBlurMm(raster))).toMatchObject({
      kind: 'lost',
      lostShare: 1,
    });
    const half = {
      lengthMm: 50,
      quartilesMm: [0, 0] as [number, number],
      atMost: false,
      lostShare: 0,
      kind: 'hard' as const,
    };
    const [pull] = pullsOf(
      ['x'],
      [
        { ...half, a: 'x', b: 'y', widthMm: 1, dL: 40, dab: 10 },
        { ...half, a: 'x', b: 'z', widthMm: 6, dL: 10, dab: 30 },
      ],
      new Map(),
      1.5,
    );
    expect(pull!.value).toBeCloseTo(17.39, 1);
    expect(pull!.colour).toBeCloseTo(9.4, 1);
    expect(pull!.pull).toBeCloseTo(23.03, 1);
    expect(pull!.edge).toBe('y');
  });
});

describe('from a distance', () => {
  test('the published contrast sensitivity', () => {
    expect([1, 4, 16, 30].map((u) => contrastSensitivity(u).toFixed(1))).toEqual([
      '410.7',
      '633.7',
      '169.4',
      '30.6',
    ]);
    const seen = (period: number, m: number) =>
      0.06 * ORDINARY.gain * contrastSensitivity(ORDINARY.scale * cyclesPerDegree(period, m));
    expect(seen(3, 3)).toBeGreaterThan(1);
    expect(0.06 * contrastSensitivity(cyclesPerDegree(3, 3))).toBeCloseTo(8.6, 0);
    expect(smallestSeenMm(0.05, 6)).toBeCloseTo(2 * smallestSeenMm(0.05, 3), 6);
    expect(nearestHonestM(2)).toBeCloseTo(1.72, 2);
  });

  test('a fine grating goes with distance, the masses stay', () => {
    const [width, height] = [256, 192];
    const Y = Float32Array.from({ length: width * height }, (_, i) => {
      const x = i % width;
      // Period 4 mm at 2 px/mm, contrast a tenth; the right half is lighter.
      return (x < 128 ? 0.2 : 0.5) * (1 + 0.1 * Math.sin((2 * Math.PI * x) / 8));
    });
    const raster = { widthMm: 128, heightMm: 96, width, height, pxPerMm: 2, Y } as Raster;
    const labels = labelsOf(raster, [
      { id: 'dark', rings: [box(0, 0, 64, 96)] },
      { id: 'light', rings: [box(64, 0, 128, 96)] },
    ]);
    const left = (m: number) => detailLeft(raster, labels, viewFrom(raster, m))[0]!.detailLeft;
    expect(left(2)).toBeGreaterThan(0.8);
    expect(left(12)).toBeLessThan(0.2);
    const far = viewFrom(raster, 12);
    expect(far[96 * width + 30]!).toBeCloseTo(0.2, 1);
    expect(far[96 * width + 220]!).toBeCloseTo(0.5, 1);
  });

  test('squint: the boxes of a Gaussian, the disc of an eye out of focus, and nothing bleeds in', () => {
    expect(boxesOf(10)).toEqual([19, 19, 21]);
    expect(boxesOf(3)).toEqual([5, 5, 7]);
    expect(boxesOf(25)).toEqual([49, 49, 51]);
    expect(squintSigmaMm(1 * 4 * 3)).toBeCloseTo(3, 9);
    const flat = blurred(new Float32Array(50 * 40).fill(0.4), 50, 40, 12);
    for (const v of flat) expect(v).toBeCloseTo(0.4, 5);
  });
});

describe('over time', () => {
  test('what a session changed: where, and by how much; what stayed is not told', () => {
    const later = over(chart, rect(0, 0, 100, 112.5), [31, 4, 4]);
    const shot = (picture: Picture, seed: number) => ({
      photo: photographed(picture, SUPPORT, { ...CAMERA, beside, noise: true, seed }),
      corners: SLANT,
      patches: CARD,
    });
    const before = prepare(shot(chart, 1), SUPPORT);
    const change = changed(before, prepare(shot(later, 2), SUPPORT), PASSAGES);
    expect(change.passages.filter((p) => p.changed).map((p) => p.id)).toEqual(['0']);
    expect(change.passages[0]!.byL).toBeCloseTo(11, 0);
    expect(change.shareChanged).toBeGreaterThan(0.12);
    expect(change.shareChanged).toBeLessThan(0.2);
    const nothing = changeOf(before.raster, before.raster, [], [], {
      before: () => 1,
      after: () => 1,
    });
    expect(nothing).toMatchObject({ shareChanged: 0, work: 0 });
  });
});

test('the photo of the design itself has no turned pair and no residual', () => {
  const shot = {
    photo: photographed(chart, SUPPORT, { ...CAMERA, beside, noise: true }),
    corners: SLANT,
    patches: CARD,
  };
  const found = look(
    prepare(shot, SUPPORT),
    { ...asked, edges: true, attention: true, distancesM: [3] },
    shot,
  )!;
  expect(found.order!.tau).toBeCloseTo(1, 9);
  expect(found.order!.turned).toEqual([]);
  for (const r of found.key!.residuals) {
    const v = found.values.find((x) => x.id === r.id)!;
    expect(Math.abs(r.L)).toBeLessThan(2 * v.sigmaL);
  }
  expect(found.range.lightest[0]!.id).toBe('5');
  expect(found.range.darkest[0]!.id).toBe('0');
  expect(found.edges).toHaveLength(7);
  expect(found.attention).toHaveLength(6);
  expect(found.distance[0]!.passages.length).toBeGreaterThan(0);
  // A passage that is darker than meant, by a third of what it should be, and one turned round.
  const wrong: PassageAsked[] = PASSAGES.map((p) =>
    p.id === '2' ? { ...p, designLab: [68, 0, 0] } : p,
  );
  const told = look(prepare(shot, SUPPORT), { support: SUPPORT, passages: wrong }, shot)!;
  expect(told.order!.turned[0]).toMatchObject({ lighter: '2', darker: '3' });
  expect(told.key!.residuals.find((r) => r.id === '2')!.L).toBeLessThan(-12);
});
