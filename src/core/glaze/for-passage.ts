import type { Recipe } from '../film';
import { de2000, valueOfLab, type Lab } from '../optics';
import type { Swatches } from '../optics/composition';
import { findTarget, type TargetAnswer, type TargetTask } from '../optics/target';
import { paintNeeded } from '../quantity/paint-needed';
import { isBroken, toldLayer } from '../tell/layer';
import { pigmentRow } from '../cabinet/paints';
import { GLAZE_SEARCH } from '@/data/glaze-search';
import { OPTICS_BENCH } from '@/data/optics-bench';
import {
  areaCm2,
  assessPainting,
  CLOTH,
  type AssessOptions,
  type Coat,
  type Layer,
  type Painting,
  type SiteStack,
} from '../painting';
import { placeCoat } from '../painting/coats';
import { daysToReach } from '../painting/days';
import { stackLook } from '../painting/look';

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
  /** What the school or a rule says against it here, in a painter's words; null where it holds. */
  objection: string | null;
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

/** A coat tried over what lies on a passage, as the painting is judged with it. */
export interface Tried {
  painting: Painting;
  stack: SiteStack;
  layer: Layer;
}

/** The film that a coat would be over a passage as it stands; null where there is no such passage. */
export function tryOver(painting: Painting, coat: Coat, options: AssessOptions): Tried | null {
  const tried = placeCoat(painting, coat, { where: 'over-laid' }, { now: painting.updatedAt });
  const passage = assessPainting(tried, options).passages.find(
    (p) => p.passage.id === coat.passageIds[0],
  );
  const layer = passage?.base.layers.find((l) => l.film.coatIds.includes(coat.id));
  return passage && layer ? { painting: tried, stack: passage.base, layer } : null;
}

/** What is said against a coat that was tried; null where it holds. By the sentence that the section says. */
export const objectionTo = ({ painting, layer }: Tried): string | null =>
  isBroken(layer, painting.school) ? toldLayer(layer, painting.school).headline : null;

/** A thought for the painter's health: of two that do alike the one without a metal to heed comes first. */
const cautionOf = (tube: TargetTask['tubes'][number]): number => {
  const pigments = 'own' in tube ? tube.own.pigments.map((p) => p.pigment) : [tube.pigment];
  return pigments.some((key) => (pigmentRow(key)?.metals.length ?? 0) > 0)
    ? GLAZE_SEARCH.caution
    : 0;
};

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
      dislike: request.tubes.map(cautionOf),
      admits: (recipe) => {
        const tried = tryOver(painting, coatOver(passageId, recipe), options);
        return tried !== null && objectionTo(tried) === null;
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
  const tell = (answer: TargetAnswer, kind: 'glaze' | 'paint'): PassageAnswer => {
    const tried = tryOver(painting, coatOver(passageId, answer.recipe, kind), options);
    // The colour that the section will show of it once it is planned.
    const seen = tried && stackLook(tried.stack, tried.painting, swatches);
    const lab = seen?.films.get(tried!.layer.film.key)?.lab ?? answer.lab;
    const { kind: dries, touch } = tried?.layer.times ?? { kind: 'oil', touch: null };
    return {
      ...answer,
      lab,
      de: de2000(lab, request.wanted),
      touchDays: touch && daysToReach(dries, touch.median, options),
      ml: paintNeeded(options.handbook, answer.recipe, area, losses).wetMl,
      neighbours: around.map(({ name, value }) => ({
        name,
        before: valueOfLab(now.lab) - value,
        after: valueOfLab(lab) - value,
      })),
      objection: tried && objectionTo(tried),
    };
  };
  const answers = found.answers.map((answer) => tell(answer, 'glaze')).sort((a, b) => a.de - b.de);
  return {
    ...found,
    answers,
    reached: (answers[0]?.de ?? Infinity) < OPTICS_BENCH.unreachableDe,
    painted: found.painted && tell(found.painted, 'paint'),
    now: now.lab,
  };
}
