import { sum } from '../film/constituents';
import type { Handbook } from '../handbook';
import type { KnownFilm, KnownPair, ReasonCode, Verdict } from './types';

export type Judgement = { verdict: Verdict; reason: ReasonCode };

/** A share as words: 0.66 is "66 %". */
export const percent = (value: number): string => `${Math.round(value * 100)} %`;

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

/** The upper coat's own pores: a limit that no comparison softens. */
export function underbound({ upper }: KnownPair, handbook: Handbook): Judgement | null {
  const reduced = upper.composition.reducedPvc;
  if (reduced === null) return null;
  const { reducedPvcFail, reducedPvcCaution } = handbook.constants;
  const fails = handbook.revised ? reduced >= reducedPvcFail : reduced > reducedPvcFail;
  if (fails) return { verdict: 'fail', reason: 'underbound' };
  return handbook.revised && reduced >= reducedPvcCaution
    ? { verdict: 'caution', reason: 'underbound' }
    : null;
}

/**
 * A fall over a thin lean stain that is through-dry and firm is noted, not refused: an umber wash under
 * white cannot be mended by oil and holds in practice.
 */
export function overStain(pair: KnownPair, judgement: Judgement, handbook: Handbook): Judgement {
  const { leanStainUm, leanStainReducedPvc } = handbook.constants;
  const stain =
    handbook.revised &&
    judgement.verdict === 'fail' &&
    judgement.reason !== 'underbound' &&
    pair.lower.thicknessUm <= leanStainUm &&
    pair.lowerThroughDry &&
    (pair.lower.composition.reducedPvc ?? 0) < leanStainReducedPvc;
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
    judgement.reason !== 'underbound' &&
    Math.abs(delta) < band &&
    !sameTubes(pair.lower, pair.upper);
  return open ? { verdict: 'undecided', reason: 'within-uncertainty' } : judgement;
}
