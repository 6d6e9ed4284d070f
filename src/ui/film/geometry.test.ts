import {
  brushedEdge,
  measureRange,
  scaleBarUm,
  scaleFor,
  spreadLabels,
  stackBands,
  stepWidth,
} from './geometry';
import type { FilmStep } from './step';

const step = (thicknessUm: number, measure: number | null = 0.5): FilmStep => ({
  key: String(thicknessUm),
  name: 'film',
  colour: '#888888',
  thicknessUm,
  measure,
  unspoken: false,
  figure: '',
  state: 'touch-dry',
  broken: false,
});

test('films are drawn to scale from the bottom up', () => {
  const steps = [step(20), step(60), step(40)];
  const bands = stackBands({ steps, bottomY: 300, pxPerUm: 2, stairWidth: 100 }, [0, 1]);
  expect(bands.map((b) => [b.y, b.height])).toEqual([
    [260, 40],
    [140, 120],
    [60, 80],
  ]);
});

test('a stack fills the room and never more, even when hairs take more than their share', () => {
  for (const steps of [
    [step(20), step(60)],
    [step(1000), step(2), step(15)],
    Array.from({ length: 30 }, () => step(3)),
  ]) {
    const scale = scaleFor(steps, 240, 100);
    const height = stackBands({ steps, bottomY: 0, pxPerUm: scale, stairWidth: 1 }, [0, 1]).reduce(
      (s, b) => s + b.height,
      0,
    );
    expect(height).toBeLessThanOrEqual(240 + 1);
  }
  expect(scaleFor([], 240, 3)).toBe(3);
  expect(scaleFor([step(10)], 240, 3)).toBe(3);
});

test('wider is always fatter, the fattest fills the stair, the unknown is open-ended', () => {
  const range = measureRange([step(1, 0.55), step(1, 0.8), step(1, null)]);
  expect(range).toEqual([0.55, 0.8]);
  expect(stepWidth(0.8, range, 100)).toBeCloseTo(100);
  expect(stepWidth(0.55, range, 100)).toBeGreaterThan(20);
  expect(stepWidth(0.7, range, 100)).toBeGreaterThan(stepWidth(0.6, range, 100));
  expect(stepWidth(null, range, 100)).toBe(100);
  expect(measureRange([])).toEqual([0, 1]);
  const [lo, hi] = measureRange([step(1, 0.6), step(2, 0.6)]);
  expect(hi).toBeGreaterThan(lo);
});

test('labels keep their gap and their order, and stay on the page', () => {
  const spread = spreadLabels([10, 12, 14, 200], 50, 0, 300);
  expect(spread).toEqual([10, 60, 110, 200]);
  const low = spreadLabels([280, 290, 295], 50, 0, 300);
  expect(Math.max(...low)).toBeLessThanOrEqual(300);
  expect(low[1]! - low[0]!).toBeGreaterThanOrEqual(50);
});

test('the scale bar is a round length one can see', () => {
  expect(scaleBarUm(4)).toBe(10);
  expect(scaleBarUm(1)).toBe(50);
  expect(scaleBarUm(0.01)).toBe(5000);
});

test('the same seed draws the same edge, from side to side', () => {
  expect(brushedEdge(0, 100, 50, 4, 1)).toBe(brushedEdge(0, 100, 50, 4, 1));
  expect(brushedEdge(0, 100, 50, 4, 2)).not.toBe(brushedEdge(0, 100, 50, 4, 1));
  expect(brushedEdge(0, 100, 50, 4, 1)).toMatch(/^0\.0 50\.0 .*100\.0 50\.0$/);
});

test('a film that the school does not speak of is narrow; one nobody knows is as wide as can be', () => {
  const widths = stackBands(
    {
      steps: [{ ...step(40, null), unspoken: true }, step(40, null), step(40, 0.5), step(40, 0.7)],
      bottomY: 400,
      pxPerUm: 1,
      stairWidth: 100,
    },
    [0.5, 0.7],
  ).map((b) => b.width);
  expect(widths[0]).toBe(widths[2]);
  expect(widths[1]).toBe(100);
  expect(widths[3]).toBe(100);
});
