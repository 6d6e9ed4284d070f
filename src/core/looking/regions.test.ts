import { ckmeans } from 'simple-statistics';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { lightnessOf, luminanceOf } from '../optics/colour';
import { fromLinear } from '../optics/srgb';
import { blurred } from './blur';
import { histogramOf, massesOf, optimalBreaks } from './masses';
import { labelsOf } from './passages';
import { codeOfLinear, labF, lightnesses, lightOfL } from './tables';
import type { Raster } from './photo';
import { passageValue, rangeOf } from './values';

const SEEDS = Array.from({ length: 8 }, (_, i) => 1000 + 37 * i);

/** Regions of one mass by four neighbours, as plainly as it can be done. */
function regionSizes(map: Uint8Array, width: number): number[] {
  const seen = new Set<number>();
  const sizes: number[] = [];
  for (let start = 0; start < map.length; start++) {
    if (seen.has(start)) continue;
    const open = [start];
    seen.add(start);
    let size = 0;
    while (open.length > 0) {
      const at = open.pop()!;
      size += 1;
      const next = [
        at % width > 0 ? at - 1 : -1,
        at % width < width - 1 ? at + 1 : -1,
        at - width,
        at + width,
      ];
      for (const n of next)
        if (n >= 0 && n < map.length && !seen.has(n) && map[n] === map[at]) {
          seen.add(n);
          open.push(n);
        }
    }
    sizes.push(size);
  }
  return sizes;
}

describe.each(SEEDS)('masses of a noisy picture, seed %i', (seed) => {
  const [width, height] = [48, 36];
  const rng = xoroshiro128plus(seed);
  const raw = Float32Array.from({ length: width * height }, () => uniformInt(rng, 0, 100));
  const L = blurred(raw, width, height, 1.2);
  const size = { width, height, pxPerMm: 1 };
  const least = 12;
  const once = massesOf(L, size, [42, 50, 58], least);

  test('no region is smaller than the brush, nothing is lost, and once is enough', () => {
    expect(Math.min(...regionSizes(once.map, width))).toBeGreaterThanOrEqual(least);
    expect(once.shares.reduce((s, v) => s + v, 0)).toBeCloseTo(1, 9);
    const again = massesOf(
      Float32Array.from(once.map, (m) => [20, 46, 54, 80][m]!),
      size,
      [42, 50, 58],
      least,
    );
    expect([...again.map]).toEqual([...once.map]);
  });

  test('most places keep their mass: only what is small goes', () => {
    const plain = massesOf(L, size, [42, 50, 58], 1);
    const small = regionSizes(plain.map, width).filter((s) => s < least);
    const moved = once.map.filter((m, i) => m !== plain.map[i]).length;
    // A region may go along with one that grew, but no large one is eaten.
    expect(moved).toBeLessThanOrEqual(2 * small.reduce((s, v) => s + v, 0));
  });

  test('optimal breaks: as good as those of simple-statistics (ckmeans)', () => {
    const values = [...raw].slice(0, 300);
    for (const k of [2, 3, 5, 9]) {
      const within = (groups: number[][]) =>
        groups.reduce((sum, group) => {
          const mean = group.reduce((s, v) => s + v, 0) / group.length;
          return sum + group.reduce((s, v) => s + (v - mean) ** 2, 0);
        }, 0);
      const limits = optimalBreaks(histogramOf(values), k);
      const groups = [-Infinity, ...limits].map((from, i) =>
        values.filter((v) => v >= from && v < (limits[i] ?? Infinity)),
      );
      expect(groups).toHaveLength(k);
      expect(within(groups)).toBeCloseTo(within(ckmeans(values, k)), 6);
    }
  });
});

