import type { Forgotten } from '../learn/forgotten-schema';
import type { Studio } from './studio-schema';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const keyOf = (f: Forgotten): string => `${f.factor} ${f.at}`;

/** Every field of an object as `mine` has it where it was changed here, else as the other has it. */
function byField<T extends object>(base: T, mine: T, theirs: T): T {
  const out = { ...mine };
  // Of both: what only the other has set is no less set.
  for (const key of [...Object.keys(mine), ...Object.keys(theirs)] as (keyof T)[])
    if (same(mine[key], base[key])) {
      if (theirs[key] === undefined) delete out[key];
      else out[key] = theirs[key];
    }
  return out;
}

/**
 * Two descendants of the settings, changed in two tabs: each setting as the one that changed it has it, the stated
 * climate by its parts; what either has had forgotten is forgotten. Where both changed one setting, `mine` holds.
 */
export function mergeStudios(base: Studio, mine: Studio, theirs: Studio): Studio {
  const gone = new Set(
    base.forgotten
      .filter(
        (f) => ![mine, theirs].every((s) => s.forgotten.some((other) => keyOf(other) === keyOf(f))),
      )
      .map(keyOf),
  );
  const forgotten = new Map(
    [...theirs.forgotten, ...mine.forgotten].map((f) => [keyOf(f), f] as const),
  );
  gone.forEach((key) => forgotten.delete(key));
  return {
    ...byField(base, mine, theirs),
    climate: byField(base.climate, mine.climate, theirs.climate),
    forgotten: [...forgotten.values()],
    revision: Math.max(mine.revision, theirs.revision) + 1,
  };
}
