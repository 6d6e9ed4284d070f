import {
  assessPainting,
  verdictOf,
  type AssessOptions,
  type Coat,
  type Layer,
  type Painting,
} from '../painting';
import { stops } from '../rules';
import type { ReasonCode, SchoolKey } from '../schools';
import type { RepairRequest } from './types';

/** What becomes of a coat when it, or the one below, is changed. */
export interface Trial {
  layers: Layer[];
  passes: boolean;
  /** The coat falls short of the one below: what adding oil or medium can mend, and once mended stays so. */
  short: boolean;
  sound: boolean;
}

/** Added oil never pushes reduced PVC below this: the film would wrinkle and stay soft. */
export const soundFilm = (layer: Layer, options: AssessOptions): boolean => {
  const { richReducedPvc, mediumShareMax, thinGlazeUm } = options.handbook.constants;
  const { composition, thicknessUm } = layer;
  return (
    (composition.reducedPvc === null || composition.reducedPvc >= richReducedPvc) &&
    (thicknessUm <= thinGlazeUm || composition.mediumShare <= mediumShareMax + 1e-9)
  );
};

/** The painting with this coat in place of the one with its id, for a trial: nothing of it is kept. */
export const withCoat = (painting: Painting, coat: Coat): Painting => ({
  ...painting,
  coats: painting.coats.map((c) => (c.id === coat.id ? coat : c)),
});

/** Only the passages a coat lies on: nothing else can change for it. */
function around(painting: Painting, coatId: string): Painting {
  const coat = painting.coats.find((c) => c.id === coatId);
  return coat
    ? { ...painting, passages: painting.passages.filter((p) => coat.passageIds.includes(p.id)) }
    : painting;
}

/** A planned coat over all its passages and spots, and what is planned on it. */
export interface Around {
  own: Layer[];
  above: Layer[];
}

/** The planned layers that hold a coat, and those that come on them. */
export function aroundCoat(painting: Painting, coatId: string, options: AssessOptions): Around {
  const own: Layer[] = [];
  const above: Layer[] = [];
  for (const { base, spots } of assessPainting(around(painting, coatId), options).passages)
    for (const { layers } of [base, ...spots]) {
      const at = layers.findIndex((l) => l.planned && l.film.coatIds.includes(coatId));
      if (at < 0) continue;
      own.push(layers[at]!);
      above.push(...layers.slice(at + 1));
    }
  return { own, above };
}

/** Every planned layer that holds this coat, over all passages and spots. */
export const layersOf = (painting: Painting, coatId: string, options: AssessOptions): Layer[] =>
  aroundCoat(painting, coatId, options).own;

/** Whether a layer passes a school: neither failed nor cautioned. */
export const passes = (layer: Layer, school: SchoolKey): boolean => {
  const verdict = verdictOf(layer, school)?.verdict;
  return verdict === undefined || verdict === 'ok' || verdict === 'not-applicable';
};

/** What the rules refuse, by rule; the film's own lack of binder is what a repair may mend. */
const refusals = (layers: Layer[]): Set<string> =>
  new Set(layers.flatMap((l) => l.findings.filter(stops).map((f) => f.rule)));

/** No rule refuses what it did not refuse before. */
export const nothingNewRefused = (before: Layer[], after: Layer[]): boolean => {
  const known = refusals(before);
  for (const rule of refusals(after)) if (!known.has(rule)) return false;
  return true;
};

const SHORT = new Set<ReasonCode>([
  'falls',
  'equal-more-solvent',
  'within-uncertainty',
  'underbound',
  'lean-stain',
]);

/** Put a changed coat in the painting and look at every place of the coat that is to be mended. */
export function trial(
  request: RepairRequest,
  changed: Coat,
  options: AssessOptions,
  before: Layer[] = [],
): Trial {
  const layers = layersOf(withCoat(request.painting, changed), request.coatId, options);
  return {
    layers,
    passes: layers.every((l) => passes(l, request.school)),
    short: layers.some((l) => SHORT.has(verdictOf(l, request.school)?.reason ?? 'rises')),
    sound:
      layers.every((l) => soundFilm(l, options)) &&
      (before.length === 0 || nothingNewRefused(before, layers)),
  };
}
