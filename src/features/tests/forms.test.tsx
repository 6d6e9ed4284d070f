import { cleanup, screen } from '@testing-library/react';
import { starterCabinet } from '@/core/cabinet';
import { beginSession, endSession } from '@/core/session';
import { layCoat } from '@/core/painting/events';
import type { Painting } from '@/core/painting';
import { isoDaysAgo, making, newPainting, NOW_MS, stackOf } from '@/core/tests/paintings';
import { part, recipe, tube } from '@/core/tests/recipes';
import { APPLICATIONS } from '@/data/applications';
import { addPainting, addSession } from '@/store/actions';
import { ticked } from '@/store/present';
import { settingsChanged } from '@/store/studio';
import { createStore, type Store } from '@/store/store';
import { CabinetScreen } from '../cabinet/CabinetScreen';
import { CoatScreen } from '../coat/CoatScreen';
import { AboutPaintingScreen } from '../painting/AboutPaintingScreen';
import { NewPaintingScreen } from '../paintings/NewPaintingScreen';
import { DatesScreen } from '../plan/DatesScreen';
import { SessionPageScreen } from '../session/SessionPageScreen';
import { choose, field, inStudio, press, tick, type } from './render';

const mockRouter = {
  back: jest.fn(),
  canGoBack: () => true,
  navigate: jest.fn(),
  push: jest.fn(),
  replace: jest.fn(),
};
jest.mock('expo-router', () => ({
  useRouter: () => mockRouter,
  usePathname: () => '/',
  Link: ({ children }: { children: unknown }) => children,
}));
beforeEach(() => jest.clearAllMocks());

const WHITE = [tube('titanium-white', 4 / 3), tube('raw-umber', 1)];
const exact = stackOf(
  [recipe(WHITE, 1 / 7, [part('stand-oil', 2 / 3), part('mineral-spirits')], 100 / 3)],
  [{ minutes: 95, oneSitting: true, apart: true, why: 'keep it cool, and thin' }],
);
const [coat] = exact.coats;

function studioWith(painting: Painting): Store {
  const store = createStore();
  store.dispatch(ticked(NOW_MS));
  store.dispatch(addPainting(painting));
  return store;
}
/** Its label tells the usual range of the way it is put on. */
const THICKNESS = `Dry thickness, usually ${APPLICATIONS['brush-coat'].rangeUm.join(' to ')} µm, µm`;
const paintingIn = (store: Store, id: string) => store.getState().paintings.entities[id]!;

describe('the coat editor', () => {
  const editor = (painting: Painting, coatId: string, store = studioWith(painting)) => ({
    ...inStudio(
      <CoatScreen id={painting.id} coatId={coatId} passageId={null} afterId={null} />,
      store,
    ),
    store,
  });

  test('opened and kept, the coat is as it was to the last digit', () => {
    const { store } = editor(exact, coat!.id);
    expect(field(THICKNESS).value).toMatch(/^33\.3$/);
    press('Keep');
    expect(paintingIn(store, exact.id).coats[0]).toEqual(coat);
    expect(mockRouter.back).toHaveBeenCalled();
  });

  test('a comma is a decimal comma, also for the step after it', () => {
    const { store } = editor(exact, coat!.id);
    const label = THICKNESS;
    type(label, '42,5');
    press(/^More: Dry thickness/);
    expect(field(label).value).toBe('45');
    press('Keep');
    expect(paintingIn(store, exact.id).coats[0]).toEqual({
      ...coat,
      recipe: { ...coat!.recipe, thicknessUm: 45 },
    });
  });

  test('what is wrong is said where it stands, and nothing can be kept', () => {
    const { store } = editor(exact, coat!.id);
    type('Medium, share of the whole mixture, %', '140');
    expect(screen.getAllByText('The share of medium cannot be over 100 %.').length).toBeGreaterThan(
      0,
    );
    press('Keep');
    expect(paintingIn(store, exact.id).coats[0]).toEqual(coat);
    expect(mockRouter.back).not.toHaveBeenCalled();
  });

  test('left half done for the cabinet, it is taken up where it was; another coat is not touched by it', () => {
    const { store } = editor(exact, coat!.id);
    type('Name of the coat', 'First lay-in, grey');
    cleanup();
    editor(exact, coat!.id, store);
    expect(field('Name of the coat').value).toBe('First lay-in, grey');
    expect(screen.getByText(/Taken up as you left it/)).toBeTruthy();
    expect(paintingIn(store, exact.id).coats[0]!.name).toBe('Coat 1');
    press('Keep');
    expect(paintingIn(store, exact.id).coats[0]).toEqual({ ...coat, name: 'First lay-in, grey' });
    cleanup();
    editor(exact, coat!.id, store);
    expect(screen.queryByText(/Taken up as you left it/)).toBeNull();
  });

  test('made a drawing and paint again, it is mixed as before', () => {
    const { store } = editor(exact, coat!.id);
    choose('drawing, pastel, tempera, varnish …');
    choose('paint, mixed');
    type(THICKNESS, '33.3');
    press('Keep');
    const kept = paintingIn(store, exact.id).coats[0]!;
    expect(kept.recipe.mix).toEqual(coat!.recipe.mix);
    expect(kept.recipe.mediumShare).toBe(1 / 7);
  });

  test('of two paints the one that is meant goes', () => {
    const { store } = editor(exact, coat!.id);
    press('Take out Titanium white');
    press('Keep');
    expect(paintingIn(store, exact.id).coats[0]!.recipe.mix).toEqual([WHITE[1]]);
  });

  const laid = layCoat(
    exact,
    {
      coatId: coat!.id,
      passageIds: coat!.passageIds,
      at: isoDaysAgo(2),
      spot: null,
      intoWet: false,
    },
    making(),
  );

  test('the record of what was laid is left alone, unless it was wrong', () => {
    const { store } = editor(laid, coat!.id);
    type(THICKNESS, '80');
    press('Keep');
    const kept = paintingIn(store, laid.id);
    expect(kept.coats[0]!.recipe.thicknessUm).toBe(80);
    expect(kept.events[0]).toMatchObject({ recipe: { thicknessUm: 100 / 3 } });
  });

  test('corrected, only what was typed changes in it', () => {
    const { store } = editor(laid, coat!.id);
    tick('Correct the record of what was laid too');
    type(THICKNESS, '80');
    press('Keep');
    expect(paintingIn(store, laid.id).events[0]).toMatchObject({
      recipe: { ...coat!.recipe, thicknessUm: 80 },
    });
  });

  test('the preview follows the tick', () => {
    editor(laid, coat!.id);
    const figures = () => screen.getAllByText(/dry in|does not dry/)[0]!.textContent;
    const before = figures();
    type(THICKNESS, '200');
    expect(figures()).toBe(before);
    tick('Correct the record of what was laid too');
    expect(figures()).not.toBe(before);
  });
});

