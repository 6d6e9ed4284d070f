import { fireEvent, screen, within } from '@testing-library/react';
import { noteFully } from '@/core/finish/edit';
import { showDay } from '@/core/formats/date-text';
import { layCoat } from '@/core/painting/events';
import type { Painting } from '@/core/painting';
import { isoDaysAgo, making, NOW_MS, stackOf } from '@/core/tests/paintings';
import { own, recipe, tube } from '@/core/tests/recipes';
import { addPainting } from '@/store/actions';
import { ticked } from '@/store/present';
import { createStore } from '@/store/store';
import { LookAgain } from '../today/LookAgain';
import { choose, field, inStudio, press, type as typed } from '../tests/render';
import { FinishScreen } from './FinishScreen';

const mockPushed: unknown[] = [];
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: () => {}, push: (to: unknown) => mockPushed.push(to) }),
}));

beforeEach(() => {
  mockPushed.length = 0;
  jest.spyOn(Date, 'now').mockReturnValue(NOW_MS);
});

function laid(mix = recipe([tube('titanium-white')], 0, [], 50)): Painting {
  const p = stackOf([mix]);
  return layCoat(
    p,
    {
      coatId: 'c0',
      passageIds: p.passages.map((x) => x.id),
      at: isoDaysAgo(60),
      spot: null,
      intoWet: false,
    },
    making(),
  );
}

function opened(painting: Painting) {
  const store = createStore();
  store.dispatch(ticked(NOW_MS));
  store.dispatch(addPainting(painting));
  const { unmount } = inStudio(<FinishScreen id={painting.id} />, store);
  choose('what bothers');
  const now = () => store.getState().paintings.entities[painting.id]!;
  return { store, now, unmount };
}
const bothered = (over: object, painting = laid()) =>
  noteFully(painting, { text: 'too hard, left', passageId: null, ...over }, making());

test('what bothers the whole is planned where the painter says, and lies there from then on', () => {
  const { now } = opened(bothered({ kind: 'value', weight: 3 }));
  const plan = screen.getByRole('button', { name: 'Plan a coat: too hard, left', hidden: true });
  expect(plan.getAttribute('aria-disabled')).toBe('true');
  const where = screen.getByRole('radiogroup', {
    name: 'A coat for it would lie on',
    hidden: true,
  });
  fireEvent.click(within(where).getByRole('radio', { name: 'wall', hidden: true }));
  press('Plan a coat: too hard, left');
  const wall = now().passages[1]!.id;
  expect(now().coats.at(-1)).toMatchObject({
    passageIds: [wall],
    spot: { name: 'too hard, left' },
  });
  expect(now().bothers![0]).toMatchObject({
    passageId: wall,
    fate: { kind: 'coat', coatId: now().coats.at(-1)!.id },
  });
  expect(screen.getByText('Planned.')).toBeTruthy();
  // The row says of the passage what Today says of it.
  expect(screen.getByText(/^wall: through-dry, takes the mend: too hard, left/)).toBeTruthy();
  press('Open the coat');
  expect(mockPushed).toHaveLength(1);
});

test('where nothing lies there is no mix to repeat: a coat of his own is begun', () => {
  const bare = stackOf([recipe([tube('titanium-white')], 0, [], 50)]);
  const { now } = opened(bothered({ kind: 'value', passageId: bare.passages[0]!.id }, bare));
  press('Plan a coat: too hard, left');
  expect(mockPushed[0]).toMatchObject({ params: { coatId: 'new' } });
  expect(now().bothers![0]!.fate).toBeUndefined();
});

test('look again needs a day to come; it stands in Today until then, with what else is due of it', () => {
  const p = laid();
  const first = bothered({ kind: 'edge', passageId: p.passages[0]!.id }, p);
  const both = noteFully(first, { text: 'dust', passageId: null, kind: 'dirt' }, making());
  const { now, store, unmount } = opened(both);
  press('Decide otherwise: too hard, left');
  choose('look again on a day');
  // A week on, unless another day is wanted.
  expect(field('Day').value).toBe(showDay(isoDaysAgo(-7).slice(0, 10)));
  typed('Day', '1 Feb 2026');
  press('So be it');
  expect(screen.getByText('Give a day that is still to come.')).toBeTruthy();
  typed('Day', '20 Feb 2026');
  press('So be it');
  expect(now().bothers![0]!.fate).toMatchObject({ kind: 'again' });
  unmount();
  inStudio(<LookAgain />, store);
  expect(screen.getByText('20 Feb 2026: too hard, left, and 1 more')).toBeTruthy();
});

test('left on purpose, and back to sorting itself', () => {
  const { now } = opened(bothered({ kind: 'value', weight: 3 }));
  press('Decide otherwise: too hard, left');
  choose('leave it');
  press('So be it');
  expect(screen.getByText('Leave it')).toBeTruthy();
  press('Decide otherwise: too hard, left');
  choose('by kind and weight');
  press('So be it');
  expect(now().bothers![0]!.fate).toBeUndefined();
  press('It bothers no more: too hard, left');
  expect(now().bothers![0]!.doneAt).not.toBeNull();
  expect(screen.getByText(/^Nothing bothers/)).toBeTruthy();
});

test('a lean surface is told as sunk, with drops and days, and its oiling out is planned once', () => {
  const { now } = opened(laid(recipe([own({ oilWtPct: 14 })], 0, [], 40)));
  expect(screen.getByText('Sunk-in')).toBeTruthy();
  expect(screen.getByText(/^jars: oil out now, retouch varnish now/)).toBeTruthy();
  expect(screen.getByText(/Oiling out takes \d+ drops/)).toBeTruthy();
  press('Plan the oiling out');
  expect(now().coats.at(-1)).toMatchObject({ role: 'oiling-out' });
  expect(screen.getByText('An oiling out is planned there.')).toBeTruthy();
  expect(screen.queryByText('Plan the oiling out')).toBeNull();
});

test('kind, weight, passage and quarter are noted with it, and the form is empty again', () => {
  const { now } = opened(laid());
  typed('What bothers', 'a hair in the paint');
  choose('dirt');
  choose('one looks for it');
  choose('jars');
  choose('lower right');
  press('Note it');
  expect(now().bothers![0]).toMatchObject({
    text: 'a hair in the paint',
    kind: 'dirt',
    weight: 1,
    passageId: now().passages[0]!.id,
    quarter: 'lower-right',
  });
  expect(field('What bothers').value).toBe('');
});
