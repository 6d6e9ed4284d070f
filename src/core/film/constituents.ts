import { ACRYLIC_TUBE, BINDERS } from '@/data/binders';
import { EXTENDER_KEY } from '@/data/extender';
import { INGREDIENTS, solutionOf, type Ingredient, type Solids } from '@/data/ingredients';
import { MATERIALS, type MaterialKey } from '@/data/materials';
import type { DrierKey } from '@/data/driers';
import type { OilKey } from '@/data/oils';
import type { Handbook, Pigment } from '../handbook';
import type { MediumPart, Recipe, TubePart } from './recipe';
import { tubePaint, type TubePaint } from './tube';

/**
 * Volumes by kind, all in one unit: ml per ml of wet mixture, or um of film (ml per unit area).
 * Everything but `cloveWtPct` and `material` adds up when two mixtures become one.
 */
export interface Constituents {
  /** Tube paint as squeezed out, by tube. */
  tubes: Record<string, number>;
  /** Pigment solids by pigment key, extender among them. */
  pigments: Record<string, number>;
  tubeOil: Partial<Record<OilKey, number>>;
  addedOil: Partial<Record<OilKey, number>>;
  alkydTube: number;
  alkydMedium: number;
  /** Natural resin, balsams included. */
  resin: number;
  /** The part of it that is balsam. */
  balsam: number;
  wax: number;
  /** Mass of resin, wax and alkyd of the medium. */
  mediumSolidsMass: number;
  acrylic: number;
  /** A film that is not reckoned: pastel, tempera, varnish. */
  inert: number;
  /** All that leaves as vapour, of tube and medium. */
  volatile: number;
  /** Volatile of the medium alone: what the painter added. */
  addedVolatile: number;
  /** The part of it that bites: turpentine, spike, citrus, aromatic spirit. */
  strongVolatile: number;
  water: number;
  /** Medium as added, solvent included. */
  medium: number;
  /** Medium that holds alkyd, as added. */
  alkydBearingMedium: number;
  /** Liquid drier by kind. */
  driers: Partial<Record<DrierKey, number>>;
  /** Oil of cloves by weight of the mixture, %; of two mixtures the larger holds. */
  cloveWtPct: number;
  /** Weight and sum of weight x ln F of the pigments' drying factors. */
  speedWeight: number;
  speedLog: number;
  /** Tube paint of water-mixable binder, and of tubes nobody knows the make-up of. */
  waterMixable: number;
  makeUpUnknown: number;
  /** Historic mixtures of resin and lead-cooked oil. */
  megilp: number;
  /** What the coat is when it is not paint; null for paint. */
  material: MaterialKey | null;
}

/** An empty mixture, to be filled. */
const blank = (): Constituents => ({
  tubes: {},
  pigments: {},
  tubeOil: {},
  addedOil: {},
  alkydTube: 0,
  alkydMedium: 0,
  resin: 0,
  balsam: 0,
  wax: 0,
  mediumSolidsMass: 0,
  acrylic: 0,
  inert: 0,
  volatile: 0,
  addedVolatile: 0,
  strongVolatile: 0,
  water: 0,
  medium: 0,
  alkydBearingMedium: 0,
  driers: {},
  cloveWtPct: 0,
  speedWeight: 0,
  speedLog: 0,
  waterMixable: 0,
  makeUpUnknown: 0,
  megilp: 0,
  material: null,
});

export const NOTHING: Readonly<Constituents> = blank();

type Volumes = Partial<Record<string, number>>;

export const sum = (volumes: Volumes): number => {
  let total = 0;
  for (const key in volumes) total += volumes[key] ?? 0;
  return total;
};

/** Keys whose value is a record of volumes, and keys whose value is one volume: both are linear. */
const RECORDS = ['tubes', 'pigments', 'tubeOil', 'addedOil', 'driers'] as const;
const SCALARS = [
  'alkydTube',
  'alkydMedium',
  'resin',
  'balsam',
  'wax',
  'mediumSolidsMass',
  'acrylic',
  'inert',
  'volatile',
  'addedVolatile',
  'strongVolatile',
  'water',
  'medium',
  'alkydBearingMedium',
  'speedWeight',
  'speedLog',
  'waterMixable',
  'makeUpUnknown',
  'megilp',
] as const;

/** Put `factor` times a mixture into another, in place. Used where a mixture is being built. */
function putIn(out: Constituents, c: Constituents, factor: number): void {
  for (const record of RECORDS) {
    const from: Volumes = c[record];
    const to: Volumes = out[record];
    for (const key in from) to[key] = (to[key] ?? 0) + (from[key] ?? 0) * factor;
  }
  for (const key of SCALARS) out[key] += c[key] * factor;
  out.cloveWtPct = Math.max(out.cloveWtPct, c.cloveWtPct);
  out.material ??= c.material;
}

function scaleInPlace(c: Constituents, factor: number): void {
  for (const record of RECORDS) {
    const volumes: Volumes = c[record];
    for (const key in volumes) volumes[key] = (volumes[key] ?? 0) * factor;
  }
  for (const key of SCALARS) c[key] *= factor;
}

/** Wet into wet: volumes add; driers add, the larger share of clove oil holds. */
export function addConstituents(a: Constituents, b: Constituents): Constituents {
  const out = blank();
  putIn(out, a, 1);
  putIn(out, b, 1);
  return out;
}

/** The same mixture, `factor` times as much of it. */
export function scaleConstituents(a: Constituents, factor: number): Constituents {
  const out = blank();
  putIn(out, a, factor);
  return out;
}

export const dryingOilVolume = (c: Constituents): number => sum(c.tubeOil) + sum(c.addedOil);

export const binderVolume = (c: Constituents): number =>
  dryingOilVolume(c) + c.alkydTube + c.alkydMedium + c.resin + c.wax + c.acrylic;

/** Everything that stays when the solvent has gone. */
export const dryVolume = (c: Constituents): number => sum(c.pigments) + binderVolume(c) + c.inert;

/** A millionth of a micrometre: far below any film, far above the dust of floating-point sums. */
const DUST_PER_UM = 1e6;

/** Thickness of a film, um: its dry volume per area, so that a film laid at 20 um is 20 um and not a hair more. */
export const thicknessOf = (film: Constituents): number =>
  Math.round(dryVolume(film) * DUST_PER_UM) / DUST_PER_UM;

export const isAcrylic = (c: Constituents): boolean => c.acrylic > 0;

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

export const pigmentMass = (handbook: Handbook, c: Constituents): number => {
  let mass = 0;
  for (const key in c.pigments)
    mass += (c.pigments[key] ?? 0) * (handbook.pigments[key]?.densityGPerMl ?? 0);
  return mass;
};

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

/** Whether paint above is judged against what lies under this film. */
export const isPassedOver = (c: Constituents): boolean =>
  c.material !== null && MATERIALS[c.material].passedOver;

/** Extender as a share of all solids. */
export const extenderShare = (c: Constituents): number =>
  (c.pigments[EXTENDER_KEY] ?? 0) / (sum(c.pigments) || 1);
