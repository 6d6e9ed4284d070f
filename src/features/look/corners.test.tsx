import { act, fireEvent, render, screen } from '@testing-library/react';
import type { Picture } from '@/core/looking/schema';
import { INPUT, newPainting } from '@/core/tests/paintings';
import { findCorners } from '@/workers/looking-client';
import type { CornersReply } from '@/workers/looking-protocol';
import { Corners } from './Corners';

jest.mock('@/workers/looking-client', () => ({ findCorners: jest.fn() }));
jest.mock('./usePictures', () => ({ useJpeg: () => 'jpeg' }));
jest.mock('@/store/actions', () => ({ changePainting: (...args: unknown[]) => args }));
const mockDispatched = jest.fn();
jest.mock('@/store/hooks', () => ({ useStoreDispatch: () => mockDispatched }));
// Drafts have tests of their own; here one lives as long as the screen.
jest.mock('./useKept', () => {
  const { useState } = jest.requireActual<typeof import('react')>('react');
  return {
    useKept: (_key: string, _schema: unknown, begins: object) => {
      const [value, set] = useState(begins);
      return { value, set, done: () => undefined };
    },
  };
});

const asked = findCorners as jest.MockedFunction<typeof findCorners>;
const painting = newPainting(INPUT);
const picture: Picture = {
  id: 'photo',
  kind: 'progress',
  purpose: '',
  takenAt: '2026-03-01T10:00:00.000Z',
  width: 1000,
  height: 800,
  corners: null,
  patches: [],
  marks: [],
};
const SIDES: CornersReply['corners'] = [
  [0.2, 0.2],
  [0.8, 0.2],
  [0.8, 0.8],
  [0.2, 0.8],
];

/** An answer of the worker that comes when the test says so. */
function waiting() {
  let answer!: (reply: CornersReply) => void;
  asked.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
  return (reply: CornersReply) => act(async () => answer(reply));
}
const shown = (of = picture) =>
  render(<Corners painting={painting} picture={of} width={400} onDone={() => undefined} />);
const field = () => screen.getByRole('application');
/** What would be kept of the picture. */
function kept(): Picture {
  fireEvent.click(screen.getByText('These are its corners'));
  const [, , change] = mockDispatched.mock.calls.at(-1)![0] as [
    string,
    string,
    (p: typeof painting) => typeof painting,
  ];
  return change(painting).looking!.pictures[0]!;
}
beforeEach(() => jest.clearAllMocks());

test('corners are proposed for a photo without them, and kept as sure when every side was found', async () => {
  const answer = waiting();
  shown();
  expect(asked.mock.calls[0]![0].corners).toBeNull();
  expect(screen.getByText('Looking for its sides …')).toBeTruthy();
  await answer({ corners: SIDES, found: true });
  expect(screen.getByText(/^Its sides were found/)).toBeTruthy();
  expect(field().getAttribute('aria-label')).toMatch(/upper left at 20\.0 % from the left/);
  expect(kept()).toMatchObject({ corners: SIDES, onEdges: true });
});

test('a side that was not found is said, and the corners are no surer than a finger', async () => {
  const answer = waiting();
  shown();
  await answer({ corners: SIDES, found: false });
  expect(screen.getByText(/^Not every side stands out/)).toBeTruthy();
  expect(kept().onEdges).toBe(false);
});

test('a finger that was quicker than the search is not overruled', async () => {
  const answer = waiting();
  shown();
  fireEvent.keyDown(field(), { key: 'ArrowRight', shiftKey: true });
  const before = field().getAttribute('aria-label');
  await answer({ corners: SIDES, found: true });
  expect(field().getAttribute('aria-label')).toBe(before);
  expect(screen.queryByText(/^Its sides were found/)).toBeNull();
});

test('corners that are set are left alone until they are asked for, and a move afterwards is a finger’s', async () => {
  shown({ ...picture, corners: SIDES.map(([x, y]) => [x + 0.01, y]) });
  expect(asked).not.toHaveBeenCalled();
  const answer = waiting();
  fireEvent.click(screen.getByText('Look for its sides'));
  await answer({ corners: SIDES, found: true });
  expect(screen.getByText(/^Its sides were found/)).toBeTruthy();
  fireEvent.keyDown(field(), { key: 'ArrowLeft' });
  expect(kept().onEdges).toBe(false);
});

test('a search that fails says what to do', async () => {
  asked.mockRejectedValueOnce(new Error('worker gone'));
  await act(async () => void shown());
  expect(
    screen.getByText('Nothing stands out on this photo. Set the corners yourself.'),
  ).toBeTruthy();
});
