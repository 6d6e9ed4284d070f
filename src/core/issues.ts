import type { z } from 'zod';
import { MISSING } from './plain-words';

export interface FieldIssue {
  /** Where, as a dotted path. */
  where: string;
  message: string;
}

type RawIssue = z.core.$ZodIssue;

/**
 * What is wrong with a document, field by field. Where one of several shapes was possible, the shape that
 * it comes closest to speaks: the one with the fewest complaints, a missing field counting double.
 */
export function issuesOf(error: z.ZodError | z.core.$ZodError): FieldIssue[] {
  return error.issues.flatMap((issue) => fieldIssues(issue as RawIssue, []));
}

/** A field that is not there at all tells of another shape more than one that is wrong. */
const MISSING_WEIGHS = 2;
const isMissing = ({ message }: RawIssue): boolean =>
  message === MISSING || message.includes('received undefined');
const distance = (issues: readonly RawIssue[]): number =>
  issues.reduce((s, i) => s + (isMissing(i) ? MISSING_WEIGHS : 1), 0);

function fieldIssues(issue: RawIssue, prefix: PropertyKey[]): FieldIssue[] {
  const path = [...prefix, ...issue.path];
  if (issue.code === 'invalid_union' && issue.errors.length > 0) {
    const [closest] = [...issue.errors].sort((a, b) => distance(a) - distance(b));
    if (closest && closest.length > 0)
      return closest.flatMap((inner) => fieldIssues(inner as RawIssue, path));
  }
  return [{ where: path.map(String).join('.'), message: issue.message }];
}
