import { ruleOf } from './records';
import type { Severity } from './severity';
import type { Finding } from './types';

/** How a severity is called. Never colour alone. */
export const SEVERITY_WORD: Record<Severity, string> = {
  forbid: 'refused',
  strong: 'advised against',
  caution: 'caution',
  note: 'to know',
};

/** Figures that help: shares as per cent, the rest as they are. */
const SHARES: ReadonlySet<Finding['rule']> = new Set([
  'medium-over-quarter',
  'medium-over-third',
  'mostly-medium-glaze',
  'zinc-on-top',
  'zinc-thick',
  'extender-high',
  'stearate-high',
  'acrylic-thinned',
  'resin-high',
  'resin-glaze',
  'wax-high',
  'solvent-lifts',
]);

/** What a rule says here, in one or two sentences: the film it is about, the figure, the reason. */
export function findingSentence(finding: Finding): string {
  const { title, says } = ruleOf(finding.rule);
  const figure =
    finding.value !== null && SHARES.has(finding.rule)
      ? ` (${Math.round(finding.value * 100)} %)`
      : '';
  const about = finding.about === null ? '' : `, ${finding.about.toLowerCase()}`;
  return `${title}${figure}${about}: ${says.charAt(0).toLowerCase()}${says.slice(1)}`;
}

/** What to do about it. */
export const findingMend = (finding: Finding): string => ruleOf(finding.rule).mend;
