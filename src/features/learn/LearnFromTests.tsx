import { useEffect, useMemo } from 'react';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import type { FilmEvidence } from '@/core/learn';
import { withForgotten } from '@/core/learn/forget';
import type { AssessOptions, Painting } from '@/core/painting';
import { evidenceOf } from '@/core/painting/evidence';
import { useAir, usePaintings, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { learnedArrived, learningFailed } from '@/store/learned';
import { solveLearning } from '@/workers/client';

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

export function useEvidence(): FilmEvidence[] {
  const paintings = usePaintings();
  const { climate, forgotten } = useStoreSelector((state) => state.studio);
  const followed = useAir();
  return useMemo(() => {
    const air: Air = { climate, ...(followed ? { air: followed } : {}) };
    return withForgotten(
      paintings.flatMap((p) => evidenceFrom(p, air)),
      forgotten,
    );
  }, [paintings, climate, followed, forgotten]);
}

/** Learns in the worker whenever the tests, or the air they were made in, have changed. Draws nothing. */
export function LearnFromTests() {
  const dispatch = useStoreDispatch();
  const evidence = useEvidence();
  // A reading more changes the air, but seldom what a test says: only what differs is learned again.
  const said = useMemo(() => JSON.stringify(evidence), [evidence]);
  useEffect(() => {
    let gone = false;
    solveLearning({ evidence: JSON.parse(said) as FilmEvidence[] }).then(
      (learning) => {
        if (!gone) dispatch(learnedArrived(learning));
      },
      (error: Error) => {
        if (!gone) dispatch(learningFailed(error.message));
      },
    );
    return () => {
      gone = true;
    };
  }, [dispatch, said]);
  return null;
}
