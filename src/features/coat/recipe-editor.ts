import type { Form } from '@/forms';
import type { CoatDraft } from './draft';

/** What is edited by the fields of mix and medium: the recipe of a coat, or one on the bench. Its paths begin with "recipe". */
export interface RecipeEditor {
  form: Pick<Form<object>, 'problem' | 'number'>;
  draft: { recipe: CoatDraft['recipe'] };
  /** Change some of it; `field` names what was changed, for undo. */
  setRecipe(change: Partial<CoatDraft['recipe']>, field?: string): void;
  /** Change it as a whole. */
  changeRecipe(change: (recipe: CoatDraft['recipe']) => CoatDraft['recipe']): void;
}
