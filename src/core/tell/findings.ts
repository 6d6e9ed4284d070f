import type { Finding } from '../rules';
import type { RuleKey } from '../rules/records';
import { SEVERITIES } from '../rules/severity';

/** The graver first; what was overruled stands behind everything that was not. */
const rank = (finding: Finding): number =>
  SEVERITIES.indexOf(finding.severity) + (finding.overruled === null ? 0 : SEVERITIES.length);

/** As grave, and waiting mends it later, or never: who goes over all places waits for the last. */
const isLater = (a: Finding, b: Finding): boolean =>
  rank(a) === rank(b) && (a.untilMs ?? Infinity) > (b.untilMs ?? Infinity);

/** One rule that speaks in several places, with its gravest finding. */
export interface ToldFinding {
  finding: Finding;
  /** Where, in the order they were met, each once. */
  where: string[];
}

/** Each rule once, gravest first, with the places it speaks of. */
export function findingsByRule(met: Iterable<{ finding: Finding; where: string }>): ToldFinding[] {
  const byRule = new Map<RuleKey, ToldFinding>();
  for (const { finding, where } of met) {
    const told = byRule.get(finding.rule);
    if (!told) {
      byRule.set(finding.rule, { finding, where: [where] });
      continue;
    }
    if (!told.where.includes(where)) told.where.push(where);
    if (rank(finding) < rank(told.finding) || isLater(finding, told.finding))
      told.finding = finding;
  }
  return [...byRule.values()].sort((a, b) => rank(a.finding) - rank(b.finding));
}

/** The same where the places do not matter. */
export const gravestByRule = (findings: Iterable<Finding>): Finding[] =>
  findingsByRule([...findings].map((finding) => ({ finding, where: '' }))).map((t) => t.finding);
