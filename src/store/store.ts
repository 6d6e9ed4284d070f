import { configureStore } from '@reduxjs/toolkit';
import { cabinetReducer } from './cabinet';
import { climateReducer } from './climate';
import { learnedReducer } from './learned';
import { loggerReducer } from './logger';
import { paintingsReducer } from './paintings';
import { planReducer } from './plan';
import { plannedReducer } from './planned';
import { savingReducer } from './saving';
import { sessionsReducer } from './sessions';
import { studioReducer } from './studio';
import { undoReducer } from './undo';

export const createStore = () =>
  configureStore({
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
      undo: undoReducer,
    },
    // Paintings are plain data checked by Zod; walking every one of them on each action is dear in development.
    middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }),
  });

export type Store = ReturnType<typeof createStore>;
export type State = ReturnType<Store['getState']>;
export type Dispatch = Store['dispatch'];
