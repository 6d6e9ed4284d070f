import { overWhatIsLaid } from './coats';
import type { AssessOptions } from './layer';
import { changed, coatOf, type Making } from './making';
import { recordLaying } from './record';
import type { Coat, Painting } from './schema';

/** What is improvised at the easel: coats that no plan had, planned and laid in one. */

/** A coat put over what is laid and laid at once: a dab, the same again, a passage oiled out. */
export function recordNewCoat(
  painting: Painting,
  coat: Coat,
  at: string,
  options: AssessOptions,
  making: Making,
): Painting {
  const planned = changed(painting, making, {
    coats: overWhatIsLaid(painting, { ...coat, improvised: true }),
  });
  return recordLaying(
    planned,
    { coatId: coat.id, passageIds: coat.passageIds, at, spot: coat.spot },
    options,
    making,
  );
}

/** The same coat on a passage it was not meant for: planned there too, and laid. */
export function layAlso(
  painting: Painting,
  coatId: string,
  passageId: string,
  at: string,
  options: AssessOptions,
  making: Making,
): Painting {
  const coat = coatOf(painting, coatId);
  const wider = changed(painting, making, {
    coats: painting.coats.map((c) =>
      c.id === coatId && !c.passageIds.includes(passageId)
        ? { ...coat, passageIds: [...coat.passageIds, passageId] }
        : c,
    ),
  });
  return recordLaying(
    wider,
    { coatId, passageIds: [passageId], at, spot: coat.spot },
    options,
    making,
  );
}
