import { DISPERSION_RULES } from './dispersions';
import { FILM_RULES } from './films';
import { FINISHING_RULES } from './finishing';
import { GROUND_RULES } from './grounds';
import { OTHER_STUFF_RULES } from './other-stuff';
import { PAIR_RULES } from './pairs';
import type { RuleRecord } from './rule';
import { ZINC_RULES } from './zinc';

/** Every rule, in the order in which equals are told. */
const ALL = [
  ...DISPERSION_RULES,
  ...GROUND_RULES,
  ...ZINC_RULES,
  ...FILM_RULES,
  ...PAIR_RULES,
  ...FINISHING_RULES,
  ...OTHER_STUFF_RULES,
] as const;

export type RuleKey = (typeof ALL)[number]['key'];
export const RULES: readonly RuleRecord<RuleKey>[] = ALL;
export const RULE_KEYS = ALL.map(({ key }) => key) as [RuleKey, ...RuleKey[]];

const BY_KEY = new Map(RULES.map((record) => [record.key, record]));

/** The record of a rule. */
export const ruleOf = (key: RuleKey): RuleRecord<RuleKey> => BY_KEY.get(key)!;
