import { RULE_KEYS, SEVERITIES, type RuleKey, type Severity } from '@/data/rules';
import { GATES } from './gates';
import { PREDICATES } from './predicates';
import type { Finding, Predicate, RuleSite } from './types';

const RANK: Record<Severity, number> = Object.fromEntries(
  SEVERITIES.map((s, i) => [s, i]),
) as Record<Severity, number>;

type Asked = readonly [key: RuleKey, predicate: Predicate, place: number];
const asked = (keys: readonly RuleKey[]): Asked[] =>
  keys.map((key) => [key, PREDICATES[key], RULE_KEYS.indexOf(key)]);

const gated = new Set(GATES.flatMap((gate) => gate.rules));
const ALWAYS = asked(RULE_KEYS.filter((key) => !gated.has(key)));
const GATED = GATES.map((gate) => ({ open: gate.open, rules: asked(gate.rules) }));

interface Found extends Finding {
  place: number;
}

function ask(site: RuleSite, rules: Asked[], found: Found[]): void {
  for (const [rule, predicate, place] of rules) {
    const hit = predicate(site);
    if (!hit) continue;
    found.push({
      place,
      rule,
      severity: hit.severity,
      about: hit.about ?? null,
      untilMs: hit.untilMs ?? null,
      value: hit.value ?? null,
      overruled: site.film.overruled.find((o) => o.rule === rule)?.reason ?? null,
    });
  }
}

/**
 * What the compatibility rules say to one film in its place, gravest first; among equals in the order of the
 * table, so that the result does not depend on the order in which the rules are asked.
 */
export function judgeSite(site: RuleSite): Finding[] {
  const found: Found[] = [];
  ask(site, ALWAYS, found);
  for (const { open, rules } of GATED) if (open(site)) ask(site, rules, found);
  return found.length > 1
    ? found.sort((a, b) => RANK[a.severity] - RANK[b.severity] || a.place - b.place)
    : found;
}

/** The same without gates and in any order of asking: what a test compares with. */
export function judgeSiteInOrder(site: RuleSite, order: readonly RuleKey[]): Finding[] {
  const found: Found[] = [];
  ask(site, asked(order), found);
  return found.sort((a, b) => RANK[a.severity] - RANK[b.severity] || a.place - b.place);
}

/** A finding that stops: refused, and the painter has not given a reason to go against it. */
export const stops = (finding: Finding): boolean =>
  finding.severity === 'forbid' && finding.overruled === null;

/** The gravest severity of some findings that still stand; null when nothing is said. */
export function gravest(findings: Finding[]): Severity | null {
  const standing = findings.filter((f) => f.overruled === null);
  return standing.reduce<Severity | null>(
    (worst, f) => (worst === null || RANK[f.severity] < RANK[worst] ? f.severity : worst),
    null,
  );
}
