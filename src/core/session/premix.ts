import { APPLICATIONS } from '@/data/applications';
import type { Recipe } from '../film';
import type { Painting } from '../painting/schema';
import type { PaletteMix, Session } from './schema';

/** Thickness stands in a recipe; paint in a heap has none yet, and takes that of a brush coat. */
export const heapOf = (mix: Recipe['mix']): Recipe => ({
  mix,
  medium: [],
  mediumShare: 0,
  thicknessUm: APPLICATIONS['brush-coat'].typicalUm,
});

/** A mix and the session it was put out in. */
export interface KeptMix {
  sessionId: string;
  mix: PaletteMix;
}

/** Mixes of earlier sessions that nobody threw away, newest first. */
export const keptMixes = (sessions: Session[], currentId: string | null): KeptMix[] =>
  sessions
    .filter((s) => s.id !== currentId)
    .flatMap((s) =>
      s.palette.filter((mix) => mix.goneAt === null).map((mix) => ({ sessionId: s.id, mix })),
    )
    .sort((a, b) => b.mix.madeAt.localeCompare(a.mix.madeAt));

/** Every mix that was ever put out, each make-up once, newest first: what can be mixed again with the same amounts. */
export function knownMixes(sessions: Session[]): PaletteMix[] {
  const seen = new Set<string>();
  return sessions
    .flatMap((s) => s.palette)
    .sort((a, b) => b.madeAt.localeCompare(a.madeAt))
    .filter((mix) => {
      const key = `${mix.name}|${JSON.stringify(mix.recipe.mix)}`;
      return !seen.has(key) && seen.add(key);
    });
}

/** Coats that were laid with a mix while it was there: coat and painting, each once. */
export function servedBy(
  mix: Pick<PaletteMix, 'recipe' | 'madeAt' | 'goneAt'>,
  paintings: Painting[],
): { coat: string; painting: string }[] {
  const made = JSON.stringify(mix.recipe.mix);
  const out = new Map<string, { coat: string; painting: string }>();
  for (const painting of paintings)
    for (const e of painting.events)
      if (
        e.kind === 'laid' &&
        e.at >= mix.madeAt &&
        (mix.goneAt === null || e.at <= mix.goneAt) &&
        JSON.stringify(e.recipe.mix) === made
      )
        out.set(`${painting.id}|${e.name}`, { coat: e.name, painting: painting.title });
  return [...out.values()];
}
