import type { RuleKey } from '../rules/records';
import type { SchoolKey } from '../schools';
import { changed, coatOf, requirePassages, type Making } from './making';
import { USUAL_DEADLINE } from './deadline';
import type { Deadline } from './deadline-schema';
import type { Coat, LaidEvent, Painting } from './schema';
import { isBegun, unlaidPassages } from './sites';

/** Put a changed coat in the place of the old one. `correctRecord` also rewrites what was laid of it. */
export function changeCoat(
  painting: Painting,
  coat: Coat,
  correctRecord: boolean,
  making: Pick<Making, 'now'>,
): Painting {
  const was = coatOf(painting, coat.id);
  requirePassages(painting, coat.passageIds);
  // Of more of a coat that much was laid, whatever is corrected of its mix.
  const recipeOf = (e: LaidEvent): Coat['recipe'] =>
    e.more
      ? {
          ...coat.recipe,
          thicknessUm: coat.recipe.thicknessUm * (e.recipe.thicknessUm / was.recipe.thicknessUm),
        }
      : coat.recipe;
  return changed(painting, making, {
    coats: painting.coats.map((c) => (c.id === coat.id ? coat : c)),
    events: correctRecord
      ? painting.events.map((e) =>
          e.kind === 'laid' && e.coatId === coat.id
            ? { ...e, recipe: recipeOf(e), name: coat.name, role: coat.role }
            : e,
        )
      : painting.events,
  });
}

/** Add a coat; after another one, or last. */
export function addCoat(
  painting: Painting,
  coat: Coat,
  afterId: string | null,
  making: Pick<Making, 'now'>,
): Painting {
  requirePassages(painting, coat.passageIds);
  const place =
    afterId === null
      ? painting.coats.length
      : painting.coats.findIndex((c) => c.id === afterId) + 1;
  return changed(painting, making, {
    coats: [...painting.coats.slice(0, place), coat, ...painting.coats.slice(place)],
  });
}

/** Take a coat out of the plan. What was laid of it stays. */
export function removeCoat(
  painting: Painting,
  coatId: string,
  making: Pick<Making, 'now'>,
): Painting {
  coatOf(painting, coatId);
  return changed(painting, making, { coats: painting.coats.filter((c) => c.id !== coatId) });
}

/** Move a coat one place down (-1) or up (+1) among the coats that share a passage with it. */
export function moveCoat(
  painting: Painting,
  coatId: string,
  by: -1 | 1,
  making: Pick<Making, 'now'>,
): Painting {
  const coat = coatOf(painting, coatId);
  const from = painting.coats.indexOf(coat);
  const related = (c: Coat) => c.passageIds.some((id) => coat.passageIds.includes(id));
  let to = from + by;
  while (to >= 0 && to < painting.coats.length && !related(painting.coats[to]!)) to += by;
  if (to < 0 || to >= painting.coats.length) return painting;
  const rest = painting.coats.filter((c) => c.id !== coatId);
  return changed(painting, making, { coats: [...rest.slice(0, to), coat, ...rest.slice(to)] });
}

/** Put a coat at a place in the list, counted without it. */
export function moveCoatTo(
  painting: Painting,
  coatId: string,
  place: number,
  making: Pick<Making, 'now'>,
): Painting {
  const coat = coatOf(painting, coatId);
  const rest = painting.coats.filter((c) => c.id !== coatId);
  const to = Math.max(0, Math.min(rest.length, place));
  if (painting.coats.indexOf(coat) === to) return painting;
  return changed(painting, making, { coats: [...rest.slice(0, to), coat, ...rest.slice(to)] });
}

/** Where a new coat belongs: over or into what is laid now, after all that is planned, or before or after a coat. */
export type CoatPlace =
  { where: 'over-laid' } | { where: 'last' } | { where: 'before' | 'after'; coatId: string };

/** Put a new coat where it belongs. */
export function placeCoat(
  painting: Painting,
  coat: Coat,
  place: CoatPlace,
  making: Pick<Making, 'now'>,
): Painting {
  requirePassages(painting, coat.passageIds);
  if (place.where === 'last') return addCoat(painting, coat, null, making);
  if (place.where === 'over-laid')
    return changed(painting, making, { coats: overWhatIsLaid(painting, coat) });
  const at = painting.coats.findIndex((c) => c.id === place.coatId);
  if (at === -1) return addCoat(painting, coat, null, making);
  const index = place.where === 'before' ? at : at + 1;
  return changed(painting, making, {
    coats: [...painting.coats.slice(0, index), coat, ...painting.coats.slice(index)],
  });
}

/** Where a coat that is improvised stands in the list: over everything that is laid, before what is still to come. */
export function overWhatIsLaid(painting: Painting, coat: Coat): Coat[] {
  const laid = new Set(painting.events.flatMap((e) => (e.kind === 'laid' ? [e.coatId] : [])));
  const place = painting.coats.findLastIndex((c) => laid.has(c.id)) + 1;
  return [...painting.coats.slice(0, place), coat, ...painting.coats.slice(place)];
}

/** A coat of several passages as one coat for each, so that they can be changed apart. What is laid of it stays with it. */
export function splitCoat(painting: Painting, coatId: string, making: Making): Painting {
  const coat = coatOf(painting, coatId);
  // What is begun stays with what was laid of it.
  const waiting = unlaidPassages(painting, coat).filter((id) => !isBegun(painting, coat, id));
  const laid = coat.passageIds.filter((id) => !waiting.includes(id));
  const [first, ...others] = waiting;
  if (first === undefined || (others.length === 0 && laid.length === 0)) return painting;
  const own = laid.length > 0 ? laid : [first];
  const apart = laid.length > 0 ? waiting : others;
  const pieces = [
    { ...coat, passageIds: own },
    ...apart.map((id): Coat => ({ ...coat, id: making.newId(), passageIds: [id] })),
  ];
  return changed(painting, making, {
    coats: painting.coats.flatMap((c) => (c.id === coatId ? pieces : [c])),
  });
}

/** Judge the painting by another school from now on; what was laid stays as it was. */
export const followSchool = (
  painting: Painting,
  school: SchoolKey,
  making: Pick<Making, 'now'>,
): Painting => changed(painting, making, { school });

export interface Particulars {
  title: string;
  passages: Painting['passages'];
  touches: Painting['touches'];
}

/** Change title, names and shares of the passages, and which of them touch. The caller validates. */
export const changeParticulars = (
  painting: Painting,
  particulars: Particulars,
  making: Pick<Making, 'now'>,
): Painting => changed(painting, making, particulars);

/** Keep a reason for going against a rule with a coat; null takes it back. The caller validates the reason. */
export function overruleCoat(
  painting: Painting,
  coatId: string,
  rule: RuleKey,
  reason: string | null,
  making: Pick<Making, 'now'>,
): Painting {
  const coat = coatOf(painting, coatId);
  const others = (coat.overruled ?? []).filter((o) => o.rule !== rule);
  const overruled = reason === null ? others : [...others, { rule, reason, at: making.now }];
  return changeCoat(painting, { ...coat, overruled }, false, making);
}

/** Change when a painting must be done and how its coats wait. The caller validates. */
export const changeDeadline = (
  painting: Painting,
  change: Partial<Deadline>,
  making: Pick<Making, 'now'>,
): Painting =>
  changed(painting, making, { planning: { ...(painting.planning ?? USUAL_DEADLINE), ...change } });
