import equal from 'fast-deep-equal';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { z } from 'zod';
import type { FieldIssue } from '@/core/issues';
import { nowIso } from '@/store/clock';
import { draftDropped, draftKept } from '@/store/drafts';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import type { Dispatch, State } from '@/store/store';
import { localMoment, utcMoment } from './moments';
import {
  at,
  changedElsewhere,
  checkDraft,
  isDraftOf,
  isTyped,
  mergeTouched,
  plainOf,
  shownNumber,
  typedNumber,
  withAt,
  type Draft,
  type Path,
} from './draft';
import type { CodecKey } from './numbers';

const UNDO_DEPTH = 100;

interface Past<T> {
  draft: Draft<T>;
  /** The field whose change came after it; further letters in one field are one step back. */
  field: Path | null;
}

interface FormState<T> {
  /** The document that the draft began from. */
  base: T;
  draft: Draft<T>;
  past: Past<T>[];
  /** When the draft that was taken up again had been left; null when it began here. */
  resumedAt: string | null;
}

export interface FormOptions<T extends object> {
  /** Under which the draft is kept: one for each document and place it is edited. */
  key: string;
  /** The schema that will read the document when it is kept. */
  schema: z.ZodType<T>;
  /** The document as it is now, or what a new one begins as. */
  document: T;
  /** A new one: nobody else can have changed it. */
  isNew?: boolean;
}

/** What a text field needs. */
export interface TextBinding {
  value: string;
  onChangeText(text: string): void;
  onBlur(): void;
  error: string | undefined;
}

/** What a field of a number needs. */
export interface NumberBinding {
  text: string;
  onChangeText(text: string): void;
  onBlur(): void;
  error: string | undefined;
}

export interface Form<T extends object> {
  draft: Draft<T>;
  /** The document as it would be kept; null while something is wrong. */
  value: T | null;
  issues: FieldIssue[];
  /** What is wrong with a field, whether or not it was touched. */
  problem(path: Path): string | undefined;
  dirty: boolean;
  touched: ReadonlySet<Path>;
  touch(path: Path): void;
  /** Change the draft as a whole; `field` names what was changed, so that undo takes it back as one. */
  set(change: (draft: Draft<T>) => Draft<T>, field?: Path): void;
  put(path: Path, value: unknown): void;
  text(path: Path): TextBinding;
  /** A moment that the document keeps as UTC, typed in local time. */
  moment(path: Path): TextBinding;
  /** @param empty what an empty field stands for: null, no field at all; without it, empty is not a number yet */
  number(path: Path, as: CodecKey, empty?: null | 'absent'): NumberBinding;
  undo: (() => void) | null;
  /** Write the document and be done with the draft; false, with every problem shown, while something is wrong. */
  keep(write: (value: T) => void): boolean;
  /** Write the document as far as it is right, and go on. */
  commit(write: (value: T) => void): void;
  throwAway(): void;
  /** Kept, and ready for another. */
  restart(): void;
  /** Keeping was tried: from then on every problem is shown at its field. */
  tried: boolean;
  /** When the draft that was found here had been left. */
  resumedAt: string | null;
  /** Fields that another hand has changed since this form was opened. */
  changedElsewhere: string[];
}

/** Only where there is one: an effect that finds nothing to do should not be woken. */
const dropDraft =
  (key: string) =>
  (dispatch: Dispatch, getState: () => State): void => {
    if (getState().drafts[key]) dispatch(draftDropped(key));
  };

