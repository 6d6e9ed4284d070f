import { act, fireEvent, render, renderHook, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { z } from 'zod';
import { createStore, type Store } from '@/store/store';
import { draftKept } from '@/store/drafts';
import { FormState } from './FormState';
import { changedElsewhere, isDraftOf, mergeTouched, numberOf, withAt, at } from './draft';
import { useForm, type Form } from './useForm';
import { useLiveForm } from './useLiveForm';
import { useRowKeys } from './useRowKeys';

const jarSchema = z.object({
  name: z
    .string()
    .trim()
    .min(1, { error: 'Needs a name.' })
    .max(12, { error: 'At most 12 letters.' }),
  ml: z.number({ error: 'Must be a number of ml.' }).positive({ error: 'Above 0 ml.' }),
  price: z.number().nullable(),
  share: z.number().max(1, { error: 'At most 100 %.' }).optional(),
  madeAt: z.iso.datetime({ error: 'Give a day and a time.' }),
  note: z.string().optional(),
});
type Jar = z.infer<typeof jarSchema>;

const JAR: Jar = {
  name: 'Lean',
  ml: 100 / 3,
  price: null,
  madeAt: '2026-02-17T10:00:00.123Z',
  note: 'no field shows this',
};

const inStore = (store: Store) =>
  function Wrapper({ children }: { children: ReactNode }) {
    return <Provider store={store}>{children}</Provider>;
  };

function opened(document: Jar = JAR, store = createStore()) {
  const hook = renderHook(
    (props: { document: Jar }) =>
      useForm({ key: 'jar', schema: jarSchema, document: props.document }),
    { wrapper: inStore(store), initialProps: { document } },
  );
  return { ...hook, store, form: () => hook.result.current };
}
const type = (form: () => Form<Jar>, path: string, text: string) =>
  act(() => form().text(path).onChangeText(text));
const typeNumber = (form: () => Form<Jar>, path: string, text: string) =>
  act(() => form().number(path, 'millilitres').onChangeText(text));

describe('a form', () => {
  test('shows numbers rounded, and keeps them whole', () => {
    const { form } = opened();
    expect(form().number('ml', 'millilitres').text).toBe('33.33');
    expect(form().value?.ml).toBe(100 / 3);
    typeNumber(form, 'ml', '33.3');
    expect(form().value?.ml).toBe(33.3);
    typeNumber(form, 'ml', '33.33');
    expect(form().value?.ml).toBe(100 / 3);
    expect(form().dirty).toBe(false);
  });

  test('says what is wrong at its field, as soon as something is typed there', () => {
    const { form } = opened();
    typeNumber(form, 'ml', '-1');
    expect(form().number('ml', 'millilitres').error).toBe('Above 0 ml.');
    typeNumber(form, 'ml', '');
    expect(form().number('ml', 'millilitres').error).toBe('Must be a number of ml.');
    expect(form().value).toBeNull();
    typeNumber(form, 'ml', '1 000,5');
    expect(form().value?.ml).toBe(1000.5);
  });

  test('of a field that nobody touched nothing is said, until keeping is tried', () => {
    const { form } = opened({ ...JAR, name: '' });
    expect(form().text('name').error).toBeUndefined();
    expect(form().problem('name')).toBe('Needs a name.');
    let wrote = false;
    act(() => void form().keep(() => (wrote = true)));
    expect(wrote).toBe(false);
    expect(form().text('name').error).toBe('Needs a name.');
  });

  test('a field that is left is touched', () => {
    const { form } = opened({ ...JAR, name: '' });
    act(() => form().text('name').onBlur());
    expect([...form().touched]).toEqual(['name']);
    expect(form().text('name').error).toBe('Needs a name.');
  });

  test('the limit is told while typing', () => {
    const { form } = opened();
    type(form, 'name', 'much too long a name');
    act(() => form().text('name').onBlur());
    expect(form().text('name').error).toBe('At most 12 letters.');
  });

  test('empty is null, or no field at all, where that is what it means', () => {
    const { form } = opened({ ...JAR, price: 4, share: 0.5 });
    act(() => form().number('price', 'money', null).onChangeText(''));
    act(() => form().number('share', 'percent', 'absent').onChangeText(''));
    expect(form().value).toEqual({ ...JAR, price: null });
  });

  test('a moment is typed in local time and kept as UTC; left alone it keeps its milliseconds', () => {
    const { form } = opened();
    expect(form().moment('madeAt').value).toMatch(/^2026-02-17T\d\d:00$/);
    expect(form().value?.madeAt).toBe(JAR.madeAt);
    act(() => form().moment('madeAt').onChangeText('2026-03-01T08:15'));
    expect(form().value?.madeAt).toBe(new Date('2026-03-01T08:15').toISOString());
    act(() => form().moment('madeAt').onChangeText('soon'));
    act(() => form().moment('madeAt').onBlur());
    expect(form().moment('madeAt')).toMatchObject({
      value: 'soon',
      error: 'Give a day and a time.',
    });
  });

  test('undo goes back field by field, not letter by letter', () => {
    const { form } = opened();
    for (const text of ['F', 'Fa', 'Fat']) type(form, 'name', text);
    typeNumber(form, 'ml', '50');
    act(() => form().undo!());
    expect(form().value).toMatchObject({ name: 'Fat', ml: 100 / 3 });
    act(() => form().undo!());
    expect(form().value).toEqual(JAR);
    expect(form().undo).toBeNull();
  });

  test('thrown away it is as it was kept, and no draft is left', () => {
    const { form, store } = opened();
    type(form, 'name', 'Fat');
    expect(store.getState().drafts.jar?.draft).toMatchObject({ name: 'Fat' });
    act(() => form().throwAway());
    expect(form().value).toEqual(JAR);
    expect(store.getState().drafts.jar).toBeUndefined();
  });

  test('kept, its draft is gone; a write that throws leaves it where it is', () => {
    const { form, store } = opened();
    type(form, 'name', 'Fat');
    expect(() =>
      act(() => {
        form().keep(() => {
          throw new Error('full');
        });
      }),
    ).toThrow('full');
    expect(store.getState().drafts.jar).toBeDefined();
    act(() => void form().keep(() => undefined));
    expect(store.getState().drafts.jar).toBeUndefined();
  });
});

describe('two hands', () => {
  test('untouched, a form follows the document', () => {
    const { form, rerender } = opened();
    rerender({ document: { ...JAR, name: 'Fat' } });
    expect(form().value?.name).toBe('Fat');
    expect(form().dirty).toBe(false);
  });

  test('touched, it writes only what was touched, and says that there is more', () => {
    const { form, rerender } = opened();
    typeNumber(form, 'ml', '50');
    rerender({ document: { ...JAR, name: 'Fat' } });
    expect(form().changedElsewhere).toEqual(['name']);
    let kept: Jar | null = null;
    act(() => void form().keep((jar) => (kept = jar)));
    expect(kept).toEqual({ ...JAR, name: 'Fat', ml: 50 });
  });

  test('lists are one field; what is no object is taken as a whole', () => {
    const base = { a: { x: 1, y: 1 }, list: [1, 2] };
    const mine = { a: { x: 2, y: 1 }, list: [1, 2] };
    const theirs = { a: { x: 1, y: 9 }, list: [3] };
    expect(mergeTouched(base, mine, theirs)).toEqual({ a: { x: 2, y: 9 }, list: [3] });
    expect(mergeTouched(base, { ...base, list: [7] }, theirs).list).toEqual([7]);
    expect(changedElsewhere(base, theirs)).toEqual(['a', 'list']);
    expect(changedElsewhere(1, 1)).toEqual([]);
  });

  test('a field that was taken out stays out', () => {
    const base: { a: number; b?: number } = { a: 1, b: 2 };
    expect(mergeTouched(base, { a: 1 }, { a: 5, b: 2 })).toEqual({ a: 5 });
  });
});

describe('a draft that was left', () => {
  const kept = (draft: unknown, base: unknown = JAR) => {
    const store = createStore();
    store.dispatch(draftKept({ key: 'jar', at: '2026-02-17T12:00:00.000Z', base, draft }));
    return opened(JAR, store);
  };

  test('is taken up again, with what was typed', () => {
    const { form } = kept({ ...JAR, ml: { typed: '5,', as: 'millilitres', was: 100 / 3 } });
    expect(form().number('ml', 'millilitres').text).toBe('5,');
    expect(form().resumedAt).toBe('2026-02-17T12:00:00.000Z');
  });

  test('of a new one is nobody else’s change, whatever a new one would begin as now', () => {
    const store = createStore();
    const base = { ...JAR, note: 'begun yesterday' };
    store.dispatch(
      draftKept({
        key: 'jar',
        at: '2026-02-17T12:00:00.000Z',
        base,
        draft: { ...base, name: 'Fat' },
      }),
    );
    const { result } = renderHook(
      () => useForm({ key: 'jar', schema: jarSchema, document: JAR, isNew: true }),
      { wrapper: inStore(store) },
    );
    expect(result.current.changedElsewhere).toEqual([]);
    expect(result.current.value).toEqual({ ...base, name: 'Fat' });
    act(() => result.current.throwAway());
    expect(result.current.value).toEqual(JAR);
    expect(store.getState().drafts.jar).toBeUndefined();
  });

  test.each([
    ['of another build', { name: 7 }],
    ['no object', 'text'],
    ['with a text of no codec', { ...JAR, ml: { typed: '5', as: 'furlongs', was: 1 } }],
  ])('%s is passed over', (_name, draft) => {
    const { form } = kept(draft);
    expect(form().value).toEqual(JAR);
    expect(form().resumedAt).toBeNull();
  });

  test('half typed is still a draft', () => {
    expect(isDraftOf(jarSchema, { ...JAR, name: '' })).toBe(true);
    expect(isDraftOf(jarSchema, { ...JAR, ml: { typed: 'x', as: 'number', was: null } })).toBe(
      true,
    );
    expect(isDraftOf(jarSchema, { ...JAR, madeAt: 'soon' })).toBe(true);
  });
});

describe('paths', () => {
  test('lead into lists and out of what is not there', () => {
    const value = { mix: [{ parts: 1 }, { parts: 2 }] };
    expect(at(value, 'mix.1.parts')).toBe(2);
    expect(at(value, 'mix.7.parts')).toBeUndefined();
    expect(at(null, 'a')).toBeUndefined();
    expect(withAt(value, 'mix.1.parts', 5)).toEqual({ mix: [{ parts: 1 }, { parts: 5 }] });
    expect(value.mix[1]!.parts).toBe(2);
    expect(withAt({ a: 1, b: 2 }, 'b', undefined)).toEqual({ a: 1 });
  });

  test('a number is read as far as it is typed', () => {
    expect(numberOf(3)).toBe(3);
    expect(numberOf({ typed: '12,5', as: 'percent', was: null })).toBe(0.125);
    expect(numberOf(null)).toBeNaN();
  });
});

describe('a form that writes at once', () => {
  const live = (write: (jar: Jar) => void) => {
    const store = createStore();
    const hook = renderHook(
      () => useLiveForm({ key: 'jar', schema: jarSchema, document: JAR }, write),
      { wrapper: inStore(store) },
    );
    return () => hook.result.current;
  };

  test('a choice at once, a field when it is left', () => {
    const write = jest.fn();
    const form = live(write);
    act(() => form().text('name').onChangeText('Fat'));
    expect(write).not.toHaveBeenCalled();
    act(() => form().text('name').onBlur());
    expect(write).toHaveBeenLastCalledWith({ ...JAR, name: 'Fat' });
    act(() => form().put('price', 3));
    expect(write).toHaveBeenCalledTimes(2);
  });

  test('not what is wrong, and not what is as it was', () => {
    const write = jest.fn();
    const form = live(write);
    act(() => form().number('ml', 'millilitres').onChangeText('0'));
    act(() => form().number('ml', 'millilitres').onBlur());
    act(() => form().number('ml', 'millilitres').onChangeText('33.33'));
    act(() => form().number('ml', 'millilitres').onBlur());
    expect(write).not.toHaveBeenCalled();
  });
});

test('rows keep their keys when one of them goes', () => {
  const { result, rerender } = renderHook(({ count }) => useRowKeys(count), {
    initialProps: { count: 3 },
  });
  const [first, , third] = result.current.keys;
  act(() => result.current.removed(1));
  rerender({ count: 2 });
  expect(result.current.keys).toEqual([first, third]);
  rerender({ count: 3 });
  expect(result.current.keys.slice(0, 2)).toEqual([first, third]);
  expect(new Set(result.current.keys).size).toBe(3);
});

describe('what is said of a form', () => {
  function Jars({ document = JAR }: { document?: Jar }) {
    const form = useForm({ key: 'jar', schema: jarSchema, document });
    return (
      <>
        <FormState form={form} />
        <button onClick={() => form.put('name', 'Fat')}>name it fat</button>
        <p>{form.value?.name}</p>
      </>
    );
  }

  test('nothing, until something was changed', () => {
    render(<Jars />, { wrapper: inStore(createStore()) });
    expect(screen.queryByRole('note')).toBeNull();
    fireEvent.click(screen.getByText('name it fat'));
    expect(screen.getByRole('note').textContent).toMatch(/Not kept yet/);
  });

  test('thrown away by a question', () => {
    render(<Jars />, { wrapper: inStore(createStore()) });
    fireEvent.click(screen.getByText('name it fat'));
    fireEvent.click(screen.getByText('Throw away'));
    expect(screen.getByText('Throw away what you typed?')).toBeTruthy();
    fireEvent.click(screen.getByText('Go on with it'));
    expect(screen.getByText('Fat')).toBeTruthy();
    fireEvent.click(screen.getByText('Throw away'));
    fireEvent.click(screen.getAllByText('Throw away').at(-1)!);
    expect(screen.getByText('Lean')).toBeTruthy();
  });

  test('a step back', () => {
    render(<Jars />, { wrapper: inStore(createStore()) });
    fireEvent.click(screen.getByText('name it fat'));
    fireEvent.click(screen.getByText('Back one step'));
    expect(screen.getByText('Lean')).toBeTruthy();
  });

  test('that another hand has changed it', () => {
    const store = createStore();
    const { rerender } = render(<Jars />, { wrapper: inStore(store) });
    fireEvent.click(screen.getByText('name it fat'));
    rerender(<Jars document={{ ...JAR, ml: 7 }} />);
    expect(screen.getByText(/changed elsewhere meanwhile/)).toBeTruthy();
  });
});
