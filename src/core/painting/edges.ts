import { USUAL_DEADLINE } from './deadline';
import type { Deadline, Edge } from './deadline-schema';
import { nextPlanned, topLaid, type PaintingAssessment } from './layer';
import type { Coat, CoatRole, Painting } from './schema';
import { plannedCoats } from './sites';

/** Coats in which an edge is made as it is meant to be: the modelling, not what is below or over it. */
const EDGE_ROLES: ReadonlySet<CoatRole> = new Set(['overpainting', 'detail']);
/** Whether a coat makes an edge where two passages meet; a tone or a varnish does not. */
export const makesEdges = ({ role }: Pick<Coat, 'role'>): boolean => EDGE_ROLES.has(role);

/** How a painting is planned; the usual where nobody said. */
export const deadlineOf = (painting: Painting): Deadline => painting.planning ?? USUAL_DEADLINE;

/** Whether an edge asks that one side be dry before the other is painted. */
export const needsDrySide = ({ intent }: Edge): boolean =>
  intent === 'crisp' || intent === 'overlapping';

const meets = ({ between: [a, b] }: Edge, x: string, y: string): boolean =>
  (a === x && b === y) || (a === y && b === x);

/** What is meant for the edge of two passages; null where nobody said. */
export const edgeBetween = (painting: Painting, x: string, y: string): Edge | null =>
  deadlineOf(painting).edges.find((e) => meets(e, x, y)) ?? null;

/** A neighbour across an edge that is meant lost or soft, seen from a coat that makes the edge. */
export interface SoftNeighbour {
  name: string;
  /** Its side of the edge is wet: until when, with nine chances in ten; null once it has set. */
  openUntilMs: number | null;
}

const isSoft = ({ intent }: Edge): boolean => intent === 'lost' || intent === 'soft';

/**
 * Whom a coat that makes edges on a passage meets softly: neighbours that are open now, and those that have set with
 * nothing more to come. A soft edge wants only a strip along the border wet, so what has set can be wetted there again.
 */
export function softNeighbours(
  { painting, passages }: PaintingAssessment,
  passageId: string,
  coat: Pick<Coat, 'role'>,
): SoftNeighbour[] {
  const edges = deadlineOf(painting).edges.filter(isSoft);
  if (edges.length === 0 || !makesEdges(coat)) return [];
  return passages.flatMap(({ passage, base }): SoftNeighbour[] => {
    if (passage.id === passageId || !edges.some((e) => meets(e, passage.id, passageId))) return [];
    const top = topLaid(base);
    if (!top || !makesEdges(top.film)) return [];
    if (top.state === 'open')
      return [{ name: passage.name, openUntilMs: top.windows?.openUntil.p10 ?? null }];
    const more = plannedCoats(painting, passage.id).some(makesEdges);
    return more ? [] : [{ name: passage.name, openUntilMs: null }];
  });
}

/** Whose side of a soft edge is to be painted next, while this passage's own is open; none where it makes no edge. */
export function softlyAwaited(
  { painting, passages }: PaintingAssessment,
  passageId: string,
): string[] {
  const edges = deadlineOf(painting).edges.filter(isSoft);
  const own = passages.find(({ passage }) => passage.id === passageId);
  const top = own && topLaid(own.base);
  if (edges.length === 0 || !top || top.state !== 'open' || !makesEdges(top.film)) return [];
  return passages
    .filter(({ passage, base }) => {
      const next = nextPlanned(base);
      return (
        passage.id !== passageId &&
        edges.some((e) => meets(e, passage.id, passageId)) &&
        next !== null &&
        makesEdges(next.film)
      );
    })
    .map(({ passage }) => passage.name);
}
