import { render, screen } from '@testing-library/react';
import { LightBand } from './LightBand';
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
