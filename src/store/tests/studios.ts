import { layCoat } from '@/core/painting/events';
import { touchFilm } from '@/core/painting/touch';
import type { Painting } from '@/core/painting';
import { isoDaysAgo, making, newPainting, NOW_MS } from '@/core/tests/paintings';
import type { Finding } from '@/data/learning';
import { paintingsLoaded } from '../paintings';
import { ticked } from '../present';
import { createStore, type Store } from '../store';

/** A store at the moment of the tests with these paintings. */
export function storeWith(...paintings: Painting[]): Store {
  const store = createStore();
  store.dispatch(ticked(NOW_MS));
  store.dispatch(paintingsLoaded(paintings));
  return store;
}

/** Its first coat laid everywhere it is planned, some days ago. */
export function laidFirst(painting: Painting = newPainting(), daysAgo = 3): Painting {
  const [coat] = painting.coats;
  return layCoat(
    painting,
    {
      coatId: coat!.id,
      passageIds: coat!.passageIds,
      at: isoDaysAgo(daysAgo),
      spot: null,
      intoWet: false,
    },
    making(),
  );
}

/** The same with a finger's finding on its first passage. */
export const touched = (
  painting: Painting,
  finding: Finding = 'touch-dry',
  daysAgo = 1,
): Painting =>
  touchFilm(
    painting,
    {
      passageId: painting.passages[0]!.id,
      spotName: null,
      at: isoDaysAgo(daysAgo),
      finding,
      twistMarks: false,
    },
    making(),
  );

/** Everything that waits has happened: promises are kept, listeners have run. */
export const settled = async (turns = 20): Promise<void> => {
  for (let i = 0; i < turns; i++) await Promise.resolve();
};
