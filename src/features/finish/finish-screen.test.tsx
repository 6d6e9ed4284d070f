import { fireEvent, screen } from '@testing-library/react';
import { newPainting } from '@/core/tests/paintings';
import { finishingOf } from '@/core/finish/edit';
import { sortedBothers } from '@/core/finish/sorted';
import { addPainting } from '@/store/actions';
import { createStore } from '@/store/store';
import { choose, inStudio, press, type as typed } from '../tests/render';
import { FinishScreen } from './FinishScreen';

jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: () => {}, push: () => {} }) }));

const opened = () => {
  const store = createStore();
  const painting = newPainting();
  store.dispatch(addPainting(painting));
  inStudio(<FinishScreen id={painting.id} />, store);
  const now = () => store.getState().paintings.entities[painting.id]!;
  return { now };
};

test('a look is walked square by square and counts when all of it was seen', () => {
  const { now } = opened();
  choose('from far off');
  press('Begin looking');
  const squares = screen.getAllByRole('checkbox', { hidden: true });
  expect(squares).toHaveLength(9);
  squares.forEach((s) => fireEvent.click(s));
  press('The look is over');
  expect(finishingOf(now()).scans).toMatchObject([{ way: 'at-distance', by: 'squares' }]);
  expect(finishingOf(now()).scans[0]!.to).not.toBeNull();
});

test('what is too long is told and stays as it was typed; shortened, it is noted and sorted', () => {
  const { now } = opened();
  choose('what bothers');
  typed('What bothers', 'x'.repeat(301));
  press('Note it');
  expect(screen.getByText('At most 300 letters.')).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>('What bothers').value).toHaveLength(301);
  typed('What bothers', 'the edge, left');
  choose('it is seen first');
  press('Note it');
  expect(sortedBothers(now())).toMatchObject([{ fate: 'coat', said: false }]);
  expect(screen.getByLabelText<HTMLInputElement>('What bothers').value).toBe('');
});

test('a rule of stopping is chosen and told; the hours agreed are kept', () => {
  const { now } = opened();
  choose('when to stop');
  choose(/the hours agreed are spent/);
  expect(screen.getByText('Say below how many hours were agreed on.')).toBeTruthy();
  typed('Hours agreed on, h', '12');
  expect(finishingOf(now())).toMatchObject({ rule: 'hours-spent', agreedHours: 12 });
  choose(/only change, not mend/);
  press('It would only change it');
  expect(screen.getByText(/By your rule it may rest/)).toBeTruthy();
});

test('left a week it is taken back onto the easel when the painter wants; finished, it is not finished twice', () => {
  const { now } = opened();
  choose('when to stop');
  press('Leave it a week');
  expect(now().easel?.kind).toBe('resting');
  expect(screen.queryByRole('button', { name: 'Leave it a week' })).toBeNull();
  press('Back on the easel');
  expect(now().easel ?? null).toBeNull();
  press('It is finished');
  expect(now().easel?.kind).toBe('finished');
  expect(screen.queryByRole('button', { name: 'It is finished' })).toBeNull();
  press('Back on the easel');
  expect(screen.getByText('On the easel.')).toBeTruthy();
});
