import { LOOKING } from '@/data/looking';
import type { Looked } from './look';
import type { PassageValue } from './values';

/** What parts a passage from the design in colour, each against its own picture as a whole: a cast of the photo is common. */
export interface ColourTold {
  id: string;
  /** "warmer", "greyer and cooler"; null where nothing is beyond the error, or nothing can be told. */
  words: string | null;
}

type Coloured = Pick<PassageValue, 'id' | 'warm' | 'chroma' | 'areaCm2'>;

const mean = (values: readonly Coloured[], of: 'warm' | 'chroma'): number => {
  const area = values.reduce((s, v) => s + v.areaCm2, 0);
  return area > 0 ? values.reduce((s, v) => s + v[of] * v.areaCm2, 0) / area : 0;
};

/**
 * Temperature and strength of colour of each passage against the design. Without a neutral patch a photo tells no colour:
 * nothing then.
 */
export function tellColours(looked: Looked, design: readonly Coloured[]): ColourTold[] {
  const both = looked.values.filter((v) => design.some((d) => d.id === v.id));
  const meant = design.filter((d) => both.some((v) => v.id === d.id));
  return both.map((v) => {
    const d = meant.find((m) => m.id === v.id)!;
    if (looked.trust.level === 'order' || both.length < 2) return { id: v.id, words: null };
    const off = (of: 'warm' | 'chroma') => v[of] - mean(both, of) - (d[of] - mean(meant, of));
    const [warm, chroma] = [off('warm'), off('chroma')];
    const words = [
      ...(Math.abs(chroma) > LOOKING.colourTold ? [chroma > 0 ? 'stronger' : 'greyer'] : []),
      ...(Math.abs(warm) > LOOKING.colourTold ? [warm > 0 ? 'warmer' : 'cooler'] : []),
    ];
    return { id: v.id, words: words.length > 0 ? words.join(' and ') : null };
  });
}
