import {
  assessPainting,
  changeCoat,
  moveCoat,
  verdictOf,
  type AssessOptions,
  type Coat,
  type Layer,
  type Making,
  type Painting,
} from '../painting';
import { SCHOOL_KEYS, type SchoolKey } from '../schools';
import { addedPer10Ml, oilToAdd, volumeOfPart, withMoreOf } from './amounts';
import { firstPassing, roundUpParts, smallestPassing } from './solve';
import { layersOf, nothingNewRefused, passes, trial } from './trial';
import type { Repair, RepairKind, RepairRequest } from './types';

/** What every repair begins with; each kind fills in what it knows. */
const blank = (
  kind: RepairKind,
  changed: Coat,
  before: Layer,
  layers: Layer[],
  school: SchoolKey,
) => ({
  kind,
  coatId: changed.id,
  changed,
  moveBy: 0 as const,
  parts: null,
  ingredient: null,
  partsOf: 'medium' as const,
  mlPer10MlPaint: null,
  fromMs: null,
  figureAfter: layers[0]?.pair?.bySchool[school].upper ?? null,
  touchDryDaysBefore: before.times.touch.median,
  touchDryDaysAfter: layers[0]?.times.touch.median ?? before.times.touch.median,
});

interface Before {
  layer: Layer;
  all: Layer[];
}

function describe(
  request: RepairRequest,
  before: Before,
  kind: RepairKind,
  changed: Coat,
  options: AssessOptions,
): Repair | null {
  const { layers, passes: mended, sound } = trial(request, changed, options, before.all);
  if (!layers[0] || !mended || !sound) return null;
  return {
    ...blank(kind, changed, before.layer, layers, request.school),
    satisfies: SCHOOL_KEYS.filter((school) => layers.every((l) => passes(l, school))),
  };
}

/**
 * What a repair weighs when they are put in order: ml added per 10 ml of paint. Waiting, which only earns
 * a note, stands behind small additions and before large ones (a fifth of the paint, the usual most); what touches other coats comes last. Judgement.
 */
const WAIT_WEIGHS_ML = 2;
const TOUCHES_OTHERS: ReadonlySet<RepairKind> = new Set(['leaner-below', 'other-order']);
const weight = (repair: Repair): number => {
  if (repair.kind === 'wait-through-dry') return WAIT_WEIGHS_ML;
  if (TOUCHES_OTHERS.has(repair.kind)) return Infinity;
  return repair.mlPer10MlPaint ?? 0;
};

