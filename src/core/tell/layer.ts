import type { Layer } from '../painting';
import { againstOf, verdictOf } from '../painting';
import { stops, type Finding } from '../rules';
import { findingSentence } from '../rules/wording';
import {
  figuresSentence,
  verdictSentence,
  type SchoolKey,
  type SchoolVerdict,
  type Verdict,
} from '../schools';

/** What is said of one layer. Every screen and verb asks here, so that no two of them say different things of a coat. */

const OBJECTS: ReadonlySet<Verdict> = new Set(['fail', 'caution']);

/** Whether a verdict is an objection, and not only something to know. */
export const objects = (verdict: Verdict): boolean => OBJECTS.has(verdict);

/** The two films of a pair as they are called in its verdict. */
export const pairNames = (
  layer: Layer,
  school: SchoolKey,
): Parameters<typeof verdictSentence>[1] => ({
  lower: againstOf(layer, school)?.name ?? 'ground',
  upper: layer.film.name,
  upperPlanned: layer.planned,
});

/** What a rule refuses that nobody has overruled: graver than the verdict of any school. */
export const refusalOf = (layer: Layer): Finding | null => layer.findings.find(stops) ?? null;

/** The chosen school objects, or a rule refuses the film. */
export const isBroken = (layer: Layer, school: SchoolKey): boolean => {
  const verdict = verdictOf(layer, school);
  return (verdict !== null && objects(verdict.verdict)) || refusalOf(layer) !== null;
};

/** What is said of a layer with nothing to compare it with. */
function aloneSentence(layer: Layer): string {
  if (layer.pair?.intoOpen)
    return `It goes into the wet ${layer.pair.againstName.toLowerCase()}: the two become one film.`;
  if (layer.film.coatIds.length === 0) return 'The ground the first coat lies on.';
  return 'The first film on the ground: nothing below to compare it with.';
}

export interface ToldLayer {
  /** Of the chosen school; null where it has nothing to compare. */
  verdict: SchoolVerdict | null;
  /** The verdict as a painter would say it. */
  sentence: string;
  /** The figures behind it; empty without a verdict. */
  figures: string;
  refusal: Finding | null;
  broken: boolean;
  /** The gravest of it all in one sentence: a refusal before a verdict. */
  headline: string;
}

/** A layer as it is told by one school. */
export function toldLayer(layer: Layer, school: SchoolKey): ToldLayer {
  const verdict = verdictOf(layer, school);
  const refusal = refusalOf(layer);
  const late = layer.pair?.missedWet
    ? ' It was meant to go into the wet; that film is open no longer.'
    : '';
  const sentence =
    (verdict ? verdictSentence(verdict, pairNames(layer, school)) : aloneSentence(layer)) + late;
  return {
    verdict,
    sentence,
    figures: verdict ? figuresSentence(verdict) : '',
    refusal,
    broken: isBroken(layer, school),
    headline: refusal ? findingSentence(refusal) : sentence,
  };
}
