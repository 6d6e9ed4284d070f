import { z } from 'zod';
import {
  AGES,
  FINISHES,
  GROUND_COLOUR_KEYS,
  BINDER_COLOUR,
  type ColouredBinder,
} from '@/data/optics';
import { CIE_WEIGHTS, VIEWINGS } from '@/data/cie-more';
import { filmOfRecipe } from '../film';
import { pigmentKeySchema, recipeSchema } from '../film/recipe';
import { STUDIO_HANDBOOK } from '../handbook';
import { CoreError } from '../errors';
import { labSchema } from '../cabinet/swatch-schema';
import {
  chromaOf,
  colourOf,
  colourWords,
  filmOfTubes,
  flat,
  groundSpectrum,
  hueOf,
  labOfHex,
  opaque,
  opticalFilm,
  screenColour,
  xyzOf,
  type Lab,
  type OpticalFilm,
  type Spectrum,
} from '../optics';
import { filmOfConstituents, NO_SWATCHES } from '../optics/composition';

/** What the verbs of colour are given and tell in common. */

const fraction = z.number().min(0).max(1);
const um = z
  .number()
  .positive({ error: 'Thickness must be above 0 µm.' })
  .max(10_000, { error: 'Thickness must be at most 10 mm.' });

export const groundInput = z
  .union([
    z.enum(GROUND_COLOUR_KEYS, { error: 'No such ground. Choose one of the list.' }),
    z.object({ opaque: z.partialRecord(pigmentKeySchema, z.number().positive()) }),
    z.object({ grey: fraction }),
  ])
  .describe('a ground by name, an opaque mixture in parts of tube paint, or a grey by inner R');

const BINDERS = Object.keys(BINDER_COLOUR) as [ColouredBinder, ...ColouredBinder[]];

export const filmInput = z
  .union([
    z.object({ recipe: recipeSchema }),
    z.object({
      /** Volume of each pigment over the volume of the dry film. */
      pigments: z.partialRecord(pigmentKeySchema, fraction),
      /** Shares of the binder by volume; linseed when absent. */
      binders: z.partialRecord(z.enum(BINDERS), fraction).optional(),
      um,
    }),
    z.object({ k: z.number().min(0), s: z.number().min(0), um }),
  ])
  .describe('a recipe, a composition by volume share and um, or one K and S (1/um) in all bands');

export const finishInput = z.enum(FINISHES, { error: 'No such finish. Choose one of the list.' });
export const ageInput = z.enum(AGES);
export const viewingInput = z.enum(VIEWINGS);
export const wantedInput = z
  .union([labSchema, z.string().regex(/^#[0-9a-f]{6}$/i, { error: 'A colour is like #8f4a16.' })])
  .describe('CIE Lab (D65, 2 degrees), or sRGB as #rrggbb');

/** The Lab of what is wanted. */
export const wantedLab = (wanted: z.infer<typeof wantedInput>): Lab =>
  typeof wanted === 'string' ? labOfHex(wanted.toLowerCase()) : (wanted as Lab);

/** Inner reflectance of a ground as it is given. */
export function groundOf(ground: z.infer<typeof groundInput>): Spectrum {
  if (typeof ground === 'string') return groundSpectrum(ground);
  if ('grey' in ground) return flat(ground.grey);
  const parts = Object.entries(ground.opaque);
  const total = parts.reduce((sum, [, p]) => sum + (p ?? 0), 0);
  if (total === 0)
    throw new CoreError('mix-empty', 'ground.opaque', 'The mixture is empty. Add a paint.');
  return opaque(filmOfTubes(Object.fromEntries(parts.map(([key, p]) => [key, (p ?? 0) / total]))));
}

/** A film as it is given, as light meets it. */
export function filmOf(
  film: z.infer<typeof filmInput>,
  age: z.infer<typeof ageInput>,
): OpticalFilm {
  if ('recipe' in film) {
    const made = filmOfConstituents(filmOfRecipe(STUDIO_HANDBOOK, film.recipe), NO_SWATCHES, age);
    return made ?? { kh: flat(0), sh: flat(0) };
  }
  if ('k' in film) return { kh: flat(film.k * film.um), sh: flat(film.s * film.um) };
  const pigments = Object.entries(film.pigments).map(([pigment, share]) => ({
    pigment,
    um: (share ?? 0) * film.um,
  }));
  const solids = pigments.reduce((sum, p) => sum + p.um, 0);
  if (solids > film.um * (1 + 1e-9))
    throw new CoreError(
      'range',
      'pigments',
      'The pigments take more than the whole film. Their shares are at most 1 together.',
    );
  const clear = film.um - solids;
  const binders: Partial<Record<ColouredBinder, number>> = film.binders ?? { linseed: 1 };
  const total = Object.values(binders).reduce((sum, b) => sum + b, 0) || 1;
  return opticalFilm(
    {
      pigments,
      binders: Object.fromEntries(
        Object.entries(binders).map(([key, share]) => [key, (clear * share) / total]),
      ),
      thicknessUm: film.um,
    },
    age,
  );
}

export const toldColour = z.object({
  lab: z.array(z.number()).length(3),
  xyz: z.array(z.number()).length(3).describe('Y of the perfect diffuser is 100'),
  value: z.number().describe('Munsell value, 0 to 10'),
  chroma: z.number(),
  hue: z.number().describe('Lab hue, degrees'),
  words: z.string(),
  srgb: z.string().describe('fitted to sRGB'),
  shown: z.boolean().describe('sRGB has it as it is'),
  off: z.number().describe('CIEDE2000 between the colour and the one shown'),
});

/** A seen reflectance in every figure that is told of it. Screens mean D65 and 2 degrees, whatever the viewing. */
export function tellColour(
  spectrum: Spectrum,
  viewing: z.infer<typeof viewingInput> = 'D65/2',
): z.infer<typeof toldColour> {
  const weights = CIE_WEIGHTS[viewing];
  const { lab, value } = colourOf(spectrum, weights);
  const { hex, shown, off } = screenColour(colourOf(spectrum).lab);
  return {
    lab,
    xyz: xyzOf(spectrum, weights),
    value,
    chroma: chromaOf(lab),
    hue: hueOf(lab),
    words: colourWords(lab),
    srgb: hex,
    shown,
    off,
  };
}
