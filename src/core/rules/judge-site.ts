import { RULES, ruleOf, type RuleKey } from './records';
import { NEEDS, type Need } from './rule';
import { SEVERITIES, type Severity } from './severity';
import type { Finding, RuleSite } from './types';

const RANK: Record<Severity, number> = Object.fromEntries(
  SEVERITIES.map((s, i) => [s, i]),
) as Record<Severity, number>;

type Rule = (typeof RULES)[number];
const PLACE = new Map(RULES.map((rule, place) => [rule, place]));

const WITH_NEEDS = (Object.keys(NEEDS) as Need[]).map((need) => ({
  met: NEEDS[need],
  rules: RULES.filter((rule) => rule.needs === need),
}));

interface Found extends Finding {
  place: number;
}

function ask(site: RuleSite, rules: readonly Rule[], found: Found[]): void {
  for (const rule of rules) {
    const hit = rule.speaks(site);
    if (!hit) continue;
    found.push({
      place: PLACE.get(rule)!,
      rule: rule.key,
      severity: hit.severity,
      about: hit.about ?? null,
      untilMs: hit.untilMs ?? null,
      value: hit.value ?? null,
      overruled: site.film.overruled.find((o) => o.rule === rule.key)?.reason ?? null,
    });
  }
}

/**
 * What the compatibility rules say to one film in its place, gravest first; among equals in the order of the
 * table, so that the result does not depend on the order in which the rules are asked.
 */
export function judgeSite(site: RuleSite): Finding[] {
  const found: Found[] = [];
  for (const { met, rules } of WITH_NEEDS) if (met(site)) ask(site, rules, found);
  return found.length > 1
    ? found.sort((a, b) => RANK[a.severity] - RANK[b.severity] || a.place - b.place)
    : found;
}

/** The same whatever a rule needs, and in any order of asking: what a test compares with. */
export function judgeSiteInOrder(site: RuleSite, order: readonly RuleKey[]): Finding[] {
  const found: Found[] = [];
  ask(site, order.map(ruleOf), found);
  return found.sort((a, b) => RANK[a.severity] - RANK[b.severity] || a.place - b.place);
}

/** A finding that stops: refused, and the painter has not given a reason to go against it. */
export const stops = (finding: Finding): boolean =>
  finding.severity === 'forbid' && finding.overruled === null;

const HOLD_VARNISH: ReadonlySet<Finding['rule']> = new Set<Finding['rule']>([
  'varnish-too-early',
  'varnish-test-failed',
]);

/** What keeps a varnish off for a time: it is advised against, not refused, and nobody is offered it all the same. */
export const holdsVarnish = ({ rule, severity }: Finding): boolean =>
  HOLD_VARNISH.has(rule) && severity === 'strong';

/** The gravest severity of some findings that still stand; null when nothing is said. */
export function gravest(findings: Finding[]): Severity | null {
  const standing = findings.filter((f) => f.overruled === null);
  return standing.reduce<Severity | null>(
    (worst, f) => (worst === null || RANK[f.severity] < RANK[worst] ? f.severity : worst),
    null,
  );
}
