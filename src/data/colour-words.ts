/** Words for colours and their changes. */

/** Words by chroma C*, upper ends; judgement. */
export const CHROMA_WORDS: readonly (readonly [below: number, word: string])[] = [
  [4, 'neutral'],
  [15, 'greyed'],
  [35, 'muted'],
  [60, 'clear'],
  [Infinity, 'strong'],
];
/** Words by Lab hue, degrees, upper ends; judgement (Lab hue bends in blue). */
export const HUE_WORDS: readonly (readonly [below: number, word: string])[] = [
  [10, 'purple-magenta'],
  [40, 'red'],
  [70, 'orange'],
  [105, 'yellow'],
  [135, 'yellow-green'],
  [190, 'green'],
  [230, 'blue-green'],
  [290, 'blue'],
  [330, 'violet'],
  [Infinity, 'purple-magenta'],
];
/** How much warmer or cooler, by the step on the warm axis; judgement. */
export const STEP_WORDS: readonly (readonly [below: number, word: string])[] = [
  [1.5, ''],
  [4, 'slightly'],
  [8, 'clearly'],
  [Infinity, 'strongly'],
];
