import { PLAN_ODDS } from '@/data/plan';
import { edgeBetween, makesEdges, needsDrySide } from '../painting/edges';
import type { Coat, Painting } from '../painting/schema';
import { unlaidPassages } from '../painting/sites';
import { mayBeParted, minutesOf, type Pace } from '../session/pace';

/** A coat on some passages of a painting that is still to be laid. */
export interface Step {
  /** The same as long as the coat stands in the plan. */
  id: string;
  paintingId: string;
  coat: Coat;
  passageIds: string[];
  minutes: number;
  /** Works that it is done in, one after the other. */
  workIds: string[];
  medium: string | null;
}

/** Mediums are the same on the palette when their parts are, whatever they are called; null without one. */
export const mediumKey = ({ recipe }: Coat): string | null =>
  recipe.mediumShare === 0
    ? null
    : JSON.stringify(recipe.medium.map((p) => [p.ingredient, p.parts]));

/** Passages in groups that can be worked in one go: with a crisp edge between two of them, one side must dry first. */
function groupsOf(painting: Painting, coat: Coat, passageIds: string[]): string[][] {
  if (coat.apart) return passageIds.map((id) => [id]);
  const groups: string[][] = [];
  for (const id of passageIds) {
    const group = groups.find((g) =>
      g.every((other) => {
        const edge = makesEdges(coat) ? edgeBetween(painting, id, other) : null;
        return !edge || !needsDrySide(edge);
      }),
    );
    if (group) group.push(id);
    else groups.push([id]);
  }
  return groups;
}

/** Everything still to be laid of a painting, in the order of its coats. */
export function stepsOf(painting: Painting, pace: Pace): Step[] {
  return painting.coats.flatMap((coat) => {
    const groups = groupsOf(painting, coat, unlaidPassages(painting, coat));
    const whole = groupsOf(painting, coat, coat.passageIds).length === 1;
    return groups.map((passageIds): Step => {
      const id = whole
        ? `${painting.id}/${coat.id}`
        : `${painting.id}/${coat.id}/${passageIds[0]!}`;
      const minutes = minutesOf(painting, coat, passageIds, pace);
      const pieces = mayBeParted(coat)
        ? Math.max(1, Math.ceil(minutes / PLAN_ODDS.sittingMinutes))
        : 1;
      return {
        id,
        paintingId: painting.id,
        coat,
        passageIds,
        minutes,
        workIds: Array.from({ length: pieces }, (_, k) => (k === 0 ? id : `${id}#${k + 1}`)),
        medium: mediumKey(coat),
      };
    });
  });
}

/** The step that a work belongs to. */
export const stepIdOf = (workId: string): string => workId.split('#')[0]!;
