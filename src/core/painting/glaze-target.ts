import { constantAir, DAY_MS } from '../drying';
import type { Recipe } from '../film';
import { valueOfLab, type Lab } from '../optics';
import type { Swatches } from '../optics/composition';
import { findTarget, type TargetAnswer, type TargetTask } from '../optics/target';
import { paintNeeded } from '../quantity/paint-needed';
import { isBroken } from '../tell/layer';
import { assessPainting } from './assess';
import { placeCoat } from './coats';
import type { AssessOptions, Layer } from './layer';
import { stackLook } from './look';
import type { Coat, Painting } from './schema';
import { areaCm2, CLOTH } from './vocabulary';

/** What is looked for: a glaze over a passage as it stands, of the paints and medium at hand. */
export interface PassageTarget extends Pick<
  TargetTask,
  | 'tubes'
  | 'medium'
  | 'mediumName'
  | 'mostMediumShare'
  | 'leastUm'
  | 'mostUm'
  | 'usualUm'
  | 'wanted'
  | 'mostPaints'
> {
  painting: Painting;
  passageId: string;
  uneven: number;
}

/** How a passage stands to a neighbour in value: above 0 is lighter than it. */
export interface Neighbour {
  name: string;
  before: number;
  after: number;
}

export interface PassageAnswer extends TargetAnswer {
  /** Median days to touch-dry from now; null where drying stands still. */
  touchDays: number | null;
  ml: number;
  neighbours: Neighbour[];
}

export interface PassageFound {
  answers: PassageAnswer[];
  reached: boolean;
  painted: PassageAnswer | null;
  refused: number;
  stopped: boolean;
  /** As the passage is now. */
  now: Lab;
}

const TRIED = 'glaze-tried';

/** A coat of a recipe over what lies on a passage: a glaze, or body colour where no glaze does. */
export const coatOver = (
  passageId: string,
  recipe: Recipe,
  kind: 'glaze' | 'paint' = 'glaze',
): Coat => ({
  id: TRIED,
  ...(kind === 'glaze'
    ? { name: 'Glaze', role: 'glaze', application: 'glaze' }
    : { name: 'Overpainting', role: 'overpainting', application: 'brush-coat' }),
  passageIds: [passageId],
  recipe,
  onto: 'touch-dry',
  spot: null,
});

/** The film that such a coat would be, as the painting is judged with it. */
function layerOf(
  { painting, passageId }: PassageTarget,
  recipe: Recipe,
  options: AssessOptions,
): Layer | null {
  const coat = coatOver(passageId, recipe);
  const tried = placeCoat(painting, coat, { where: 'over-laid' }, { now: painting.updatedAt });
  const passage = assessPainting(tried, options).passages.find((p) => p.passage.id === passageId);
  return passage?.base.layers.find((l) => l.film.coatIds.includes(TRIED)) ?? null;
}

function touchDaysOf(layer: Layer | null, options: AssessOptions): number | null {
  if (!layer) return null;
  const air = options.air ?? constantAir(options.handbook.constants, options.climate);
  const at = air.clock(layer.times.kind, options.nowMs, null).timeOf(layer.times.touch.median);
  return at === null ? null : (at - options.nowMs) / DAY_MS;
}

/**
 * Glazes that bring a passage, as it stands, nearest to a colour: inside the rules and the school of the painting, with when
 * each is dry, how much of it is needed, and what it does to the values of its neighbours. Null where there is no such
 * passage.
 */
export function glazeForPassage(
  request: PassageTarget,
  options: AssessOptions,
  swatches: Swatches,
  watch?: (share: number) => boolean,
): PassageFound | null {
  const { painting, passageId } = request;
  const { passages } = assessPainting(painting, options);
  const passage = passages.find((p) => p.passage.id === passageId);
  if (!passage) return null;
  const { now } = stackLook(passage.base, painting, swatches);
  const around = passages
    .filter((p) => p !== passage)
    .map((p) => ({
      name: p.passage.name,
      value: valueOfLab(stackLook(p.base, painting, swatches).now.lab),
    }));
  const found = findTarget(
    {
      ...request,
      below: now.inner,
      finish: 'oil-gloss',
      swatches,
      admits: (recipe) => {
        const layer = layerOf(request, recipe, options);
        return layer !== null && !isBroken(layer, painting.school);
      },
    },
    watch,
  );
  const area = areaCm2(painting.support) * passage.passage.share;
  const { canvasFactor, wasteFactor } = options.handbook.constants;
  const losses = {
    canvasFactor: CLOTH.has(painting.support.kind) ? canvasFactor : 1,
    wasteFactor,
  };
  const tell = (answer: TargetAnswer): PassageAnswer => ({
    ...answer,
    touchDays: touchDaysOf(layerOf(request, answer.recipe, options), options),
    ml: paintNeeded(options.handbook, answer.recipe, area, losses).wetMl,
    neighbours: around.map(({ name, value }) => ({
      name,
      before: valueOfLab(now.lab) - value,
      after: valueOfLab(answer.lab) - value,
    })),
  });
  return {
    ...found,
    answers: found.answers.map(tell),
    painted: found.painted && tell(found.painted),
    now: now.lab,
  };
}
