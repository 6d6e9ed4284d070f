import { CoreError } from '../errors';
import { changed, requirePassages, type Making } from './making';
import type { Coat, Painting, PaintingEvent, Spot } from './schema';
import { PASSAGES_MAX } from './vocabulary';

/** Changes of which passages a painting has. What was laid stays where it lies. */

const passageOf = (painting: Painting, id: string) => {
  requirePassages(painting, [id]);
  return painting.passages.find((p) => p.id === id)!;
};

const requireName = (painting: Painting, name: string): string => {
  const called = name.trim();
  if (called === '')
    throw new CoreError('spot-name-empty', 'name', 'The new passage needs a name, such as "hand".');
  if (painting.passages.some((p) => p.name.toLowerCase() === called.toLowerCase()))
    throw new CoreError('name-taken', 'name', `There is a passage called "${called}" already.`);
  return called;
};

/**
 * Cut a new passage out of one that is there: a subject added in week three, a passage split in two. Whatever was laid
 * or wiped on the old one by then is on the new one too, and what is planned for it is planned for both.
 * @param share of the whole picture; less than the old passage has
 */
export function splitPassage(
  painting: Painting,
  passageId: string,
  { name, share }: { name: string; share: number },
  making: Making,
): Painting {
  const old = passageOf(painting, passageId);
  const called = requireName(painting, name);
  if (painting.passages.length >= PASSAGES_MAX)
    throw new CoreError('range', 'passages', `A painting has at most ${PASSAGES_MAX} passages.`);
  if (!(share > 0 && share < old.share))
    throw new CoreError(
      'range',
      'share',
      `It must be less than all of ${old.name}, which has ${Math.round(old.share * 100)} %.`,
    );
  const id = making.newId();
  const also = (ids: string[]): string[] => (ids.includes(passageId) ? [...ids, id] : ids);
  const events = painting.events.flatMap((event): PaintingEvent[] => {
    if (event.kind === 'laid') return [{ ...event, passageIds: also(event.passageIds) }];
    // What the finger found was found once, on a film that is one: told twice it would teach twice.
    return event.kind === 'reduced' && event.passageId === passageId
      ? [event, { ...event, id: making.newId(), passageId: id }]
      : [event];
  });
  const at = painting.passages.indexOf(old) + 1;
  const passages = painting.passages.map((p) =>
    p === old ? { ...p, share: old.share - share } : p,
  );
  const meets = painting.touches.flatMap(([a, b]): [string, string][] =>
    a === passageId ? [[id, b]] : b === passageId ? [[a, id]] : [],
  );
  return changed(painting, making, {
    passages: [...passages.slice(0, at), { id, name: called, share }, ...passages.slice(at)],
    coats: painting.coats.map((c) => ({
      ...c,
      passageIds: also(c.passageIds),
      ...(c.enough ? { enough: also(c.enough) } : {}),
    })),
    events,
    touches: [...painting.touches, ...meets, [passageId, id]],
    ...(painting.planning
      ? {
          planning: {
            ...painting.planning,
            edges: painting.planning.edges.flatMap((edge) => {
              const [a, b] = edge.between;
              if (a === passageId) return [edge, { ...edge, between: [id, b] as [string, string] }];
              if (b === passageId) return [edge, { ...edge, between: [a, id] as [string, string] }];
              return [edge];
            }),
          },
        }
      : {}),
  });
}

/** Whether what was done on two passages is the same, so that they join without a seam. */
export const sameDone = (painting: Painting, a: string, b: string): boolean =>
  painting.events.every((e) =>
    e.kind === 'laid'
      ? e.passageIds.includes(a) === e.passageIds.includes(b)
      : e.kind === 'touched' || (e.passageId !== a && e.passageId !== b),
  );

/**
 * Join a passage to another. Where both had the same done to them, they are one; where not, what lies on one of them
 * alone stays as a part of the joined passage that is called as it was.
 * @param passageId the passage that goes into the other
 */
