import { verdictOf, type AssessOptions, type Coat, type Layer } from '../painting';
import { SCHOOL_KEYS } from '../schools';
import { addedPer10Ml, oilToAdd, volumeOfPart, withMoreOf } from './amounts';
import { roundUpParts, smallestPassing } from './solve';
import { layersOf, passes, trial } from './trial';
import type { Repair, RepairKind, RepairRequest } from './types';

function describe(
  request: RepairRequest,
  before: Layer,
  kind: RepairKind,
  changed: Coat,
  options: AssessOptions,
): Repair | null {
  const { layers, passes: mended, sound } = trial(request, changed, options);
  const after = layers[0];
  if (!after || !mended || !sound) return null;
  return {
    kind,
    coatId: changed.id,
    changed,
    parts: null,
    ingredient: null,
    partsOf: 'medium',
    mlPer10MlPaint: null,
    figureAfter: after.pair?.bySchool[request.school].upper ?? null,
    touchDryDaysBefore: before.times.touch.median,
    touchDryDaysAfter: after.times.touch.median,
    satisfies: SCHOOL_KEYS.filter((school) => layers.every((l) => passes(l, school))),
  };
}

/**
 * What a repair weighs when they are put in order: ml added per 10 ml of paint. Waiting, which only earns
 * a note, stands behind small additions and before large ones (a fifth of the paint, the usual most); what touches other coats comes last. Judgement.
 */
const WAIT_WEIGHS_ML = 2;
const weight = (repair: Repair): number => {
  if (repair.kind === 'wait-through-dry') return WAIT_WEIGHS_ML;
  if (repair.kind === 'leaner-below') return Infinity;
  return repair.mlPer10MlPaint ?? 0;
};

const MAX_ADDED_PARTS_VOLUME = 4;
function addOil(
  request: RepairRequest,
  coat: Coat,
  before: Layer,
  options: AssessOptions,
): Repair | null {
  const { recipe } = coat;
  if (recipe.mix.length === 0) return null;
  const ingredient = oilToAdd(recipe);
  const part = volumeOfPart(recipe);
  const attempt = (parts: number): Coat => ({
    ...coat,
    recipe: withMoreOf(recipe, ingredient, parts),
  });
  // Sound first: the more oil, the less sound, so look only below the first unsound amount.
  const unsound = smallestPassing(
    MAX_ADDED_PARTS_VOLUME / part,
    (p) => !trial(request, attempt(p), options).sound,
  );
  const most = unsound ?? MAX_ADDED_PARTS_VOLUME / part;
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

/** Steps a painter sets a share in. */
const SHARE_STEP = 0.01;
const roundUpShare = (m: number): number => Math.ceil(m / SHARE_STEP - 1e-9) * SHARE_STEP;
const roundDownShare = (m: number): number => Math.floor(m / SHARE_STEP + 1e-9) * SHARE_STEP;

function moreMedium(
  request: RepairRequest,
  coat: Coat,
  before: Layer,
  options: AssessOptions,
): Repair | null {
  const { recipe } = coat;
  if (recipe.mix.length === 0 || recipe.medium.length === 0 || recipe.mediumShare >= 0.9)
    return null;
  const attempt = (m: number): Coat => ({ ...coat, recipe: { ...recipe, mediumShare: m } });
  const room = 0.9 - recipe.mediumShare;
  const unsound = smallestPassing(
    room,
    (x) => !trial(request, attempt(recipe.mediumShare + x), options).sound,
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
function leanerBelow(request: RepairRequest, before: Layer, options: AssessOptions): Repair | null {
  const key = before.pair?.againstKey;
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

/** Over a thin lean stain, waiting until that is through-dry turns a refusal into a note. */
function waitThroughDry(
  request: RepairRequest,
  coat: Coat,
  before: Layer,
  options: AssessOptions,
): Repair | null {
  if (coat.onto === 'through-dry') return null;
  const changed: Coat = { ...coat, onto: 'through-dry' };
  const { layers } = trial(request, changed, options);
  const verdicts = layers.map((l) => verdictOf(l, request.school)?.verdict ?? 'ok');
  if (!layers[0] || !verdicts.every((v) => v === 'ok' || v === 'note' || v === 'not-applicable'))
    return null;
  return {
    kind: 'wait-through-dry',
    coatId: coat.id,
    changed,
    parts: null,
    ingredient: null,
    partsOf: 'medium',
    mlPer10MlPaint: null,
    figureAfter: layers[0].pair?.bySchool[request.school].upper ?? null,
    touchDryDaysBefore: before.times.touch.median,
    touchDryDaysAfter: layers[0].times.touch.median,
    satisfies: SCHOOL_KEYS.filter((s) =>
      layers.every((l) =>
        ['ok', 'note', 'not-applicable'].includes(verdictOf(l, s)?.verdict ?? 'ok'),
      ),
    ),
  };
}

const THICKEST_UM = 500;

function thicker(
  request: RepairRequest,
  coat: Coat,
  before: Layer,
  options: AssessOptions,
): Repair | null {
  if (request.school !== 'thick-over-thin') return null;
  const attempt = (extra: number): Coat => ({
    ...coat,
    recipe: { ...coat.recipe, thicknessUm: coat.recipe.thicknessUm + extra },
  });
  const extra = smallestPassing(THICKEST_UM, (x) => trial(request, attempt(x), options).passes);
  if (extra === null) return null;
  return describe(request, before, 'thicker', attempt(Math.ceil(extra)), options);
}

/**
 * Changes that make a planned coat pass its painting's school wherever it lies, smallest first.
 * Amounts are solved by bisection on the whole assessment (ground loss, merging and all passages
 * included) and rounded up to what can be measured. Every repair keeps the cap on medium (a third; lifted for glazes of at most 20 um) and reduced PVC of at least 0.45.
 * An empty list is an answer: there is no sound repair.
 */
export function repairsFor(request: RepairRequest, options: AssessOptions): Repair[] {
  const coat = request.painting.coats.find((c) => c.id === request.coatId);
  if (!coat) return [];
  const failing = layersOf(request.painting, coat.id, options).filter((l) => {
    const v = verdictOf(l, request.school)?.verdict;
    return v === 'fail' || v === 'caution' || v === 'undecided';
  });
  const before = failing[0];
  if (!before) return [];
  const found = [
    waitThroughDry(request, coat, before, options),
    addOil(request, coat, before, options),
    moreMedium(request, coat, before, options),
    thicker(request, coat, before, options),
    leanerBelow(request, before, options),
  ].filter((r): r is Repair => r !== null);
  return found.sort((a, b) => (weight(a) === weight(b) ? 0 : weight(a) - weight(b)));
}