describe('curves from tables', () => {
  test('L* within a hundredth of the exact one, above L* 1 and beyond white', () => {
    for (let y = 0.002; y < 1.4; y += 0.00137)
      expect(Math.abs(116 * labF(y) - 16 - lightnessOf(y))).toBeLessThan(0.01);
    expect(labF(-0.1)).toBeCloseTo(16 / 116, 9);
    expect([...lightnesses(Float32Array.from([0, 0.18, 1]))]).toEqual([
      expect.closeTo(0, 3),
      // CIE Lab: looking.md, check 2.
      expect.closeTo(49.496, 2),
      expect.closeTo(100, 3),
    ]);
  });

  test('codes of linear light: those of IEC 61966-2-1, rounded', () => {
    let off = 0;
    for (let v = 0; v <= 1; v += 0.000731) {
      const exact = 255 * fromLinear(v);
      off = Math.max(off, Math.abs(codeOfLinear(v) - exact));
    }
    expect(off).toBeLessThan(0.56);
    expect([codeOfLinear(-1), codeOfLinear(2)]).toEqual([0, 255]);
  });

  test('the light of an L* is the way back', () => {
    for (const L of [0.5, 5, 8, 30, 50, 95, 100])
      expect(lightOfL(L)).toBeCloseTo(luminanceOf(L), 9);
  });
});

describe('a passage', () => {
  const WIDTH = 120;
  const HEIGHT = 90;
  const plainRaster = (L: Float32Array): Raster => ({
    widthMm: WIDTH,
    heightMm: HEIGHT,
    width: WIDTH,
    height: HEIGHT,
    pxPerMm: 1,
    L,
    a: new Float32Array(L.length),
    b: new Float32Array(L.length),
    Y: L.map(luminanceOf),
    photoPx: 1,
    clipped: 0,
  });
  const ring = (x0: number, y0: number, x1: number, y1: number): [number, number][] => [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];

  test('how far each pixel is from its border: within eight hundredths of the straight way', () => {
    const size = { width: WIDTH, height: HEIGHT, pxPerMm: 1 };
    const labels = labelsOf(size, [
      { id: 'ground', rings: [ring(0, 0, WIDTH, HEIGHT)] },
      { id: 'square', rings: [ring(40, 30, 80, 60)], above: 1 },
    ]);
    for (const [x, y] of [
      [60, 45],
      [45, 33],
      [20, 45],
      [100, 70],
      [30, 20],
      [2, 80],
    ] as const) {
      const here = labels.map[y * WIDTH + x]!;
      let straight = Math.min(x, y, WIDTH - 1 - x, HEIGHT - 1 - y) + 0.5;
      for (let v = 0; v < HEIGHT; v++)
        for (let u = 0; u < WIDTH; u++)
          if (labels.map[v * WIDTH + u] !== here)
            straight = Math.min(straight, Math.hypot(u - x, v - y) - 0.5);
      const told = labels.inside[y * WIDTH + x]!;
      expect(told / straight).toBeGreaterThan(0.92);
      expect(told / straight).toBeLessThan(1.09);
    }
  });

  test('specks of shine are left out of its value and told; a large sheen is not one', () => {
    const L = new Float32Array(WIDTH * HEIGHT).fill(30);
    // One in twenty shines.
    for (let i = 0; i < L.length; i += 20) L[i] = 85;
    const raster = plainRaster(L);
    const labels = labelsOf(raster, [{ id: 'all', rings: [ring(0, 0, WIDTH, HEIGHT)] }]);
    const value = passageValue(raster, labels, 0)!;
    expect(value.L).toBeCloseTo(30, 1);
    expect(value.glareShare).toBeCloseTo(0.05, 1);
    expect(value.glareShare).toBeGreaterThan(0.04);
    // The lights of the picture are not its glints.
    expect(rangeOf(raster, labels).p995).toBeLessThan(31);
    const sheen = plainRaster(L.map((_, i) => (i % 2 === 0 ? 30 : 85)));
    expect(passageValue(sheen, labels, 0)!.glareShare).toBe(0);
    // Another raster under the same labels is looked at for itself.
    expect(passageValue(sheen, labels, 0)!.L).toBeGreaterThan(50);
  });

  test('who owns the lightest and the darkest hundredth', () => {
    const L = Float32Array.from(
      { length: WIDTH * HEIGHT },
      (_, i) => (i % WIDTH < 60 ? 20 : 80) + Math.floor(i / WIDTH) / 30,
    );
    const raster = plainRaster(L);
    const labels = labelsOf(raster, [
      { id: 'dark', rings: [ring(0, 0, 60, HEIGHT)] },
      { id: 'light', rings: [ring(60, 0, WIDTH, HEIGHT)] },
    ]);
    const range = rangeOf(raster, labels);
    expect(range.lightest).toEqual([{ id: 'light', share: 1 }]);
    expect(range.darkest).toEqual([{ id: 'dark', share: 1 }]);
  });
});
