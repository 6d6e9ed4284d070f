import { sum } from '../film/constituents';
import type { Handbook } from '../handbook';
import type { KnownFilm, KnownPair, ReasonCode, Verdict } from './types';

export type Judgement = { verdict: Verdict; reason: ReasonCode };

/** A share as words: 0.66 is "66 %". */
export const percent = (value: number): string => `${Math.round(value * 100)} %`;

/** Verdicts on one film alone: no comparison of two softens them. */
const OWN_PORES: ReadonlySet<ReasonCode> = new Set(['underbound', 'underbound-below']);

const SHARE_TOLERANCE = 1e-6;

/** Mixtures are of the same tubes only if the tubes and their proportions are the same. */
export function sameTubes(a: KnownFilm, b: KnownFilm): boolean {
  const totalA = sum(a.tubes) || 1;
  const totalB = sum(b.tubes) || 1;
  const differs = (key: string): boolean =>
    Math.abs((a.tubes[key] ?? 0) / totalA - (b.tubes[key] ?? 0) / totalB) >= SHARE_TOLERANCE;
  for (const key in a.tubes) if (differs(key)) return false;
  for (const key in b.tubes) if (differs(key)) return false;
  return true;
}

/** A coat's own pores: a limit that no comparison softens. */
export function underbound(film: KnownFilm, handbook: Handbook): Judgement | null {
  const reduced = film.composition.reducedPvc;
  if (reduced === null) return null;
  const { reducedPvcFail, reducedPvcCaution } = handbook.constants;
  const fails = handbook.revised ? reduced >= reducedPvcFail : reduced > reducedPvcFail;
  if (fails) return { verdict: 'fail', reason: 'underbound' };
  return handbook.revised && reduced >= reducedPvcCaution
    ? { verdict: 'caution', reason: 'underbound' }
    : null;
}

/** A thin stain that is through-dry and not so lean that it powders. */
export function isStain({ lower, lowerThroughDry }: KnownPair, handbook: Handbook): boolean {
  const { leanStainUm, leanStainReducedPvc } = handbook.constants;
  return (
    lower.thicknessUm <= leanStainUm &&
    lowerThroughDry &&
    (lower.composition.reducedPvc ?? 0) < leanStainReducedPvc
  );
}

/**
 * A fall over a thin lean stain that is through-dry and firm is noted, not refused: an umber wash under
 * white cannot be mended by oil and holds in practice.
 */
export function overStain(pair: KnownPair, judgement: Judgement, handbook: Handbook): Judgement {
  const stain =
    handbook.revised &&
    judgement.verdict === 'fail' &&
    !OWN_PORES.has(judgement.reason) &&
    isStain(pair, handbook);
  return stain ? { verdict: 'note', reason: 'lean-stain' } : judgement;
}

/** Between different tubes a difference inside the uncertainty decides nothing. */
export function withinUncertainty(
  pair: KnownPair,
  judgement: Judgement,
  delta: number,
  band: number,
  handbook: Handbook,
): Judgement {
  const open =
    handbook.revised &&
    (judgement.verdict === 'caution' || judgement.verdict === 'fail') &&
    !OWN_PORES.has(judgement.reason) &&
    Math.abs(delta) < band &&
    !sameTubes(pair.lower, pair.upper);
  return open ? { verdict: 'undecided', reason: 'within-uncertainty' } : judgement;
}
