import type { Recipe, TubePart } from './recipe';

export type Colour = NonNullable<Recipe['colours']>[number];

const keyOf = (part: TubePart): string =>
  'own' in part ? `own:${part.own.id}` : `${part.pigment}|${part.binder}`;

/**
 * Several colours laid wet in one sitting as the one mix that their film holds on the whole: every colour by its share of
 * the area, whatever its parts are counted in. Parts add up to a hundred.
 */
export function mixOfColours(colours: readonly Pick<Colour, 'mix' | 'share'>[]): TubePart[] {
  const shares = colours.reduce((sum, c) => sum + c.share, 0) || 1;
  const out = new Map<string, TubePart>();
  for (const { mix, share } of colours) {
    const total = mix.reduce((sum, p) => sum + p.parts, 0) || 1;
    for (const part of mix) {
      const parts = (100 * share * part.parts) / (shares * total);
      const known = out.get(keyOf(part));
      out.set(keyOf(part), { ...part, parts: parts + (known?.parts ?? 0) });
    }
  }
  return [...out.values()];
}
