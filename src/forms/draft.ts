import equal from 'fast-deep-equal';
import { z } from 'zod';
import { issuesOf, type FieldIssue } from '@/core/issues';
import { CODECS, type CodecKey } from './numbers';

/**
 * A document while it is edited is the document itself. Only a number that was typed stands in it as its text, with
 * the number that stood there before: so whatever is not touched comes out as it went in, to the last digit, and
 * fields that no form knows of are carried along.
 */
export interface Typed {
  typed: string;
  as: CodecKey;
  /** Before it was touched; null where there was none. */
  was: number | null;
}

export type Draft<T> = T extends number
  ? T | Typed
  : T extends object
    ? { [K in keyof T]: Draft<T[K]> }
    : T;

const typedSchema = z.strictObject({
  typed: z.string().max(200),
  as: z.enum(Object.keys(CODECS) as [CodecKey, ...CodecKey[]]),
  was: z.number().nullable(),
});

export const isTyped = (value: unknown): value is Typed =>
  typeof value === 'object' &&
  value !== null &&
  'typed' in value &&
  'was' in value &&
  'as' in value;

export type Path = string;
const stepsOf = (path: Path): string[] => (path === '' ? [] : path.split('.'));

/** What stands at a path such as "recipe.mix.0.parts". */
export function at(value: unknown, path: Path): unknown {
  return stepsOf(path).reduce<unknown>(
    (here, step) =>
      here === null || here === undefined ? undefined : (here as Record<string, unknown>)[step],
    value,
  );
}

/** The same with something else at a path; undefined takes a field out. Nothing of the old one is changed. */
export function withAt<D>(draft: D, path: Path, value: unknown): D {
  const [step, ...rest] = stepsOf(path);
  if (step === undefined) return value as D;
  const inner = withAt((draft as Record<string, unknown>)[step], rest.join('.'), value);
  if (Array.isArray(draft)) return draft.map((x, i) => (String(i) === step ? inner : x)) as D;
  const { [step]: _old, ...others } = draft as Record<string, unknown>;
  return (inner === undefined ? others : { ...(draft as object), [step]: inner }) as D;
}

/** A number as it is shown in its field. */
export function shownNumber(value: unknown, as: CodecKey): string {
  if (isTyped(value)) return value.typed;
  return typeof value === 'number' && Number.isFinite(value) ? CODECS[as].show(value) : '';
}

/**
 * What a field holds after `text` was typed into it. Typed back to what it showed, it is the number that stood there.
 * @param empty what an empty field stands for; without it an empty field is no number yet
 */
export function typedNumber(
  before: unknown,
  text: string,
  as: CodecKey,
  empty?: null | 'absent',
): number | Typed | null | undefined {
  const was = isTyped(before) ? before.was : typeof before === 'number' ? before : null;
  if (was !== null && text === CODECS[as].show(was)) return was;
  if (text.trim() === '' && empty !== undefined) return empty === null ? null : undefined;
  return { typed: text, as, was };
}

/** The number of a field as far as it has been typed; NaN where it is none. */
export function numberOf(value: number | Typed | null | undefined): number {
  if (isTyped(value)) return CODECS[value.as].read(value.typed);
  return value ?? NaN;
}

/** A draft as plain data: every number read. */
export function plainOf(draft: unknown): unknown {
  if (isTyped(draft)) return numberOf(draft);
  if (Array.isArray(draft)) return draft.map(plainOf);
  if (typeof draft === 'object' && draft !== null)
    return Object.fromEntries(Object.entries(draft).map(([k, v]) => [k, plainOf(v)]));
  return draft;
}

export interface CheckedDraft<T> {
  /** The document, when nothing is wrong. */
  value: T | null;
  issues: FieldIssue[];
}

/** Read a draft by the schema of its document; what is wrong is told by its path. */
export function checkDraft<T>(schema: z.ZodType<T>, draft: unknown): CheckedDraft<T> {
  const parsed = schema.safeParse(plainOf(draft));
  return parsed.success
    ? { value: parsed.data, issues: [] }
    : { value: null, issues: issuesOf(parsed.error) };
}

const isPlainObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Only what was touched is written: a field that is as it was when the form was opened is taken from the document as
 * it is now, which another tab may have changed since. Lists are one field.
 */
export function mergeTouched<T>(base: T, mine: T, current: T): T {
  if (equal(base, mine)) return current;
  if (!isPlainObject(base) || !isPlainObject(mine) || !isPlainObject(current)) return mine;
  const out: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(current), ...Object.keys(mine)])) {
    const merged = mergeTouched(base[key], mine[key], (current as Record<string, unknown>)[key]);
    if (merged !== undefined) out[key] = merged;
  }
  return out as T;
}

/** What another hand has changed of the document since the form was opened, by the names of its fields. */
export const changedElsewhere = (base: unknown, current: unknown): string[] =>
  isPlainObject(base) && isPlainObject(current)
    ? [...new Set([...Object.keys(base), ...Object.keys(current)])].filter(
        (key) => !equal(base[key], current[key]),
      )
    : equal(base, current)
      ? []
      : [''];

/** A draft with the numbers that stood there before in place of what was typed. */
function beforeTyping(draft: unknown): unknown {
  if (isTyped(draft)) return typedSchema.safeParse(draft).success ? (draft.was ?? 1) : undefined;
  if (Array.isArray(draft)) return draft.map(beforeTyping);
  if (isPlainObject(draft))
    return Object.fromEntries(Object.entries(draft).map(([k, v]) => [k, beforeTyping(v)]));
  return draft;
}

/** Wrong in its build, not only in what was typed so far: such a draft cannot be shown in its form. */
const BUILD_CODES: ReadonlySet<string> = new Set([
  'invalid_type',
  'invalid_value',
  'invalid_union',
  'unrecognized_keys',
]);

/** Whether a draft that was kept can be opened in the form of this schema. */
export function isDraftOf(schema: z.ZodType, draft: unknown): boolean {
  const parsed = schema.safeParse(beforeTyping(draft));
  return parsed.success || !parsed.error.issues.some((issue) => BUILD_CODES.has(issue.code));
}
