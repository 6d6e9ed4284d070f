import { INGREDIENTS, type IngredientKey } from '@/data/ingredients';
import type { MediumPart, Recipe } from '../film';

const totalParts = (items: { parts: number }[]): number => items.reduce((s, x) => s + x.parts, 0);

function addPart(medium: MediumPart[], ingredient: IngredientKey, parts: number): MediumPart[] {
  const known = medium.some((p) => p.ingredient === ingredient);
  return known
    ? medium.map((p) => (p.ingredient === ingredient ? { ...p, parts: p.parts + parts } : p))
    : [...medium, { ingredient, parts }];
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

/** The oil a painter would reach for: the one in the medium already, else stand oil. */
export function oilToAdd(recipe: Recipe): IngredientKey {
  const oils = recipe.medium.filter((p) => INGREDIENTS[p.ingredient].kind === 'oil');
  const most = [...oils].sort((a, b) => b.parts - a.parts)[0];
  return most?.ingredient ?? 'stand-oil';
}

/** Medium added, ml per 10 ml of tube paint, when the share goes from m to m'. */
export const addedPer10Ml = (before: Recipe, after: Recipe): number =>
  10 *
  (after.mediumShare / (1 - after.mediumShare) - before.mediumShare / (1 - before.mediumShare));
