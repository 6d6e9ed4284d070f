import { APPLICATIONS } from '@/data/applications';
import { GLAZE_SEARCH } from '@/data/glaze-search';
import type { Finish } from '@/data/optics';
import { OPTICS_BENCH } from '@/data/optics-bench';
import {
  composition,
  filmOfRecipe,
  mediumFigures,
  wetMixture,
  type MediumPart,
  type Recipe,
} from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { de2000, labOf, type Lab } from './colour';
import { filmOfConstituents, type Swatches } from './composition';
import { opaque, thicker, type OpticalFilm } from './films';
import { searchGlaze, type GlazeAnswer, type GlazeLimits } from './glaze-search';
import { seenUneven } from './look';
import type { Spectrum } from './spectrum';
import { seen } from './surface';
import { opticalPaint, type PaintTube } from './tubes';

/** From a colour that is wanted to coats that bring it about. */
export interface TargetTask {
  tubes: readonly PaintTube[];
  /** What thins the paint; empty: nothing does. */
  medium: MediumPart[];
  mediumName?: string;
  /** The most medium in the wet mixture: by the school, the alkyd, the painter. */
  mostMediumShare: number;
  /** Thickness of the coat, um: least, most and usual. */
  leastUm: number;
  mostUm: number;
  usualUm: number;
  /** Reflectance just below the surface of what it goes over. */
  below: Spectrum;
  wanted: Lab;
  finish: Finish;
  /** Coefficient of variation of a film laid so. */
  uneven: number;
  swatches: Swatches;
  dislike?: readonly number[];
  mostPaints?: 1 | 2 | 3;
  /** Whether the rules and the school take a coat; all are taken when absent. */
  admits?: (recipe: Recipe) => boolean;
}

export interface TargetAnswer {
  recipe: Recipe;
  /** Index of each paint of the recipe's mix in the task. */
  paints: number[];
  /** um of neat tube paint in the film. */
  tubeUm: number;
  lab: Lab;
  de: number;
  /** The same laid a third thinner and thicker than meant: "between this and that". */
  between: [thin: Lab, thick: Lab];
}

export interface TargetFound {
  answers: TargetAnswer[];
  /** Whether a glaze passes for the wanted colour. */
  reached: boolean;
  /** Where none does: the body colour that is the wanted one, laid opaque. */
  painted: TargetAnswer | null;
  /** Coats that would do by their colour but not by the rules. */
  refused: number;
  stopped: boolean;
}

/** Share of the dry film that is tube paint, at a share of medium of the wet mixture. */
const tubeShare = (mediumShare: number, solids: number): number =>
  (1 - mediumShare) / (1 - mediumShare + mediumShare * solids);
/** Back. */
const mediumShareOf = (tube: number, solids: number): number =>
  solids === 0 ? 0 : (1 - tube) / (1 - tube + tube * solids);

const round = (value: number, digits: number): number => Number(value.toPrecision(digits));

/** Paint in parts that can be weighed or measured: the least part is one. */
function partsOf(amounts: number[]): number[] {
  const least = Math.min(...amounts);
  return amounts.map((um) => round(um / least, 3));
}

interface Made {
  film: OpticalFilm;
  recipe: Recipe;
}

function make(task: TargetTask, answer: GlazeAnswer, tube: number, um: number): Made {
  const solids = task.medium.length === 0 ? 0 : mediumFigures(task.medium).solidsVolumeFraction;
  const share = solids === 0 ? 0 : round(mediumShareOf(tube, solids), 3);
  const parts = partsOf(answer.paints.map((p) => p.um));
  const recipe: Recipe = {
    mix: answer.paints.map((p, i) => ({ ...task.tubes[p.index]!, parts: parts[i]! })),
    medium: share > 0 ? task.medium : [],
    mediumShare: share,
    thicknessUm: round(um, 3),
    ...(share > 0 && task.mediumName && { mediumName: task.mediumName }),
  };
  const film = filmOfConstituents(filmOfRecipe(STUDIO_HANDBOOK, recipe), task.swatches)!;
  return { film, recipe };
}

const lookOf = (task: TargetTask, film: OpticalFilm): Lab =>
  labOf(seenUneven(film, task.below, task.finish, task.uneven));

function answerOf(task: TargetTask, found: GlazeAnswer, { film, recipe }: Made): TargetAnswer {
  const lab = lookOf(task, film);
  return {
    recipe,
    paints: found.paints.map((p) => p.index),
    tubeUm: found.paints.reduce((sum, p) => sum + p.um, 0),
    lab,
    de: de2000(lab, task.wanted),
    between: [
      lookOf(task, thicker(film, 1 - OPTICS_BENCH.brushedThickness)),
      lookOf(task, thicker(film, 1 + OPTICS_BENCH.brushedThickness)),
    ],
  };
}

