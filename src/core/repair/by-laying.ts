import { REPAIRS } from '@/data/repairs';
import { assessPainting, type AssessOptions, type Coat, type Layer } from '../painting';
import { moveCoat } from '../painting/coats';
import { SCHOOL_KEYS } from '../schools';
import { accepted, blank, describe, type Before } from './describe';
import { firstPassing, smallestPassing } from './solve';
import { layersOf, nothingNewRefused, passes, trial } from './trial';
import type { Repair, RepairRequest } from './types';

/** Repairs by how the coat is laid: when, how thick, in which order. */
/** The day from which waiting alone mends it: when what lies below is dry through, by the median. */
export function waitThroughDry(
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
export function throughDryBelow(
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

const withThickness = (coat: Coat, thicknessUm: number): Coat => ({
  ...coat,
  recipe: { ...coat.recipe, thicknessUm },
});

/** Lay it thicker, for the school that judges by thickness alone; null where no thickness helps. */
export function thicker(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  if (request.school !== 'thick-over-thin') return null;
  const h = coat.recipe.thicknessUm;
  const attempt = (extra: number): Coat => withThickness(coat, h + extra);
  const extra = smallestPassing(
    REPAIRS.thickestRepairUm,
    (x) => trial(request, attempt(x), options).passes,
  );
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
export function thinner(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const h = coat.recipe.thicknessUm;
  if (h <= REPAIRS.thinnestUm) return null;
  const okay = (less: number): boolean => {
    const { layers } = trial(request, withThickness(coat, h - less), options);
    return accepted(layers, request.school);
  };
  const less = firstPassing(h - REPAIRS.thinnestUm, okay);
  if (less === null) return null;
  const changed = withThickness(coat, Math.floor(h - less + 1e-9));
  const { layers, sound } = trial(request, changed, options, before.all);
  if (!sound || !accepted(layers, request.school)) return null;
  return {
    ...blank('thinner', changed, before.layer, layers, request.school),
    satisfies: SCHOOL_KEYS.filter((s) => accepted(layers, s)),
  };
}

/** Another order: the coat under the planned one below it, if both then hold. */
export function otherOrder(
  request: RepairRequest,
  before: Before,
  options: AssessOptions,
): Repair | null {
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
