import { verdictOf, type Layer } from '../painting';
import type { ReasonCode, SchoolKey } from '../schools';
import { objects } from './layer';

const LET_OFF: Partial<Record<ReasonCode, string>> = {
  'lean-stain': 'let off, the stain below is thin and dry through',
  'lower-through-dry': 'let off, what lies below is dry through',
  'thin-fat-glaze': 'let off as a glaze, thin but fat',
  'within-uncertainty': 'too close to call',
};

/** Why a school lets a film off that falls short of the one below; null where it falls short of nothing. */
export function letOff(layer: Layer, school: SchoolKey): string | null {
  const verdict = verdictOf(layer, school);
  if (!verdict || verdict.upper === null || verdict.lower === null) return null;
  if (objects(verdict.verdict) || verdict.upper >= verdict.lower) return null;
  return LET_OFF[verdict.reason] ?? 'let off, by too little to matter';
}
