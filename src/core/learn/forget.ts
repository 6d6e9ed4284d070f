import { z } from 'zod';
import type { FilmEvidence } from './evidence';

/** A paint or medium whose past is to be forgotten: another tube, another make. */
export const forgottenSchema = z.object({
  factor: z.string().min(1).max(120),
  at: z.iso.datetime({ error: 'Must be a date and time.' }),
});
export type Forgotten = z.infer<typeof forgottenSchema>;

const OLD = '#before';

/**
 * Evidence in which films laid before a paint was forgotten hold another paint: their tests go on teaching about
 * the studio and everything else in them, and nothing about the new tube.
 */
export function withForgotten(evidence: FilmEvidence[], forgotten: Forgotten[]): FilmEvidence[] {
  if (forgotten.length === 0) return evidence;
  return evidence.map((film) => {
    const old = forgotten.filter(
      (f) => f.factor in film.features && film.laidAtMs < Date.parse(f.at),
    );
    if (old.length === 0) return film;
    const features = Object.fromEntries(
      Object.entries(film.features).map(([key, value]) => [
        old.some((f) => f.factor === key) ? `${key}${OLD}` : key,
        value,
      ]),
    );
    return { ...film, features };
  });
}