describe('a new painting', () => {
  const start = (units: 'cm' | 'inch' = 'cm') => {
    const store = createStore();
    store.dispatch(settingsChanged({ units }));
    inStudio(<NewPaintingScreen />, store);
    return store;
  };
  const only = (store: Store) => Object.values(store.getState().paintings.entities)[0];

  test('is laid out as it was said, with commas in its names', () => {
    const store = start();
    type('Title', 'Harbour, late, from the pier');
    type('Width, cm', '62,5');
    type('Passage 1', 'boats, near');
    press('Lay out the coats');
    expect(only(store)).toMatchObject({
      title: 'Harbour, late, from the pier',
      support: { widthMm: 625, heightMm: 400 },
    });
    expect(only(store)!.passages[0]!.name).toBe('boats, near');
  });

  test('in inches, with a fraction', () => {
    const store = start('inch');
    type('Title', 'Small');
    type('Width, in', '16 1/2');
    type('Height, in', '30 cm');
    press('Lay out the coats');
    expect(only(store)!.support.widthMm).toBeCloseTo(419.1, 9);
    expect(only(store)!.support.heightMm).toBe(300);
  });

  test('without a title it says so, and stores nothing', () => {
    const store = start();
    press('Lay out the coats');
    expect(screen.getByText('Give it a title; it can change later.')).toBeTruthy();
    expect(screen.getByText(/still needs your hand/)).toBeTruthy();
    expect(only(store)).toBeUndefined();
  });

  test('left half done it waits, and is gone once it is laid out', () => {
    const store = start();
    type('Title', 'Half a title');
    press('Another passage');
    type('Passage 3', 'sky');
    cleanup();
    inStudio(<NewPaintingScreen />, store);
    expect(field('Title').value).toBe('Half a title');
    expect(field('Passage 3').value).toBe('sky');
    press('Even shares');
    press('Lay out the coats');
    expect(only(store)!.passages.map((p) => p.share)).toEqual([0.34, 0.33, 0.33]);
    cleanup();
    inStudio(<NewPaintingScreen />, store);
    expect(field('Title').value).toBe('');
  });

  test('of three passages the one that is meant goes, and keeps what was typed in the others', () => {
    const store = start();
    type('Title', 'Three');
    press('Another passage');
    type('Passage 3', 'sky');
    press('Take out');
    expect(field('Passage 2').value).toBe('sky');
    press('Even shares');
    press('Lay out the coats');
    expect(only(store)!.passages.map((p) => p.name)).toEqual(['background', 'sky']);
  });
});

