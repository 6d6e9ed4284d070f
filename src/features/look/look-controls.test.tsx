import { act, fireEvent, render, screen } from '@testing-library/react';
import { INPUT, newPainting } from '@/core/tests/paintings';
import type { MapReply } from '@/workers/looking-protocol';
import { pictureWidth } from './Beside';
import { Compared } from './Compared';
import { limitsOf, MapControls } from './MapControls';
import { metresOf } from './metres';
import { cellOf, Overlay } from './Overlay';
import { PrintedGuides } from './PrintedGuides';
import { Proportions } from './Proportions';
import { RowChart } from './RowChart';
import { Spread } from './Spread';
import { apart } from './apart';
import { rowLevel, type Row } from './useSeries';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn() }) }));
// What is drawn on the canvas is looked at in the browser's own tests.
jest.mock('./MapPicture', () => ({
  MapPicture: ({ label }: { label: string }) => <div role="img" aria-label={label} />,
}));

const map: MapReply = {
  width: 2,
  height: 2,
  rgba: new Uint8ClampedArray(16),
  thresholds: [],
  shares: [],
};
const shown = (label: string, ratio = 0.8) => ({ map, label, caption: label, ratio });

describe('two pictures held against each other', () => {
  const compare = (by: 'beside' | 'over' | 'turn', ratio?: number) =>
    render(<Compared one={shown('The design', ratio)} two={shown('Yours')} width={400} by={by} />);

  test('side by side both are there', () => {
    compare('beside');
    expect(screen.getAllByRole('img').map((i) => i.getAttribute('aria-label'))).toEqual([
      'The design',
      'Yours',
    ]);
  });

  test('over each other they are parted where the slider stands', () => {
    compare('over');
    const slider = screen.getByRole('slider', { name: /^Where one ends/ });
    expect((slider as HTMLInputElement).value).toBe('50');
    fireEvent.change(slider, { target: { value: '20' } });
    expect((slider as HTMLInputElement).value).toBe('20');
  });

  test('pictures of other proportions can only stand side by side', () => {
    compare('over', 1.4);
    expect(screen.queryByRole('slider')).toBeNull();
    expect(screen.getAllByRole('img')).toHaveLength(2);
  });

  test('in turn: begun by the painter, at most once a second, and held again', () => {
    jest.useFakeTimers();
    compare('turn');
    const label = () => screen.getByRole('img').getAttribute('aria-label');
    expect(label()).toBe('The design');
    act(() => void jest.advanceTimersByTime(5000));
    expect(label()).toBe('The design');
    fireEvent.click(screen.getByText('In turn'));
    act(() => void jest.advanceTimersByTime(1001));
    expect(label()).toBe('Yours');
    // However much is typed, no faster than there and back in a second.
    fireEvent.change(screen.getByLabelText(/^There and back/), { target: { value: '9' } });
    act(() => void jest.advanceTimersByTime(499));
    expect(label()).toBe('Yours');
    act(() => void jest.advanceTimersByTime(2));
    expect(label()).toBe('The design');
    fireEvent.click(screen.getByText('Hold it'));
    act(() => void jest.advanceTimersByTime(5000));
    expect(label()).toBe('The design');
    jest.useRealTimers();
  });

  test('who asked for no motion turns them by hand alone', () => {
    const before = window.matchMedia;
    window.matchMedia = ((query: string) => ({ matches: query.includes('reduce') })) as never;
    compare('turn');
    expect(screen.queryByText('In turn')).toBeNull();
    fireEvent.click(screen.getByText('The other one'));
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Yours');
    window.matchMedia = before;
  });
});

describe('how the pictures are drawn', () => {
  test('thresholds as painters type them: rising values from 0 to 10', () => {
    expect(limitsOf(['2', '4,5', '8'])).toEqual([20, 45, 80]);
    expect(limitsOf(['4', '4'])).toBeNull();
    expect(limitsOf(['2', ''])).toBeNull();
    expect(limitsOf(['11'])).toBeNull();
  });

  const controls = (
    way: 'hand' | 'even',
    difference: boolean,
    limits: readonly string[] = ['3.3', '6.7'],
  ) => {
    const set = jest.fn();
    const value = <T,>(v: T) => ({ value: v, set });
    render(
      <MapControls
        view={value('masses' as const) as never}
        masses={value('3')}
        way={value(way) as never}
        limits={value(limits)}
        squint={value('0')}
        beside={{ value: null, set }}
        compared={null}
        choices={[]}
        difference={difference}
      />,
    );
    return set;
  };

  test('by hand every limit can be typed; else none is asked for', () => {
    const set = controls('hand', true);
    fireEvent.change(screen.getByLabelText(/^Mass 2 ends at value/), { target: { value: '7' } });
    expect(set).toHaveBeenCalledWith(['3.3', '7']);
  });

  test('limits that do not rise are said to be none, and what is shown meanwhile', () => {
    controls('hand', true, ['5', '2']);
    expect(screen.getByText(/each higher than the one before. Until then .* evenly/)).toBeTruthy();
  });

  test('without values there is no difference to be shown', () => {
    controls('even', false);
    expect(screen.queryByText('as a difference')).toBeNull();
    expect(screen.queryByLabelText(/^Mass 1 ends/)).toBeNull();
  });
});

