import { render, screen } from '@testing-library/react';
import { LightBand } from './LightBand';
import { ClimateChart } from './ClimateChart';
import { FactorBar } from './FactorBar';
import { WindowBar } from './WindowBar';

const HOUR = 3_600_000;
const start = new Date(2026, 1, 17).getTime();
const NOW = start + 10 * HOUR;
const DAY = 24 * HOUR;

describe('light band', () => {
  test('tells the day in words, for those who do not see it', () => {
    render(
      <LightBand
        width={390}
        nowMs={NOW}
        dawnMs={start + 7.5 * HOUR}
        duskMs={start + 17 * HOUR}
        dayStartMs={start}
      />,
    );
    expect(
      screen.getByRole('img', { name: 'Daylight from 07:30 to 17:00. Now 10:00.' }),
    ).toBeTruthy();
  });

  test('where the sun does not rise it only tells the time', () => {
    render(<LightBand width={390} nowMs={NOW} dawnMs={null} duskMs={null} dayStartMs={start} />);
    expect(screen.getByRole('img', { name: 'Now 10:00.' })).toBeTruthy();
  });
});

test.each([
  ['before the light begins, at the left edge', 2, 0],
  ['shortly before the sun is up', 6.5, 1],
  ['at noon', 12, 2],
  ['late at night, at the right edge', 23.5, 1],
])('the times under the band never touch each other: %s', (_, hour, least) => {
  const width = 260;
  const { container } = render(
    <LightBand
      width={width}
      nowMs={start + hour * HOUR}
      dawnMs={start + 7 * HOUR}
      duskMs={start + 21 * HOUR}
      dayStartMs={start}
    />,
  );
  const middles = [...container.querySelectorAll('svg text')].map((t) =>
    Number(t.getAttribute('x')),
  );
  // Now is always told, the light where there is room for it. Five figures of 15 px are 40 px wide.
  expect(middles.length).toBeGreaterThanOrEqual(1 + least);
  const sorted = middles.sort((a, b) => a - b);
  sorted.slice(1).forEach((x, i) => expect(x - sorted[i]!).toBeGreaterThan(44));
  expect(sorted[0]).toBeGreaterThanOrEqual(20);
  expect(sorted.at(-1)).toBeLessThanOrEqual(width - 20);
});

const bar = (over: Partial<Parameters<typeof WindowBar>[0]>) => {
  const { container } = render(
    <WindowBar
      width={200}
      fromMs={NOW}
      toMs={NOW + 4 * DAY}
      state="tacky"
      readyFromMs={NOW + DAY}
      readyByMs={NOW + 2 * DAY}
      marks={[]}
      ticks={[]}
      {...over}
    />,
  );
  const rects = [...container.querySelectorAll('svg > g rect')].map((r) => ({
    x: Number(r.getAttribute('x')),
    width: Number(r.getAttribute('width')),
    fill: r.getAttribute('fill') ?? '',
  }));
  const diamonds = [...container.querySelectorAll('svg > path')];
  return { rects, diamonds, container };
};

describe('window bar', () => {
  test('texture until it may be ready, a fading edge while it is uncertain, tawny from there on', () => {
    const { rects } = bar({});
    expect(rects.find((r) => r.fill.includes('-tacky'))!.width).toBeCloseTo(100);
    expect(rects.find((r) => r.fill.includes('-fade'))).toMatchObject({ x: 50, width: 50 });
    expect(rects.find((r) => r.fill === '#8F4A16')).toMatchObject({ x: 100, width: 100 });
  });

  test('never ready: texture to the end and no tawny', () => {
    const { rects } = bar({ readyFromMs: null, readyByMs: null });
    expect(rects.find((r) => r.fill.includes('-tacky'))!.width).toBeCloseTo(200);
    expect(rects.some((r) => r.fill === '#8F4A16')).toBe(false);
  });

  test('an open film is tawny waves until it closes', () => {
    const { rects } = bar({ state: 'open', openUntil: { p10: NOW + DAY / 2, p50: NOW + DAY } });
    expect(rects[0]).toMatchObject({ x: 0, width: 50, fill: '#8F4A16' });
    expect(rects[1]!.fill).toContain('-open');
    expect(rects[2]!.fill).toContain('-setting');
  });

  test('the hollow diamond is 50 %, the solid one 90 %; marks out of sight are not drawn', () => {
    const { diamonds } = bar({
      marks: [
        { ms: NOW + DAY, solid: false },
        { ms: NOW + 3 * DAY, solid: true },
      ],
    });
    expect(diamonds.map((d) => d.getAttribute('fill'))).toEqual(['#F8F8F7', '#2A211D']);
    expect(bar({ marks: [{ ms: NOW + 9 * DAY, solid: true }] }).diamonds).toHaveLength(0);
    expect(bar({ marks: [{ ms: null, solid: true }] }).diamonds).toHaveLength(0);
  });
});

describe('climate chart', () => {
  const hours = (ahead: number) =>
    Array.from({ length: 48 }, (_, i) => ({
      ms: NOW + (i - 24) * HOUR,
      temperatureC: 15 + (i % 24 < 12 ? 4 : 0),
      relativeHumidityPct: 50,
      rate: 0.8,
      measured: i < 24 && i !== 10,
      bandC: i >= 24 ? ahead : 0,
    }));
  const draw = (ahead: number) =>
    render(
      <ClimateChart
        width={390}
        hours={hours(ahead)}
        nowMs={NOW}
        days={[{ ms: NOW, name: 'Wed' }]}
        spoken="Two days."
      />,
    ).container;

  test('tells itself in words; measured stretches are solid, the rest dashed, a gap breaks the line', () => {
    const chart = draw(1);
    expect(screen.getByRole('img', { name: 'Two days.' })).toBeTruthy();
    const tawny = [...chart.querySelectorAll('path[stroke="#8F4A16"]')];
    expect(tawny).toHaveLength(4);
    expect(tawny.filter((p) => p.getAttribute('stroke-dasharray'))).toHaveLength(2);
  });

  test('a wider band is drawn wider', () => {
    const heightOf = (c: HTMLElement) => {
      const d = c.querySelector('path[fill="#8F4A16"]')!.getAttribute('d')!;
      const ys = [...d.matchAll(/[ML][\d.]+ ([\d.]+)/g)].map((m) => Number(m[1]));
      return Math.max(...ys) - Math.min(...ys);
    };
    expect(heightOf(draw(0.2))).toBeLessThan(heightOf(draw(3)));
  });

  test('nothing to draw draws nothing', () => {
    const { container } = render(
      <ClimateChart width={390} hours={[]} nowMs={NOW} days={[]} spoken="None." />,
    );
    expect(container.querySelector('svg')).toBeNull();
  });
});

test('a factor slower than the tables stands right of their mark, a faster one left, none outside', () => {
  const at = (factor: number) => {
    const { container } = render(
      <FactorBar width={200} factor={factor} low={factor / 1.2} high={factor * 1.2} />,
    );
    return Number(/^M([\d.]+)/.exec(container.querySelector('path')!.getAttribute('d')!)![1]);
  };
  expect(at(1)).toBeCloseTo(100, 6);
  expect(at(1.5)).toBeGreaterThan(100);
  expect(at(0.6)).toBeLessThan(100);
  expect(at(40)).toBeLessThanOrEqual(192);
});
