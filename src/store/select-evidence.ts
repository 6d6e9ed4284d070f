import { createSelector } from '@reduxjs/toolkit';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import type { FilmEvidence } from '@/core/learn';
import { withForgotten } from '@/core/learn/forget';
import type { AssessOptions, Painting } from '@/core/painting';
import { evidenceOf } from '@/core/painting/evidence';
import { selectAir, selectPaintings } from './select';
import type { State } from './store';

type Air = Pick<AssessOptions, 'climate' | 'air'>;

/** Evidence of a painting, gathered again only when the painting or the air has changed. */
const gathered = new WeakMap<Painting, { air: Air; evidence: FilmEvidence[] }>();

function evidenceFrom(painting: Painting, air: Air): FilmEvidence[] {
  const known = gathered.get(painting);
  if (known && known.air.air === air.air && known.air.climate === air.climate)
    return known.evidence;
  // Evidence looks back: the present only stands for "no test is later".
  const evidence = evidenceOf(painting, { handbook: STUDIO_HANDBOOK, nowMs: Infinity, ...air });
  gathered.set(painting, { air, evidence });
  return evidence;
}

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
