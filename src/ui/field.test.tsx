import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { Field } from './Field';

function Due({ start, onText }: { start: string; onText: (text: string) => void }) {
  const [value, setValue] = useState(start);
  return (
    <Field
      label="Due"
      inputType="date"
      value={value}
      onChangeText={(text) => {
        setValue(text);
        onText(text);
      }}
      error={value === '' ? 'Give a day.' : undefined}
    />
  );
}

test('a day is chosen in a field of the browser, and stays one however often it is drawn anew', () => {
  const onText = jest.fn();
  const { rerender } = render(<Due start="2026-02-17" onText={onText} />);
  const field = () => screen.getByLabelText<HTMLInputElement>('Due');
  expect([field().type, field().value]).toEqual(['date', '2026-02-17']);
  fireEvent.change(field(), { target: { value: '2026-03-01' } });
  fireEvent.focus(field());
  rerender(<Due start="2026-02-17" onText={onText} />);
  expect([field().type, field().value]).toEqual(['date', '2026-03-01']);
  expect(onText).toHaveBeenCalledWith('2026-03-01');
});

test('what is wrong stands below it', () => {
  render(<Due start="2026-02-17" onText={() => undefined} />);
  expect(screen.queryByText('Give a day.')).toBeNull();
  fireEvent.change(screen.getByLabelText('Due'), { target: { value: '' } });
  expect(screen.getByText('Give a day.')).toBeTruthy();
});

test('its letters are as high as those around it', () => {
  render(<Due start="2026-02-17" onText={() => undefined} />);
  // Without a unit it would be a multiple of the letters.
  expect(screen.getByLabelText('Due').style.lineHeight).toMatch(/^$|px$/);
});

test('it is said when the field is left: some keep what was typed only then', () => {
  const onBlur = jest.fn();
  render(
    <Field
      label="Begun"
      inputType="datetime-local"
      value="2026-02-17T10:00"
      onChangeText={() => undefined}
      onBlur={onBlur}
    />,
  );
  fireEvent.blur(screen.getByLabelText('Begun'));
  expect(onBlur).toHaveBeenCalledTimes(1);
});
