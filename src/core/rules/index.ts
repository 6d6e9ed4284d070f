export { belowOnGround, isFinalVarnish, withFilm } from './below';
export { gravest, holdsVarnish, judgeSite, stops } from './judge-site';
export { traitsOf, type Traits } from './traits';
export type { BelowSummary, Finding, RuleFilm, RuleSite } from './types';
