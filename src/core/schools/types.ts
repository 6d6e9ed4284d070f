import type { MaterialKey } from '@/data/materials';
import type { Constants } from '@/data/constants';
import type { DryingTimes, RecoatRule } from '../drying';
import type { Composition } from '../film';
import type { Handbook } from '../handbook';

export const SCHOOL_KEYS = [
  'added-oil',
  'total-oil',
  'binder-excess',
  'slow-over-fast',
  'constant-alkyd',
  'thick-over-thin',
] as const;
export type SchoolKey = (typeof SCHOOL_KEYS)[number];

export const VERDICTS = ['ok', 'note', 'undecided', 'caution', 'fail', 'not-applicable'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** A film as the schools see it. */
export interface JudgedFilm {
  /** After the ground has drunk its share; null when nobody knows what the film is made of. */
  composition: Composition | null;
  /** Tube paint in the film by "pigment|binder", um. */
  tubes: Record<string, number>;
  thicknessUm: number;
  times: DryingTimes | null;
  acrylic: boolean;
  /** What it is when it is not paint: pastel, tempera, varnish; null for paint. */
  material: MaterialKey | null;
}

/** Two films that have set, one on the other. */
export interface FilmPair {
  lower: JudgedFilm;
  upper: JudgedFilm;
  /** Of the lower film at the time it is covered, by the medians. */
  lowerTouchDry: boolean;
  lowerThroughDry: boolean;
}

/** A film whose make-up is known. */
export interface KnownFilm extends JudgedFilm {
  composition: Composition;
  times: DryingTimes;
}
export interface KnownPair extends FilmPair {
  lower: KnownFilm;
  upper: KnownFilm;
}

export type ReasonCode =
  | 'rises'
  | 'falls'
  | 'equal-more-solvent'
  | 'lean-stain'
  | 'within-uncertainty'
  | 'underbound'
  | 'underbound-below'
  | 'lower-through-dry'
  | 'thin-fat-glaze'
  | 'over-cap'
  | 'thin-glaze-over-cap'
  | 'alkyd-over-undry-oil'
  | 'lower-not-touch-dry'
  | 'no-alkyd'
  | 'acrylic-below'
  | 'not-paint'
  | 'acrylic-over-oil'
  | 'oil-unknown';

export interface SchoolVerdict {
  school: SchoolKey;
  verdict: Verdict;
  reason: ReasonCode;
  /** The school's measure of each film; null where it has none (no tube paint, unknown oil). */
  lower: number | null;
  upper: number | null;
}

export interface School {
  key: SchoolKey;
  name: string;
  /** The rule in one sentence. */
  statement: string;
  /** What its stair is as wide as. */
  measureName: string;
  /** How a figure of it reads. */
  format(value: number): string;
  source: string;
  /** What the next coat waits for, whatever coat it is. */
  recoat: RecoatRule;
  /** Larger is always fatter (slower, thicker). Null where the school has no figure. */
  measure(film: KnownFilm): number | null;
  judge(
    pair: KnownPair,
    constants: Constants,
    handbook: Handbook,
  ): { verdict: Verdict; reason: ReasonCode };
}
