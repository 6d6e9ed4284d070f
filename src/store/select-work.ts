import { createSelector } from '@reduxjs/toolkit';
import { paceOf } from '@/core/session/pace';
import { sessionSelectors } from './sessions';
import type { State } from './store';

/** The zone of the machine: hours are meant on its clock. */
export const localZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

export const selectSessions = createSelector([(state: State) => state.sessions], (sessions) =>
  sessionSelectors.selectAll(sessions),
);

/** The painter's own pace by kind of coat. */
export const selectPace = createSelector(
  [selectSessions, (state: State) => state.paintings.entities],
  paceOf,
);
