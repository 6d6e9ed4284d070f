import { createSelector } from '@reduxjs/toolkit';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import type { FilmEvidence } from '@/core/learn';
import { withForgotten } from '@/core/learn/forget';
import type { AssessOptions, Painting } from '@/core/painting';
import { evidenceOf } from '@/core/painting/evidence';
import { rememberLast } from '@/core/remember';
import { selectAir, selectPaintings } from './select';
import type { State } from './store';

type Air = Pick<AssessOptions, 'climate' | 'air'>;

/** Evidence of a painting, gathered again only when the painting or the air has changed. */
const evidenceFrom = rememberLast(
  'evidence',
  // Evidence looks back: the present only stands for "no test is later".
  (painting: Painting, air: Air): FilmEvidence[] =>
    evidenceOf(painting, { handbook: STUDIO_HANDBOOK, nowMs: Infinity, ...air }),
  (a, b) => a.air === b.air && a.climate === b.climate,
);

/** What the touch tests of all paintings say, each with the air it was made in. */
export const selectEvidence = createSelector(
  [
    selectPaintings,
    (state: State) => state.studio.climate,
    (state: State) => state.studio.forgotten,
    selectAir,
  ],
  (paintings, climate, forgotten, followed): FilmEvidence[] => {
    const air: Air = { climate, ...(followed ? { air: followed } : {}) };
    return withForgotten(
      paintings.flatMap((p) => evidenceFrom(p, air)),
      forgotten,
    );
  },
);

/** The same as text: a reading more changes the air, but seldom what a test says. */
export const selectEvidenceText = createSelector([selectEvidence], (evidence) =>
  JSON.stringify(evidence),
);
