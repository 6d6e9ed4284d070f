let here: Promise<unknown> | null = null;

/**
 * What every piece that is loaded later needs comes before the piece itself: whoever imports one waits for this first.
 * A load that failed is tried again the next time.
 */
export const loadKit = (): Promise<unknown> =>
  (here ??= import('./kit').catch((error: unknown) => {
    here = null;
    throw error;
  }));
