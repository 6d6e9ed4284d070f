import { LOOKING } from '@/data/looking';
import { classLimits, type EdgeFound } from './edges';

export interface Pull {
  id: string;
  pull: number;
  value: number;
  colour: number;
  /** The border that adds most: which, and how hard. */
  edge: string | null;
}

/**
 * How much a passage stands out by contrast along its borders: of value, of colour, of chroma. A model of contrast, not
 * of eyes: it knows no faces, no meaning and no middle.
 * @param overChroma by how much each passage is more colourful than the picture
 */
export function pullsOf(
  ids: readonly string[],
  edges: readonly EdgeFound[],
  overChroma: ReadonlyMap<string, number>,
  distanceM = LOOKING.viewM,
): Pull[] {
  const firm = classLimits(distanceM)[1];
  return ids
    .map((id): Pull => {
      const mine = edges.filter((e) => e.a === id || e.b === id);
      const length = mine.reduce((s, e) => s + e.lengthMm, 0);
      let value = 0;
      let colour = 0;
      let edge: string | null = null;
      let most = 0;
      for (const e of mine) {
        const sharp = 1 / (1 + e.widthMm / firm);
        const v = e.lengthMm * Math.abs(e.dL) * sharp;
        const c = e.lengthMm * e.dab * sharp;
        value += v;
        colour += c;
        const part = v + LOOKING.pullColour * c;
        if (part > most) [most, edge] = [part, e.a === id ? e.b : e.a];
      }
      value /= length || 1;
      colour /= length || 1;
      return {
        id,
        value,
        colour,
        edge,
        pull:
          value +
          LOOKING.pullColour * colour +
          LOOKING.pullChroma * Math.max(0, overChroma.get(id) ?? 0),
      };
    })
    .sort((p, q) => q.pull - p.pull);
}
