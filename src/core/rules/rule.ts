import type { Confidence } from '@/data/constants';
import type { Predicate, RuleSite } from './types';

/**
 * What has to be there before a rule can speak: something rare, so that it need not be asked elsewhere. A test asks all
 * rules everywhere and compares.
 */
export const NEEDS = {
  always: () => true,
  'first-film': ({ below }) => below.body === null || below.body.key === 'ground',
  'other-stuff': ({ film, below }) => film.kept.material !== null || below.otherStuff,
  additives: ({ film, below }) => film.traits.additives || below.additives,
  'something-below': ({ below }) => below.direct !== null,
} satisfies Record<string, (site: RuleSite) => boolean>;
export type Need = keyof typeof NEEDS;

/** One compatibility rule, whole: what it says to the painter, whence it comes, and when it speaks. */
export interface RuleRecord<K extends string = string> {
  key: K;
  title: string;
  /** What is wrong, and why. */
  says: string;
  /** What to do. */
  mend: string;
  source: string;
  confidence: Confidence;
  needs: Need;
  /** Thresholds it uses are rows of data/constants.ts. */
  speaks: Predicate;
}

/** Writes a rule down; its key becomes one of `RuleKey`. */
export const rule = <const K extends string>(record: RuleRecord<K>): RuleRecord<K> => record;
