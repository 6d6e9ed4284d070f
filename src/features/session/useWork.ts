import { useState } from 'react';
import { isBegun, shareToLay, unlaidPassages, type Coat, type Painting } from '@/core/painting';
import { recordLaying } from '@/core/painting/record';
import { toldLaying } from '@/core/tell/laying';
import { finishWork, putDown, type Session, type Work } from '@/core/session';
import type { HowFar } from '@/features/record/PutDownSheet';
import { freeName, knownParts } from '@/features/record/PartFields';
import { useRecord } from '@/features/record/useRecord';
import { changeSession } from '@/store/actions';
import { nowIso, nowMs } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';

/** Share of a work's passages that its coat lies on: 0 to 1, by area. */
export function laidPart(painting: Painting, coat: Coat, passageIds: string[]): number {
  const here = painting.passages.filter((p) => passageIds.includes(p.id));
  const all = here.reduce((sum, p) => sum + p.share, 0);
  const full = coat.spot?.share ?? 1;
  const left = here.reduce((sum, p) => sum + p.share * shareToLay(painting, coat, p.id), 0);
  return all === 0 ? 0 : 1 - left / (all * full);
}

/** What a sheet is open for. */
export type Asking =
  | { what: 'how-far'; work: Work }
  | { what: 'laying'; work: Work; more: boolean; then: 'finish' | 'put-down' };

/** Putting work down and being done with it: the session notes it, and what was done of the coat is laid. */
export function useWork(session: Session) {
  const dispatch = useStoreDispatch();
  const paintings = useStoreSelector((state) => state.paintings.entities);
  const { record, oneStep, refusal, options } = useRecord();
  const [asking, setAsking] = useState<Asking | null>(null);

  const coatOf = (work: Work) => {
    const painting = paintings[work.paintingId];
    const coat = painting?.coats.find((c) => c.id === work.coatId);
    return painting && coat ? { painting, coat } : null;
  };
  const unlaid = (work: Work): string[] => {
    const of = coatOf(work);
    return of
      ? unlaidPassages(of.painting, of.coat).filter((id) => work.passageIds.includes(id))
      : [];
  };
  const finished = (work: Work) =>
    dispatch(
      changeSession(session.id, `Finished ${work.name.toLowerCase()}`, (s, m) =>
        s.works.find((w) => w.id === work.id)?.done ? s : finishWork(s, work.id, m),
      ),
    );
  const laidDown = (work: Work) =>
    dispatch(
      changeSession(session.id, `Put down ${work.name.toLowerCase()}`, (s, m) =>
        putDown(s, work.id, m),
      ),
    );

  /** Lay it without more ado; false where it has to be looked at first. */
  const layNow = (work: Work, half: boolean): boolean => {
    const of = coatOf(work);
    if (!of) return true;
    const { painting, coat } = of;
    const passageIds = unlaid(work);
    // On paint that it would lift, or against a rule, it is not laid without a look.
    const told = toldLaying(
      painting,
      { coat, passageIds, spot: coat.spot, atMs: nowMs() },
      options,
    );
    if (told.refused || told.lifts) return false;
    const part = half
      ? {
          name: freeName(knownParts(painting, passageIds)),
          share:
            Math.round(50 * Math.min(...passageIds.map((id) => shareToLay(painting, coat, id)))) /
            100,
        }
      : coat.spot;
    return record(painting.id, `Laid ${coat.name.toLowerCase()}`, (p, o, making) =>
      recordLaying(p, { coatId: coat.id, passageIds, at: nowIso(), spot: part }, o, making),
    );
  };

  return {
    refusal,
    asking,
    close: () => setAsking(null),
    isRest(work: Work): boolean {
      const of = coatOf(work);
      return of !== null && work.passageIds.some((id) => isBegun(of.painting, of.coat, id));
    },
    /** All of it is done. */
    finish(work: Work) {
      setAsking(null);
      if (!coatOf(work)) return void finished(work);
      // Taken up again after it was laid: what was added is asked.
      if (unlaid(work).length === 0)
        return setAsking({ what: 'laying', work, more: true, then: 'finish' });
      let laid = false;
      oneStep(`Laid ${work.name.toLowerCase()}`, () => {
        laid = layNow(work, false);
        if (laid) finished(work);
      });
      if (!laid) setAsking({ what: 'laying', work, more: false, then: 'finish' });
    },
    /** Put down: with a coat that is not all laid, how far it has got is asked. */
    putDown(work: Work) {
      if (unlaid(work).length > 0) setAsking({ what: 'how-far', work });
      else laidDown(work);
    },
    /** How far it has got. */
    choose(work: Work, howFar: HowFar) {
      setAsking(null);
      if (howFar === 'nothing') laidDown(work);
      else if (howFar === 'all') this.finish(work);
      else {
        let laid = false;
        if (howFar === 'half')
          oneStep(`Laid half of ${work.name.toLowerCase()}`, () => {
            laid = layNow(work, true);
            if (laid) laidDown(work);
          });
        if (!laid) setAsking({ what: 'laying', work, more: false, then: 'put-down' });
      }
    },
    /** What was asked about is laid. */
    laid({ work, then }: Extract<Asking, { what: 'laying' }>) {
      setAsking(null);
      if (then === 'finish') finished(work);
      else laidDown(work);
    },
    finished,
  };
}
