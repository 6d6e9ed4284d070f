import { quincesPicture } from '../../../demo/pictures';
import { DESIGN, QUINCES_SUPPORT } from '../../../demo/quinces';
import {
  baked,
  photographed,
  plain,
  over,
  rect,
  type Camera,
  type Picture,
} from '../../../demo/photograph';
import { proposeCorners } from './find-corners';
import { snapCorners } from './snap-corners';
import { fineMarks, marksSeen } from './marks';
import type { Photo, Point, Raster } from './photo';
import { registered } from './register';
import { rectify } from './rectify';
import { seriesOf } from './series';

const { floor, hypot, max, round, sin } = Math;
const still: Picture = baked(quincesPicture(DESIGN), QUINCES_SUPPORT, 1.25);
const off = (found: readonly Point[], truth: readonly Point[]): number =>
  max(...found.map((p, i) => hypot(p[0] - truth[i]![0], p[1] - truth[i]![1])));

/** Photos of it on walls of several lightness, slanted to and fro, with light from one side, an S-curve and noise. */
const camera = (i: number, wallL: number): Camera => ({
  width: 720,
  height: 600,
  corners: [
    [80 + 9 * sin(i), 60 + 14 * sin(2 * i + 1)],
    [650 - 11 * sin(3 * i), 52 + 9 * sin(i + 2)],
    [640 + 8 * sin(5 * i), 520 - 12 * sin(i)],
    [92 - 7 * sin(2 * i), 530 + 10 * sin(4 * i)],
  ],
  wallL,
  // A strip of greys below the picture is not taken for its lower side.
  beside: (x, y) =>
    y > 548 && y < 584 && x > 100 && x < 620 ? 90 - 14 * floor((x - 100) / 90) : null,
  curve: { contrast: 1.25, middle: 1 },
  lamp: { at: [-300, -100], distanceMm: 1800 },
  noise: true,
  seed: i,
  samples: 1,
});
const WALLS = [88, 60, 30, 92];

describe('corners', () => {
  const shots = WALLS.map((wallL, i) => camera(i + 1, wallL));
  const photos = shots.map((c) => photographed(still, QUINCES_SUPPORT, c));

  test.each(WALLS.map((wallL, i) => [i, wallL]))(
    'set by a finger, photo %i on a wall of L* %i: found to half a pixel',
    (i) => {
      const truth = shots[i]!.corners;
      // A finger errs by some pixels in any direction.
      const tapped = truth.map(([x, y], k): Point => [
        x + 7 * sin(3 * k + i),
        y - 6 * sin(k + 5 * i),
      ]);
      const { corners, found, agreed } = snapCorners(photos[i]!, tapped);
      expect([found, agreed.every((a) => a >= 0.6)]).toEqual([true, true]);
      expect(off(corners, truth)).toBeLessThan(0.5);
    },
  );

  test.each(WALLS.map((wallL, i) => [i, wallL]))('proposed, photo %i on a wall of L* %i', (i) => {
    expect(
      off(proposeCorners(photos[i]!, QUINCES_SUPPORT)!.corners, shots[i]!.corners),
    ).toBeLessThan(1);
  });

  test('an even wall has none to propose; a side that is not there leaves the finger’s', () => {
    const nothing = photographed(plain([70, 0, 2]), QUINCES_SUPPORT, {
      ...shots[0]!,
      wallL: 70,
      lamp: undefined!,
    });
    expect(proposeCorners(nothing, QUINCES_SUPPORT)).toBeNull();
    const { corners, found } = snapCorners(nothing, shots[0]!.corners);
    expect(found).toBe(false);
    expect(off(corners, shots[0]!.corners)).toBeLessThan(1e-6);
  });

  test('a picture of other proportions on the wall is not taken for it', () => {
    const wide = { widthMm: 500, heightMm: 200 };
    const photo = photographed(still, QUINCES_SUPPORT, shots[0]!);
    const found = proposeCorners(photo, wide);
    if (found) expect(off(found.corners, shots[0]!.corners)).toBeGreaterThan(20);
  });
});

