import { fireEvent, render, screen } from '@testing-library/react';
import type { PassageTold } from '@/core/looking/tell';
import { PicturePlaces, type Handle } from '@/ui/PicturePlaces';
import { Ladder } from './Ladder';
import { pictureName } from './picture-name';
import { alongStrip, stepsOf } from './SetPicture';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn() }) }));

describe('places on a picture', () => {
  const handles: Handle[] = [
    { key: '0', name: 'upper left', at: [0.1, 0.1] },
    { key: '1', name: 'upper right', at: [0.9, 0.1] },
  ];
  const shown = (active = '0') => {
    const onActive = jest.fn();
    const onMove = jest.fn();
    render(
      <PicturePlaces
        url="data:image/jpeg;base64,"
        alt="A photo"
        ratio={0.5}
        width={400}
        pixels={2000}
        handles={handles}
        active={active}
        onActive={onActive}
        onMove={onMove}
      />,
    );
    const field = screen.getByRole('application');
    field.getBoundingClientRect = () =>
      ({ left: 0, top: 0, width: 400, height: 200 }) as unknown as DOMRect;
    field.setPointerCapture = () => undefined;
    return { field, onActive, onMove };
  };

  test('keys move the one that is set by a pixel of the photo, with Shift by ten, and not over the edge', () => {
    const { field, onMove } = shown();
    fireEvent.keyDown(field, { key: 'ArrowRight' });
    expect(onMove.mock.calls.at(-1)![0]).toBe('0');
    expect(onMove.mock.calls.at(-1)![1][0]).toBeCloseTo(0.1 + 1 / 2000, 9);
    fireEvent.keyDown(field, { key: 'ArrowDown', shiftKey: true });
    expect(onMove.mock.calls.at(-1)![1][1]).toBeCloseTo(0.1 + 10 / 2000 / 0.5, 9);
    fireEvent.keyDown(field, { key: 'Tab' });
    expect(onMove).toHaveBeenCalledTimes(2);
    expect(field.getAttribute('aria-label')).toMatch(
      /^A photo\. upper left at 10\.0 % from the left/,
    );
  });

  // The test's browser has no pointer events of its own.
  const press = (field: HTMLElement, clientX: number, clientY: number) =>
    fireEvent(field, new MouseEvent('pointerdown', { bubbles: true, clientX, clientY }));

  test('a tap sets the one in hand, however near; near another one it takes that', () => {
    const { field, onActive, onMove } = shown();
    press(field, 44, 22);
    expect(onMove).toHaveBeenCalledTimes(1);
    fireEvent.pointerUp(field, { pointerId: 1 });
    press(field, 358, 20);
    expect(onActive).toHaveBeenCalledWith('1');
    expect(onMove).toHaveBeenCalledTimes(1);
  });
});

describe('the ladder', () => {
  const told = (name: string, designL: number, workL: number, byL: number | null): PassageTold => ({
    id: name,
    name,
    words: byL === null ? 'true' : '1.3 values too light',
    byL,
    meantL: byL,
    designL,
    workL,
    sigmaL: 2,
  });

  test('says in words what it draws, and draws a line for each passage that the design has', () => {
    const { container } = render(
      <Ladder
        passages={[
          told('slate', 22, 36, 13),
          told('wall', 47, 47, null),
          { ...told('frame', 0, 50, null), designL: null },
        ]}
        turned={new Set()}
        width={320}
        figures
      />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'Values of the design and of yours. slate: 1.3 values too light; wall: true',
    );
    expect(container.querySelectorAll('line')).toHaveLength(2);
  });

  test('where the order alone is known, places are ranks: no length tells a value', () => {
    const drawn = (work: number) => {
      const { container, unmount } = render(
        <Ladder
          passages={[told('slate', 22, work, null), told('wall', 47, 90, null)]}
          turned={new Set()}
          width={320}
          figures={false}
        />,
      );
      const places = [...container.querySelectorAll('line')].map((l) => l.getAttribute('y2'));
      unmount();
      return places;
    };
    expect(drawn(36)).toEqual(drawn(70));
  });
});

test('patches lie evenly along a strip, the light end first', () => {
  const patches = alongStrip(
    [
      [0, 0],
      [0.6, 0],
      [0.6, 0.1],
      [0, 0.1],
    ],
    3,
  );
  expect(patches).toHaveLength(3);
  expect(patches[0]!.map(([x]) => x)).toEqual([0, expect.closeTo(0.2), expect.closeTo(0.2), 0]);
  expect(patches[2]![1]).toEqual([expect.closeTo(0.6), 0]);
});

test('values of a strip as painters type them; what is none is refused', () => {
  expect(stepsOf('9 7.5 6')).toEqual([9, 7.5, 6]);
  expect(stepsOf(' 9,5; 5;2 ')).toEqual([9.5, 5, 2]);
  expect(stepsOf('2 5 9')).toBeNull();
  expect(stepsOf('9 9')).toBeNull();
  expect(stepsOf('11 5')).toBeNull();
  expect(stepsOf('white')).toBeNull();
  expect(stepsOf('')).toBeNull();
  expect(stepsOf(Array.from({ length: 13 }, (_, i) => 9.9 - i / 10).join(' '))).toBeNull();
});

test('a picture is called by what it is, else by its hour', () => {
  const picture = {
    id: 'a',
    kind: 'progress' as const,
    purpose: '',
    takenAt: '2026-03-01T10:05:00',
    width: 1,
    height: 1,
    corners: null,
    patches: [],
    marks: [],
  };
  expect(pictureName({ ...picture, kind: 'design' })).toBe('design');
  expect(pictureName(picture)).toBe('1 Mar 10:05');
  expect(pictureName({ ...picture, kind: 'reference', purpose: 'light' })).toBe(
    'reference, light, 1 Mar 10:05',
  );
});
