import { act, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { Choice, ManyChoice } from '@/ui/Choice';
import { onGroupKey } from './keys';

const OPTIONS = [
  { key: 'a', name: 'lean' },
  { key: 'b', name: 'fat', disabled: true },
  { key: 'c', name: 'fatter' },
];

function Groups() {
  const [one, setOne] = useState<string | null>(null);
  const [many, setMany] = useState<string[]>([]);
  return (
    <>
      <Choice label="One" options={OPTIONS} value={one} onChange={setOne} />
      <ManyChoice label="Any" options={OPTIONS} values={many} onChange={setMany} />
    </>
  );
}

beforeEach(() => {
  document.addEventListener('keydown', onGroupKey);
  render(<Groups />);
});
afterEach(() => document.removeEventListener('keydown', onGroupKey));

/** Presses a key on what has the focus; whether it was answered here, and not left to the browser. */
const press = (key: string, more: object = {}): boolean =>
  !fireEvent.keyDown(document.activeElement!, { key, ...more });
const hold = (item: HTMLElement) => act(() => item.focus());
const inHand = () => document.activeElement?.textContent;
const radio = (name: string) => screen.getByRole('radio', { name });

test('arrows choose the next that can be chosen, round and round; Home and End the ends', () => {
  hold(radio('lean'));
  for (const [key, expected] of [
    ['ArrowRight', 'fatter'],
    ['ArrowDown', 'lean'],
    ['ArrowLeft', 'fatter'],
    ['Home', 'lean'],
    ['End', 'fatter'],
  ] as const) {
    expect(press(key)).toBe(true);
    expect(inHand()).toBe(expected);
    expect(radio(expected).getAttribute('aria-checked')).toBe('true');
  }
});

test('a group is one stop: what is chosen, or the first that can be', () => {
  const stops = () =>
    screen.getAllByRole('radio').flatMap((r) => (r.tabIndex === 0 ? [r.textContent] : []));
  expect(stops()).toEqual(['lean']);
  hold(radio('lean'));
  press('ArrowRight');
  expect(stops()).toEqual(['fatter']);
});

test('of ticks, arrows move and Space sets', () => {
  const box = screen.getByRole('checkbox', { name: 'lean' });
  hold(box);
  press('ArrowRight');
  expect(inHand()).toBe('fat');
  expect(screen.queryAllByRole('checkbox', { checked: true, hidden: true })).toHaveLength(0);
  press(' ');
  expect(screen.getByRole('checkbox', { name: 'fat' }).getAttribute('aria-checked')).toBe('true');
  // Held down, it sets once.
  press(' ', { repeat: true });
  expect(screen.getByRole('checkbox', { name: 'fat' }).getAttribute('aria-checked')).toBe('true');
});

test('keys with a modifier, and all others, are the browser’s', () => {
  hold(radio('lean'));
  expect([press('ArrowRight', { altKey: true }), press('a'), press('Tab')]).toEqual([
    false,
    false,
    false,
  ]);
  expect(inHand()).toBe('lean');
});
