/** A stretch of time laid across a drawing. */
export interface Across {
  width: number;
  fromMs: number;
  toMs: number;
}

/**
 * Where a moment lies across a drawing, px from its left. Our own, though there is a package: on Today that one weighs
 * 14 kB before the first row can be read, for a rule of three.
 */
export const timeScale =
  ({ width, fromMs, toMs }: Across) =>
  (ms: number): number =>
    ((ms - fromMs) / (toMs - fromMs)) * width;

/** The same, held to the edges of the drawing. */
export const timeScaleWithin = (across: Across): ((ms: number) => number) => {
  const at = timeScale(across);
  return (ms) => Math.min(across.width, Math.max(0, at(ms)));
};
