import { REPAIRS } from '@/data/repairs';
import { APPLICATIONS } from '@/data/applications';
import { againstOf, assessPainting, type AssessOptions, type Coat, type Layer } from '../painting';
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
  { painting, school }: RepairRequest,
  layer: Layer,
  options: AssessOptions,
): number | null {
  const against = againstOf(layer, school);
  for (const { base, spots } of assessPainting(painting, options).passages) {
    for (const { layers } of [base, ...spots]) {
      const lower = layers.find((l) => l.film.key === against?.key);
      if (lower) return lower.windows?.throughDry.p50 ?? null;
    }
  }
  return null;
}

const withThickness = (coat: Coat, thicknessUm: number): Coat => ({
  ...coat,
  recipe: { ...coat.recipe, thicknessUm },
});

/** Thinnest and thickest, um, that the way of laying leaves a film; wider where the coat is so already. */
export function thicknessRange({
  application,
  recipe,
}: Coat): [thinnest: number, thickest: number] {
  const [thin, thick] = APPLICATIONS[application].rangeUm;
  const h = recipe.thicknessUm;
  return [Math.min(h, Math.max(thin, REPAIRS.thinnestUm)), Math.max(h, thick)];
}

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
    thicknessRange(coat)[1] - h,
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

/** Thin enough for what thin films are let off, as far as the way of laying goes: what is to cover still covers. */
export function thinner(
  request: RepairRequest,
  coat: Coat,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const h = coat.recipe.thicknessUm;
  const room = h - thicknessRange(coat)[0];
  if (room <= 0) return null;
  const okay = (less: number): boolean => {
    const { layers } = trial(request, withThickness(coat, h - less), options);
    return accepted(layers, request.school);
  };
  const less = firstPassing(room, okay);
  if (less === null) return null;
  const changed = withThickness(coat, Math.floor(h - less + 1e-9));
  const { layers, sound } = trial(request, changed, options, before.all);
  if (!sound || !accepted(layers, request.school)) return null;
  return {
    ...blank('thinner', changed, before.layer, layers, request.school),
    satisfies: SCHOOL_KEYS.filter((s) => accepted(layers, s)),
  };
}

/**
 * Another order: the coat under the planned one below it, if both then hold and are of one kind. A glaze under its body,
 * or a block-in over the overpainting, would be another method.
 */
export function otherOrder(
  request: RepairRequest,
  before: Before,
  options: AssessOptions,
): Repair | null {
  const { painting, coatId, school } = request;
  const lower = painting.coats.find((c) => c.id === againstOf(before.layer, school)?.key);
  const own = painting.coats.find((c) => c.id === coatId);
  if (!lower || !own || lower.role !== own.role || school === 'constant-alkyd') return null;
  const moved = moveCoat(painting, coatId, -1, { now: painting.updatedAt });
  const its = layersOf(moved, coatId, options);
  const others = layersOf(moved, lower.id, options);
  const both = [...its, ...others];
  const now = [...before.all, ...layersOf(painting, lower.id, options)];
  const holds = both.every((l) => passes(l, school)) && nothingNewRefused(now, both);
  if (moved === painting || !its[0] || !holds) return null;
  return {
    ...blank('other-order', own, before.layer, its, school),
    moveBy: -1,
    satisfies: SCHOOL_KEYS.filter((s) => both.every((l) => passes(l, s))),
  };
}
