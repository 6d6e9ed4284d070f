import { createEntityAdapter, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { finished } from './finished';
import { mergeSessions } from '@/core/session/merge';
import type { Session } from '@/core/session/schema';

/** A change the painter made to a session, and the session before and after (null: not there). */
export interface SessionChange {
  what: string;
  before: Session | null;
  after: Session | null;
}

const adapter = createEntityAdapter<Session>({
  sortComparer: (a, b) => b.startedAt.localeCompare(a.startedAt),
});

const slice = createSlice({
  name: 'sessions',
  initialState: adapter.getInitialState(),
  reducers: {
    sessionChanged(state, { payload }: PayloadAction<SessionChange>) {
      if (payload.after) adapter.setOne(state, payload.after);
      else if (payload.before) adapter.removeOne(state, payload.before.id);
    },
    sessionTakenBack(state, { payload: { before, after } }: PayloadAction<SessionChange>) {
      const id = (before ?? after)!.id;
      const current = state.entities[id] as Session | undefined;
      const restored = before && after && current ? mergeSessions(after, before, current) : before;
      if (restored) adapter.setOne(state, restored);
      else adapter.removeOne(state, id);
    },
    sessionsLoaded: {
      prepare: (sessions: Session[]) => ({ payload: sessions.map(finished) }),
      reducer(state, { payload }: PayloadAction<Session[]>) {
        adapter.setMany(state, payload);
      },
    },
    sessionArrived(state, { payload }: PayloadAction<Session>) {
      adapter.setOne(state, payload);
    },
    sessionLeft(state, { payload }: PayloadAction<string>) {
      adapter.removeOne(state, payload);
    },
  },
});

export const { sessionChanged, sessionTakenBack, sessionsLoaded, sessionArrived, sessionLeft } =
  slice.actions;
export const sessionsReducer = slice.reducer;
export const sessionSelectors = adapter.getSelectors();
