import { optimalBreaks, histogramOf, massesOf, thresholdsOf } from './masses';
import { gradedOf, isotonic, keyOf, orderOf, type Pair } from './relations';
import { ckmeans } from 'simple-statistics';
import fc from 'fast-check';

const pairs = (design: number[], work: number[]): Pair[] =>
  design.map((designL, i) => ({ id: String.fromCharCode(97 + i), designL, workL: work[i]! }));
const exactly = (_: string, __: string) => 0;

describe('the order of passages', () => {
  test('Kendall’s tau, by errors, and tau-b of exact ties (scipy)', () => {
    const one = pairs([20, 35, 50, 65, 80], [25, 48, 45, 70, 82]);
    expect(orderOf(one, exactly, 1, 0).tau).toBeCloseTo(0.8, 9);
    const near = orderOf(one, () => 4 / 1.645, 1, 3);
    expect(near.tau).toBeCloseTo(9 / Math.sqrt(90), 9);
    expect(near.turned).toEqual([]);
    expect(near.tooClose).toEqual([{ lighter: 'c', darker: 'b' }]);
    const ties = pairs([20, 35, 35, 65, 80], [25, 48, 45, 70, 70]);
    expect(orderOf(ties, exactly, 1, 0).tau).toBeCloseTo(0.8889, 4);
  });

  test('a turned pair is told with its amount, the largest shortfall first; a flat side has no order', () => {
    const found = orderOf(pairs([20, 40, 60, 80], [42, 40, 60, 55]), () => 1, 1);
    expect(found.turned.map((t) => [t.lighter, t.darker, t.byL])).toEqual([
      ['d', 'c', 5],
      ['b', 'a', 2],
    ]);
    expect(orderOf(pairs([20, 40], [30, 30]), exactly).tau).toBeNull();
  });

  test('what is meant to depart is left alone; what is free is not compared', () => {
    const [a, b] = pairs([30, 50], [50, 45]);
    expect(orderOf([a!, b!], () => 1).turned).toHaveLength(1);
    expect(orderOf([{ ...a!, departure: { L: 25 } }, b!], () => 1).turned).toEqual([]);
    expect(orderOf([{ ...a!, departure: 'free' }, b!], () => 1)).toMatchObject({
      turned: [],
      held: 0,
    });
  });

  test('no monotone curve of a phone changes it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 5, max: 95 }), { minLength: 3, maxLength: 8 }),
        fc.double({ min: 0.5, max: 2, noNaN: true }),
        (work, power) => {
          const design = work.map((_, i) => 10 + 9 * i);
          const bent = work.map((L) => 100 * (L / 100) ** power);
          const order = (w: number[]) => orderOf(pairs(design, w), exactly, 1, 0);
          expect(order(bent).tau).toBe(order(work).tau);
        },
      ),
    );
  });
});

describe('the key', () => {
  const design = [15, 28, 40, 52, 66, 83];
  const work = design.map((L, i) => 14 + 0.82 * L + (i === 2 ? 9 : i === 4 ? -7 : 0));

  test('two departures out of six do not bend it (the worked case of Theil and Sen)', () => {
    const key = keyOf(pairs(design, work))!;
    expect(key.slope).toBeCloseTo(0.82, 9);
    expect(key.intercept).toBeCloseTo(14, 9);
    const L = key.residuals.map((r) => r.L);
    expect(L[2]).toBeCloseTo(9, 9);
    expect(L[4]).toBeCloseTo(-7, 9);
    expect(key.mayBeExposure).toBe(false);
  });

  test('a third of a stop is told as what may be the exposure, and leaves no residual', () => {
    const k = 2 ** (1 / 3);
    const lighter = design.map((L) => Math.cbrt(k) * (L + 16) - 16);
    const key = keyOf(pairs(design, lighter))!;
    expect(key.slope).toBeCloseTo(1.08006, 4);
    expect(key.intercept).toBeCloseTo(1.28096, 4);
    expect(key.mayBeExposure).toBe(true);
    for (const r of key.residuals) expect(r.L).toBeCloseTo(0, 9);
  });

  test('one departure out of four does not bend it', () => {
    const key = keyOf(pairs([22, 47, 62, 82], [36, 46, 63, 81]))!;
    expect(key.slope).toBeCloseTo(1, 1);
    expect(key.residuals[0]!.L).toBeGreaterThan(12);
    for (const r of key.residuals.slice(1)) expect(Math.abs(r.L)).toBeLessThan(2);
  });

  test('of two or three passages the slope is not guessed; of one there is no key', () => {
    expect(keyOf(pairs([20, 60], [30, 90]))).toMatchObject({ slope: 1, intercept: 20 });
    expect(keyOf(pairs([20], [30]))).toBeNull();
  });
});

