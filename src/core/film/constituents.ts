import { ACRYLIC_TUBE, BINDERS, type BinderKey } from '@/data/binders';
import { INGREDIENTS } from '@/data/ingredients';
import type { OilKey } from '@/data/oils';
import { pigmentOf, type Handbook } from '../handbook';
import type { MediumPart, Recipe, TubePart } from './recipe';

/** Volumes by kind, all in one unit: ml per ml of wet mixture, or um of film (ml per unit area). */
export interface Constituents {
  /** Tube paint as squeezed out, by "pigment|binder". */
  tubes: Record<string, number>;
  /** Pigment solids by pigment key. */
  pigments: Record<string, number>;
  tubeOil: Partial<Record<OilKey, number>>;
  addedOil: Partial<Record<OilKey, number>>;
  alkydTube: number;
  alkydMedium: number;
  resin: number;
  acrylic: number;
  /** All that leaves as vapour, of tube and medium. */
  volatile: number;
  /** Volatile of the medium alone: what the painter added. */
  addedVolatile: number;
  /** Medium as added, solvent included. */
  medium: number;
  /** Medium that holds alkyd, as added. */
  alkydBearingMedium: number;
}

export const NOTHING: Constituents = {
  tubes: {},
  pigments: {},
  tubeOil: {},
  addedOil: {},
  alkydTube: 0,
  alkydMedium: 0,
  resin: 0,
  acrylic: 0,
  volatile: 0,
  addedVolatile: 0,
  medium: 0,
  alkydBearingMedium: 0,
};

type Volumes = Partial<Record<string, number>>;

export const sum = (volumes: Volumes): number => {
  let total = 0;
  for (const key in volumes) total += volumes[key] ?? 0;
  return total;
};

const addVolumes = (a: Volumes, b: Volumes): Record<string, number> => {
  const out: Record<string, number> = { ...(a as Record<string, number>) };
  for (const key in b) out[key] = (out[key] ?? 0) + (b[key] ?? 0);
  return out;
};

const scaleVolumes = (a: Volumes, factor: number): Record<string, number> => {
  const out: Record<string, number> = {};
  for (const key in a) out[key] = (a[key] ?? 0) * factor;
  return out;
};

/** Wet into wet: volumes add. */
export function addConstituents(a: Constituents, b: Constituents): Constituents {
  return {
    tubes: addVolumes(a.tubes, b.tubes),
    pigments: addVolumes(a.pigments, b.pigments),
    tubeOil: addVolumes(a.tubeOil, b.tubeOil),
    addedOil: addVolumes(a.addedOil, b.addedOil),
    alkydTube: a.alkydTube + b.alkydTube,
    alkydMedium: a.alkydMedium + b.alkydMedium,
    resin: a.resin + b.resin,
    acrylic: a.acrylic + b.acrylic,
    volatile: a.volatile + b.volatile,
    addedVolatile: a.addedVolatile + b.addedVolatile,
    medium: a.medium + b.medium,
    alkydBearingMedium: a.alkydBearingMedium + b.alkydBearingMedium,
  };
}

/** The same mixture, `factor` times as much of it. */
export function scaleConstituents(a: Constituents, factor: number): Constituents {
  return {
    tubes: scaleVolumes(a.tubes, factor),
    pigments: scaleVolumes(a.pigments, factor),
    tubeOil: scaleVolumes(a.tubeOil, factor),
    addedOil: scaleVolumes(a.addedOil, factor),
    alkydTube: a.alkydTube * factor,
    alkydMedium: a.alkydMedium * factor,
    resin: a.resin * factor,
    acrylic: a.acrylic * factor,
    volatile: a.volatile * factor,
    addedVolatile: a.addedVolatile * factor,
    medium: a.medium * factor,
    alkydBearingMedium: a.alkydBearingMedium * factor,
  };
}

export const dryingOilVolume = (c: Constituents): number => sum(c.tubeOil) + sum(c.addedOil);
export const binderVolume = (c: Constituents): number =>
  dryingOilVolume(c) + c.alkydTube + c.alkydMedium + c.resin + c.acrylic;