test('a grid as on the bench: cells are named across and down', () => {
  expect(cellOf([0, 0], 50)).toBe('A1');
  expect(cellOf([138, 232], 50)).toBe('C5');
  const { container } = render(
    <Overlay
      support={{ widthMm: 500, heightMm: 400 }}
      points={[{ id: 'rim', name: 'rim', at: [100, 100] }]}
      drift={{
        scale: 1,
        rotationDeg: 0,
        offsetMm: [0, 0],
        points: [
          {
            id: 'rim',
            moved: [6, 0],
            mm: 6,
            stray: [6, 0],
            strayMm: 6,
            sigmaMm: 1,
            tells: true,
            strays: true,
          },
        ],
      }}
      cellMm={100}
      width={500}
    />,
  );
  // Four lines down, four across (the last on the edge), and the arrow of the point that went.
  expect(container.querySelectorAll('line')).toHaveLength(10);
  expect(container.textContent).toContain('6 mm');
});

test('the spread of a passage says whether the design lies behind it', () => {
  render(<Spread name="slate" work={[0, 1, 0]} design={null} width={90} />);
  render(<Spread name="wall" work={[0, 1, 0]} design={[1, 0, 0]} width={90} />);
  const [slate, wall] = screen.getAllByRole('img');
  expect(slate!.getAttribute('aria-label')).toMatch(/slate is spread, dark to light$/);
  expect(wall!.querySelectorAll('path')).toHaveLength(2);
});

test('marks for paper: both sides, rays, and a line to check the printer by', () => {
  const { container } = render(
    <PrintedGuides
      title="Quinces"
      support={{ widthMm: 600, heightMm: 450 }}
      at={['145', '18']}
      // looking.md, check 30: left 100 mm meets the right edge at 133.10 mm.
      ticks={[{ left: 100, right: 133.1 }]}
      rays={[{ from: { side: 'right', mm: 10 }, to: { side: 'left', mm: 25 } }]}
    />,
  );
  const rows = [...container.querySelectorAll('tbody tr')].map((r) => r.textContent);
  expect(rows).toEqual(['10.013.3', 'right side, 1.0 cmleft side, 2.5 cm']);
  expect((container.querySelector('[style*="100mm"]') as HTMLElement).style.width).toBe('100mm');
});

test('fewer than three points tell no proportion; a rim that went does', () => {
  const point = (id: string, x: number, y: number, dx = 0) => ({
    id,
    name: id,
    design: [x, y] as const,
    work: [x + dx, y] as const,
  });
  const { container, rerender } = render(
    <Proportions points={[point('rim', 0, 0), point('foot', 0, 200)]} sigmaMm={1} />,
  );
  expect(container.textContent).toBe('');
  rerender(
    <Proportions
      points={[point('rim', 0, 0, 12), point('foot', 0, 200), point('spout', 100, 0)]}
      sigmaMm={1}
    />,
  );
  expect(container.textContent).toMatch(/Rim and foot should hang plumb; they lean by 3\.4°/);
  expect(container.textContent).toMatch(/Rim to spout: 0\.44/);
});

describe('from photo to photo', () => {
  const painting = newPainting(INPUT);
  test('a row is told as its coarsest photo that tells values', () => {
    const photo = (level: 'order' | 'relative' | 'steps') => ({ level }) as Row['photos'][number];
    expect(rowLevel([photo('steps'), photo('order')])).toBe('steps');
    expect(rowLevel([photo('steps'), photo('relative')])).toBe('relative');
    expect(rowLevel([photo('order')])).toBe('order');
  });

  test('the chart says its values; a photo without grey steps has none', () => {
    const [first] = painting.passages;
    const picture = (takenAt: string) => ({
      id: takenAt,
      kind: 'progress' as const,
      purpose: '',
      takenAt,
      width: 1,
      height: 1,
      corners: null,
      patches: [],
      marks: [],
    });
    const value = (L: number) => ({ id: first!.id, L }) as Row['photos'][number]['values'][number];
    const row: Row = {
      photos: [
        { picture: picture('2026-03-01T10:00:00.000Z'), values: [value(30)], level: 'steps' },
        { picture: picture('2026-03-05T10:00:00.000Z'), values: [value(99)], level: 'order' },
        { picture: picture('2026-03-09T10:00:00.000Z'), values: [value(45)], level: 'steps' },
      ],
      series: { perHour: [120, null], slowing: false, churned: [] },
      shares: [0.4, null],
    };
    const { container } = render(<RowChart painting={painting} row={row} width={360} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      `Values from photo to photo. ${first!.name}: 3.0 values, 4.5 values`,
    );
    expect(container.textContent).toContain('40 %');
    expect(container.textContent).not.toContain('9.9');
  });
});

test('a distance as it is typed; the usual step back while it is none', () => {
  expect([metresOf('3'), metresOf('0,5'), metresOf(''), metresOf('300')]).toEqual([
    3, 0.5, 1.5, 1.5,
  ]);
});

test('a picture takes its part of a wide page, and no more than it needs of a narrow one', () => {
  expect([pictureWidth(1000, true), pictureWidth(350, false), pictureWidth(900, false)]).toEqual([
    620, 350, 640,
  ]);
});

test('labels keep their order, lie apart, and do not fall off the foot', () => {
  expect(apart([10, 100, 12], 15, 200)).toEqual([10, 100, 25]);
  expect(apart([190, 195], 15, 200)).toEqual([185, 200]);
  expect(apart([], 15, 200)).toEqual([]);
});
