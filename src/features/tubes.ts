import type { Tube } from '@/core/cabinet/tube-names';
import type { Painting } from '@/core/painting';
import type { TubePart } from '@/core/film';

export const tubeId = (tube: Tube): string =>
  'own' in tube ? `own:${tube.own.id}` : `${tube.pigment}|${tube.binder}`;

const RECENT = 6;

/** Names of the mediums that were used last, newest first. */
export function recentMediums(paintings: Painting[]): string[] {
  const uses = paintings.flatMap((p) => [
    ...p.events.flatMap((e) => (e.kind === 'laid' ? [{ at: e.at, recipe: e.recipe }] : [])),
    ...p.coats.map((c) => ({ at: p.updatedAt, recipe: c.recipe })),
  ]);
  return [
    ...new Set(
      uses
        .sort((a, b) => b.at.localeCompare(a.at))
        .flatMap(({ recipe }) => (recipe.mediumName ? [recipe.mediumName] : [])),
    ),
  ];
}

const withoutParts = (part: TubePart): Tube =>
  'own' in part ? { own: part.own } : { pigment: part.pigment, binder: part.binder };

/** The tubes that were squeezed last, over all paintings: what was laid, newest first, then what is planned. */
export function recentTubes(paintings: Painting[]): Tube[] {
  const laid = paintings
    .flatMap((p) => p.events.flatMap((e) => (e.kind === 'laid' ? [e] : [])))
    .sort((a, b) => b.at.localeCompare(a.at))
    .flatMap((e) => e.recipe.mix);
  const planned = [...paintings]
    .sort((a, b) => b.updatedAt.localeCompare(a.updatedAt))
    .flatMap((p) => p.coats.flatMap((c) => c.recipe.mix));
  const found = new Map<string, Tube>();
  for (const part of [...laid, ...planned]) {
    const tube = withoutParts(part);
    if (!found.has(tubeId(tube))) found.set(tubeId(tube), tube);
    if (found.size === RECENT) break;
  }
  return [...found.values()];
}
