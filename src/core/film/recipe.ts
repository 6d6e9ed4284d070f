import { z } from 'zod';
import { idSchema } from '../id-schema';
import { BINDER_KEYS, BINDERS } from '@/data/binders';
import { INGREDIENT_KEYS, INGREDIENTS } from '@/data/ingredients';
import { MATERIAL_KEYS } from '@/data/materials';
import { PIGMENT_ROWS } from '@/data/pigments';
import { PARTS_MAX, THICKNESS_MAX_UM } from './limits';
import { binderOfPart } from './tube';

/**
 * What one coat is mixed from. Parts are by volume and only their ratio counts. `mediumShare` is
 * volume of medium over volume of the finished wet mixture (not per volume of paint).
 */
const pigmentKeys = PIGMENT_ROWS.map((p) => p.key) as [string, ...string[]];

export const partsSchema = z
  .number({ error: 'Parts must be a number.' })
  .positive({ error: 'Parts must be above 0. Take the line out instead of setting it to nothing.' })
  .max(PARTS_MAX, { error: `Parts can be at most ${PARTS_MAX}.` });

export const pigmentKeySchema = z.enum(pigmentKeys, {
  error: 'No such pigment. Choose one from the pigment table.',
});
export const binderKeySchema = z.enum(BINDER_KEYS, {
  error: 'No such binder. Choose one of the list.',
});

const OIL_WT_MIN = 5;
const OIL_WT_MAX = 90;
const EXTENDER_MAX = 0.8;
const STEARATE_WT_MAX = 15;
const FACTOR_MIN = 0.1;
const FACTOR_MAX = 10;

/**
 * A tube of the painter's own: one pigment or several, extender, and what the painter knows better than
 * the table. A recipe carries it whole, so that what was laid stays readable when the cabinet changes.
 */
export const ownTubeSchema = z.object({
  id: idSchema(),
  name: z
    .string()
    .trim()
    .min(1, { error: 'The paint needs a name.' })
    .max(60, { error: 'At most 60 letters.' }),
  pigments: z
    .array(z.object({ pigment: pigmentKeySchema, parts: partsSchema }))
    .min(1, { error: 'A paint has at least one pigment.' })
    .max(8, { error: 'A tube holds at most 8 pigments here.' }),
  binder: binderKeySchema,
  /** Extender, share of the solids by volume. */
  extenderShare: z
    .number({ error: 'Extender must be a number of %.' })
    .min(0, { error: 'Extender cannot be below 0 %.' })
    .max(EXTENDER_MAX, { error: 'Extender can be at most 80 % of the solids.' }),
  /** Oil of the tube, % by weight; null: by the pigment table. */
  oilWtPct: z
    .number({ error: 'Oil must be a number of %.' })
    .min(OIL_WT_MIN, { error: `Oil must be at least ${OIL_WT_MIN} % by weight.` })
    .max(OIL_WT_MAX, { error: `Oil can be at most ${OIL_WT_MAX} % by weight.` })
    .nullable(),
  /** Multiplies the drying time of the oil; null: by the pigment table. */
  dryingFactor: z
    .number({ error: 'The drying factor must be a number.' })
    .min(FACTOR_MIN, { error: `The drying factor must be at least ${FACTOR_MIN}.` })
    .max(FACTOR_MAX, { error: `The drying factor can be at most ${FACTOR_MAX}.` })
    .nullable(),
  /** Aluminium stearate, % by weight of the paint; absent: as usual, 1 to 3, and already in the oil of the table. */
  stearateWtPct: z
    .number({ error: 'Stearate must be a number of %.' })
    .min(0, { error: 'Stearate cannot be below 0 %.' })
    .max(STEARATE_WT_MAX, { error: `Stearate can be at most ${STEARATE_WT_MAX} % by weight.` })
    .optional(),
  /** A white, tint or "hue" of which nobody says what is in it. */
  makeUpUnknown: z.boolean(),
});

const tableTubeSchema = z.object({
  parts: partsSchema,
  pigment: pigmentKeySchema,
  binder: binderKeySchema,
});

/** A tube as it is in the table, or one of the painter's own. */
export const tubePartSchema = z.union([
  z.object({ parts: partsSchema, own: ownTubeSchema }),
  tableTubeSchema,
]);

