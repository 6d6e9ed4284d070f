import { REPAIRS } from '@/data/repairs';
import { againstOf, type AssessOptions, type Coat } from '../painting';
import { addedPer10Ml, fatToAdd, volumeOfPart, withMoreOf } from './amounts';
import { describe, type Before } from './describe';
import { firstPassing, roundUpParts, smallestPassing } from './solve';
import { trial } from './trial';
import type { Repair, RepairRequest } from './types';

/**
 * The smallest addition of a fat oil, or of alkyd medium, that the school passes, rounded up to what a palette knife can
 * measure; null where none does.
 */
export function addOil(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const { recipe } = coat;
  if (recipe.mix.length === 0) return null;
  const ingredient = fatToAdd(recipe, request.school);
  const part = volumeOfPart(recipe);
  const attempt = (parts: number): Coat => ({
    ...coat,
    recipe: withMoreOf(recipe, ingredient, parts),
  });
  // Sound first: the more oil, the less sound, so look only below the first unsound amount.
  const unsound = smallestPassing(
    REPAIRS.mostAddedVolume / part,
    (p) => !trial(request, attempt(p), options, before.all).sound,
  );
  const most = unsound ?? REPAIRS.mostAddedVolume / part;
  const exact = smallestPassing(
    most * (1 - 1e-9),
    (p) => !trial(request, attempt(p), options).short,
  );
  if (exact === null) return null;
  const rounded = roundUpParts(exact);
  const parts = describe(request, before, 'add-oil', attempt(rounded), options) ? rounded : exact;
  const repair = describe(request, before, 'add-oil', attempt(parts), options);
  if (!repair) return null;
  return {
    ...repair,
    parts,
    ingredient,
    partsOf: recipe.mediumShare > 0 ? 'medium' : 'paint',
    mlPer10MlPaint: addedPer10Ml(recipe, repair.changed.recipe),
  };
}

const roundUpShare = (m: number): number =>
  Math.ceil(m / REPAIRS.shareStep - 1e-6) * REPAIRS.shareStep;
const roundDownShare = (m: number): number =>
  Math.floor(m / REPAIRS.shareStep + 1e-6) * REPAIRS.shareStep;

/** The smallest larger share of its own medium that the school passes and no rule forbids; null where none does. */
export function moreMedium(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const { recipe } = coat;
  if (
    recipe.mix.length === 0 ||
    recipe.medium.length === 0 ||
    recipe.mediumShare >= REPAIRS.mostMediumShare
  )
    return null;
  const attempt = (m: number): Coat => ({ ...coat, recipe: { ...recipe, mediumShare: m } });
  const room = REPAIRS.mostMediumShare - recipe.mediumShare;
  const unsound = smallestPassing(
    room,
    (x) => !trial(request, attempt(recipe.mediumShare + x), options, before.all).sound,
  );
  const x = smallestPassing(
    unsound === null ? room : unsound * (1 - 1e-9),
    (y) => !trial(request, attempt(recipe.mediumShare + y), options).short,
  );
  if (x === null) return null;
  const exact = recipe.mediumShare + x;
  const repair =
    describe(request, before, 'more-medium', attempt(roundUpShare(exact)), options) ??
    describe(request, before, 'more-medium', attempt(exact), options);
  return repair && { ...repair, mlPer10MlPaint: addedPer10Ml(recipe, repair.changed.recipe) };
}

/** Less medium in the planned coat below, as long as it still passes over what it lies on. */
export function leanerBelow(
  request: RepairRequest,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const key = againstOf(before.layer, request.school)?.key;
  const lower = request.painting.coats.find((c) => c.id === key);
  if (!lower || lower.recipe.mix.length === 0 || lower.recipe.mediumShare === 0) return null;
  const own = { ...request, coatId: lower.id };
  const wasSound = trial(own, lower, options).passes;
  const attempt = (less: number): Coat => {
    const mediumShare = Math.max(0, lower.recipe.mediumShare - less);
    return { ...lower, recipe: { ...lower.recipe, mediumShare } };
  };
  const less = smallestPassing(
    lower.recipe.mediumShare,
    (x) => trial(request, attempt(x), options).passes,
  );
  if (less === null) return null;
  const share = roundDownShare(lower.recipe.mediumShare - less);
  const changed = attempt(lower.recipe.mediumShare - share);
  if (wasSound && !trial(own, changed, options).passes) return null;
  return describe(request, before, 'leaner-below', changed, options);
}

/** Medium to leave out: of a coat that is over the cap. */
export function lessMedium(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const { recipe } = coat;
  if (recipe.mix.length === 0 || recipe.mediumShare === 0) return null;
  const attempt = (mediumShare: number): Coat => ({ ...coat, recipe: { ...recipe, mediumShare } });
  const less = firstPassing(
    recipe.mediumShare,
    (x) => trial(request, attempt(recipe.mediumShare - x), options).passes,
  );
  if (less === null) return null;
  return describe(
    request,
    before,
    'less-medium',
    attempt(roundDownShare(recipe.mediumShare - less)),
    options,
  );
}
