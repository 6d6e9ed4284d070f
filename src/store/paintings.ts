import { createEntityAdapter, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { finished } from './finished';
import { mergePaintings, type Painting } from '@/core/painting';

/** A change the painter made: what it was called, and the painting before and after (null: not there). */
export interface PaintingChange {
  what: string;
  before: Painting | null;
  after: Painting | null;
}

const adapter = createEntityAdapter<Painting>();

/** Take one change back without losing what came after it, here or in another tab. */
function withoutChange(change: PaintingChange, current: Painting | undefined): Painting | null {
  const { before, after } = change;
  if (before && after && current) return mergePaintings(after, before, current);
  return before;
}

const slice = createSlice({
  name: 'paintings',
  initialState: adapter.getInitialState(),
  reducers: {
    /** The painter did something to a painting. */
    painterChanged(state, { payload }: PayloadAction<PaintingChange>) {
      if (payload.after) adapter.setOne(state, payload.after);
      else if (payload.before) adapter.removeOne(state, payload.before.id);
    },
    /** A change is taken back. */
    paintingTakenBack(state, { payload: change }: PayloadAction<PaintingChange>) {
      const id = (change.before ?? change.after)!.id;
      const restored = withoutChange(change, state.entities[id] as Painting | undefined);
      if (restored) {
        const newest = Math.max(
          restored.revision,
          state.entities[id]?.revision ?? 0,
          change.after?.revision ?? 0,
        );
        adapter.setOne(state, { ...restored, revision: newest + 1 });
      } else adapter.removeOne(state, id);
    },
    /** Read from storage, or from a file. */
    paintingsLoaded: {
      prepare: (paintings: Painting[]) => ({ payload: paintings.map(finished) }),
      reducer(state, { payload }: PayloadAction<Painting[]>) {
        adapter.setMany(state, payload);
      },
    },
    /** Another tab wrote it, or a save merged it with what another tab had written. */
    paintingArrived(state, { payload }: PayloadAction<Painting>) {
      adapter.setOne(state, payload);
    },
    paintingLeft(state, { payload }: PayloadAction<string>) {
      adapter.removeOne(state, payload);
    },
  },
});

export const { painterChanged, paintingTakenBack, paintingsLoaded, paintingArrived, paintingLeft } =
  slice.actions;
export const paintingsReducer = slice.reducer;
export const paintingSelectors = adapter.getSelectors();
