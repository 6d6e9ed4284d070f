import { GATES, type Gate } from '@/data/gates';
import { METHODS } from '@/data/methods';
import { changed, type Making } from './making';
import type { Bother, Painting } from './schema';

/** Note something that bothers; of the whole picture when no passage is named. The caller validates the text. */
export const noteBother = (
  painting: Painting,
  text: string,
  passageId: string | null,
  making: Making,
): Painting =>
  changed(painting, making, {
    bothers: [
      ...(painting.bothers ?? []),
      { id: making.newId(), at: making.now, passageId, text: text.trim(), doneAt: null },
    ],
  });

/** It bothers no more, or again. */
export const settleBother = (
  painting: Painting,
  id: string,
  done: boolean,
  making: Pick<Making, 'now'>,
): Painting =>
  changed(painting, making, {
    bothers: (painting.bothers ?? []).map((b) =>
      b.id === id ? { ...b, doneAt: done ? making.now : null } : b,
    ),
  });

/** What still bothers, oldest first. */
export const openBothers = (painting: Painting): Bother[] =>
  (painting.bothers ?? []).filter((b) => b.doneAt === null);

/** The questions of the stages that the painting's coats go through, and which are answered. */
export function gatesOf(painting: Painting): (Gate & { passedAt: string | null })[] {
  const roles = new Set<string>(painting.coats.map((c) => c.role));
  const passed = new Map((painting.gates ?? []).map((g) => [g.id, g.at]));
  return GATES.filter((g) => roles.has(g.role)).map((g) => ({
    ...g,
    passedAt: passed.get(g.id) ?? null,
  }));
}

/** Note that a gate before a stage was answered yes; answered again, the newer time counts. */
export const passGate = (
  painting: Painting,
  id: string,
  passed: boolean,
  making: Pick<Making, 'now'>,
): Painting => {
  const others = (painting.gates ?? []).filter((g) => g.id !== id);
  return changed(painting, making, {
    gates: passed ? [...others, { id, at: making.now }] : others,
  });
};

/** How often a passage was worked against what its method lays out. */
export interface Rework {
  /** Coats the method lays on a passage. */
  planned: number;
  laid: number;
  /** Times it was wiped back, scraped down or painted out. */
  reworked: number;
}

/** How much of a passage was taken off or painted over, against what was laid. */
export const reworkOf = (painting: Painting, passageId: string): Rework => ({
  planned: METHODS[painting.method].coats.length,
  laid: painting.events.filter(
    (e) => e.kind === 'laid' && e.spot === null && e.passageIds.includes(passageId),
  ).length,
  reworked: painting.events.filter((e) => e.kind === 'reduced' && e.passageId === passageId).length,
});
