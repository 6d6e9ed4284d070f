import { createSelector } from '@reduxjs/toolkit';
import { paceFrom, paceSamples } from '@/core/session/pace';
import { sessionSelectors } from './sessions';
import type { State } from './store';

/** The zone of the machine: hours are meant on its clock. */
export const localZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

export const selectSessions = createSelector([(state: State) => state.sessions], (sessions) =>
  sessionSelectors.selectAll(sessions),
);

/** What the sessions say of the painter's pace: gone through once, for the pace and for how far it strays. */
export const selectPaceSamples = createSelector(
  [selectSessions, (state: State) => state.paintings.entities],
  paceSamples,
);

/** The painter's own pace by kind of coat. */
export const selectPace = createSelector([selectPaceSamples], paceFrom);
