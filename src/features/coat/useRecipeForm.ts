import { z } from 'zod';
import type { Recipe } from '@/core/film';
import { recipeSchema } from '@/core/film/recipe';
import { useForm, type Draft, type Form } from '@/forms';
import type { RecipeEditor } from './recipe-editor';

const schema = z.object({ recipe: recipeSchema });

/** A recipe that belongs to no coat: on the bench, kept as a draft under its key, over a reload too. */
export function useRecipeForm(
  key: string,
  document: { recipe: Recipe },
): { editor: RecipeEditor; recipe: Recipe | null; form: Form<{ recipe: Recipe }> } {
  const form = useForm<{ recipe: Recipe }>({ key, schema, document, isNew: true });
  const change = (next: (r: Draft<Recipe>) => Draft<Recipe>, field?: string) =>
    form.set((d) => ({ ...d, recipe: next(d.recipe) }), field);
  return {
    form,
    recipe: form.value?.recipe ?? null,
    editor: {
      form,
      draft: form.draft,
      setRecipe: (some, field) => change((r) => ({ ...r, ...some }), field),
      changeRecipe: (whole) => change(whole),
    },
  };
}
