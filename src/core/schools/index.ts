export { isLetOffGlaze, isThinCouch, judgeByAll, judgePair, measureOf } from './judge';
export { SCHOOLS } from './schools';
export { trapIndex } from './trap';
export {
  SCHOOL_KEYS,
  VERDICTS,
  type FilmPair,
  type JudgedFilm,
  type ReasonCode,
  type School,
  type SchoolKey,
  type SchoolVerdict,
  type Verdict,
} from './types';
export { figuresSentence, verdictSentence } from './wording';
