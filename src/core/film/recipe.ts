import { z } from 'zod';
import { BINDER_KEYS, BINDERS } from '@/data/binders';
import { INGREDIENT_KEYS } from '@/data/ingredients';
import { PIGMENT_ROWS } from '@/data/pigments';

/**
 * What one coat is mixed from. Parts are by volume and only their ratio counts. `mediumShare` is
 * volume of medium over volume of the finished wet mixture (not per volume of paint).
 */
const pigmentKeys = PIGMENT_ROWS.map((p) => p.key) as [string, ...string[]];
const PARTS_MAX = 1000;

const parts = z
  .number({ error: 'Parts must be a number.' })
  .positive({ error: 'Parts must be above 0. Take the line out instead of setting it to nothing.' })
  .max(PARTS_MAX, { error: `Parts can be at most ${PARTS_MAX}.` });

export const tubePartSchema = z.object({
  parts,
  pigment: z.enum(pigmentKeys, { error: 'No such pigment. Choose one from the pigment table.' }),
  binder: z.enum(BINDER_KEYS, { error: 'No such binder. Choose one of the list.' }),
});

export const mediumPartSchema = z.object({
  parts,
  ingredient: z.enum(INGREDIENT_KEYS, { error: 'No such ingredient. Choose one of the list.' }),
});

export const THICKNESS_MAX_UM = 10000;

/** Dry film thickness, um. 0.5 um is the thinnest rubbed film; 10 mm the thickest relief paint holds. */
export const thicknessSchema = z
  .number({ error: 'Thickness must be a number of µm.' })
  .min(0.5, { error: 'Thickness must be at least 0.5 µm.' })
  .max(THICKNESS_MAX_UM, { error: `Thickness must be at most ${THICKNESS_MAX_UM} µm (10 mm).` });

export const recipeSchema = z
  .object({
    mix: z.array(tubePartSchema).max(12, { error: 'A mix holds at most 12 tubes.' }),
    medium: z.array(mediumPartSchema).max(8, { error: 'A medium holds at most 8 ingredients.' }),
    mediumShare: z
      .number({ error: 'The share of medium must be a number.' })
      .min(0, { error: 'The share of medium cannot be below 0 %.' })
      .max(1, { error: 'The share of medium cannot be over 100 %.' }),
    thicknessUm: thicknessSchema,
  })
  .superRefine((recipe, ctx) => {
    const issue = (path: string, message: string) =>
      ctx.addIssue({ code: 'custom', path: [path], message });
    if (recipe.mix.length === 0 && recipe.mediumShare < 1) {
      issue('mix', 'The mix is empty. Add a paint, or make it medium alone (100 %).');
    }
    if (recipe.mix.length > 0 && recipe.mediumShare >= 1) {
      issue(
        'mediumShare',
        'At 100 % medium there is no paint left. Lower the share or take the paints out.',
      );
    }
    if (recipe.mediumShare > 0 && recipe.medium.length === 0) {
      issue(
        'medium',
        'A share of medium is set but the medium is empty. Add an ingredient or set the share to 0 %.',
      );
    }
    const kinds = new Set(recipe.mix.map((part) => BINDERS[part.binder].kind === 'acrylic'));
    if (kinds.size > 1) {
      issue(
        'mix',
        'Acrylic and oil cannot be mixed in one coat. Keep the acrylic for a coat below the oil.',
      );
    }
    const watery = recipe.medium.some((part) => part.ingredient === 'water');
    const acrylic = kinds.has(true);
    if (
      acrylic &&
      recipe.mediumShare > 0 &&
      recipe.medium.some((part) => part.ingredient !== 'water')
    ) {
      issue(
        'medium',
        'Acrylic paint takes water only. Take the oils and spirits out of the medium.',
      );
    }
    if (!acrylic && watery && recipe.mix.some((part) => part.binder !== 'water-mixable')) {
      issue(
        'medium',
        'Water goes only into acrylic or water-mixable paint. Use spirits, or take the water out.',
      );
    }
    const allVolatile =
      recipe.mix.length === 0 &&
      recipe.medium.length > 0 &&
      recipe.medium.every((part) => VOLATILE.has(part.ingredient));
    if (allVolatile) {
      issue('medium', 'Spirits alone leave no film. Add an oil, a varnish or an alkyd medium.');
    }
  });

const VOLATILE: ReadonlySet<string> = new Set([
  'mineral-spirits',
  'turpentine',
  'spike-oil',
  'water',
]);

export type TubePart = z.infer<typeof tubePartSchema>;
export type MediumPart = z.infer<typeof mediumPartSchema>;
export type Recipe = z.infer<typeof recipeSchema>;
