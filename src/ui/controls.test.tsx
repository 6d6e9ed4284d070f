import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { Choice, ManyChoice } from './Choice';
import { Notice } from './Notice';
import { Stepper } from './Stepper';

function Steps({
  start,
  step = 5,
  min = 0,
  max = 100,
}: {
  start: string;
  step?: number;
  min?: number;
  max?: number;
}) {
  const [text, setText] = useState(start);
  return (
    <Stepper
      label="Share"
      unit="%"
      text={text}
      onChangeText={setText}
      step={step}
      min={min}
      max={max}
    />
  );
}

const value = () => (screen.getByRole('textbox', { name: 'Share, %' }) as HTMLInputElement).value;
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

describe('stepper', () => {
  test.each([
    ['20', 'More: Share', '25'],
    ['20', 'Less: Share', '15'],
    ['22', 'More: Share', '25'],
    ['22', 'Less: Share', '20'],
    ['100', 'More: Share', '100'],
    ['0', 'Less: Share', '0'],
    ['nonsense', 'More: Share', '5'],
  ])('%s, %s gives %s', (start, button, expected) => {
    render(<Steps start={start} />);
    press(button);
    expect(value()).toBe(expected);
  });

  test('fractions of a part do not drift', () => {
    render(<Steps start="0.5" step={0.1} />);
    for (let i = 0; i < 3; i++) press('More: Share');
    expect(value()).toBe('0.8');
  });

  test('what is typed is kept as typed, and what is wrong is said', () => {
    render(<Steps start="10" />);
    fireEvent.change(screen.getByRole('textbox'), { target: { value: '12,' } });
    expect(value()).toBe('12,');
    render(
      <Stepper
        label="Width"
        text="0"
        onChangeText={() => {}}
        step={1}
        min={1}
        max={9}
        error="The width must be above 0."
      />,
    );
    expect(screen.getByText('The width must be above 0.')).toBeTruthy();
    expect(screen.getByRole('textbox', { name: 'Width' }).getAttribute('aria-invalid')).toBe(
      'true',
    );
  });
});

describe('choices', () => {
  const OPTIONS = [
    { key: 'cm' as const, name: 'cm' },
    { key: 'inch' as const, name: 'inches', disabled: true },
  ];

  test('one of several: told to readers, pressed by fingers, dead where it is dead', () => {
    const chosen = jest.fn();
    render(<Choice label="Sizes in" options={OPTIONS} value="cm" onChange={chosen} />);
    expect(screen.getByRole('radiogroup', { name: 'Sizes in' })).toBeTruthy();
    expect(screen.getByRole('radio', { name: 'cm' }).getAttribute('aria-checked')).toBe('true');
    fireEvent.click(screen.getByRole('radio', { name: 'inches' }));
    expect(chosen).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('radio', { name: 'cm' }));
    expect(chosen).toHaveBeenCalledWith('cm');
  });

  test('any of several are put on and off', () => {
    const chosen = jest.fn();
    const options = [
      { key: 'a', name: 'jars' },
      { key: 'b', name: 'wall' },
    ];
    render(<ManyChoice label="On" options={options} values={['a']} onChange={chosen} />);
    fireEvent.click(screen.getByRole('checkbox', { name: 'wall' }));
    expect(chosen).toHaveBeenLastCalledWith(['a', 'b']);
    fireEvent.click(screen.getByRole('checkbox', { name: 'jars' }));
    expect(chosen).toHaveBeenLastCalledWith([]);
  });
});

test('a refusal is an alert, a caution a note', () => {
  render(<Notice tone="refusal">Nothing was changed.</Notice>);
  render(<Notice>Air the room.</Notice>);
  expect(screen.getByRole('alert').textContent).toContain('Nothing was changed.');
  expect(screen.getByRole('note').textContent).toContain('Air the room.');
});
