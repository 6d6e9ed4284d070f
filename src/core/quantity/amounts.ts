import { INGREDIENTS } from '@/data/ingredients';
import { CoreError } from '../errors';
import { ingredientFigures, mediumFigures, type MediumFigures, type MediumPart } from '../film';
import type { Handbook } from '../handbook';

/** How an amount is measured on the bench. */
export const UNITS = ['ml', 'g', 'tsp', 'drops'] as const;
export type Unit = (typeof UNITS)[number];

/** ml of an amount of one ingredient. Drops and teaspoons are of the size in the table of constants. */
export function toMl(
  handbook: Handbook,
  amount: number,
  unit: Unit,
  densityGPerMl: number,
): number {
  const { dropMl, teaspoonMl } = handbook.constants;
  switch (unit) {
    case 'ml':
      return amount;
    case 'g':
      return amount / densityGPerMl;
    case 'tsp':
      return amount * teaspoonMl;
    case 'drops':
      return amount * dropMl;
  }
}

/** The inverse of `toMl`. */
export function fromMl(handbook: Handbook, ml: number, unit: Unit, densityGPerMl: number): number {
  return ml / toMl(handbook, 1, unit, densityGPerMl);
}

/** Parts by weight as parts by volume, so that everything after reckons in volumes. */
export const byVolume = (parts: MediumPart[], by: 'volume' | 'weight'): MediumPart[] =>
  by === 'volume'
    ? parts
    : parts.map((p) => ({ ...p, parts: p.parts / ingredientFigures(p).densityGPerMl }));

/** The inverse: parts by weight that make the same mixture. */
export const byWeight = (parts: MediumPart[]): MediumPart[] =>
  parts.map((p) => ({ ...p, parts: p.parts * ingredientFigures(p).densityGPerMl }));

/** One ingredient of a batch in every measure. */
export interface AmountLine {
  part: MediumPart;
  name: string;
  volumeShare: number;
  weightShare: number;
  ml: number;
  g: number;
  tsp: number;
  drops: number;
}

export interface Batch extends MediumFigures {
  ml: number;
  g: number;
  lines: AmountLine[];
}

function requireMedium(parts: MediumPart[]): void {
  if (parts.length === 0)
    throw new CoreError('medium-empty', 'medium', 'The medium is empty. Add an ingredient.');
}

function requireVolume(ml: number, where: string): void {
  if (!Number.isFinite(ml) || ml <= 0)
    throw new CoreError('volume-range', where, 'The amount must be above 0 ml.');
}

/**
 * A batch of `ml` of a medium, in every measure. Volumes are taken to add up when liquids are mixed.
 * @param parts by volume. Throws `medium-empty`, `volume-range`.
 * @example batchOf(handbook, 1 stand oil : 1 varnish : 3 spirits, 50) // 10, 10 and 30 ml
 */
export function batchOf(handbook: Handbook, parts: MediumPart[], ml: number): Batch {
  requireMedium(parts);
  requireVolume(ml, 'ml');
  const total = parts.reduce((s, p) => s + p.parts, 0);
  const figures = mediumFigures(parts);
  const grams = figures.densityGPerMl * ml;
  const lines = parts.map((part): AmountLine => {
    const { densityGPerMl } = ingredientFigures(part);
    const volumeShare = part.parts / total;
    const own = volumeShare * ml;
    return {
      part,
      name: INGREDIENTS[part.ingredient].name,
      volumeShare,
      weightShare: (own * densityGPerMl) / grams,
      ml: own,
      g: own * densityGPerMl,
      tsp: fromMl(handbook, own, 'tsp', densityGPerMl),
      drops: fromMl(handbook, own, 'drops', densityGPerMl),
    };
  });
  return { ...figures, ml, g: grams, lines };
}

/** Parts by volume from amounts that were measured in any unit. */
export const partsFromAmounts = (
  handbook: Handbook,
  amounts: (Omit<MediumPart, 'parts'> & { amount: number; unit: Unit })[],
): MediumPart[] =>
  amounts.map(({ amount, unit, ...part }) => ({
    ...part,
    parts: toMl(handbook, amount, unit, ingredientFigures(part).densityGPerMl),
  }));

const sameIngredient = (a: Omit<MediumPart, 'parts'>, b: Omit<MediumPart, 'parts'>): boolean =>
  a.ingredient === b.ingredient && a.solidsWtPct === b.solidsWtPct;

export interface Jar {
  /** Parts by volume. */
  parts: MediumPart[];
  ml: number;
}

/** Two jars poured together: the medium they make. Ingredients of one strength become one line. */
export function blendJars(a: Jar, b: Jar): Jar {
  requireMedium(a.parts);
  requireMedium(b.parts);
  requireVolume(a.ml, 'a.ml');
  requireVolume(b.ml, 'b.ml');
  const out: MediumPart[] = [];
  for (const jar of [a, b]) {
    const total = jar.parts.reduce((s, p) => s + p.parts, 0);
    for (const part of jar.parts) {
      const ml = (jar.ml * part.parts) / total;
      const known = out.find((p) => sameIngredient(p, part));
      if (known) known.parts += ml;
      else out.push({ ...part, parts: ml });
    }
  }
  return { parts: out, ml: a.ml + b.ml };
}

/** What to add to a jar so that there is more of the same: ml of each ingredient. Throws `volume-range` when it holds more already. */
export function stretchJar(jar: Jar, toMlInAll: number): AmountToAdd[] {
  requireMedium(jar.parts);
  requireVolume(jar.ml, 'ml');
  if (!(toMlInAll >= jar.ml))
    throw new CoreError(
      'volume-range',
      'toMl',
      `The jar holds ${jar.ml} ml already. Ask for more than that.`,
    );
  const total = jar.parts.reduce((s, p) => s + p.parts, 0);
  return jar.parts.map(({ parts, ...rest }) => ({
    ...rest,
    ml: ((toMlInAll - jar.ml) * parts) / total,
  }));
}

export interface AmountToAdd extends Omit<MediumPart, 'parts'> {
  ml: number;
}

/**
 * ml of one ingredient to add to a jar until a wanted share of it stays as film: thinning with spirits, or
 * enriching with oil. Null when that ingredient leads the other way.
 */
export function stretchToSolids(
  jar: Jar,
  add: Omit<MediumPart, 'parts'>,
  solidsVolumeFraction: number,
): number | null {
  const now = mediumFigures(jar.parts).solidsVolumeFraction;
  const added = mediumFigures([{ ...add, parts: 1 }]).solidsVolumeFraction;
  // jar s + x a = (jar + x) t
  const x = (jar.ml * (now - solidsVolumeFraction)) / (solidsVolumeFraction - added);
  return Number.isFinite(x) && x >= 0 ? x : null;
}