/** A form over a document: opened and kept, it changes nothing; left, it waits to be taken up again. */
export function useForm<T extends object>({
  key,
  schema,
  document: offered,
  isNew = false,
}: FormOptions<T>): Form<T> {
  const dispatch = useStoreDispatch();
  const kept = useStoreSelector((state) => state.drafts[key]);
  const [state, setState] = useState<FormState<T>>(() =>
    kept && isDraftOf(schema, kept.draft) && isDraftOf(schema, kept.base)
      ? { base: kept.base as T, draft: kept.draft as Draft<T>, past: [], resumedAt: kept.at }
      : { base: offered, draft: offered as Draft<T>, past: [], resumedAt: null },
  );
  // A new one that is taken up again is compared with what it began from, not with another beginning.
  const document = isNew ? state.base : offered;
  const [touched, setTouched] = useState<ReadonlySet<Path>>(new Set());
  const [tried, setTried] = useState(false);
  const { draft, base } = state;
  const dirty = useMemo(() => draft !== base && !equal(plainOf(draft), base), [draft, base]);
  // Nothing typed yet: the form shows the document as it is now, whoever changed it.
  if (!dirty && base !== document && !equal(base, document))
    setState({ base: document, draft: document as Draft<T>, past: [], resumedAt: null });

  const done = useRef(false);
  useEffect(() => {
    if (done.current) return;
    if (dirty) dispatch(draftKept({ key, at: nowIso(), base, draft }));
    else dispatch(dropDraft(key));
  }, [dispatch, key, dirty, base, draft]);

  const checked = useMemo(() => {
    const mine = checkDraft(schema, draft);
    if (mine.value === null || base === document) return mine;
    return checkDraft(schema, mergeTouched(base, mine.value, document));
  }, [schema, draft, base, document]);
  const problem = (path: Path) => checked.issues.find((i) => i.where === path)?.message;
  const shown = (path: Path) =>
    tried || touched.has(path) || isTyped(at(draft, path)) ? problem(path) : undefined;
  const touch = (path: Path) =>
    setTouched((before) => (before.has(path) ? before : new Set(before).add(path)));
  const set = (change: (draft: Draft<T>) => Draft<T>, field: Path | null = null) =>
    setState((s) => {
      const next = change(s.draft);
      if (next === s.draft) return s;
      const sameField = field !== null && s.past.at(-1)?.field === field;
      const past = sameField ? s.past : [...s.past, { draft: s.draft, field }].slice(-UNDO_DEPTH);
      return { ...s, draft: next, past };
    });
  const put = (path: Path, value: unknown) => set((d) => withAt(d, path, value), path);
  const begin = (from: T) => {
    setState({ base: from, draft: from as Draft<T>, past: [], resumedAt: null });
    setTouched(new Set());
    setTried(false);
  };
  return {
    draft,
    value: checked.value,
    issues: checked.issues,
    problem,
    dirty,
    touched,
    touch,
    set,
    put,
    text: (path) => ({
      value: (at(draft, path) as string | undefined) ?? '',
      onChangeText: (text) => put(path, text),
      onBlur: () => touch(path),
      error: shown(path),
    }),
    moment: (path) => ({
      value: localMoment(at(draft, path)),
      onChangeText: (text) => put(path, utcMoment(text)),
      onBlur: () => touch(path),
      error: tried || touched.has(path) ? problem(path) : undefined,
    }),
    number: (path, as, empty) => ({
      text: shownNumber(at(draft, path), as),
      onChangeText: (text) => put(path, typedNumber(at(draft, path), text, as, empty)),
      onBlur: () => touch(path),
      error: shown(path),
    }),
    undo:
      state.past.length === 0
        ? null
        : () =>
            setState((s) => {
              const last = s.past.at(-1);
              return last ? { ...s, draft: last.draft, past: s.past.slice(0, -1) } : s;
            }),
    keep(write) {
      setTried(true);
      if (checked.value === null) return false;
      // First the document, then the draft goes: a write that throws leaves what was typed where it is.
      write(checked.value);
      done.current = true;
      dispatch(dropDraft(key));
      return true;
    },
    commit(write) {
      if (checked.value === null || !dirty) return;
      write(checked.value);
      begin(checked.value);
    },
    throwAway() {
      begin(offered);
      dispatch(dropDraft(key));
    },
    restart() {
      done.current = false;
      begin(offered);
    },
    tried,
    resumedAt: state.resumedAt,
    changedElsewhere: dirty ? changedElsewhere(base, document) : [],
  };
}
