import { screen } from '@testing-library/react';
import { accountsOf } from '@/core/costs/accounts';
import { newPainting } from '@/core/tests/paintings';
import { addPainting } from '@/store/actions';
import { createStore } from '@/store/store';
import { settingsChanged } from '@/store/studio';
import { choose, field, inStudio, press, tick, type as typed } from '../tests/render';
import { CostsScreen } from './CostsScreen';
import { YearScreen } from './YearScreen';

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: () => {}, push: () => {} }) }));

function opened() {
  const store = createStore();
  const painting = newPainting();
  store.dispatch(addPainting(painting));
  store.dispatch(settingsChanged({ money: { currency: 'EUR', perHourMinor: 2000 } }));
  const { unmount } = inStudio(<CostsScreen id={painting.id} />, store);
  const now = () => store.getState().paintings.entities[painting.id]!;
  return { store, now, unmount };
}

test('a cost is noted with its kind, and taken out again', () => {
  const { now } = opened();
  choose('frame');
  typed('In words, if you like', 'oak, from the fair');
  typed('Amount', '45,5');
  press('Note the cost');
  expect(accountsOf(now()).costs).toMatchObject([
    { kind: 'frame', what: 'oak, from the fair', minor: 4550 },
  ]);
  expect(screen.getByText('It has cost €45.50')).toBeTruthy();
  press('Take out: frame oak, from the fair');
  expect(accountsOf(now()).costs).toEqual([]);
});

test('an amount that is none is told and writes nothing', () => {
  const { now } = opened();
  typed('Price asked', 'a lot');
  expect(screen.getByText('Write an amount such as 12.50.')).toBeTruthy();
  expect(field('Price asked').value).toBe('a lot');
  expect(accountsOf(now()).askedMinor).toBeUndefined();
  typed('Price asked', '800');
  expect(accountsOf(now()).askedMinor).toBe(80_000);
  typed('Price asked', '');
  expect(accountsOf(now()).askedMinor).toBeUndefined();
});

test('a sale needs to whom, a day that has been and an amount; then it is told, and can be taken back', () => {
  const { now } = opened();
  press('Note the sale');
  expect(screen.getByText('Say to whom.')).toBeTruthy();
  typed('Sold to', 'a visitor, with a dog');
  press('Note the sale');
  expect(screen.getByText(/Must be an amount of money/)).toBeTruthy();
  typed('Paid by the buyer', '900');
  typed('Sold on', '1 Jan 2199');
  press('Note the sale');
  expect(screen.getByText('Give the day it was sold, today or earlier.')).toBeTruthy();
  expect(accountsOf(now()).sale).toBeUndefined();
  typed('Sold on', '1 Feb 2026');
  typed('Commission of the gallery, %', '40');
  tick('It leaves the studio');
  press('Note the sale');
  expect(accountsOf(now()).sale).toMatchObject({
    to: 'a visitor, with a dog',
    gotMinor: 90_000,
    commissionPct: 40,
  });
  expect(now().easel).toBeUndefined();
  expect(
    screen.getByText(/Got €900.00, commission €360.00, cost €0.00: €540.00 are left/),
  ).toBeTruthy();
  press('It was not sold');
  expect(accountsOf(now()).sale).toBeUndefined();
});

test('where it was sent is kept with what came of it', () => {
  const { now } = opened();
  press('It was sent somewhere');
  typed('To whom, or where', 'the spring show');
  choose('competition');
  typed('Fee, if any', '15');
  press('Note it as sent');
  expect(accountsOf(now()).submissions).toMatchObject([
    { to: 'the spring show', kind: 'competition', outcome: 'waiting', feeMinor: 1500 },
  ]);
  choose('refused');
  const [sent] = accountsOf(now()).submissions;
  expect(sent!.outcome).toBe('refused');
  expect(sent!.answeredAt).not.toBeNull();
  choose('waiting');
  expect(accountsOf(now()).submissions[0]!.answeredAt).toBeNull();
  press('Take out: the spring show');
  expect(accountsOf(now()).submissions).toEqual([]);
});

test('the price that the wanted rate needs is told; without a rate where to say it', () => {
  const { store, unmount } = opened();
  expect(screen.getByText('For the wanted rate it needs €0.00.')).toBeTruthy();
  unmount();
  store.dispatch(settingsChanged({ money: { currency: 'EUR' } }));
  inStudio(<CostsScreen id={Object.keys(store.getState().paintings.entities)[0]!} />, store);
  expect(screen.getByText(/Say under All pictures what an hour should bring/)).toBeTruthy();
});

test('currency, rate and commission are settings; what is no currency is refused', () => {
  const store = createStore();
  inStudio(<YearScreen />, store);
  typed('Currency, three letters', 'euro');
  expect(screen.getByText(/“EURO” is no currency/)).toBeTruthy();
  expect(store.getState().studio.money).toBeUndefined();
  typed('Currency, three letters', 'usd');
  typed('An hour should bring', '25');
  typed('Usual commission of a gallery, %', '35');
  expect(store.getState().studio.money).toEqual({
    currency: 'USD',
    perHourMinor: 2500,
    commissionPct: 35,
  });
  typed('Usual commission of a gallery, %', '135');
  expect(screen.getByText('Cannot be over 100 %.')).toBeTruthy();
  expect(store.getState().studio.money!.commissionPct).toBe(35);
});

test('a brush is noted, ages, and is put away', () => {
  const store = createStore();
  inStudio(<YearScreen />, store);
  press('A new brush');
  press('Note the brush');
  expect(screen.getByText('The brush needs a name.')).toBeTruthy();
  typed('Name of the brush', 'Rigger');
  choose('rigger');
  typed('Width, mm', '300');
  press('Note the brush');
  expect(screen.getByText('At most 100 mm wide.')).toBeTruthy();
  typed('Width, mm', '1,5');
  press('Note the brush');
  expect(store.getState().cabinet.brushes).toMatchObject([
    { name: 'Rigger', shape: 'rigger', widthMm: 1.5, bestHours: null, retiredAt: null },
  ]);
  expect(screen.getByText('0.0 h in the hand')).toBeTruthy();
  press('Put away: Rigger');
  expect(store.getState().cabinet.brushes![0]!.retiredAt).not.toBeNull();
  expect(screen.getByText('None are noted.')).toBeTruthy();
});
