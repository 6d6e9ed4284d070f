import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { parseDay, parseMoment, showDay, showMoment } from '@/core/formats/date-text';
import { DateField } from './DateField';

const NOW = new Date(2026, 2, 1, 12).getTime();

// ISO 8601 for the kept form; the others are common practice, no source: the day stands before the month.
test.each([
  ['2026-03-03', '2026-03-03'],
  ['3 Mar 2026', '2026-03-03'],
  ['Tue 3 Mar 2026', '2026-03-03'],
  ['3 March 2026', '2026-03-03'],
  ['3.3.2026', '2026-03-03'],
  ['3/4/2026', '2026-04-03'],
  ['5 Dec', '2026-12-05'],
  ['30 Feb 2026', null],
  ['soon', null],
  ['', null],
])('a day typed as "%s" is %s', (text, day) => {
  expect(parseDay(text, NOW)).toBe(day);
});

test.each([
  ['2026-03-03T18:30', '2026-03-03T18:30'],
  ['3 Mar 2026, 18:30', '2026-03-03T18:30'],
  ['3.3.2026 9:05', '2026-03-03T09:05'],
  ['3 Mar 2026', null],
  ['3 Mar 2026, 25:00', null],
])('a moment typed as "%s" is %s', (text, moment) => {
  expect(parseMoment(text, NOW)).toBe(moment);
});

test('what is shown can be typed again', () => {
  expect(showDay('2026-03-03')).toBe('Tue 3 Mar 2026');
  expect(parseDay(showDay('2026-03-03'), NOW)).toBe('2026-03-03');
  expect(showMoment('2026-03-03T18:30')).toBe('Tue 3 Mar 2026, 18:30');
  expect(parseMoment(showMoment('2026-03-03T18:30'), NOW)).toBe('2026-03-03T18:30');
  expect(showDay('soon')).toBe('soon');
});

function Due({
  start,
  onValue = () => undefined,
}: {
  start: string;
  onValue?: (v: string) => void;
}) {
  const [value, setValue] = useState(start);
  return (
    <DateField
      label="Due"
      value={value}
      onChangeText={(next) => {
        setValue(next);
        onValue(next);
      }}
      error={value === '' ? 'Give a day.' : undefined}
    />
  );
}

const field = () => screen.getByLabelText<HTMLInputElement>('Due');

test('a day is written in our order, whatever the browser would write', () => {
  const onValue = jest.fn();
  render(<Due start="2026-02-17" onValue={onValue} />);
  expect(field().value).toBe('Tue 17 Feb 2026');
  fireEvent.change(field(), { target: { value: '1 Mar 2026' } });
  expect(field().value).toBe('1 Mar 2026');
  expect(onValue).toHaveBeenLastCalledWith('2026-03-01');
  fireEvent.blur(field());
  expect(field().value).toBe('Sun 1 Mar 2026');
});

test('what is no day stays as it was typed, and is handed on for the form to refuse', () => {
  const onValue = jest.fn();
  render(<Due start="2026-02-17" onValue={onValue} />);
  fireEvent.change(field(), { target: { value: 'soon' } });
  fireEvent.blur(field());
  expect(onValue).toHaveBeenLastCalledWith('soon');
  expect(field().value).toBe('soon');
});

test('what is wrong stands below it', () => {
  render(<Due start="2026-02-17" />);
  expect(screen.queryByText('Give a day.')).toBeNull();
  fireEvent.change(field(), { target: { value: '' } });
  expect(screen.getByText('Give a day.')).toBeTruthy();
});

test('the calendar is a button with a name of its own', () => {
  render(<Due start="2026-02-17" />);
  expect(screen.getByRole('button', { name: 'Open the calendar' })).toBeTruthy();
});