export function joinPassages(
  painting: Painting,
  passageId: string,
  intoId: string,
  making: Making,
): Painting {
  const gone = passageOf(painting, passageId);
  const into = passageOf(painting, intoId);
  if (passageId === intoId)
    throw new CoreError('order', 'passages', 'A passage cannot be joined to itself.');
  const total = gone.share + into.share;
  const partOf = (passage: typeof gone): Spot => ({
    name: passage.name,
    share: passage.share / total,
  });
  const parts = !sameDone(painting, passageId, intoId);
  const without = (ids: string[]): string[] => {
    const named = ids.map((id) => (id === passageId ? intoId : id));
    return [...new Set(named)];
  };
  /** The part that an entry, or a coat, of only one of the two is now. */
  const spotFor = (ids: string[], spot: Spot | null): Spot | null => {
    const [here, there] = [ids.includes(passageId), ids.includes(intoId)];
    if (spot !== null || !parts || here === there) return spot;
    return partOf(here ? gone : into);
  };
  const pieces = painting.events.flatMap((event): PaintingEvent[] => {
    if (event.kind !== 'laid') {
      if (event.passageId !== passageId && event.passageId !== intoId) return [event];
      const from = event.passageId === passageId ? gone : into;
      const spotName = event.spotName ?? (parts ? from.name : null);
      return [{ ...event, passageId: intoId, spotName }];
    }
    const spot = spotFor(event.passageIds, event.spot);
    const others = event.passageIds.filter((id) => id !== passageId && id !== intoId);
    if (spot === event.spot || others.length === 0)
      return [{ ...event, spot, passageIds: without(event.passageIds) }];
    // On the joined passage it is a part, on the others all of them.
    return [
      { ...event, passageIds: others },
      { ...event, id: making.newId(), spot, passageIds: [intoId] },
    ];
  });
  const coats = painting.coats.flatMap((coat): Coat[] => {
    const enough = coat.enough && without(coat.enough);
    const laid = painting.events.some((e) => e.kind === 'laid' && e.coatId === coat.id);
    const ids = without(coat.passageIds);
    const [here, there] = [coat.passageIds.includes(passageId), coat.passageIds.includes(intoId)];
    // A coat of one of the two that is laid there is done with that.
    const done =
      parts && here !== there && laid ? [...new Set([...(enough ?? []), intoId])] : enough;
    const { enough: _was, ...rest } = coat;
    // What is planned for one of them alone stays a part.
    const spot =
      !laid && coat.passageIds.length === 1 ? spotFor(coat.passageIds, coat.spot) : coat.spot;
    return [
      { ...rest, spot, passageIds: ids, ...(done && done.length > 0 ? { enough: done } : {}) },
    ];
  });
  const seen = new Set<string>();
  const touches = painting.touches
    .map(([a, b]): [string, string] => [a === passageId ? intoId : a, b === passageId ? intoId : b])
    .filter(([a, b]) => {
      const key = [a, b].sort().join('+');
      return a !== b && !seen.has(key) && seen.add(key);
    });
  return changed(painting, making, {
    passages: painting.passages
      .filter((p) => p.id !== passageId)
      .map((p) => (p.id === intoId ? { ...p, share: total } : p)),
    coats,
    events: pieces,
    touches,
    ...(painting.bothers
      ? {
          bothers: painting.bothers.map((b) =>
            b.passageId === passageId ? { ...b, passageId: intoId } : b,
          ),
        }
      : {}),
    ...(painting.planning
      ? {
          planning: {
            ...painting.planning,
            edges: painting.planning.edges.filter(({ between }) => !between.includes(passageId)),
          },
        }
      : {}),
  });
}

/** Whether anything was done on a passage. */
export const isUntouched = (painting: Painting, passageId: string): boolean =>
  painting.events.every((e) =>
    e.kind === 'laid' ? !e.passageIds.includes(passageId) : e.passageId !== passageId,
  );

/** Take a passage out on which nothing was done; its share goes to the others, as much as each has. */
export function removePassage(
  painting: Painting,
  passageId: string,
  making: Pick<Making, 'now'>,
): Painting {
  const gone = passageOf(painting, passageId);
  if (painting.passages.length === 1)
    throw new CoreError('range', 'passages', 'A painting has at least one passage.');
  if (!isUntouched(painting, passageId))
    throw new CoreError(
      'order',
      'passages',
      `Something was done on ${gone.name}. Join it to another passage, so that what lies there is kept.`,
    );
  const rest = 1 - gone.share;
  const { planning } = painting;
  return changed(painting, making, {
    passages: painting.passages
      .filter((p) => p.id !== passageId)
      .map((p) => ({ ...p, share: p.share / rest })),
    coats: painting.coats
      .map((c) => ({ ...c, passageIds: c.passageIds.filter((id) => id !== passageId) }))
      .filter((c) => c.passageIds.length > 0),
    touches: painting.touches.filter((pair) => !pair.includes(passageId)),
    ...(painting.bothers
      ? {
          bothers: painting.bothers.map((b) =>
            b.passageId === passageId ? { ...b, passageId: null } : b,
          ),
        }
      : {}),
    ...(planning
      ? {
          planning: {
            ...planning,
            edges: planning.edges.filter(({ between }) => !between.includes(passageId)),
          },
        }
      : {}),
  });
}

/** The painter's order of passages, back to front or focal first: one place earlier (-1) or later (+1). */
export function movePassage(
  painting: Painting,
  passageId: string,
  by: -1 | 1,
  making: Pick<Making, 'now'>,
): Painting {
  const from = painting.passages.indexOf(passageOf(painting, passageId));
  const to = from + by;
  if (to < 0 || to >= painting.passages.length) return painting;
  const passages = [...painting.passages];
  [passages[from], passages[to]] = [passages[to]!, passages[from]!];
  return changed(painting, making, { passages });
}
