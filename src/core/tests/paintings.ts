import { REFERENCE_CLIMATE } from '../drying';
import { STUDIO_HANDBOOK } from '../handbook';
import type { AssessOptions } from '../painting';
import { startPainting, type NewPainting } from '../painting/start';
import { type Making } from '../painting';
import type { Coat, Painting } from '../painting/schema';
import type { Recipe } from '../film';

/** Fixed time and counting ids for tests. */
export const NOW = '2026-02-17T10:00:00.000Z';
export const NOW_MS = Date.parse(NOW);
export const DAY = 86_400_000;

let ids = 0;
export const making = (now: string = NOW): Making => ({ now, newId: () => `id-${++ids}` });

export const isoDaysAgo = (days: number): string => new Date(NOW_MS - days * DAY).toISOString();

export const optionsAt = (nowMs: number = NOW_MS): AssessOptions => ({
  handbook: STUDIO_HANDBOOK,
  climate: REFERENCE_CLIMATE,
  nowMs,
});

export const INPUT: NewPainting = {
  title: 'A test of three jars',
  support: { kind: 'canvas', widthMm: 500, heightMm: 400 },
  ground: { kind: 'acrylic-gesso', coats: 4 },
  method: 'direct-start',
  passages: [
    { name: 'jars', share: 0.4 },
    { name: 'wall', share: 0.6 },
  ],
};

export const newPainting = (over: Partial<NewPainting> = {}): Painting =>
  startPainting({ ...INPUT, ...over }, making());

/** A painting of one coat after the other on both passages, nothing laid. */
export function stackOf(
  recipes: Recipe[],
  over: Partial<Coat>[] = [],
  school: Painting['school'] = 'total-oil',
): Painting {
  const painting = newPainting();
  return {
    ...painting,
    school,
    coats: recipes.map((recipe, i) => ({
      id: `c${i}`,
      name: `Coat ${i + 1}`,
      role: 'overpainting',
      passageIds: painting.passages.map((p) => p.id),
      recipe,
      application: 'brush-coat',
      onto: 'touch-dry',
      spot: null,
      ...over[i],
    })),
  };
}
