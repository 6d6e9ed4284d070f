/** How loud a rule speaks, gravest first. */
export const SEVERITIES = ['forbid', 'strong', 'caution', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];
