import { fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import type { CalendarException } from '@/core/plan-record/schema';
import { USUAL_HABITS } from '@/core/session/habits';
import { stackOf } from '@/core/tests/paintings';
import { recipe, tube } from '@/core/tests/recipes';
import { painterChanged } from '@/store/paintings';
import { planRecordOf } from '@/store/plan';
import { createStore, type Store } from '@/store/store';
import { AwayForm } from './AwayForm';
import { WeekHours } from './WeekHours';
import { ChangeForm } from './WhatIfForms';
import { keptOutWords, onDay } from './plan-words';
import { heldWords, minutesWords, redoWords } from './WhatTheLogSays';

const studio = (store: Store = createStore()) =>
  function Studio({ children }: { children: ReactNode }) {
    return <Provider store={store}>{children}</Provider>;
  };

const type = (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
};

describe('hours of the week', () => {
  let store: Store;
  const week = () => planRecordOf(store.getState()).hours.week;
  beforeEach(() => {
    store = createStore();
    render(<WeekHours />, { wrapper: studio(store) });
  });

  test('are kept when the field is left', () => {
    type('Monday to', '21:30');
    expect(week()[0]).toEqual([{ from: 18 * 60, to: 21 * 60 + 30 }]);
  });

  test.each([
    ['25:00', 'Give times such as 18:30.'],
    ['half past', 'Give times such as 18:30.'],
    ['17:00', 'Hours must end after they begin.'],
  ])('%s is refused: %s', (text, words) => {
    const before = week();
    type('Monday to', text);
    expect(screen.getByText(words)).toBeTruthy();
    expect(week()).toEqual(before);
  });

  test('nothing is kept where nothing has changed', () => {
    type('Monday to', '20:30');
    expect(store.getState().undo.changes).toEqual([]);
  });

  test('what is typed stays while the focus goes from field to field', () => {
    fireEvent.click(screen.getByRole('radio', { name: /^Tuesday/ }));
    const from = screen.getByLabelText<HTMLInputElement>('Tuesday from');
    fireEvent.change(from, { target: { value: '9' } });
    fireEvent.blur(from);
    expect(screen.getByLabelText('Tuesday from')).toBe(from);
    fireEvent.change(screen.getByLabelText('Tuesday to'), { target: { value: '12:15' } });
    fireEvent.blur(screen.getByLabelText('Tuesday to'));
    expect(week()[1]).toEqual([{ from: 540, to: 735 }]);
    expect(from.value).toBe('09:00');
  });

  test('are moved, lengthened and taken out in the picture by keys', () => {
    const bar = () => screen.getByRole('button', { name: /^Tuesday \d/ });
    fireEvent.keyDown(bar(), { key: 'ArrowRight' });
    expect(week()[1]).toEqual([{ from: 18 * 60 + 15, to: 20 * 60 + 45 }]);
    fireEvent.keyDown(bar(), { key: 'ArrowLeft', shiftKey: true });
    expect(week()[1]).toEqual([{ from: 18 * 60 + 15, to: 20 * 60 + 30 }]);
    fireEvent.keyDown(bar(), { key: 'Delete' });
    expect(week()[1]).toEqual([]);
    fireEvent.click(screen.getByText('The same Monday to Friday'));
    expect(week().map((day) => day.length)).toEqual([1, 1, 1, 1, 1, 0, 0]);
  });

  test('of two stretches the one that is meant goes', () => {
    fireEvent.click(screen.getByText('More hours that day'));
    expect(week()[0]).toHaveLength(2);
    const [first, second] = screen.getAllByLabelText<HTMLInputElement>('Monday from');
    fireEvent.change(second!, { target: { value: '21:00' } });
    fireEvent.change(screen.getAllByLabelText('Monday to')[1]!, { target: { value: '22:00' } });
    fireEvent.blur(screen.getAllByLabelText('Monday to')[1]!);
    expect(week()[0]).toHaveLength(2);
    fireEvent.click(screen.getByLabelText('Take out Monday 18:00'));
    expect(week()[0]).toEqual([{ from: 1260, to: 1320 }]);
    expect(first!.isConnected).toBe(false);
    expect(second!.isConnected).toBe(true);
  });
});

describe('days on which the week does not hold', () => {
  const done: CalendarException[] = [];
  beforeEach(() => {
    done.length = 0;
    render(<AwayForm title="Note it" onDone={(e) => done.push(e)} />, { wrapper: studio() });
  });

  test('away from a day to a day', () => {
    type('First day', '2026-02-18');
    type('Last day', '2026-03-03');
    fireEvent.click(screen.getByText('Note it'));
    expect(done).toMatchObject([
      { kind: 'away', from: '2026-02-18', to: '2026-03-03', hours: null },
    ]);
  });

  test('an end before the beginning is refused, and nothing is noted', () => {
    type('First day', '2026-03-03');
    type('Last day', '2026-02-18');
    fireEvent.click(screen.getByText('Note it'));
    expect(screen.getByText('It must end on the day it begins, or later.')).toBeTruthy();
    expect(done).toEqual([]);
  });

  test('an extra day has hours of its own', () => {
    fireEvent.click(screen.getByText('extra day'));
    type('On', '2026-02-21');
    type('Extra day from', '9:00');
    fireEvent.click(screen.getByText('Note it'));
    expect(done).toMatchObject([
      { kind: 'extra', from: '2026-02-21', to: '2026-02-21', hours: { from: 540, to: 840 } },
    ]);
  });
});

test('what if one more day is worked: the day and its hours', () => {
  const onAdd = jest.fn();
  render(<ChangeForm kind="also" onAdd={onAdd} />, { wrapper: studio() });
  fireEvent.click(screen.getByText('Sunday'));
  type('Sunday to', '12:00');
  fireEvent.click(screen.getByText('Try it'));
  expect(onAdd).toHaveBeenCalledWith({
    kind: 'also',
    weekday: 6,
    hours: { from: 600, to: 720 },
  });
});

test('what if it is warmer, or colder', () => {
  const onAdd = jest.fn();
  render(<ChangeForm kind="warmer" onAdd={onAdd} />, { wrapper: studio() });
  fireEvent.click(screen.getByText('4 °C colder'));
  fireEvent.click(screen.getByText('Try it'));
  expect(onAdd).toHaveBeenCalledWith({ kind: 'warmer', byC: -4 });
});

describe('what the log says', () => {
  const habits = {
    ...USUAL_HABITS,
    sittings: 12,
    ownSd: 0.3,
    laid: 38,
    redone: 4,
    redo: 4 / 48,
    held: { hours: 24, held: 14, moved: 3 },
  };

  test('in words, with one and with none', () => {
    expect(minutesWords(habits)).toBe(
      'From 12 sittings in which paint was laid, the odds take it that half of yours last 0.82 to 1.22 times what is planned.',
    );
    expect(minutesWords(USUAL_HABITS)).toMatch(/^No coat was laid in a session yet/);
    expect(redoWords(habits)).toBe(
      '4 of 38 coats laid on a passage were done over: taken down in another session, or gone back over. The odds reckon with 1 in 12.',
    );
    expect(redoWords({ ...habits, redone: 0, redo: 0, laid: 1 })).toBe(
      'None of 1 coat laid on a passage was done over.',
    );
    expect(redoWords(USUAL_HABITS)).toBe(
      'How often you do a coat over is told once coats are laid.',
    );
    expect(heldWords(habits)).toBe(
      'By your hours as they stand now, you held 14 of 24 stretches in the last eight weeks, and on 3 more of their days at another hour.',
    );
    expect(heldWords(USUAL_HABITS)).toMatch(/so far 0\.$/);
  });

  test('a week that several works are kept out of is told once; one that has begun, by its end', () => {
    const nowMs = Date.parse('2026-02-17T09:00:00');
    const week = { from: '2026-02-23T00:00:00', until: '2026-03-02T00:00:00' };
    expect([onDay(nowMs, nowMs), onDay(Date.parse(week.from), nowMs)]).toEqual([
      'in today',
      'on Mon 23',
    ]);
    expect(keptOutWords([week, week], nowMs)).toBe('Kept out of Mon 23 to Sun 1 Mar');
    expect(keptOutWords([week, { until: week.from }], nowMs)).toBe(
      'Kept out of all days to Sun 22 and Mon 23 to Sun 1 Mar',
    );
  });
});

test('what if a coat less: coats of one name by their passages, and one passage of several', () => {
  const onAdd = jest.fn();
  const painting = stackOf(
    [recipe([tube('yellow-ochre')]), recipe([tube('burnt-umber')])],
    [{ name: 'Glaze' }, { name: 'Glaze' }],
  );
  const [a, b] = painting.passages;
  painting.coats[0]!.passageIds = [a!.id];
  const store = createStore();
  store.dispatch(painterChanged({ before: null, after: painting, what: 'Began it' }));
  render(<ChangeForm kind="drop" onAdd={onAdd} />, { wrapper: studio(store) });
  expect(screen.getByRole('radio', { name: `Glaze: ${a!.name}` })).toBeTruthy();
  fireEvent.click(screen.getByRole('radio', { name: 'Glaze' }));
  fireEvent.click(screen.getByRole('radio', { name: b!.name }));
  fireEvent.click(screen.getByRole('button', { name: 'Try it' }));
  expect(onAdd).toHaveBeenCalledWith({
    kind: 'drop',
    paintingId: painting.id,
    coatId: painting.coats[1]!.id,
    passageIds: [b!.id],
  });
});
