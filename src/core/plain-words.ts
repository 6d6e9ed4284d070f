/** The part of an issue of Zod's that is told; typed here so that this file asks for no schema. */
interface RawIssue {
  code?: string | undefined;
  origin?: unknown;
  expected?: unknown;
  minimum?: unknown;
  maximum?: unknown;
  input?: unknown;
}

/** Said of a field that is not there at all. */
export const MISSING = 'It is missing.';

const THINGS: Record<string, string> = {
  string: 'letters',
  array: 'entries',
  set: 'entries',
};
const KINDS: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'a group of fields',
  tuple: 'a list',
};

/**
 * What is wrong with a field where its schema does not say it itself, in a painter's words; for `z.config({ customError })`.
 */
export function plainWords(issue: RawIssue): string {
  const things = THINGS[String(issue.origin)];
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? MISSING
        : `Must be ${KINDS[String(issue.expected)] ?? 'something else'}.`;
    case 'too_big':
      return things
        ? `At most ${String(issue.maximum)} ${things}.`
        : `Must be at most ${String(issue.maximum)}.`;
    case 'too_small':
      return things
        ? `At least ${String(issue.minimum)} ${things}.`
        : `Must be at least ${String(issue.minimum)}.`;
    case 'invalid_value':
      return 'It is none of what can stand here.';
    case 'unrecognized_keys':
      return 'It holds fields that do not belong there.';
    default:
      return 'It is not of the right form.';
  }
}
