import { fireEvent, render, screen } from '@testing-library/react';
import type { CalendarException } from '@/core/plan/hours';
import { AwayForm } from './AwayForm';
import { HoursFields } from './HoursFields';
import { ChangeForm } from './WhatIfForms';

const type = (label: string, text: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
};

describe('hours of a day', () => {
  const onChange = jest.fn();
  beforeEach(() => {
    onChange.mockClear();
    render(<HoursFields day="Monday" hours={{ from: 18 * 60, to: 20 * 60 }} onChange={onChange} />);
  });

  test('are kept when the field is left', () => {
    type('Monday to', '21:30');
    expect(onChange).toHaveBeenCalledWith({ from: 18 * 60, to: 21 * 60 + 30 });
  });

  test.each([
    ['25:00', 'Give times such as 18:30.'],
    ['half past', 'Give times such as 18:30.'],
    ['17:00', 'Hours must end after they begin.'],
  ])('%s is refused: %s', (text, words) => {
    type('Monday to', text);
    expect(screen.getByText(words)).toBeTruthy();
    expect(onChange).not.toHaveBeenCalled();
  });

  test('nothing is kept where nothing has changed', () => {
    type('Monday to', '20:00');
    expect(onChange).not.toHaveBeenCalled();
  });
});

describe('days on which the week does not hold', () => {
  const done: CalendarException[] = [];
  beforeEach(() => {
    done.length = 0;
    render(<AwayForm title="Note it" onDone={(e) => done.push(e)} />);
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
  render(<ChangeForm kind="also" onAdd={onAdd} />);
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
  render(<ChangeForm kind="warmer" onAdd={onAdd} />);
  fireEvent.click(screen.getByText('4 °C colder'));
  fireEvent.click(screen.getByText('Try it'));
  expect(onAdd).toHaveBeenCalledWith({ kind: 'warmer', byC: -4 });
});
