import {
  configureStore,
  createListenerMiddleware,
  type TypedStartListening,
} from '@reduxjs/toolkit';
import { acceptable } from './acceptable';
import { cabinetReducer } from './cabinet';
import { climateReducer } from './climate';
import { draftsReducer } from './drafts';
import { editionReducer } from './edition';
import { learnedReducer } from './learned';
import { loggerReducer } from './logger';
import { paintingsReducer } from './paintings';
import { planReducer } from './plan';
import { plannedReducer } from './planned';
import { presentReducer } from './present';
import { savingReducer } from './saving';
import { sessionsReducer } from './sessions';
import { studioReducer } from './studio';
import { undoReducer } from './undo';

function configured() {
  const listeners = createListenerMiddleware();
  const store = configureStore({
    reducer: {
      paintings: paintingsReducer,
      cabinet: cabinetReducer,
      sessions: sessionsReducer,
      climate: climateReducer,
      plan: planReducer,
      planned: plannedReducer,
      learned: learnedReducer,
      logger: loggerReducer,
      studio: studioReducer,
      saving: savingReducer,
      present: presentReducer,
      drafts: draftsReducer,
      edition: editionReducer,
      undo: undoReducer,
    },
    // Paintings are plain data checked by Zod; walking every one of them on each action is dear in development.
    middleware: (defaults) =>
      defaults({ immutableCheck: false, serializableCheck: false }).prepend(
        acceptable,
        listeners.middleware,
      ),
  });
  return { store, listen: listeners.startListening };
}

type Configured = ReturnType<typeof configured>['store'];
export type State = ReturnType<Configured['getState']>;
export type Dispatch = Configured['dispatch'];
/** Starts an effect: what is done when an action, or the state, says so. Gives back how to end it. */
export type Listen = TypedStartListening<State, Dispatch>;
export type Store = Configured & { listen: Listen };

/** The state of the studio, and `listen`, by which effects (src/store/effects) join it when their code has come. */
export function createStore(): Store {
  const { store, listen } = configured();
  return Object.assign(store, { listen: listen as Listen });
}
