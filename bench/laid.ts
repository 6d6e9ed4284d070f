import type { Coat, PaintingEvent } from '../src/core/painting';

/** A coat of the plan as it was laid on all its passages. */
export const laidEntry = (id: string, coat: Coat, atMs: number): PaintingEvent => ({
  id,
  kind: 'laid',
  at: new Date(atMs).toISOString(),
  coatId: coat.id,
  passageIds: coat.passageIds,
  spot: null,
  intoWet: false,
  name: coat.name,
  role: coat.role,
  recipe: coat.recipe,
});
