import { cleanup, screen } from '@testing-library/react';
import { beginSession } from '@/core/session';
import { making } from '@/core/tests/paintings';
import { addSession } from '@/store/actions';
import { createStore } from '@/store/store';
import { choose, field, inStudio, press, type as typed } from '../tests/render';
import { sessionAddress } from '../addresses';
import { AirScreen } from './AirScreen';

const mockAsked: { session?: string } = {};
const mockWent: unknown[] = [];
jest.mock('expo-router', () => ({
  useLocalSearchParams: () => mockAsked,
  useRouter: () => ({ navigate: (to: unknown) => mockWent.push(to) }),
}));

const opened = () => {
  const store = createStore();
  inStudio(<AirScreen />, store);
  return store;
};
const heading = (name: RegExp) => screen.queryByRole('heading', { name, hidden: true });

test('a solvent is told as a range where one stands, with the strictest limit named and never as safe', () => {
  opened();
  choose('turpentine');
  expect(heading(/^Turpentine: [\d.]+ to [\d.]+ mg\/m³ where you stand$/)).not.toBeNull();
  expect(screen.getByText('ACGIH TLV (20 ppm), the strictest')).toBeTruthy();
  expect(document.body.textContent).not.toMatch(/\bsafe\b/i);
  expect(screen.getByText('The safety data sheet and local rules govern.')).toBeTruthy();
});

test('without dish and washing nothing is given off; what is no number is asked for', () => {
  opened();
  typed('Open dish, across, cm', '0');
  typed('Washed out and wiped off, ml', '0');
  expect(screen.getByText('Nothing of it gives off solvent.')).toBeTruthy();
  typed('Washed out and wiped off, ml', 'some');
  expect(screen.getByText('Give hours, dish and amount as numbers from 0 up.')).toBeTruthy();
});

test('the room is kept; a least that is more than the most is told and not kept', () => {
  const store = opened();
  typed('Volume, m³', '60');
  expect(store.getState().studio.room!.volumeM3).toBe(60);
  typed('Air changes an hour, at least', '3');
  expect(screen.getByText('The most air changes cannot be fewer than the least.')).toBeTruthy();
  expect(store.getState().studio.room!.changesLeast).toBe(0.3);
  typed('Air changes an hour, at most', '6');
  expect(store.getState().studio.room).toMatchObject({ changesLeast: 3, changesMost: 6 });
});

test('much of it is told as over the limit, and that airing alone does not help', () => {
  opened();
  choose('turpentine');
  typed('It lasts, h', '1');
  typed('Washed out and wiped off, ml', '1500');
  expect(screen.getByText(/it goes over the strictest limit/)).toBeTruthy();
  expect(screen.getByText(/No airing of the room keeps it under that limit/)).toBeTruthy();
});

test('back goes to the session it was opened from while there is one, or to the studio', () => {
  const session = beginSession({ works: [], boxMinutes: 60, goal: '' }, making());
  const store = opened();
  press('Back');
  mockAsked.session = session.id;
  cleanup();
  inStudio(<AirScreen />, store);
  expect(field('It lasts, h').value).toBe('3');
  press('Back');
  cleanup();
  store.dispatch(addSession(session));
  inStudio(<AirScreen />, store);
  expect(screen.getByText(/^It lasted/)).toBeTruthy();
  press('Back');
  expect(mockWent).toEqual(['/studio', '/studio', sessionAddress(session.id)]);
  delete mockAsked.session;
});