/** Everything that stays when the solvent has gone. */
export const dryVolume = (c: Constituents): number => sum(c.pigments) + binderVolume(c);
export const isAcrylic = (c: Constituents): boolean => c.acrylic > 0;

export const tubeKey = (pigment: string, binder: BinderKey): string => `${pigment}|${binder}`;

/** `volume` ml of one tube, split. Oil by weight becomes volume with the density of the tube's own binder. */
export function tubeConstituents(
  handbook: Handbook,
  pigmentKey: string,
  binderKey: BinderKey,
  volume: number,
): Constituents {
  const pigment = pigmentOf(handbook, pigmentKey);
  const binder = BINDERS[binderKey];
  const tubes = { [tubeKey(pigmentKey, binderKey)]: volume };
  if (binder.kind === 'acrylic') {
    const dry = volume * ACRYLIC_TUBE.solidsVolumeFraction;
    const pigmentVolume = dry * ACRYLIC_TUBE.pigmentVolumeConcentration;
    return {
      ...NOTHING,
      tubes,
      pigments: { [pigmentKey]: pigmentVolume },
      acrylic: dry - pigmentVolume,
      volatile: volume - dry,
    };
  }
  const binderMl = pigment.tubeOilWtPct / binder.densityGPerMl;
  const pigmentMl = (100 - pigment.tubeOilWtPct) / pigment.densityGPerMl;
  const oil = (volume * binderMl) / (binderMl + pigmentMl);
  return {
    ...NOTHING,
    tubes,
    pigments: { [pigmentKey]: volume - oil },
    tubeOil: binder.oil ? { [binder.oil]: oil } : {},
    alkydTube: binder.oil ? 0 : oil,
  };
}

/** `volume` ml of a medium, split into what stays and what leaves. */
export function mediumConstituents(medium: MediumPart[], volume: number): Constituents {
  const total = medium.reduce((s, part) => s + part.parts, 0);
  if (total === 0 || volume === 0) return NOTHING;
  let out: Constituents = {
    ...NOTHING,
    medium: volume,
    alkydBearingMedium: medium.some((p) => INGREDIENTS[p.ingredient].solids.alkydFraction > 0)
      ? volume
      : 0,
  };
  for (const part of medium) {
    const v = (volume * part.parts) / total;
    const { oil, oilFraction, resinFraction, alkydFraction } = INGREDIENTS[part.ingredient].solids;
    const volatile = v * (1 - oilFraction - resinFraction - alkydFraction);
    out = addConstituents(out, {
      ...NOTHING,
      addedOil: oil ? { [oil]: v * oilFraction } : {},
      resin: v * resinFraction,
      alkydMedium: v * alkydFraction,
      volatile,
      addedVolatile: volatile,
    });
  }
  return out;
}

function mixConstituents(handbook: Handbook, mix: TubePart[], volume: number): Constituents {
  const total = mix.reduce((s, part) => s + part.parts, 0);
  if (total === 0 || volume === 0) return NOTHING;
  return mix
    .map((part) =>
      tubeConstituents(handbook, part.pigment, part.binder, (volume * part.parts) / total),
    )
    .reduce(addConstituents, NOTHING);
}

/** One volume of the wet mixture of a recipe: paint (1 - m), medium m. */
export function wetMixture(
  handbook: Handbook,
  recipe: Pick<Recipe, 'mix' | 'medium' | 'mediumShare'>,
): Constituents {
  return addConstituents(
    mixConstituents(handbook, recipe.mix, 1 - recipe.mediumShare),
    mediumConstituents(recipe.medium, recipe.mediumShare),
  );
}

/** The film a recipe leaves at its dry thickness: constituents in um (volume per unit area). */
export function filmOfRecipe(handbook: Handbook, recipe: Recipe): Constituents {
  const wet = wetMixture(handbook, recipe);
  return scaleConstituents(wet, recipe.thicknessUm / dryVolume(wet));
}
