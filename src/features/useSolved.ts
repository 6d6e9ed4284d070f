import { useEffect, useState } from 'react';

export interface Solved<T> {
  /** The last answer to what is asked now; null while it is being worked out, or when nothing is asked. */
  value: T | null;
  pending: boolean;
  /** Why there is no answer. */
  failure: string | null;
}

/**
 * Ask for something that takes a while. An answer that comes after the question has changed is dropped.
 * @param ask null asks nothing; it must keep its identity while the question is the same
 */
export function useSolved<T>(ask: (() => Promise<T>) | null): Solved<T> {
  const [state, setState] = useState<{ of: typeof ask; value: T | null; failure: string | null }>({
    of: null,
    value: null,
    failure: null,
  });
  useEffect(() => {
    if (!ask) return;
    let dropped = false;
    ask().then(
      (value) => dropped || setState({ of: ask, value, failure: null }),
      (error: Error) => dropped || setState({ of: ask, value: null, failure: error.message }),
    );
    return () => {
      dropped = true;
    };
  }, [ask]);
  const answered = ask !== null && state.of === ask;
  return {
    value: answered ? state.value : null,
    pending: ask !== null && !answered,
    failure: answered ? state.failure : null,
  };
}
