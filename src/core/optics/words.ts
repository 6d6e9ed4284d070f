import { CHROMA_WORDS, HUE_WORDS, STEP_WORDS } from '@/data/colour-words';
import { chromaOf, hueOf, valueOfLab, warmthOf, type Lab } from './colour';

const wordFor = (table: readonly (readonly [number, string])[], x: number): string =>
  table.find(([below]) => x < below)?.[1] ?? '';

/** "muted orange", "neutral": chroma and hue in words. */
export function colourWords(lab: Lab): string {
  const chroma = wordFor(CHROMA_WORDS, chromaOf(lab));
  return chroma === 'neutral' ? chroma : `${chroma} ${wordFor(HUE_WORDS, hueOf(lab))}`;
}

/** What has changed from one colour to another. */
export interface ColourChange {
  value: number;
  lightness: number;
  chroma: number;
  /** Degrees, -180 to 180; 0 where either is neutral. */
  hue: number;
  /** What its hue has turned to, where it is called otherwise now; null where it is not. */
  turnedTo: string | null;
  warmth: number;
}

const NEUTRAL_CHROMA = CHROMA_WORDS[0]![0];

/** The change from one colour to another: value, lightness, chroma, hue and warmth, each apart. */
export function changeOf(from: Lab, to: Lab): ColourChange {
  const turns = chromaOf(from) >= NEUTRAL_CHROMA && chromaOf(to) >= NEUTRAL_CHROMA;
  return {
    value: valueOfLab(to) - valueOfLab(from),
    lightness: to[0] - from[0],
    chroma: chromaOf(to) - chromaOf(from),
    hue: turns ? ((hueOf(to) - hueOf(from) + 540) % 360) - 180 : 0,
    turnedTo: turns && hueWord(from) !== hueWord(to) ? hueWord(to) : null,
    warmth: warmthOf(to) - warmthOf(from),
  };
}

/** Thirds of a value, as painters count them: what is below a sixth is nothing. */
const THIRDS = [
  [1 / 6, ''],
  [0.5, 'a third of a value'],
  [5 / 6, 'two thirds of a value'],
  [1.25, 'one value'],
  [1.75, 'a value and a half'],
] as const;

function valueWords(step: number): string {
  const size = Math.abs(step);
  const named = THIRDS.find(([below]) => size < below)?.[1];
  return named ?? `${(Math.round(size * 2) / 2).toString().replace('.5', ' and a half')} values`;
}

/** "two thirds of a value darker, warmer, duller"; "no change that shows" where none does. */
export function changeWords(change: ColourChange): string {
  const parts: string[] = [];
  const value = valueWords(change.value);
  if (value) parts.push(`${value} ${change.value < 0 ? 'darker' : 'lighter'}`);
  const step = (size: number, more: string, less: string) => {
    const word = wordFor(STEP_WORDS, Math.abs(size));
    if (Math.abs(size) >= STEP_WORDS[0]![0])
      parts.push(`${word} ${size > 0 ? more : less}`.replace('clearly ', ''));
  };
  if (change.turnedTo) parts.push(`turns ${change.turnedTo}`);
  step(change.warmth, 'warmer', 'cooler');
  step(change.chroma, 'more colourful', 'duller');
  return parts.length === 0 ? 'no change that shows' : parts.join(', ');
}

/** The hue of a colour in words, "green"; "neutral" where it has none. */
export const hueWord = (lab: Lab): string =>
  chromaOf(lab) < NEUTRAL_CHROMA ? 'neutral' : wordFor(HUE_WORDS, hueOf(lab));
