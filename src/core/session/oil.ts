import { filmOfRecipe, isOily } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import type { Painting } from '../painting/schema';
import type { Session } from './schema';

/** Whether oil, alkyd or a varnish with spirits was worked with in a session: then there are rags to be careful with. */
export const usesOil = (
  session: Session,
  paintings: Record<string, Painting | undefined>,
): boolean => {
  const recipes = [
    ...session.palette.map((m) => m.recipe),
    ...session.works.flatMap(
      (w) => paintings[w.paintingId]?.coats.find((c) => c.id === w.coatId)?.recipe ?? [],
    ),
  ];
  return recipes.some((recipe) => isOily(filmOfRecipe(STUDIO_HANDBOOK, recipe)));
};