describe('two photos of one picture', () => {
  const truth = shots(0);
  function shots(i: number): { corners: readonly Point[]; photo: Photo } {
    const c = camera(i + 2, 85);
    return { corners: c.corners, photo: photographed(still, QUINCES_SUPPORT, c) };
  }
  const later = shots(1);
  const raster = (s: typeof truth, moved: (p: Point) => Point = (p) => p): Raster =>
    rectify(s.photo, s.corners.map(moved), QUINCES_SUPPORT);
  const one = raster(truth);

  test('lie on each other where their corners are true', () => {
    const { rmsMm, tiles } = registered(one, raster(later));
    expect(tiles.length).toBeGreaterThanOrEqual(3);
    expect(rmsMm!).toBeLessThan(0.4);
  });

  test('corners set two pixels off are told in mm', () => {
    const pxPerMm = 560 / 500;
    const { rmsMm, tiles } = registered(
      one,
      raster(later, ([x, y]) => [x + 2, y]),
    );
    // What lies two pixels to the right on the photo is looked at two pixels too far to the left.
    const across = tiles.filter((p) => p.axes === 2).map((p) => p.byMm[0]);
    const middle = across.sort((p, q) => p - q)[floor(across.length / 2)]!;
    expect(Math.abs(middle + 2 / pxPerMm)).toBeLessThan(0.3);
    expect(rmsMm!).toBeGreaterThan(0.9);
  });

  test('what was painted over has nothing to lie by', () => {
    const painted = photographed(plain([40, 0, 0]), QUINCES_SUPPORT, camera(3, 85));
    expect(
      registered(one, rectify(painted, camera(3, 85).corners, QUINCES_SUPPORT)).rmsMm,
    ).toBeNull();
  });
});

describe('marks and the brush', () => {
  const width = 200;
  const height = 120;
  /** Lines of 3 px and one field of 30 px on a grey. */
  const L = new Float32Array(width * height).fill(50);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (x < 90 && y % 20 < 3) L[y * width + x] = 60;
      if (x > 120 && x < 150 && y > 40 && y < 70) L[y * width + x] = 30;
    }

  test('lines thinner than the brush are found, the field is not', () => {
    const marks = fineMarks(L, width, height, 8);
    expect(marks[1 * width + 40]).toBe(1);
    expect(marks[55 * width + 135]).toBe(0);
    expect(marks.reduce((s, m) => s + m, 0)).toBe(6 * 3 * 90);
    expect(fineMarks(L, width, height, 2).some(Boolean)).toBe(false);
  });

  test('what is gone from afar is told as a part of it', () => {
    const half = L.map((v, i) => (v === 60 && i % width < 45 ? 50 : v));
    expect(marksSeen(L, half, width, height, 8)).toEqual({
      share: (6 * 3 * 90) / (width * height),
      seen: expect.closeTo(0.5, 6),
    });
    const plainL = new Float32Array(width * height).fill(50);
    expect(marksSeen(plainL, plainL, width, height, 8).seen).toBeNull();
  });

  test('a square of the brush’s own width is no finer than it', () => {
    const stroke = over(plain([50, 0, 0]), rect(10, 10, 24, 24), [70, 0, 0]);
    const plane = Float32Array.from(
      { length: 40 * 40 },
      (_, i) => stroke(i % 40, round((i - (i % 40)) / 40))[0],
    );
    expect(fineMarks(plane, 40, 40, 10).some(Boolean)).toBe(false);
    expect(fineMarks(plane, 40, 40, 30).some(Boolean)).toBe(true);
  });
});

describe('a row of photos', () => {
  const step = (hours: number, work: number, byL: number) => ({
    hours,
    work,
    passages: [{ id: 'sky', byL, changed: true }],
  });

  test('walked fifteen, gained five: painted to and fro', () => {
    // looking.md, check 48: +6 -5 +4 is a churn of 3.0.
    expect(seriesOf([step(2, 100, 6), step(2, 100, -5), step(2, 100, 4)]).churned).toEqual([
      { id: 'sky', walkedL: 15, gainedL: 5 },
    ]);
    expect(seriesOf([step(2, 100, 6), step(2, 100, 5)]).churned).toEqual([]);
  });

  test('change by the hour, and three sittings that changed little', () => {
    const busy = [step(2, 400, 6), step(4, 800, 5), step(2, 380, 4), step(2, 420, 3)];
    expect(seriesOf(busy).perHour).toEqual([200, 200, 190, 210]);
    expect(seriesOf(busy).slowing).toBe(false);
    const tired = [step(2, 20, 1), step(2, 30, 1), step(2, 10, 1)];
    expect(seriesOf([...busy, ...tired]).slowing).toBe(true);
    // Without hours nothing is told of them.
    expect(seriesOf([...busy, step(0, 10, 1)]).perHour.at(-1)).toBeNull();
  });
});
