import { overStain, type Judgement } from './shared';
import type { KnownFilm, KnownPair, School } from './types';

/** Ratios closer than this are the same recipe. */
const EQUAL = 1e-9;

/** Medium alone has no tube paint: endlessly much oil per paint. */
const ratio = (film: KnownFilm): number => film.composition.addedOilRatio ?? Infinity;
const solvent = (film: KnownFilm): number => film.composition.addedVolatileRatio ?? 0;

function compare(
  { lower, upper, lowerThroughDry }: KnownPair,
  cautionFall: number,
  revised: boolean,
): Judgement {
  const a = ratio(lower);
  const b = ratio(upper);
  if (b > a + EQUAL) return { verdict: 'ok', reason: 'rises' };
  if (a === b || Math.abs(b - a) <= EQUAL) {
    if (solvent(upper) <= solvent(lower) + EQUAL) return { verdict: 'ok', reason: 'rises' };
    // A wash on a ground or a coat that is dry through is how pictures begin: common practice, no source.
    const settled = revised && lowerThroughDry;
    return { verdict: settled ? 'note' : 'caution', reason: 'equal-more-solvent' };
  }
  return { verdict: a - b <= cautionFall + EQUAL ? 'caution' : 'fail', reason: 'falls' };
}

export const addedOil: School = {
  key: 'added-oil',
  name: 'Added oil',
  statement:
    'Each coat has more oil, varnish or alkyd put to its paint than the coat below; what is in the tube does not count.',
  measureName: 'added oil per paint',
  format: (value) => value.toFixed(2),
  recoat: 'recoat',
  source:
    "teaching handbooks: Mayer, The Artist's Handbook; Doerner, The Materials of the Artist; from memory",
  measure: (film) => film.composition.addedOilRatio,
  judge: (pair, constants, handbook) =>
    overStain(pair, compare(pair, constants.addedOilCautionFall, handbook.revised), handbook),
};