const MAX_ADDED_PARTS_VOLUME = 4;
function addOil(
  request: RepairRequest,
  coat: Coat,
  before: Before,
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
    (p) => !trial(request, attempt(p), options, before.all).sound,
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
const roundUpShare = (m: number): number => Math.ceil(m / SHARE_STEP - 1e-6) * SHARE_STEP;
const roundDownShare = (m: number): number => Math.floor(m / SHARE_STEP + 1e-6) * SHARE_STEP;

function moreMedium(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const { recipe } = coat;
  if (recipe.mix.length === 0 || recipe.medium.length === 0 || recipe.mediumShare >= 0.9)
    return null;
  const attempt = (m: number): Coat => ({ ...coat, recipe: { ...recipe, mediumShare: m } });
  const room = 0.9 - recipe.mediumShare;
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
function leanerBelow(
  request: RepairRequest,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const key = before.layer.pair?.againstKey;
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

/** What a school accepts after waiting: over a thin lean stain a refusal becomes a note. */
const ACCEPTED = new Set(['ok', 'note', 'not-applicable']);
const accepted = (layers: Layer[], school: SchoolKey): boolean =>
  layers.every((l) => ACCEPTED.has(verdictOf(l, school)?.verdict ?? 'ok'));

/** The day from which waiting alone mends it: when what lies below is dry through, by the median. */
function waitThroughDry(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  if (coat.onto === 'through-dry') return null;
  const changed: Coat = { ...coat, onto: 'through-dry' };
  const { layers } = trial(request, changed, options);
  if (!layers[0] || !accepted(layers, request.school)) return null;
  const dates = before.all.map((l) => throughDryBelow(request, l, options));
  return {
    ...blank('wait-through-dry', changed, before.layer, layers, request.school),
    fromMs: dates.includes(null) ? null : Math.max(...(dates as number[])),
    satisfies: SCHOOL_KEYS.filter((s) => accepted(layers, s)),
  };
}

/** When the laid film that a layer is judged against is dry through; null while that one is only planned. */
function throughDryBelow(
  { painting }: RepairRequest,
  { pair }: Layer,
  options: AssessOptions,
): number | null {
  for (const { base, spots } of assessPainting(painting, options).passages) {
    for (const { layers } of [base, ...spots]) {
      const lower = layers.find((l) => l.film.key === pair?.againstKey);
      if (lower) return lower.windows?.throughDry.p50 ?? null;
    }
  }
  return null;
}

const THICKEST_UM = 500;
const THINNEST_UM = 5;

const withThickness = (coat: Coat, thicknessUm: number): Coat => ({
  ...coat,
  recipe: { ...coat.recipe, thicknessUm },
});

function thicker(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  if (request.school !== 'thick-over-thin') return null;
  const h = coat.recipe.thicknessUm;
  const attempt = (extra: number): Coat => withThickness(coat, h + extra);
  const extra = smallestPassing(THICKEST_UM, (x) => trial(request, attempt(x), options).passes);
  if (extra === null) return null;
  return describe(
    request,
    before,
    'thicker',
    withThickness(coat, Math.ceil(h + extra - 1e-9)),
    options,
  );
}

/** Thin enough for a glaze, to which caps and thickness rules are kinder. */
function thinner(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const h = coat.recipe.thicknessUm;
  if (h <= THINNEST_UM) return null;
  const okay = (less: number): boolean => {
    const { layers } = trial(request, withThickness(coat, h - less), options);
    return accepted(layers, request.school);
  };
  const less = firstPassing(h - THINNEST_UM, okay);
  if (less === null) return null;
  const changed = withThickness(coat, Math.floor(h - less + 1e-9));
  const { layers, sound } = trial(request, changed, options, before.all);
  if (!sound || !accepted(layers, request.school)) return null;
  return {
    ...blank('thinner', changed, before.layer, layers, request.school),
    satisfies: SCHOOL_KEYS.filter((s) => accepted(layers, s)),
  };
}

/** Medium to leave out: of a coat that is over the cap. */
function lessMedium(
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

/** Another order: the coat under the planned one below it, if both then hold. */
function otherOrder(request: RepairRequest, before: Before, options: AssessOptions): Repair | null {
  const { painting, coatId, school } = request;
  const lower = painting.coats.find((c) => c.id === before.layer.pair?.againstKey);
  if (!lower) return null;
  const moved = moveCoat(painting, coatId, -1, { now: painting.updatedAt });
  const own = layersOf(moved, coatId, options);
  const others = layersOf(moved, lower.id, options);
  const both = [...own, ...others];
  const now = [...before.all, ...layersOf(painting, lower.id, options)];
  const holds = both.every((l) => passes(l, school)) && nothingNewRefused(now, both);
  if (moved === painting || !own[0] || !holds) return null;
  const coat = painting.coats.find((c) => c.id === coatId)!;
  return {
    ...blank('other-order', coat, before.layer, own, school),
    moveBy: -1,
    satisfies: SCHOOL_KEYS.filter((s) => both.every((l) => passes(l, s))),
  };
}

/** Put a repair into the painting. */
export const applyRepair = (
  painting: Painting,
  repair: Repair,
  making: Pick<Making, 'now'>,
): Painting =>
  repair.moveBy === 0
    ? changeCoat(painting, repair.changed, false, making)
    : moveCoat(painting, repair.coatId, repair.moveBy, making);

const FAILS = new Set(['fail', 'caution', 'undecided']);

/**
 * Changes that make a planned coat pass its painting's school wherever it lies, smallest first.
 * Amounts are solved by bisection on the whole assessment (ground loss, merging and all passages
 * included) and rounded up to what can be measured. Every repair keeps the cap on medium (a third; lifted for glazes of at most 20 um),
 * reduced PVC of at least 0.45, and adds nothing that a compatibility rule refuses.
 * An empty list is an answer: there is no sound repair.
 */
export function repairsFor(request: RepairRequest, options: AssessOptions): Repair[] {
  const coat = request.painting.coats.find((c) => c.id === request.coatId);
  if (!coat || coat.recipe.material !== undefined) return [];
  const all = layersOf(request.painting, coat.id, options);
  const layer = all.find((l) => FAILS.has(verdictOf(l, request.school)?.verdict ?? 'ok'));
  if (!layer) return [];
  const before: Before = { layer, all };
  const found = [
    waitThroughDry(request, coat, before, options),
    addOil(request, coat, before, options),
    moreMedium(request, coat, before, options),
    lessMedium(request, coat, before, options),
    thicker(request, coat, before, options),
    thinner(request, coat, before, options),
    leanerBelow(request, before, options),
    otherOrder(request, before, options),
  ].filter((r): r is Repair => r !== null);
  return found.sort((a, b) => (weight(a) === weight(b) ? 0 : weight(a) - weight(b)));
}
