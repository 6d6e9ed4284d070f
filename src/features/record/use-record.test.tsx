import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { touchFilm } from '@/core/painting/touch';
import { beginSession } from '@/core/session';
import { newPainting } from '@/core/tests/paintings';
import { addPainting, addSession } from '@/store/actions';
import { making, nowMs } from '@/store/clock';
import { createStore } from '@/store/store';
import { useRecord } from './useRecord';

const HOUR_MS = 3_600_000;
const studio = () => {
  const store = createStore();
  const painting = newPainting();
  store.dispatch(addPainting(painting));
  const session = beginSession({ works: [], boxMinutes: null, goal: '' }, making());
  store.dispatch(addSession(session));
  const { result } = renderHook(() => useRecord(), {
    wrapper: ({ children }: { children: ReactNode }) => (
      <Provider store={store}>{children}</Provider>
    ),
  });
  const works = () => store.getState().sessions.entities[session.id]!.works.map((w) => w.name);
  return { store, painting, result, works };
};

test('what is laid while a session runs belongs to it; what was laid before it does not', () => {
  const { painting, result, works } = studio();
  const laid = (name: string) => ({
    paintingId: painting.id,
    passageIds: [painting.passages[0]!.id],
    coatId: name,
    name,
    done: true,
  });
  act(() => result.current.note(laid('Forgotten'), new Date(nowMs() - 96 * HOUR_MS).toISOString()));
  expect(works()).toEqual([]);
  act(() => result.current.note(laid('Now')));
  expect(works()).toEqual(['Now']);
});

test('what cannot be entered is refused with its sentence, and changes nothing', () => {
  const { store, painting, result } = studio();
  const before = store.getState().paintings.entities[painting.id];
  act(() => {
    const kept = result.current.record(painting.id, 'Touched', (p, _o, m) =>
      touchFilm(
        p,
        {
          passageId: p.passages[0]!.id,
          spotName: null,
          at: m.now,
          finding: 'tacky',
          twistMarks: false,
        },
        m,
      ),
    );
    expect(kept).toBe(false);
  });
  expect(result.current.refusal?.message).toMatch(/^Nothing was laid there by then/);
  expect(store.getState().paintings.entities[painting.id]).toBe(before);
});
