import { CoreError } from '../errors';
import { ACRYLIC_TUBE, BINDERS } from '@/data/binders';
import { INGREDIENTS, solutionOf, type Ingredient, type Solids } from '@/data/ingredients';
import type { OilKey } from '@/data/oils';
import type { Handbook, Pigment } from '../handbook';
import {
  blank,
  dryVolume,
  NOTHING,
  scaleInPlace,
  type Constituents,
  type Volumes,
} from './constituents';
import type { MediumPart, Recipe, TubePart } from './recipe';
import { tubePaint, type TubePaint } from './tube';

/** From tubes, mediums and recipes to what a mixture, or the film it leaves, is made of. */

/** The tube's weights in the drying of its pigments: by pigment volume in the first set, by paint volume in the revision. */
function putSpeed(out: Constituents, handbook: Handbook, paint: TubePaint, volume: number): void {
  const { siccativeLimit, siccativeWeight } = handbook.constants;
  const byPigment = handbook.mixWeights === 'pigment-volume';
  for (const { pigment, share, factor } of paint.speeds) {
    const base = byPigment ? volume * (paint.pigments[pigment.key] ?? 0) : volume * share;
    const catalyst = factor < siccativeLimit && (byPigment || isSiccative(pigment));
    const weight = base * (catalyst ? siccativeWeight : 1);
    out.speedWeight += weight;
    out.speedLog += weight * Math.log(factor);
  }
}

const SICCATIVE_METALS: ReadonlySet<string> = new Set(['manganese', 'cobalt', 'lead']);
const isSiccative = (pigment: Pigment): boolean =>
  pigment.metals.some((m) => SICCATIVE_METALS.has(m));

const put = (volumes: Volumes, key: string, volume: number): void => {
  volumes[key] = (volumes[key] ?? 0) + volume;
};

function putTube(
  out: Constituents,
  handbook: Handbook,
  part: Parameters<typeof tubePaint>[1],
  volume: number,
): void {
  const paint = tubePaint(handbook, part);
  const binder = BINDERS[paint.binder];
  put(out.tubes, paint.key, volume);
  putSpeed(out, handbook, paint, volume);
  if (paint.binder === 'water-mixable') out.waterMixable += volume;
  if (paint.makeUpUnknown) out.makeUpUnknown += volume;
  out.stearate += volume * paint.stearate;
  const acrylic = binder.kind === 'acrylic';
  const dry = acrylic ? volume * ACRYLIC_TUBE.solidsVolumeFraction : volume;
  // An acrylic tube keeps the proportions of its pigments; how much binder and water it has is in the table.
  const pigmentFactor = acrylic
    ? (dry * ACRYLIC_TUBE.pigmentVolumeConcentration) / (1 - paint.binderVolume)
    : volume;
  for (const key in paint.pigments) put(out.pigments, key, paint.pigments[key]! * pigmentFactor);
  if (acrylic) {
    out.acrylic += dry * (1 - ACRYLIC_TUBE.pigmentVolumeConcentration);
    out.volatile += volume - dry;
  } else if (binder.oil) put(out.tubeOil, binder.oil, volume * paint.binderVolume);
  else out.alkydTube += volume * paint.binderVolume;
}

/** `volume` ml of one tube, split. */
export function tubeConstituents(
  handbook: Handbook,
  part: Parameters<typeof tubePaint>[1],
  volume: number,
): Constituents {
  const out = blank();
  putTube(out, handbook, part, volume);
  return out;
}

/** What stays of an ingredient at the strength the painter uses, and its density. */
export function ingredientFigures(part: Pick<MediumPart, 'ingredient' | 'solidsWtPct'>): {
  solids: Solids;
  densityGPerMl: number;
} {
  const ingredient = INGREDIENTS[part.ingredient];
  return ingredient.strength && part.solidsWtPct !== undefined
    ? solutionOf(ingredient.strength, part.solidsWtPct)
    : ingredient;
}

function putIngredient(
  out: Constituents,
  ingredient: Ingredient,
  solids: Solids,
  volume: number,
): void {
  const { oil, oilFraction, resinFraction, alkydFraction, waxFraction, solidsGPerMl } = solids;
  const volatile = volume * (1 - oilFraction - resinFraction - alkydFraction - waxFraction);
  if (oil) put(out.addedOil, oil, volume * oilFraction);
  out.resin += volume * resinFraction;
  if (ingredient.kind === 'balsam') out.balsam += volume * resinFraction;
  out.alkydMedium += volume * alkydFraction;
  out.wax += volume * waxFraction;
  const oilMass = oil ? oilFraction * INGREDIENTS[oil].densityGPerMl : 0;
  out.mediumSolidsMass += volume * (solidsGPerMl - oilMass);
  out.volatile += volatile;
  out.addedVolatile += volatile;
  if (ingredient.solvent === 'strong') out.strongVolatile += volatile;
  if (ingredient.aqueous) out.water += volume;
  if (ingredient.drier) put(out.driers, ingredient.drier, volume);
  if (ingredient.kind === 'historic') out.megilp += volume;
}

