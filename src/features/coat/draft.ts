import { APPLICATIONS, type ApplicationKey } from '@/data/applications';
import type { MaterialKey } from '@/data/materials';
import type { Coat, CoatRole, Painting } from '@/core/painting';
import type { Tube } from '@/features/tubes';
import type { Draft, Typed } from '@/forms';

export type CoatDraft = Draft<Coat>;
/** A tube goes in whole; only its parts are typed. */
export type TubeDraft = Tube & { parts: number | Typed };
export const tubesOf = (recipe: CoatDraft['recipe']): TubeDraft[] => recipe.mix as TubeDraft[];

/** What is put to the name of a coat that is made like another. */
export const CARRIED_OVER = ' again';

/** A new coat: like the one it follows, else like the last one of the passage, else a plain brush coat. */
export function newCoat(
  painting: Painting,
  passageId: string | null,
  afterId: string | null,
  id: string,
): Coat {
  const followed = painting.coats.find((c) => c.id === afterId);
  const like =
    followed ??
    [...painting.coats]
      .reverse()
      .find((c) => passageId === null || c.passageIds.includes(passageId));
  const passageIds = passageId
    ? [passageId]
    : (followed?.passageIds ?? painting.passages.map((p) => p.id));
  if (like) {
    // What was decided against a rule was decided for that coat.
    const { overruled: _overruled, ...rest } = like;
    const name = `${like.name.slice(0, NAME_MAX - CARRIED_OVER.length)}${CARRIED_OVER}`;
    return { ...rest, id, name, passageIds };
  }
  return {
    id,
    name: 'Body colour',
    role: 'overpainting',
    passageIds,
    recipe: {
      mix: [{ parts: 1, pigment: 'titanium-white', binder: 'linseed' }],
      medium: [],
      mediumShare: 0,
      thicknessUm: APPLICATIONS['brush-coat'].typicalUm,
    },
    application: 'brush-coat',
    onto: 'touch-dry',
    spot: null,
  };
}
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
