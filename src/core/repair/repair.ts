import { INGREDIENTS, type IngredientKey } from '@/data/ingredients';
import { assessPainting, verdictOf, type AssessOptions, type Layer } from '../painting';
import type { Coat, Painting } from '../painting/schema';
import type { MediumPart, Recipe } from '../film';
import { SCHOOL_KEYS, type ReasonCode, type SchoolKey } from '../schools';
import { roundUpParts, smallestPassing } from './solve';

export type RepairKind =
  'add-oil' | 'more-medium' | 'leaner-below' | 'wait-through-dry' | 'thicker';

/** A change that makes a coat pass its school, with what it costs. */
export interface Repair {
  kind: RepairKind;
  /** The coat it changes: the failing one, or the planned one below. */
  coatId: string;
  changed: Coat;
  /** add-oil: parts of the medium (or of the paint where there is no medium); else null. */
  parts: number | null;
  ingredient: IngredientKey | null;
  /** Parts of which `parts` are a part: the medium's, or the tube paint's. */
  partsOf: 'medium' | 'paint';
  /** Oil or medium to add per 10 ml of tube paint, ml; null where nothing is added. */
  mlPer10MlPaint: number | null;
  /** The school's figure of the coat after the repair. */
  figureAfter: number | null;
  touchDryDaysBefore: number;
  touchDryDaysAfter: number;
  /** Every school that this pair passes afterwards. */
  satisfies: SchoolKey[];
}

export interface RepairRequest {
  painting: Painting;
  coatId: string;
  school: SchoolKey;
}

interface Trial {
  layers: Layer[];
  passes: boolean;
  /** The coat falls short of the one below: what adding oil or medium can mend, and once mended stays so. */
  short: boolean;
  sound: boolean;
}

/** Added oil never pushes reduced PVC below this: the film would wrinkle and stay soft. */
const soundFilm = (layer: Layer, options: AssessOptions): boolean => {
  const { richReducedPvc, mediumShareMax, thinGlazeUm } = options.handbook.constants;
  const { composition, thicknessUm } = layer;
  return (
    (composition.reducedPvc === null || composition.reducedPvc >= richReducedPvc) &&
    (thicknessUm <= thinGlazeUm || composition.mediumShare <= mediumShareMax + 1e-9)
  );
};

const withCoat = (painting: Painting, coat: Coat): Painting => ({
  ...painting,
  coats: painting.coats.map((c) => (c.id === coat.id ? coat : c)),
});

/** Every planned layer that holds this coat, over all passages and spots. */
function layersOf(painting: Painting, coatId: string, options: AssessOptions): Layer[] {
  return assessPainting(painting, options).passages.flatMap(({ base, spots }) =>
    [base, ...spots].flatMap(({ layers }) =>
      layers.filter((l) => l.planned && l.film.coatIds.includes(coatId)),
    ),
  );
}

const passes = (layer: Layer, school: SchoolKey): boolean => {
  const verdict = verdictOf(layer, school)?.verdict;
  return verdict === undefined || verdict === 'ok' || verdict === 'not-applicable';
};

const SHORT = new Set<ReasonCode>([
  'falls',
  'equal-more-solvent',
  'within-uncertainty',
  'underbound',
  'lean-stain',
]);

function trial(request: RepairRequest, changed: Coat, options: AssessOptions): Trial {
  const layers = layersOf(withCoat(request.painting, changed), request.coatId, options);
  return {
    layers,
    passes: layers.every((l) => passes(l, request.school)),
    short: layers.some((l) => SHORT.has(verdictOf(l, request.school)?.reason ?? 'rises')),
    sound: layers.every((l) => soundFilm(l, options)),
  };
}

const totalParts = (items: { parts: number }[]): number => items.reduce((s, x) => s + x.parts, 0);

function addPart(medium: MediumPart[], ingredient: IngredientKey, parts: number): MediumPart[] {
  const known = medium.some((p) => p.ingredient === ingredient);
  return known
    ? medium.map((p) => (p.ingredient === ingredient ? { ...p, parts: p.parts + parts } : p))
    : [...medium, { ingredient, parts }];
}

/** Volume of the whole mixture that one part of the medium (or, without medium, of the paint) is. */
const volumeOfPart = (recipe: Recipe): number =>
  recipe.mediumShare > 0
    ? recipe.mediumShare / totalParts(recipe.medium)
    : (1 - recipe.mediumShare) / totalParts(recipe.mix);

/** `parts` more of an ingredient in the medium; paint and the rest of the medium keep their ratio. */
export function withMoreOf(recipe: Recipe, ingredient: IngredientKey, parts: number): Recipe {
  if (parts === 0) return recipe;
  const x = parts * volumeOfPart(recipe);
  return {
    ...recipe,
    medium:
      recipe.mediumShare > 0
        ? addPart(recipe.medium, ingredient, parts)
        : [{ ingredient, parts: 1 }],
    mediumShare: (recipe.mediumShare + x) / (1 + x),
  };
}

/** The oil a painter would reach for: the one in the medium already, else stand oil. */
function oilToAdd(recipe: Recipe): IngredientKey {
  const oils = recipe.medium.filter((p) => INGREDIENTS[p.ingredient].kind === 'oil');
  const most = [...oils].sort((a, b) => b.parts - a.parts)[0];
  return most?.ingredient ?? 'stand-oil';
}

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
/** Medium added, ml per 10 ml of tube paint, when the share goes from m to m'. */
const addedPer10Ml = (before: Recipe, after: Recipe): number =>
  10 *
  (after.mediumShare / (1 - after.mediumShare) - before.mediumShare / (1 - before.mediumShare));

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
