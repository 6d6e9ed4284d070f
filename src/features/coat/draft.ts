import { APPLICATIONS, type ApplicationKey } from '@/data/applications';
import type { MaterialKey } from '@/data/materials';
import { mixOfColours } from '@/core/film';
import type { Coat, CoatRole, Painting } from '@/core/painting';
import { likeCoat } from '@/core/painting/improvise';
import type { Tube } from '@/core/cabinet/tube-names';
import { ROLE_NAME } from './names';
import type { Draft, Typed } from '@/forms';

export type CoatDraft = Draft<Coat>;
/** A tube goes in whole; only its parts are typed. */
export type TubeDraft = Tube & { parts: number | Typed };
export const tubesOf = (recipe: CoatDraft['recipe']): TubeDraft[] => recipe.mix as TubeDraft[];

/** What is put to the name of a coat that is made like another. */
export const CARRIED_OVER = ' again';

/** A new coat: like the one it follows, where one was named; else blank, over the whole surface or one passage. */
export function newCoat(
  painting: Painting,
  passageId: string | null,
  afterId: string | null,
  id: string,
): Coat {
  const like = painting.coats.find((c) => c.id === afterId);
  if (like) {
    const name = `${like.name.slice(0, NAME_MAX - CARRIED_OVER.length)}${CARRIED_OVER}`;
    return likeCoat(like, id, { name });
  }
  return {
    id,
    name: capital(ROLE_NAME.overpainting),
    role: 'overpainting',
    passageIds: passageId ? [passageId] : painting.passages.map((p) => p.id),
    recipe: {
      mix: [],
      medium: [],
      mediumShare: 0,
      thicknessUm: APPLICATIONS['brush-coat'].typicalUm,
    },
    application: 'brush-coat',
    onto: 'touch-dry',
    spot: null,
  };
}

export const capital = (word: string): string => `${word.charAt(0).toUpperCase()}${word.slice(1)}`;

/** The name that goes with another role: one that was only the name of the old role, or carried over, gives way. */
export const nameForRole = (name: string, was: CoatRole, role: CoatRole): string =>
  name === capital(ROLE_NAME[was]) || name.endsWith(CARRIED_OVER) ? capital(ROLE_NAME[role]) : name;

/** Letters that a coat's name may have. */
const NAME_MAX = 60;

/** What usually goes with a role: how it is put on, and how thick. */
export const ROLE_APPLICATION: Record<CoatRole, ApplicationKey> = {
  drawing: 'stain',
  tone: 'stain',
  underpainting: 'scrub-in',
  'block-in': 'brush-coat',
  overpainting: 'brush-coat',
  detail: 'brush-coat',
  glaze: 'glaze',
  scumble: 'scumble',
  'oiling-out': 'rubbed-on',
  varnish: 'rubbed-on',
};

/** Roles that are no paint begin with what they usually are. */
export const ROLE_MATERIAL: Partial<Record<CoatRole, MaterialKey>> = {
  drawing: 'charcoal',
  varnish: 'synthetic-varnish',
};

type RecipeDraft = CoatDraft['recipe'];
/** What a recipe of paint holds besides its thickness. */
export type PaintPart = Pick<RecipeDraft, 'mix' | 'medium' | 'mediumShare' | 'mediumName'>;

export const paintPartOf = ({ mix, medium, mediumShare, mediumName }: RecipeDraft): PaintPart => ({
  mix,
  medium,
  mediumShare,
  ...(mediumName === undefined ? {} : { mediumName }),
});

/** The recipe of something that is laid as it comes: without mix and medium. */
export const asMaterial = (
  thicknessUm: RecipeDraft['thicknessUm'],
  material: MaterialKey,
): RecipeDraft => ({ mix: [], medium: [], mediumShare: 0, thicknessUm, material });

const PLAIN_PAINT: PaintPart = {
  mix: [{ parts: 1, pigment: 'titanium-white', binder: 'linseed' }],
  medium: [],
  mediumShare: 0,
};

/** The recipe as paint again: with what it had been mixed from, where it had. */
export const asPaint = (recipe: RecipeDraft, before: PaintPart | null): RecipeDraft => ({
  ...(before ?? PLAIN_PAINT),
  thicknessUm: recipe.thicknessUm,
});

/** A coat of several colours with the mix that they are together. */
export const withColours = (coat: Coat): Coat =>
  coat.recipe.colours
    ? { ...coat, recipe: { ...coat.recipe, mix: mixOfColours(coat.recipe.colours) } }
    : coat;
