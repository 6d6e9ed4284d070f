import { INGREDIENTS, type IngredientKey } from '@/data/ingredients';
import type { MediumPart, Recipe } from '../film';
import { PARTS_MAX } from '../film/limits';
import type { SchoolKey } from '../schools';

const totalParts = (items: { parts: number }[]): number => items.reduce((s, x) => s + x.parts, 0);

function addPart(medium: MediumPart[], ingredient: IngredientKey, parts: number): MediumPart[] {
  const known = medium.some((p) => p.ingredient === ingredient);
  return withinParts(
    known
      ? medium.map((p) => (p.ingredient === ingredient ? { ...p, parts: p.parts + parts } : p))
      : [...medium, { ingredient, parts }],
  );
}

/** The same medium in parts that can be entered: only their ratio counts. */
function withinParts(medium: MediumPart[]): MediumPart[] {
  const most = Math.max(...medium.map((p) => p.parts));
  return most <= PARTS_MAX
    ? medium
    : medium.map((p) => ({ ...p, parts: (p.parts * PARTS_MAX) / most }));
}

/** Volume of the whole mixture that one part of the medium (or, without medium, of the paint) is. */
export const volumeOfPart = (recipe: Recipe): number =>
  recipe.mediumShare > 0
    ? recipe.mediumShare / totalParts(recipe.medium)
    : (1 - recipe.mediumShare) / totalParts(recipe.mix);

/** `parts` more of an ingredient in the medium; paint and the rest of the medium keep their ratio. */
export function withMoreOf(recipe: Recipe, ingredient: IngredientKey, parts: number): Recipe {
  if (parts === 0) return recipe;
  const x = parts * volumeOfPart(recipe);
  return {
    ...recipe,
    medium:
      recipe.mediumShare > 0
        ? addPart(recipe.medium, ingredient, parts)
        : [{ ingredient, parts: 1 }],
    mediumShare: (recipe.mediumShare + x) / (1 + x),
  };
}

/**
 * What a painter would reach for: the oil in the medium already, else stand oil; where every coat has its share of
 * alkyd, the alkyd medium.
 */
export function fatToAdd(recipe: Recipe, school: SchoolKey): IngredientKey {
  const [kind, usual] =
    school === 'constant-alkyd'
      ? (['alkyd', 'alkyd-medium'] as const)
      : (['oil', 'stand-oil'] as const);
  const own = recipe.medium.filter((p) => INGREDIENTS[p.ingredient].kind === kind);
  const most = [...own].sort((a, b) => b.parts - a.parts)[0];
  return most?.ingredient ?? usual;
}

/** Medium added, ml per 10 ml of tube paint, when the share goes from m to m'. */
export const addedPer10Ml = (before: Recipe, after: Recipe): number =>
  10 *
  (after.mediumShare / (1 - after.mediumShare) - before.mediumShare / (1 - before.mediumShare));