const SOLIDS_MIN = 1;
const SOLIDS_MAX = 95;
export const mediumPartSchema = z.object({
  parts: partsSchema,
  ingredient: z.enum(INGREDIENT_KEYS, { error: 'No such ingredient. Choose one of the list.' }),
  /** Strength of a varnish, alkyd or wax medium, solids by weight %; absent: the usual strength. */
  solidsWtPct: z
    .number({ error: 'Solids must be a number of %.' })
    .min(SOLIDS_MIN, { error: `Solids must be at least ${SOLIDS_MIN} % by weight.` })
    .max(SOLIDS_MAX, { error: `Solids can be at most ${SOLIDS_MAX} % by weight.` })
    .optional(),
});

/** Dry film thickness, um. 0.5 um is the thinnest rubbed film; 10 mm the thickest relief paint holds. */
export const thicknessSchema = z
  .number({ error: 'Thickness must be a number of µm.' })
  .min(0.5, { error: 'Thickness must be at least 0.5 µm.' })
  .max(THICKNESS_MAX_UM, { error: `Thickness must be at most ${THICKNESS_MAX_UM} µm (10 mm).` });

const VOLATILE = (ingredient: MediumPart['ingredient']): boolean => {
  const { kind } = INGREDIENTS[ingredient];
  return kind === 'solvent' || kind === 'drier' || kind === 'retarder';
};

/** As many as eight colours of twelve tubes hold. */
const MIX_MAX = 96;

export const recipeSchema = z
  .object({
    mix: z.array(tubePartSchema).max(MIX_MAX, { error: `A mix holds at most ${MIX_MAX} tubes.` }),
    /** Several colours laid wet in one sitting: what each is and its share of the area. `mix` is all of them together. */
    colours: z
      .array(
        z.object({
          name: z.string().trim().min(1, { error: 'Needs a name.' }).max(60),
          share: z
            .number({ error: 'The share must be a number.' })
            .positive({ error: 'The share must be above 0 %.' })
            .max(1, { error: 'The share cannot be over 100 %.' }),
          mix: z.array(tubePartSchema).min(1, { error: 'Add a paint.' }).max(12),
        }),
      )
      .min(2)
      .max(8, { error: 'At most 8 colours in one coat.' })
      .optional(),
    medium: z.array(mediumPartSchema).max(8, { error: 'A medium holds at most 8 ingredients.' }),
    mediumShare: z
      .number({ error: 'The share of medium must be a number.' })
      .min(0, { error: 'The share of medium cannot be below 0 %.' })
      .max(1, { error: 'The share of medium cannot be over 100 %.' }),
    thicknessUm: thicknessSchema,
    /** What the coat is when it is not paint mixed on the palette; then mix and medium are empty. */
    material: z
      .enum(MATERIAL_KEYS, { error: 'No such material. Choose one of the list.' })
      .optional(),
    /** What the medium is called in the cabinet. */
    mediumName: z.string().trim().min(1).max(60).optional(),
  })
  .superRefine((recipe, ctx) => {
    const issue = (path: string, message: string) =>
      ctx.addIssue({ code: 'custom', path: [path], message });
    if (recipe.material !== undefined) {
      if (recipe.mix.length > 0 || recipe.medium.length > 0 || recipe.mediumShare > 0)
        issue(
          'material',
          'A coat of this kind has no mix and no medium. Take the paints out, or make it paint.',
        );
      return;
    }
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
    const every = [...recipe.mix, ...(recipe.colours ?? []).flatMap((colour) => colour.mix)];
    const kinds = new Set(every.map((part) => BINDERS[binderOfPart(part)].kind === 'acrylic'));
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
    if (!acrylic && watery && !recipe.mix.some((part) => binderOfPart(part) === 'water-mixable')) {
      issue(
        'medium',
        'Water goes only into acrylic or water-mixable paint. Use spirits, or take the water out.',
      );
    }
    if (
      recipe.mix.length === 0 &&
      recipe.medium.length > 0 &&
      recipe.medium.every((part) => VOLATILE(part.ingredient))
    ) {
      issue('medium', 'Spirits alone leave no film. Add an oil, a varnish or an alkyd medium.');
    }
  });

export type OwnTube = z.infer<typeof ownTubeSchema>;
export type TubePart = z.infer<typeof tubePartSchema>;
export type MediumPart = z.infer<typeof mediumPartSchema>;
export type Recipe = z.infer<typeof recipeSchema>;