function putMedium(out: Constituents, medium: MediumPart[], volume: number): void {
  const total = medium.reduce((s, part) => s + part.parts, 0);
  if (total === 0 || volume === 0) return;
  out.medium += volume;
  if (medium.some((p) => INGREDIENTS[p.ingredient].kind === 'alkyd'))
    out.alkydBearingMedium += volume;
  for (const part of medium) {
    const ingredient = INGREDIENTS[part.ingredient];
    putIngredient(out, ingredient, ingredientFigures(part).solids, (volume * part.parts) / total);
  }
}

/** `volume` ml of a medium, split into what stays and what leaves. */
export function mediumConstituents(medium: MediumPart[], volume: number): Constituents {
  const out = blank();
  putMedium(out, medium, volume);
  return out;
}

function putMix(out: Constituents, handbook: Handbook, mix: TubePart[], volume: number): void {
  const total = mix.reduce((s, part) => s + part.parts, 0);
  if (total === 0 || volume === 0) return;
  for (const part of mix) putTube(out, handbook, part, (volume * part.parts) / total);
}

/** Oil of cloves by weight of a wet mixture, %. */
function cloveWtPct(handbook: Handbook, recipe: WetRecipe, wet: Constituents): number {
  const total = recipe.medium.reduce((s, p) => s + p.parts, 0);
  const clove = recipe.medium.find((p) => p.ingredient === 'clove-oil');
  if (!clove || recipe.mediumShare === 0) return 0;
  const grams =
    ((recipe.mediumShare * clove.parts) / total) * INGREDIENTS['clove-oil'].densityGPerMl;
  return (100 * grams) / wetMass(handbook, recipe, wet);
}

/** Grams of one ml of wet mixture. */
function wetMass(handbook: Handbook, recipe: WetRecipe, wet: Constituents): number {
  const total = recipe.medium.reduce((s, p) => s + p.parts, 0) || 1;
  const medium = recipe.medium.reduce(
    (s, p) => s + (p.parts / total) * ingredientFigures(p).densityGPerMl,
    0,
  );
  return recipe.mediumShare * medium + pigmentMass(handbook, wet) + tubeBinderMass(wet);
}

/** Density of a pigment, g/ml. Throws `unknown-pigment`: without it a mass would come out too small, unseen. */
function pigmentDensity(handbook: Handbook, key: string): number {
  const density = handbook.pigments[key]?.densityGPerMl;
  if (density === undefined)
    throw new CoreError(
      'unknown-pigment',
      `pigments.${key}`,
      `Nobody knows how dense the pigment "${key}" is. Choose one from the pigment table.`,
    );
  return density;
}

/** Mass of the pigments of a mixture, g for constituents in ml. Source: densities of the pigment table. */
export function pigmentMass(handbook: Handbook, c: Constituents): number {
  let mass = 0;
  for (const key in c.pigments) mass += (c.pigments[key] ?? 0) * pigmentDensity(handbook, key);
  return mass;
}

/** Mass of the binders that came with the tubes, g for constituents in ml. */
export const tubeBinderMass = (c: Constituents): number => {
  let mass = c.alkydTube * BINDERS.alkyd.densityGPerMl + c.acrylic * BINDERS.acrylic.densityGPerMl;
  for (const key in c.tubeOil)
    mass += (c.tubeOil[key as OilKey] ?? 0) * INGREDIENTS[key as OilKey].densityGPerMl;
  return mass;
};

type WetRecipe = Pick<Recipe, 'mix' | 'medium' | 'mediumShare'>;

/** One volume of the wet mixture of a recipe: paint (1 - m), medium m. */
export function wetMixture(handbook: Handbook, recipe: WetRecipe): Constituents {
  const wet = blank();
  putMix(wet, handbook, recipe.mix, 1 - recipe.mediumShare);
  putMedium(wet, recipe.medium, recipe.mediumShare);
  wet.cloveWtPct = cloveWtPct(handbook, recipe, wet);
  return wet;
}

/** The film a recipe leaves at its dry thickness: constituents in um (volume per unit area). */
export function filmOfRecipe(handbook: Handbook, recipe: Recipe): Constituents {
  if (recipe.material !== undefined)
    return { ...NOTHING, inert: recipe.thicknessUm, material: recipe.material };
  const film = wetMixture(handbook, recipe);
  scaleInPlace(film, recipe.thicknessUm / dryVolume(film));
  return film;
}
