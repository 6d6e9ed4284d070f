import { fireEvent, render, screen } from '@testing-library/react';
import { colour } from '../tokens';
import { SharedTextures } from '../film/textures';
import { FilmLane, type LaneBand } from './FilmLane';
import { TwentyDots } from './TwentyDots';
import { WeeksBand } from './WeeksBand';

const DAY = 86_400_000;
const START = new Date(2026, 1, 16).getTime();
const at = (days: number) => START + days * DAY;

const band = (over: Partial<LaneBand>): LaneBand => ({
  key: 'a',
  colour: '#8B5A2B',
  thicknessUm: 40,
  planned: false,
  laidMs: at(1),
  laidByMs: at(1),
  openMs: at(2),
  setMs: at(3),
  touchMs: at(4),
  throughMs: at(8),
  ...over,
});
const lane = (bands: LaneBand[], over: Partial<Parameters<typeof FilmLane>[0]> = {}) =>
  render(
    <FilmLane
      width={100}
      height={48}
      fromMs={at(0)}
      toMs={at(10)}
      groundColour="#EEEEEE"
      bands={bands}
      lit={[{ fromMs: at(2), toMs: at(2.1) }]}
      nowMs={at(3)}
      dueMs={null}
      safeMs={null}
      {...over}
    />,
  ).container;

describe('a lane of film', () => {
  test('a film begins where it is laid and goes on to the end', () => {
    const film = lane([band({})]).querySelector('rect[fill="#8B5A2B"]')!;
    expect(Number(film.getAttribute('x'))).toBeCloseTo(10, 6);
    expect(Number(film.getAttribute('width'))).toBeCloseTo(90, 6);
  });

  test('its states have their textures, one after the other', () => {
    const textures = [...lane([band({})]).querySelectorAll('rect[fill^="url("]')];
    expect(textures.map((r) => /-(\w+(-\w+)*)\)$/.exec(r.getAttribute('fill')!)![1])).toEqual([
      'open',
      'setting',
      'tacky',
      'touch-dry',
    ]);
    expect(textures.map((r) => Number(r.getAttribute('x')))).toEqual([10, 20, 30, 40]);
  });

  test('a film to come fades in over the days in which it may begin, with a dashed edge', () => {
    const planned = lane([band({ planned: true, laidByMs: at(3) })]);
    expect(planned.querySelector('linearGradient')).not.toBeNull();
    expect(planned.querySelector('line[stroke-dasharray]')).not.toBeNull();
  });

  test('lanes that share their textures draw them once, and each fades in by itself', () => {
    const planned = band({ planned: true, laidByMs: at(3) });
    const props = {
      width: 100,
      height: 48,
      fromMs: at(0),
      toMs: at(10),
      groundColour: '#EEEEEE',
      bands: [planned],
      lit: [],
      nowMs: at(3),
      dueMs: null,
      safeMs: null,
    };
    const { container } = render(
      <SharedTextures>
        <FilmLane {...props} />
        <FilmLane {...props} />
      </SharedTextures>,
    );
    expect(container.querySelectorAll('pattern[id$="-tacky"]')).toHaveLength(1);
    const pattern = container.querySelector('pattern[id$="-tacky"]')!.id;
    expect(container.querySelectorAll(`rect[fill="url(#${pattern})"]`)).toHaveLength(2);
    const fades = [...container.querySelectorAll('linearGradient')].map((g) => g.id);
    expect(new Set(fades).size).toBe(2);
  });

  test('hours are lit in one path, those out of sight not at all', () => {
    const hours = [2, 4, 30].map((d) => ({ fromMs: at(d), toMs: at(d + 0.5) }));
    const path = lane([], { lit: hours }).querySelector(`path[fill="${colour.sheet}"]`)!;
    expect(path.getAttribute('d')!.match(/M/g)).toHaveLength(2);
    expect(path.getAttribute('d')).toMatch(/^M20 0h5v48/);
  });

  test('the date is brick, the last safe day dashed; what is out of sight is not drawn', () => {
    const shown = lane([], { dueMs: at(9), safeMs: at(5) });
    expect(shown.querySelector(`line[stroke="${colour.brick}"]`)!.getAttribute('x1')).toBe('90');
    expect(shown.querySelector('line[stroke-dasharray]')!.getAttribute('x1')).toBe('50');
    const gone = lane([band({ laidMs: at(20), laidByMs: at(21) })], { dueMs: at(30) });
    expect(gone.querySelector(`line[stroke="${colour.brick}"]`)).toBeNull();
    expect(gone.querySelector('rect[fill="#8B5A2B"]')).toBeNull();
  });
});

test('twenty dots: full by the date, hollow after it', () => {
  const twenty = Array.from({ length: 20 }, (_, k) => at(2 + k * 0.3));
  const { container } = render(
    <TwentyDots
      width={300}
      fromMs={at(0)}
      toMs={at(10)}
      twenty={twenty}
      p50Ms={at(5)}
      p90Ms={at(7)}
      dueMs={at(7)}
      spoken="17 in 20 by the date."
    />,
  );
  expect(container.querySelectorAll('circle')).toHaveLength(20);
  expect(container.querySelectorAll(`circle[fill="${colour.ink}"]`)).toHaveLength(17);
  expect(screen.getByRole('img', { name: '17 in 20 by the date.' })).toBeTruthy();
});

describe('the band of weeks', () => {
  const days = Array.from({ length: 10 }, (_, d) => ({
    startMs: at(d),
    dawnMs: at(d) + 7 * 3_600_000,
    duskMs: at(d) + 17 * 3_600_000,
    hours: [{ fromMs: at(d) + 18 * 3_600_000, toMs: at(d) + 20 * 3_600_000 }],
    label: d === 0 ? '16' : '',
  }));
  const sessions = [
    {
      key: 's',
      fromMs: at(2) + 18 * 3_600_000,
      toMs: at(2) + 20 * 3_600_000,
      pinned: false,
      name: 'Wed 18',
    },
  ];
  const show = (over: Partial<Parameters<typeof WeeksBand>[0]>) =>
    render(
      <WeeksBand
        width={500}
        height={80}
        fromMs={at(0)}
        toMs={at(10)}
        days={days}
        sessions={sessions}
        nowMs={at(1)}
        selected={null}
        {...over}
      />,
    );

  test('with the keys a session goes a day on or back, and opens', () => {
    const onPick = jest.fn();
    const onNudge = jest.fn();
    show({ onPick, onNudge });
    const chip = screen.getByRole('button', { name: /^Wed 18/ });
    fireEvent.keyDown(chip, { key: 'ArrowRight' });
    fireEvent.keyDown(chip, { key: 'ArrowLeft' });
    fireEvent.keyDown(chip, { key: 'Enter' });
    expect(onNudge.mock.calls).toEqual([
      ['s', 1],
      ['s', -1],
    ]);
    expect(onPick).toHaveBeenCalledWith('s');
  });

  test('without them it is a picture', () => {
    show({});
    expect(screen.queryByRole('button')).toBeNull();
  });
});