/** Shares of medium at which a coat is asked whether the rules take it, leanest first. */
const FATTER_STEPS = 8;

/** The leanest coat of an answer that the rules take, as thick as it must be for its colour; null where none is. */
function admitted(task: TargetTask, found: GlazeAnswer): Made | null {
  const tubeUm = found.paints.reduce((sum, p) => sum + p.um, 0);
  const usual = Math.min(1, tubeUm / found.thicknessUm);
  if (task.medium.length === 0) {
    const neat = make(task, found, 1, tubeUm);
    return !task.admits || task.admits(neat.recipe) ? neat : null;
  }
  const solids = mediumFigures(task.medium).solidsVolumeFraction;
  const least = tubeShare(task.mostMediumShare, solids);
  for (let i = 0; i <= FATTER_STEPS; i++) {
    // From as usual towards as much medium as is allowed; thicker, so that there is as much paint.
    const tube = usual + ((least - usual) * i) / FATTER_STEPS;
    const um = Math.max(task.leastUm, tubeUm / tube);
    if (um > task.mostUm) break;
    const made = make(task, found, Math.min(1, tubeUm / um), um);
    if (!task.admits || task.admits(made.recipe)) return made;
  }
  return null;
}

/** Of an opaque mix: laid thick enough to cover, neat. */
function bodyColour(task: TargetTask, watch?: (share: number) => boolean): TargetAnswer | null {
  const found = searchGlaze(
    {
      ...glazeTask(task, { leastUm: 1, mostUm: 1, usualUm: 1, leastTube: 1, mostTube: 1 }),
      below: null,
    },
    watch,
  );
  const best = found.answers[0];
  if (!best) return null;
  const { recipe, film } = make({ ...task, medium: [] }, best, 1, BODY_UM);
  const lab = labOf(seen(opaque(film), task.finish));
  return {
    recipe,
    paints: best.paints.map((p) => p.index),
    tubeUm: BODY_UM,
    lab,
    de: de2000(lab, task.wanted),
    between: [lab, lab],
  };
}

/** Body colour is laid as brush coats are. */
const BODY_UM = APPLICATIONS['brush-coat'].typicalUm;

const glazeTask = (task: TargetTask, limits: GlazeLimits) => ({
  paints: task.tubes.map((tube) => opticalPaint(tube, task.swatches)),
  ...(task.dislike && { dislike: task.dislike }),
  below: task.below,
  wanted: task.wanted,
  finish: task.finish,
  uneven: task.uneven,
  limits,
  ...(task.mostPaints && { mostPaints: task.mostPaints }),
});

/** A search is longer than the rest. */
const SHARE_OF_GLAZE = 0.7;

/**
 * Which paints, in which share of which medium, how thick, bring what lies below nearest to a wanted colour; the best three
 * that the rules take, each worked out anew by the film core from its rounded recipe, uneven as it will be laid. Where
 * no glaze passes, the body colour that does.
 * @param watch told how far it is, 0 to 1; true ends it with the best so far
 */
export function findTarget(task: TargetTask, watch?: (share: number) => boolean): TargetFound {
  const solids = task.medium.length === 0 ? 0 : mediumFigures(task.medium).solidsVolumeFraction;
  const leastTube =
    solids === 0
      ? 1
      : Math.max(OPTICS_BENCH.leastTubeShare, tubeShare(task.mostMediumShare, solids));
  const { leastUm, mostUm, usualUm } = task;
  const found = searchGlaze(
    glazeTask(task, { leastUm, mostUm, usualUm, leastTube, mostTube: 1 }),
    (share) => watch?.(share * SHARE_OF_GLAZE) ?? false,
  );
  const bare = de2000(labOf(seen(task.below, task.finish)), task.wanted);
  const answers: TargetAnswer[] = [];
  let refused = 0;
  for (const answer of found.answers) {
    if (answers.length === GLAZE_SEARCH.told) break;
    const made = admitted(task, answer);
    if (!made) refused += 1;
    else answers.push(answerOf(task, answer, made));
  }
  answers.sort((a, b) => a.de - b.de);
  // What is no better than leaving it alone is no answer.
  const useful = answers.filter((a) => a.de < bare);
  const reached = (useful[0]?.de ?? Infinity) < OPTICS_BENCH.unreachableDe;
  const painted =
    reached || found.stopped
      ? null
      : bodyColour(task, (share) =>
          watch ? watch(SHARE_OF_GLAZE + share * (1 - SHARE_OF_GLAZE)) : false,
        );
  return { answers: useful, reached, painted, refused, stopped: found.stopped };
}

/** Share of binder in the dry film of a recipe: what the schools call fat. */
export const fatnessOf = (recipe: Recipe): number =>
  composition(STUDIO_HANDBOOK, wetMixture(STUDIO_HANDBOOK, recipe)).fatness;
