import { SCHOOL_KEYS, type SchoolVerdict } from '@/core/schools';
import { partingSentence } from './SchoolsTable';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { type Painting } from '@/core/painting';
import { changeCoat } from '@/core/painting/coats';
import { making, stackOf } from '@/core/tests/paintings';
import { part, recipe, tube } from '@/core/tests/recipes';
import { addPainting, changePainting } from '@/store/actions';
import { createStore } from '@/store/store';
import { useSectionView } from './useSectionView';

// In a browser a worker solves; here it is done in this thread, whose code is fetched when it is first needed.
beforeAll(() => import('@/workers/solver'));

const WHITE = [tube('titanium-white')];
const STAND = [part('stand-oil'), part('mineral-spirits')];

/** The section of the first passage of a painting, as the screen sees it. */
function open(painting: Painting, passage = 0) {
  const store = createStore();
  store.dispatch(addPainting(painting));
  const wrapper = ({ children }: { children: ReactNode }) => (
    <Provider store={store}>{children}</Provider>
  );
  const { result } = renderHook(() => useSectionView(painting.id, painting.passages[passage]!.id), {
    wrapper,
  });
  return { store, view: () => result.current! };
}

/** A repair is many assessments: on a busy machine more than the second that is waited for as a rule. */
const PATIENT = { timeout: 20_000 };

const notched = stackOf([
  recipe(WHITE, 0.3, [part('stand-oil')], 25),
  recipe(WHITE, 0.1, STAND, 20),
]);

test('it speaks first of the coat that breaks the rule, with figures and a cure', async () => {
  const { view } = open(notched);
  const { chosen } = view();
  expect(chosen!.layer.film.name).toBe('Coat 2');
  expect(chosen!.broken).toBe(true);
  expect(chosen!.sentence).toBe('The planned coat 2 is leaner than the coat 1 it will lie on.');
  expect(chosen!.figures).toMatch(/^\d+ % oil over \d+ %\.$/);
  // The cure is worked out away from the screen.
  expect([chosen!.solving, chosen!.repairs]).toEqual([true, []]);
  await waitFor(() => expect(view().chosen!.repairs.length).toBeGreaterThan(0), PATIENT);
  expect(view().chosen!.solving).toBe(false);
});

test('with the cure applied it speaks of the next coat to come, and asks for none', async () => {
  const { store, view } = open(notched);
  await waitFor(() => expect(view().chosen!.repairs.length).toBeGreaterThan(0), PATIENT);
  const [repair] = view().chosen!.repairs;
  act(() => {
    store.dispatch(
      changePainting(notched.id, 'Mended', (p) => changeCoat(p, repair!.changed, false, making())),
    );
  });
  const { chosen } = view();
  expect(chosen!.broken).toBe(false);
  expect(chosen!.layer.film.name).toBe('Coat 1');
  expect(chosen!.repairs).toEqual([]);
});

test('another layer is chosen by its key; the first film on gesso has nothing to be compared with', () => {
  const { view } = open(notched);
  act(() => view().choose('c0'));
  expect(view().chosen!.layer.film.key).toBe('c0');
  expect(view().chosen!.sentence).toMatch(/nothing below to compare/);
  expect(view().chosen!.repairs).toEqual([]);
});

test('schools of the other mind are named, with their own figures', () => {
  const parted = stackOf(
    [recipe([tube('burnt-umber')], 0.1, STAND, 40), recipe(WHITE, 0.2, STAND, 50)],
    [],
    'added-oil',
  );
  const { view } = open(parted);
  act(() => view().choose('c1'));
  expect(view().chosen!.broken).toBe(false);
  const dissent = view().chosen!.dissents.find((d) => d.school === 'total-oil')!;
  expect(dissent.verdict).toBe('fail');
  expect(dissent.sentence).toMatch(/is leaner than/);
  expect(dissent.figures).toMatch(/%/);
});

test('limits of a single coat are said even where the school is content', () => {
  const fat = stackOf([recipe(WHITE), recipe(WHITE, 0.4, [part('alkyd-medium')], 60)]);
  const { view } = open(fat);
  act(() => view().choose('c1'));
  expect(view().chosen!.findings[0]).toMatchObject({
    rule: 'medium-over-third',
    severity: 'forbid',
    overruled: null,
  });
});

test('a painting or passage that is not there gives no view', () => {
  const store = createStore();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <Provider store={store}>{children}</Provider>
  );
  expect(renderHook(() => useSectionView('none', 'x'), { wrapper }).result.current).toBeNull();
});

describe('where the schools part', () => {
  const verdicts = (...words: ('ok' | 'fail' | 'not-applicable')[]): SchoolVerdict[] =>
    words.map((verdict, i) => ({
      school: SCHOOL_KEYS[i]!,
      verdict,
      reason: 'rises',
      lower: null,
      upper: null,
    }));

  test('is one sentence', () => {
    expect(partingSentence(verdicts('ok', 'not-applicable'))).toBe('No school objects.');
    expect(partingSentence(verdicts('fail', 'fail'))).toBe('No school lets it pass.');
    expect(partingSentence(verdicts('ok', 'fail', 'not-applicable'))).toBe(
      'They part: added oil let it pass; all the oil object.',
    );
  });
});