describe('masses', () => {
  const VALUES = [12, 14, 15, 33, 35, 36, 38, 70, 72, 90];

  test('optimal breaks are exact: the worked row, and ckmeans of simple-statistics', () => {
    const histogram = histogramOf(VALUES);
    expect(optimalBreaks(histogram, 3)).toEqual([24, 54]);
    expect(optimalBreaks(histogram, 2)).toEqual([54]);
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 1000 }), { minLength: 6, maxLength: 30 }),
        fc.integer({ min: 2, max: 5 }),
        (tenths, k) => {
          const values = tenths.map((t) => t / 10);
          const within = (groups: number[][]) =>
            groups.reduce((sum, g) => {
              const mean = g.reduce((s, v) => s + v, 0) / g.length;
              return sum + g.reduce((s, v) => s + (v - mean) ** 2, 0);
            }, 0);
          const breaks = optimalBreaks(histogramOf(values), k);
          const mine = Array.from({ length: k }, (_, i) =>
            values.filter((v) => v >= (breaks[i - 1] ?? -1) && v < (breaks[i] ?? Infinity)),
          );
          expect(within(mine)).toBeCloseTo(within(ckmeans(values, k)), 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('even and by area', () => {
    const flat = histogramOf(Array.from({ length: 1001 }, (_, i) => 10 + (80 * i) / 1000));
    const [a, b] = thresholdsOf(flat, 3, 'even');
    expect(a).toBeCloseTo(10.8 + 78.4 / 3, 0);
    expect(b).toBeCloseTo(10.8 + (2 * 78.4) / 3, 0);
    expect(thresholdsOf(flat, 4, 'areas')[1]).toBeCloseTo(50, 0);
  });

  test('small regions go to their neighbour, and cleaning twice changes nothing', () => {
    const [width, height] = [60, 40];
    const L = new Float32Array(width * height).fill(30);
    for (let y = 0; y < height; y++) for (let x = 30; x < width; x++) L[y * width + x] = 70;
    L[5 * width + 5] = 70;
    L[20 * width + 45] = 30;
    L[20 * width + 46] = 30;
    const size = { width, height, pxPerMm: 1 };
    const once = massesOf(L, size, [50], 9);
    expect(once.shares).toEqual([0.5, 0.5]);
    const again = massesOf(
      Float32Array.from(once.map, (m) => 30 + 40 * m),
      size,
      [50],
      9,
    );
    expect([...again.map]).toEqual([...once.map]);
    expect(once.means[1]).toBeGreaterThan(69);
  });
});

describe('a graded passage', () => {
  test('the worked profile: isotonic fit, reversal, distance from the line', () => {
    const profile = [30, 34, 38, 36, 35, 42, 48, 52];
    const smooth = isotonic(profile);
    expect(smooth.slice(2, 5).map((v) => v.toFixed(3))).toEqual(['36.333', '36.333', '36.333']);
    const found = gradedOf(profile);
    expect(found.monotone).toBeCloseTo(0.7857, 4);
    expect(found.reversalL).toBe(3);
    expect(found.fromLineL).toBeCloseTo(7.571, 3);
    // Read from the other end it is the same grade.
    expect(gradedOf([...profile].reverse()).reversalL).toBe(3);
  });

  test('a step that stands out is a band', () => {
    expect(gradedOf([30, 31, 32, 33, 41, 42, 43, 44]).banded).toBe(true);
    expect(gradedOf([30, 32, 34, 36, 38, 40, 42, 44]).banded).toBe(false);
  });
});
