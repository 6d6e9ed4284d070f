import { APPLICATIONS, type ApplicationKey } from '@/data/applications';
import type { BinderKey } from '@/data/binders';
import { issuesOf } from '@/core/issues';
import type { OwnTube } from '@/core/film';
import type { MaterialKey } from '@/data/materials';
import {
  coatSchema,
  type Coat,
  type CoatRole,
  type Onto,
  type Overrule,
  type Painting,
} from '@/core/painting';

import type { IngredientDraft } from '@/features/IngredientLines';
import type { SpotDraft } from '@/features/SpotFields';

export type TubeDraft =
  { parts: string; own: OwnTube } | { parts: string; pigment: string; binder: BinderKey };

/** A coat while it is edited: numbers are kept as typed. */
export interface CoatDraft {
  id: string;
  name: string;
  role: CoatRole;
  passageIds: string[];
  mix: TubeDraft[];
  medium: IngredientDraft[];
  mediumName: string | null;
  /** Set when the coat is no paint. */
  material: MaterialKey | null;
  sharePct: string;
  application: ApplicationKey;
  thicknessUm: string;
  onto: Onto;
  spot: SpotDraft;
  overruled: Overrule[];
  /** Why it is meant, in the painter's words. */
  why: string;
}

const tidy = (value: number, digits = 2): string => String(Number(value.toFixed(digits)));

export const draftOf = (coat: Coat): CoatDraft => ({
  id: coat.id,
  name: coat.name,
  role: coat.role,
  passageIds: coat.passageIds,
  mix: coat.recipe.mix.map((t) => ({ ...t, parts: tidy(t.parts) })),
  medium: coat.recipe.medium.map((m) => ({ ...m, parts: tidy(m.parts) })),
  mediumName: coat.recipe.mediumName ?? null,
  material: coat.recipe.material ?? null,
  overruled: coat.overruled ?? [],
  why: coat.why ?? '',
  sharePct: tidy(coat.recipe.mediumShare * 100, 1),
  application: coat.application,
  thicknessUm: tidy(coat.recipe.thicknessUm, 1),
  onto: coat.onto,
  spot: {
    on: coat.spot !== null,
    name: coat.spot?.name ?? '',
    sharePct: tidy((coat.spot?.share ?? 0.05) * 100, 1),
  },
});

const number = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'));

export interface CheckedDraft {
  coat: Coat | null;
  /** Sentence for a field, by its path in the coat, e.g. "recipe.mix.0.parts". */
  problem(path: string): string | undefined;
  problems: string[];
}

const recipeOf = (draft: CoatDraft) =>
  draft.material !== null
    ? {
        mix: [],
        medium: [],
        mediumShare: 0,
        thicknessUm: number(draft.thicknessUm),
        material: draft.material,
      }
    : {
        mix: draft.mix.map((t) => ({ ...t, parts: number(t.parts) })),
        medium: draft.medium.map((m) => ({ ...m, parts: number(m.parts) })),
        mediumShare: number(draft.sharePct) / 100,
        thicknessUm: number(draft.thicknessUm),
        ...(draft.mediumName && draft.medium.length > 0 ? { mediumName: draft.mediumName } : {}),
      };

/** Read a draft as a coat; what is wrong stands at its field, and then there is no coat. */
export function checkDraft(draft: CoatDraft): CheckedDraft {
  const parsed = coatSchema.safeParse({
    id: draft.id,
    name: draft.name,
    role: draft.role,
    passageIds: draft.passageIds,
    recipe: recipeOf(draft),
    application: draft.application,
    onto: draft.onto,
    spot: draft.spot.on
      ? { name: draft.spot.name, share: number(draft.spot.sharePct) / 100 }
      : null,
    ...(draft.overruled.length > 0 ? { overruled: draft.overruled } : {}),
    ...(draft.why.trim() ? { why: draft.why } : {}),
  });
  const issues = parsed.error ? issuesOf(parsed.error) : [];
  return {
    coat: parsed.success ? parsed.data : null,
    problem: (path) => issues.find((i) => i.where === path)?.message,
    problems: issues.map((i) => i.message),
  };
}

/** What is put to the name of a coat that is made like another. */
export const CARRIED_OVER = ' again';

/** A new coat: like the one it follows, else like the last one of the passage, else a plain brush coat. */
export function newDraft(
  painting: Painting,
  passageId: string | null,
  afterId: string | null,
  id: string,
): CoatDraft {
  const followed = painting.coats.find((c) => c.id === afterId);
  const like =
    followed ??
    [...painting.coats]
      .reverse()
      .find((c) => passageId === null || c.passageIds.includes(passageId));
  const passageIds = passageId
    ? [passageId]
    : (followed?.passageIds ?? painting.passages.map((p) => p.id));
  if (like)
    return { ...draftOf(like), id, name: `${like.name}${CARRIED_OVER}`, passageIds, overruled: [] };
  return {
    id,
    name: 'Body colour',
    role: 'overpainting',
    passageIds,
    mix: [{ parts: '1', pigment: 'titanium-white', binder: 'linseed' }],
    medium: [],
    sharePct: '0',
    application: 'brush-coat',
    thicknessUm: String(APPLICATIONS['brush-coat'].typicalUm),
    onto: 'touch-dry',
    why: '',
    spot: { on: false, name: '', sharePct: '5' },
    mediumName: null,
    material: null,
    overruled: [],
  };
}

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
