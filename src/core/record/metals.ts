import { METAL_CAUTIONS } from '@/data/cautions';
import { pigmentRow } from '../cabinet/paints';
import { tubePigments } from '../cabinet/tube-names';
import type { Recipe } from '../film';
import type { Ground } from '../painting/schema';

/** Metals that some mixes and a ground hold, each once, in order of their names. */
export function metalsIn(recipes: readonly Recipe[], ground: Ground): string[] {
  const metals = new Set(
    recipes
      .flatMap(({ mix }) => mix.flatMap(tubePigments))
      .flatMap(({ pigment }) => pigmentRow(pigment)?.metals ?? []),
  );
  if (ground.kind === 'oil-ground' && ground.white === 'lead') metals.add('lead');
  if (ground.kind === 'old-painting' && ground.lead) metals.add('lead');
  return [...metals].sort();
}

/** The usual cautions of metals; those without one say nothing. */
export const metalCautions = (metals: readonly string[]): string[] =>
  metals.flatMap((m) => METAL_CAUTIONS[m] ?? []);
