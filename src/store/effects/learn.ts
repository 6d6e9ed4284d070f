import type { FilmEvidence } from '@/core/learn';
import type { Learning } from '@/core/learn/learn';
import { assessAhead } from '../assess-all';
import { learnedArrived, learningFailed } from '../learned';
import { selectOptions, selectPaintings } from '../select';
import { selectEvidenceText } from '../select-evidence';
import type { State, Store } from '../store';

/** Learns whenever the tests, or the air they were made in, have changed. */
export function learnFromTests(
  store: Store,
  solve: (request: { evidence: FilmEvidence[] }) => Promise<Learning>,
): () => void {
  let said: string | null = null;
  async function learn(state: State): Promise<void> {
    const text = selectEvidenceText(state);
    if (text === said) return;
    said = text;
    try {
      const learning = await solve({ evidence: JSON.parse(text) as FilmEvidence[] });
      // What was learned changes every film: all are judged by it bit by bit, before any screen asks for all at once.
      const now = store.getState();
      await assessAhead(selectPaintings(now), {
        ...selectOptions(now),
        learned: learning.learned,
      });
      // Of two that were under way only the newer counts.
      if (said === text) store.dispatch(learnedArrived(learning));
    } catch (error) {
      if (said === text)
        store.dispatch(learningFailed(error instanceof Error ? error.message : String(error)));
    }
  }
  const stop = store.listen({
    predicate: (_action, now, before) => selectEvidenceText(now) !== selectEvidenceText(before),
    effect: (_action, { getState }) => learn(getState()),
  });
  void learn(store.getState());
  return stop;
}
