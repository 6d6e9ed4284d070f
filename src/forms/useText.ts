import { useState } from 'react';
import type { z } from 'zod';
import { nowIso } from '@/store/clock';
import { draftDropped, draftKept } from '@/store/drafts';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';

export interface KeptText {
  text: string;
  /** Whether it says anything else than it began with. */
  touched: boolean;
  set: (text: string) => void;
  /** What is wrong with it, told while it is typed; of an empty text only once it was tried to be kept. */
  error: string | undefined;
  /** The text as the schema accepts it, or null, and then the error is told. */
  accepted: () => string | null;
  /** It is kept as a document, or thrown away: the draft goes. */
  done: () => void;
}

/** A form of one text. Half typed it is kept like any form: it is there again after a reload. */
export function useText(key: string, schema: z.ZodType<string>, start = ''): KeptText {
  const dispatch = useStoreDispatch();
  const kept = useStoreSelector((state) => state.drafts[key]?.draft);
  const [text, setText] = useState(() => (typeof kept === 'string' ? kept : start));
  const [tried, setTried] = useState(false);
  const parsed = schema.safeParse(text);
  const set = (next: string) => {
    setText(next);
    setTried(false);
    if (next === start) dispatch(draftDropped(key));
    else dispatch(draftKept({ key, at: nowIso(), base: start, draft: next }));
  };
  return {
    text,
    touched: text !== start,
    set,
    error:
      parsed.success || (text.trim() === '' && !tried)
        ? undefined
        : parsed.error.issues[0]!.message,
    accepted() {
      setTried(true);
      return parsed.success ? parsed.data : null;
    },
    done() {
      setText(start);
      setTried(false);
      dispatch(draftDropped(key));
    },
  };
}
