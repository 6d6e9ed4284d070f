import { act, fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { newPainting } from '@/core/tests/paintings';
import { UnreadableNotices } from '@/features/keep/UnreadableNotices';
import { addPainting, removePainting } from '@/store/actions';
import type { Keeper } from '@/store/keep/keeper';
import { loaded, writeBegan, writeFailed, writeHeld } from '@/store/saving';
import { createStore } from '@/store/store';
import { KeeperProvider } from './KeeperContext';
import { SavingBar } from './SavingBar';
import { UndoBar } from './UndoBar';

function studio(children: ReactNode) {
  const store = createStore();
  const start = jest.fn(() => Promise.resolve());
  const discard = jest.fn(() => Promise.resolve());
  const keeper: Keeper = {
    start,
    flush: () => Promise.resolve(),
    arrived: () => Promise.resolve(),
    again: start,
    discard,
  };
  render(
    <Provider store={store}>
      <KeeperProvider value={keeper}>{children}</KeeperProvider>
    </Provider>,
  );
  return { store, start, discard };
}

describe('what was not saved', () => {
  test('is said with its reason, until a write holds, and can be tried again', () => {
    const { store, start } = studio(<SavingBar />);
    expect(screen.queryByRole('alert')).toBeNull();
    act(() => void store.dispatch(writeFailed('The quota has been exceeded.')));
    expect(screen.getByRole('alert').textContent).toMatch(
      /^Not saved\. The quota has been exceeded\./,
    );
    // A new attempt is no success yet.
    act(() => void store.dispatch(writeBegan()));
    expect(screen.getByRole('alert')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(start).toHaveBeenCalledTimes(1);
    act(() => void store.dispatch(writeHeld([])));
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('leaving the page', () => {
  const leaving = () => {
    const event = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(event);
    return event.defaultPrevented;
  };

  test('asks while something is not written, and only then', () => {
    const { store } = studio(<SavingBar />);
    act(() => void store.dispatch(writeHeld([])));
    expect(leaving()).toBe(false);
    act(() => void store.dispatch(writeBegan()));
    expect(leaving()).toBe(true);
    act(() => void store.dispatch(writeFailed('full')));
    expect(leaving()).toBe(true);
    act(() => void store.dispatch(writeHeld([])));
    expect(leaving()).toBe(false);
  });
});

describe('undo', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  test('stands for a while after each change, says what it was, and takes it back', () => {
    const painting = newPainting();
    const { store } = studio(<UndoBar />);
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
    act(() => store.dispatch(addPainting(painting)));
    expect(screen.getByText(`Started ${painting.title}.`)).toBeTruthy();
    act(() => void jest.advanceTimersByTime(21_000));
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
    act(() => store.dispatch(removePainting(painting.id)));
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(store.getState().paintings.entities[painting.id]).toBeDefined();
  });
});

describe('what could not be read', () => {
  test('is named, with the reason, and offered as a file', async () => {
    const { store, discard } = studio(<UnreadableNotices />);
    act(
      () =>
        void store.dispatch(
          loaded([
            {
              key: 'painting:torn',
              aside: 'set-aside:painting:torn#1',
              message: 'It is torn.',
              raw: '{"schema',
            },
          ]),
        ),
    );
    expect(screen.getByRole('alert').textContent).toContain(
      'Set aside: a painting (painting:torn) that cannot be opened. It is torn.',
    );
    const saved: { name: string; blob: Blob }[] = [];
    const anchors = jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (
      this: HTMLAnchorElement,
    ) {
      saved[saved.length - 1]!.name = this.download;
    });
    URL.createObjectURL = (blob) => {
      saved.push({ name: '', blob: blob as Blob });
      return 'blob:here';
    };
    URL.revokeObjectURL = () => undefined;
    fireEvent.click(screen.getByRole('button', { name: 'Save it as a file' }));
    expect(saved.map((s) => [s.name, s.blob.size])).toEqual([['painting-torn.json', 8]]);
    // Thrown away only after a question.
    fireEvent.click(screen.getByRole('button', { name: 'Throw it away' }));
    expect(discard).not.toHaveBeenCalled();
    await act(async () => {
      fireEvent.click(screen.getAllByRole('button', { name: 'Throw it away' }).at(-1)!);
      await Promise.resolve();
    });
    expect(discard).toHaveBeenCalledWith('set-aside:painting:torn#1');
    anchors.mockRestore();
  });
});
