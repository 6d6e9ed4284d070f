import { ruleOf } from '../rules/records';
import type { RuleKey } from '../rules/records';
import type { Ground } from './schema';

const RULES_OF_GROUND: Record<Ground['kind'], RuleKey[]> = {
  'acrylic-gesso': ['acrylic-ground-fresh', 'acrylic-ground'],
  'chalk-glue': ['chalk-ground', 'chalk-ground-fresh'],
  'oil-ground': ['oil-ground-fresh', 'acrylic-over-oil'],
  'alkyd-ground': ['alkyd-ground-fresh', 'acrylic-over-oil'],
  'old-painting': ['old-painting', 'old-painting-lead', 'acrylic-over-oil'],
  bare: ['bare-support', 'size-moves'],
};

/** What to heed about a kind of ground before the first coat, in the words of the rules that will speak. */
export const groundNotes = (kind: Ground['kind']): string[] =>
  RULES_OF_GROUND[kind].map((rule) => {
    const { title, says, mend } = ruleOf(rule);
    return `${title}: ${says.charAt(0).toLowerCase()}${says.slice(1)} ${mend}`;
  });