describe('the particulars of a painting', () => {
  test('shares that do not make 100 % are refused, and nothing changes', () => {
    const painting = newPainting();
    const store = studioWith(painting);
    inStudio(<AboutPaintingScreen id={painting.id} />, store);
    type('Share of passage 1, %', '70');
    expect(screen.getByText(/they must make 100 %/)).toBeTruthy();
    press('Keep these changes');
    expect(paintingIn(store, painting.id).passages).toEqual(painting.passages);
    type('Share of passage 2, %', '30');
    press('Keep these changes');
    expect(paintingIn(store, painting.id).passages.map((p) => p.share)).toEqual([0.7, 0.3]);
  });

  test('a title alone changes nothing else', () => {
    const painting = newPainting();
    const store = studioWith(painting);
    inStudio(<AboutPaintingScreen id={painting.id} />, store);
    type('Title', 'Three jars, and a wall');
    press('Keep these changes');
    const { passages, touches, coats } = paintingIn(store, painting.id);
    expect({ passages, touches, coats }).toEqual({
      passages: painting.passages,
      touches: painting.touches,
      coats: painting.coats,
    });
  });
});

describe('a paint of the cabinet', () => {
  const paint = { ...starterCabinet().paints[0]!, left: 2 / 3, price: 12.345, tubeMl: 37.5 };
  const open = () => {
    const store = createStore();
    store.dispatch({
      type: 'cabinet/cabinetArrived',
      payload: { ...starterCabinet(), paints: [paint] },
    });
    inStudio(<CabinetScreen chosen={{ kind: 'paint', id: paint.id }} />, store);
    return store;
  };

  test('opened and kept, it is as it was', () => {
    const store = open();
    press('Keep');
    expect(store.getState().cabinet.paints[0]).toEqual(paint);
  });

  test('a price is taken away by emptying its field, and the rest stays', () => {
    const store = open();
    type('Price of a tube', '');
    press('Keep');
    expect(store.getState().cabinet.paints[0]).toEqual({ ...paint, price: null });
  });

  test('what it cannot be is said, and not kept', () => {
    const store = open();
    type('Left of it; 200 % is two tubes, %', '-5');
    expect(screen.getByText('What is left cannot be below 0 %.')).toBeTruthy();
    press('Keep');
    expect(store.getState().cabinet.paints[0]).toEqual(paint);
  });
});

describe('date and waits', () => {
  test('a date is set, moved in our own order of day and month, and taken away', () => {
    const painting = newPainting();
    const store = studioWith(painting);
    inStudio(<DatesScreen id={painting.id} />, store);
    press('Set a date');
    type('Due', '4 Mar 2027, 17:30');
    expect(paintingIn(store, painting.id).planning!.dueAt).toBe(
      new Date('2027-03-04T17:30').toISOString(),
    );
    expect(field('Due').value).toBe('Thu 4 Mar 2027, 17:30');
    choose('varnished');
    expect(paintingIn(store, painting.id).planning!.milestone).toBe('varnished');
    press('No date');
    expect(paintingIn(store, painting.id).planning).toMatchObject({
      dueAt: null,
      milestone: 'varnished',
    });
  });

  test('what is no date is refused, and the one that was stays', () => {
    const painting = newPainting();
    const store = studioWith(painting);
    inStudio(<DatesScreen id={painting.id} />, store);
    press('Set a date');
    const { dueAt } = paintingIn(store, painting.id).planning!;
    type('Due', 'next spring');
    expect(screen.getByText(/Give a day and a time/)).toBeTruthy();
    expect(paintingIn(store, painting.id).planning!.dueAt).toBe(dueAt);
  });
});

describe('a session that is corrected', () => {
  const ended = endSession(
    beginSession(
      { goal: 'the hands', boxMinutes: null, works: [] } as never,
      making(isoDaysAgo(1)),
    ),
    making(new Date(NOW_MS - 86_400_000 + 5_400_123).toISOString()),
  );
  const open = () => {
    const store = createStore();
    store.dispatch(ticked(NOW_MS));
    store.dispatch(addSession(ended));
    inStudio(<SessionPageScreen id={ended.id} />, store);
    return { store, session: () => store.getState().sessions.entities[ended.id]! };
  };

  test('in its words, which is kept when the field is left; the end keeps its seconds', () => {
    const { session } = open();
    type('Note', 'too warm, by far');
    choose('partly');
    expect(session()).toMatchObject({
      note: 'too warm, by far',
      reached: 'partly',
      endedAt: ended.endedAt,
    });
  });

  test('an end before the beginning is refused', () => {
    const { session } = open();
    type('Ended', '1 Jan 2020, 10:00');
    expect(screen.getByText('It would end before it begins. Give a later end.')).toBeTruthy();
    expect(session().endedAt).toBe(ended.endedAt);
  });

  test('a note over its length is told at the field, and the old one stays', () => {
    const { session } = open();
    type('Note', 'x'.repeat(4001));
    expect(screen.getByText('At most 4000 letters.')).toBeTruthy();
    expect(session().note).toBe('');
  });
});
