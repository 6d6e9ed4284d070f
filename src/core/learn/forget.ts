import type { FilmEvidence } from './evidence';
import type { Forgotten } from './forgotten-schema';

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
