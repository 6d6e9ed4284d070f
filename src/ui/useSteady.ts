import { useCallback, useLayoutEffect, useRef } from 'react';

/** A function that stays the same from render to render and does what the last one given does: for parts that are only drawn anew when what they show has changed. */
export function useSteady<A extends unknown[], R>(act: (...args: A) => R): (...args: A) => R {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
