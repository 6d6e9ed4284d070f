import { screen } from '@testing-library/react';
import { finishingOf } from '@/core/finish/edit';
import { layCoat } from '@/core/painting/events';
import { isoDaysAgo, making, NOW_MS, stackOf } from '@/core/tests/paintings';
import { recipe, tube } from '@/core/tests/recipes';
import { addPainting } from '@/store/actions';
import { ticked } from '@/store/present';
import { createStore } from '@/store/store';
import { LookAgain } from '../today/LookAgain';
import { choose, inStudio, press, type as typed } from '../tests/render';
import { FinishScreen } from './FinishScreen';

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: () => {}, push: () => {} }) }));

beforeEach(() => {
  jest.spyOn(Date, 'now').mockReturnValue(NOW_MS);
});

const laid = (daysAgo: number) => {
  const p = stackOf([recipe([tube('titanium-white')], 0, [], 50)]);
  return layCoat(
    p,
    {
      coatId: 'c0',
      passageIds: p.passages.map((x) => x.id),
      at: isoDaysAgo(daysAgo),
      spot: null,
      intoWet: false,
    },
    making(),
  );
};

function opened(daysAgo: number) {
  const store = createStore();
  const painting = laid(daysAgo);
  store.dispatch(ticked(NOW_MS));
  store.dispatch(addPainting(painting));
  const { unmount } = inStudio(<FinishScreen id={painting.id} />, store);
  const now = () => store.getState().paintings.entities[painting.id]!;
  return { store, now, unmount };
}

test('what a rule forbids cannot be planned; what it allows becomes a coat once', () => {
  const { now } = opened(900);
  choose('varnish');
  choose(/water-borne/);
  expect(screen.getByText(/Water-borne varnish over oil/)).toBeTruthy();
  press('Plan this varnish');
  expect(now().coats).toHaveLength(1);
  choose(/modern resin/);
  choose('2');
  press('Plan this varnish');
  expect(now().coats.at(-1)).toMatchObject({
    role: 'varnish',
    recipe: { material: 'synthetic-varnish', thicknessUm: 20 },
  });
  expect(screen.getByText(/is among the coats of this painting/)).toBeTruthy();
});

test('a test that fails puts it off, on its place; taken back it counts no more', () => {
  const { now } = opened(900);
  choose('varnish');
  typed('On which colour or dab', 'witness, white');
  press('colour on it: Swab');
  expect(finishingOf(now()).tests).toMatchObject([
    { test: 'swab', passed: false, where: 'witness, white' },
  ]);
  expect(screen.getByText(/A test failed: it is repeated from/)).toBeTruthy();
  press('Take the result back: Swab');
  press('leaves no mark: Thumb twist');
  press('no dent, or it closes: Thumbnail');
  press('no colour on it: Swab');
  expect(screen.getByText('The tests agree.')).toBeTruthy();
});

test('fresh paint is only carried face free, and later; the frame keeps off what is not dry through', () => {
  const { now } = opened(1);
  choose('frame and road');
  expect(screen.getByText(/The spacer is too thin/)).toBeTruthy();
  typed('Spacer before the paint, mm', '6');
  expect(finishingOf(now()).frame!.spacerMm).toBe(6);
  expect(screen.queryByText(/The spacer is too thin/)).toBeNull();
  typed('Depth of the rebate, mm', '10');
  expect(screen.getByText(/It stands out by/)).toBeTruthy();
  press('It has to travel');
  choose(/^wrapped/);
  expect(screen.getByText(/That is more than it bears/)).toBeTruthy();
  press('No journey');
  expect(finishingOf(now()).journey).toBeUndefined();
});

test('left a week it rests, and Today says when to look again', () => {
  const { store, now, unmount } = opened(30);
  choose('when to stop');
  press('Leave it a week');
  expect(now().easel!.kind).toBe('resting');
  unmount();
  inStudio(<LookAgain />, store);
  expect(screen.getByText(/it rests until then/)).toBeTruthy();
});
