import { useState } from 'react';
import { CoreError } from '@/core/errors';
import type { AssessOptions, Making, Painting } from '@/core/painting';
import { noteLaid, type Work } from '@/core/session';
import { changePainting, changeSession, inOneStep } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { useAssessOptions, useStoreDispatch } from '@/store/hooks';
import { useRunningSession } from '@/features/session/useSession';

export interface Refusal {
  where: string;
  message: string;
}

/**
 * Enter what was done at the easel: judged by the air of the studio, and refused with a sentence, in which case nothing
 * has changed.
 */
export function useRecord() {
  const dispatch = useStoreDispatch();
  const options = useAssessOptions();
  const running = useRunningSession();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  /** @param what how it is called when it can be undone */
  const record = (
    paintingId: string,
    what: string,
    change: (painting: Painting, options: AssessOptions, making: Making) => Painting,
  ): boolean => {
    try {
      dispatch(changePainting(paintingId, what, (p, making) => change(p, options, making)));
      setRefusal(null);
      return true;
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      setRefusal({ where: error.where, message: error.message });
      return false;
    }
  };
  /** A coat that is laid while a session runs belongs to it; one that was laid before it does not. */
  const note = (
    laid: Pick<Work, 'paintingId' | 'passageIds' | 'coatId' | 'name' | 'done'>,
    at: string = nowIso(),
  ): void => {
    if (running && Date.parse(at) >= Date.parse(running.startedAt))
      dispatch(
        changeSession(running.id, `Noted ${laid.name.toLowerCase()}`, (s, m) =>
          noteLaid(s, laid, m),
        ),
      );
  };
  /** Whatever is entered in it is one step to be taken back. */
  const oneStep = (what: string, run: () => void): void => void dispatch(inOneStep(what, run));
  return { record, note, oneStep, refusal, setRefusal, options };
}
