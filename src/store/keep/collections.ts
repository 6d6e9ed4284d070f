import { mergeCabinets } from '@/core/cabinet/edit';
import { mergeMonths } from '@/core/climate/readings';
import { mergeStudios } from '@/core/formats/merge-studio';
import { mergePaintings } from '@/core/painting';
import { mergeRecords } from '@/core/plan-record/record';
import { mergeSessions } from '@/core/session/merge';
import { cabinetArrived } from '../cabinet';
import { monthLeft, monthsChanged } from '../climate';
import { paintingLeft, paintingsLoaded } from '../paintings';
import { planLeft, planNoted } from '../plan';
import { sessionLeft, sessionsLoaded } from '../sessions';
import type { Storage } from '../storage';
import type { Store } from '../store';
import { studioArrived } from '../studio';
import { collectionKeeping } from './collection';

/** What is kept, by kind: where the store holds it and how two tabs' versions become one. */
export function collectionsOf(store: Store, storage: Storage) {
  const state = () => store.getState();
  const idOf = (document: { id: string }): string => document.id;
  const studio = collectionKeeping(
    {
      kind: 'studio',
      here: () => ({ studio: state().studio }),
      idOf: () => 'studio',
      merge: (base, mine, theirs) => mergeStudios(base ?? theirs, mine, theirs),
      arrived: ([settings]) => void store.dispatch(studioArrived(settings!)),
      left: () => undefined,
    },
    storage,
  );
  const cabinet = collectionKeeping(
    {
      kind: 'cabinet',
      here: () => ({ cabinet: state().cabinet }),
      idOf: () => 'cabinet',
      merge: (base, mine, theirs) => mergeCabinets(base ?? theirs, mine, theirs),
      arrived: ([now]) => void store.dispatch(cabinetArrived(now!)),
      left: () => undefined,
    },
    storage,
  );
  studio.begins('studio', state().studio);
  cabinet.begins('cabinet', state().cabinet);
  return {
    painting: collectionKeeping(
      {
        kind: 'painting',
        here: () => state().paintings.entities,
        idOf,
        merge: (base, mine, theirs) => (base ? mergePaintings(base, mine, theirs) : mine),
        arrived: (paintings) => void store.dispatch(paintingsLoaded(paintings)),
        left: (id) => void store.dispatch(paintingLeft(id)),
      },
      storage,
    ),
    session: collectionKeeping(
      {
        kind: 'session',
        here: () => state().sessions.entities,
        idOf,
        merge: (base, mine, theirs) => (base ? mergeSessions(base, mine, theirs) : mine),
        arrived: (sessions) => void store.dispatch(sessionsLoaded(sessions)),
        left: (id) => void store.dispatch(sessionLeft(id)),
      },
      storage,
    ),
    climate: collectionKeeping(
      {
        kind: 'climate',
        here: () => state().climate,
        idOf,
        merge: (_base, mine, theirs) => mergeMonths(mine, theirs),
        arrived: (months) => void store.dispatch(monthsChanged(months)),
        left: (id) => void store.dispatch(monthLeft(id)),
      },
      storage,
    ),
    plan: collectionKeeping(
      {
        kind: 'plan',
        here: () => state().plan,
        idOf,
        merge: mergeRecords,
        arrived: ([record]) => void store.dispatch(planNoted(record!)),
        left: () => void store.dispatch(planLeft()),
      },
      storage,
    ),
    studio,
    cabinet,
  };
}
