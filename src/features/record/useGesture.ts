import type { Painting, PaintingEvent, ReducedEvent } from '@/core/painting';
import { CoreError } from '@/core/errors';
import { likeCoat } from '@/core/painting/improvise';
import { recordRemoval } from '@/core/painting/record';
import { recordNewCoat } from '@/core/painting/record-new';
import { findingSentence } from '@/core/rules/wording';
import { toldLaying } from '@/core/tell/laying';
import { nowIso } from '@/store/clock';
import { usePainting } from '@/store/hooks';
import { entryPlace } from './entry-words';
import { HOW_NAMES } from './removal-form';
import { useRecord } from './useRecord';

type Gesture =
  | { kind: 'removal'; events: ReducedEvent[] }
  | { kind: 'dab'; event: Extract<PaintingEvent, { kind: 'laid' }> };

/** What was wiped, scraped or dabbed last, since a time: entries of one moment are one gesture. */
function lastGesture(painting: Painting, since: string): Gesture | null {
  const isDab = (e: PaintingEvent): boolean =>
    e.kind === 'laid' &&
    painting.coats.some((c) => c.id === e.coatId && c.role === 'detail' && c.spot !== null);
  const last = painting.events
    .filter((e) => e.at >= since && (e.kind === 'reduced' || isDab(e)))
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1);
  if (!last) return null;
  if (last.kind === 'laid') return { kind: 'dab', event: last };
  return {
    kind: 'removal',
    events: painting.events.filter(
      (e): e is ReducedEvent => e.kind === 'reduced' && e.at === last.at,
    ),
  };
}

/** The last gesture of a session on a painting, and the same once more, now. */
export function useGesture(paintingId: string, since: string) {
  const painting = usePainting(paintingId);
  const { record, refusal } = useRecord();
  const gesture = painting ? lastGesture(painting, since) : null;
  const words = (): string | null => {
    if (!painting || !gesture) return null;
    if (gesture.kind === 'dab')
      return `${gesture.event.name.toLowerCase()}, ${entryPlace(painting, gesture.event)}`;
    const names = gesture.events.map((e) => entryPlace(painting, e));
    return `${HOW_NAMES[gesture.events[0]!.how]}, ${[...new Set(names)].join(', ')}`;
  };
  const repeat = (): void => {
    if (!gesture) return;
    record(paintingId, 'The same again', (p, options, making) => {
      if (gesture.kind === 'removal') {
        const { how, tool } = gesture.events[0]!;
        return recordRemoval(
          p,
          {
            how,
            at: nowIso(),
            places: gesture.events.map(({ passageId, spotName, share, left }) => ({
              passageId,
              spotName,
              ...(share === undefined ? {} : { share }),
              left,
            })),
            ...(tool ? { tool } : {}),
          },
          options,
          making,
        );
      }
      const coat = p.coats.find((c) => c.id === gesture.event.coatId)!;
      const { passageIds, spot } = coat;
      const told = toldLaying(p, { coat, passageIds, spot, atMs: Date.parse(making.now) }, options);
      // What a rule refuses is looked at in the sheet, where a reason can be given.
      if (told.refused)
        throw new CoreError('not-covered', 'coat', findingSentence(told.findings[0]!));
      return recordNewCoat(p, likeCoat(coat, making.newId(), {}), nowIso(), options, making);
    });
  };
  return { last: words(), repeat, refusal };
}
