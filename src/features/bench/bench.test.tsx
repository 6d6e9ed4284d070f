import { act, render, renderHook, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { starterCabinet } from '@/core/cabinet';
import { part } from '@/core/tests/recipes';
import { createStore } from '@/store/store';
import { CapGauge } from './CapGauge';
import { JarDrawing } from './JarDrawing';
import { OilingOutScreen } from './OilingOutScreen';
import { useMediumBench } from './useMediumBench';

jest.mock('expo-router', () => ({
  usePathname: () => '/bench/oiling-out',
  useRouter: () => ({ replace: jest.fn() }),
}));

const lean = starterCabinet().mediums.find((m) => m.name === 'Lean painting medium')!;
const open = () => renderHook(() => useMediumBench(lean)).result;

describe('a medium on the bench', () => {
  test('goes through every measure and comes back as it was', () => {
    const bench = open();
    const shares = () => {
      const parts = bench.current.parts!;
      const total = parts.reduce((s, p) => s + p.parts, 0);
      return parts.map((p) => p.parts / total);
    };
    for (const measure of ['ml', 'g', 'tsp', 'drops', 'parts'] as const) {
      act(() => bench.current.setMeasure(measure));
      // Amounts are shown to two places.
      expect(shares()[0]).toBeCloseTo(0.25, 2);
      expect(bench.current.batch!.ml).toBeCloseTo(50, 0);
    }
    expect(bench.current.lines.map((l) => l.amount)).toEqual(['1', '3']);
  });

  test('in amounts the batch is their sum; changed lines are no longer the cabinet’s medium', () => {
    const bench = open();
    act(() => bench.current.setMeasure('ml'));
    act(() =>
      bench.current.setLines(
        bench.current.lines.map((l, i) => (i === 0 ? { ...l, amount: '20' } : l)),
      ),
    );
    expect(bench.current.batch!.ml).toBeCloseTo(57.5, 6);
    expect(bench.current.name).toBeNull();
    act(() => bench.current.take(lean));
    expect(bench.current.name).toBe(lean.name);
  });

  test('an amount of nothing is no medium; no number is silently repaired', () => {
    const bench = open();
    for (const amount of ['', '0', '-1', 'much']) {
      act(() => bench.current.setLines([{ ingredient: 'stand-oil', amount }]));
      expect(bench.current.parts).toBeNull();
      expect(bench.current.batch).toBeNull();
    }
  });
});

test('the jar says in words what it draws', () => {
  render(<JarDrawing parts={[part('stand-oil'), part('turpentine', 3)]} />);
  expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
    'In the jar: stand oil 25 %, turpentine 75 %',
  );
});

test.each([
  [0.2, /Within the usual quarter/],
  [0.3, /Over the usual quarter/],
  [0.5, /Over a third: no teaching allows it/],
])('a share of %f against the caps', (share, words) => {
  render(<CapGauge share={share} />);
  expect(screen.getByText(words)).toBeTruthy();
});

test('oiling out is told in drops', () => {
  render(
    <Provider store={createStore()}>
      <OilingOutScreen />
    </Provider>,
  );
  // 500 cm2 x 2 um, a third of the couch is oil: 0.3 ml, six drops; by hand.
  expect(screen.getByText('6 drops')).toBeTruthy();
});
