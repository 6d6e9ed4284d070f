import { act, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { Pressable, Text } from 'react-native';
import { beginSession } from '@/core/session';
import { making } from '@/core/tests/paintings';
import { inStudio } from '@/features/tests/render';
import { addSession } from '@/store/actions';
import { editionSeen } from '@/store/edition';
import { Boundary } from './Boundary';
import { EditionBar } from './EditionBar';

let fails: string | null = null;
function Fragile() {
  if (fails) throw new Error(fails);
  return <Text>It stands.</Text>;
}

describe('a part that fails', () => {
  // React tells of what a boundary has caught; that is what happens here on purpose.
  beforeEach(() => jest.spyOn(console, 'error').mockImplementation(() => undefined));
  afterEach(() => jest.restoreAllMocks());

  test('says so without the inside of the program, and is tried again', () => {
    fails = "Cannot read properties of undefined (reading 'x')";
    const onRetry = jest.fn();
    inStudio(
      <>
        <Text>Beside it.</Text>
        <Boundary of="panel" name="The daylight" onRetry={onRetry}>
          {() => <Fragile />}
        </Boundary>
      </>,
    );
    expect(screen.getByRole('alert').textContent).toContain(
      'The daylight could not be shown. What is kept is safe.',
    );
    expect(screen.queryByText(/undefined/)).toBeNull();
    expect(screen.getByText('Beside it.')).toBeTruthy();
    fails = null;
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(onRetry).toHaveBeenCalledTimes(1);
    expect(screen.getByText('It stands.')).toBeTruthy();
  });

  test('a screen offers the export and a reload, and another screen stands again', () => {
    fails = 'Loading module /cabinet.js failed.';
    function Frame() {
      const [path, go] = useState('/cabinet');
      return (
        <>
          <Pressable accessibilityRole="link" onPress={() => go('/today')}>
            <Text>Today</Text>
          </Pressable>
          <Boundary of="screen" resetKey={path}>
            <Fragile />
          </Boundary>
        </>
      );
    }
    inStudio(<Frame />);
    expect(
      screen.getByText(/This page could not be loaded\. The server may not answer/),
    ).toBeTruthy();
    for (const name of ['Try again', 'Reload the page', 'Export the studio'])
      expect(screen.getByRole('button', { name })).toBeTruthy();
    fails = null;
    expect(screen.queryByText('It stands.')).toBeNull();
    fireEvent.click(screen.getByRole('link', { name: 'Today' }));
    expect(screen.getByText('It stands.')).toBeTruthy();
  });
});

describe('a new edition', () => {
  test('is offered when it waits, and never in a session', () => {
    const { store } = inStudio(<EditionBar />);
    expect(screen.queryByRole('button')).toBeNull();
    act(() => void store.dispatch(editionSeen('waiting')));
    expect(screen.getByText(/A new edition of Tawny Hour is there/)).toBeTruthy();
    act(() =>
      store.dispatch(addSession(beginSession({ works: [], boxMinutes: 60, goal: '' }, making()))),
    );
    expect(screen.queryByRole('button', { name: 'Take it now' })).toBeNull();
  });

  test('taken by another tab it is said here, and waits all the same', () => {
    const { store } = inStudio(<EditionBar />);
    act(() => void store.dispatch(editionSeen('taken')));
    expect(screen.getByText(/Another tab has taken a new edition/)).toBeTruthy();
  });
});
