import { OILS, type OilKey } from '@/data/oils';
import type { Handbook } from '../handbook';
import { CoreError } from '../errors';
import { binderVolume, dryingOilVolume, dryVolume, sum, type Constituents } from './constituents';
import { ingredientFigures, mediumConstituents, pigmentMass, tubeBinderMass } from './mixture';
import { cpvcOfMixture, pvc } from './pvc';
import type { MediumPart } from './recipe';

/** Figures of a mixture and of the dry film it leaves. Fractions are by volume unless named otherwise. */
export interface Composition {
  pvc: number;
  /** Null without pigment, as is reducedPvc. */
  cpvc: number | null;
  /** PVC/CPVC; above 1 the film has pores. Bierwagen & Hay, Prog. Org. Coat. 3 (1975); from memory. */
  reducedPvc: number | null;
  /** Binder fraction of the dry film, 1 - PVC: "total oil". */
  fatness: number;
  /** Binder by weight of the dry film. */
  binderWeightFraction: number;
  /** Drying oil alone, of the dry film. */
  oilVolumeFraction: number;
  /** Dry volume of one volume of wet mixture. */
  volumeSolids: number;
  /** Share of the wet mixture that leaves as vapour. */
  volatileFraction: number;
  /** Added oil, resin and alkyd per volume of tube paint; null without tube paint. */
  addedOilRatio: number | null;
  /** Added volatile matter per volume of tube paint; null without tube paint. */
  addedVolatileRatio: number | null;
  /** Medium as added over the wet mixture of paint and medium. */
  mediumShare: number;
  /** The same, of medium that holds alkyd. */
  alkydMediumShare: number;
  /** Alkyd over all binder. */
  alkydOfBinder: number;
  /** Natural resin, balsams included, over all binder. */
  resinOfBinder: number;
  /** Wax of the dry film. */
  waxOfFilm: number;
  dryDensityGPerMl: number;
}

const addedOilMass = (c: Constituents): number => {
  let mass = 0;
  for (const key in c.addedOil)
    mass += (c.addedOil[key as OilKey] ?? 0) * OILS[key as OilKey].densityGPerMl;
  return mass;
};

const binderMass = (c: Constituents): number =>
  tubeBinderMass(c) + addedOilMass(c) + c.mediumSolidsMass;

/**
 * Every figure of a mixture that the schools and the painter ask for.
 * Any unit of volume; the unit cancels. Throws `mix-empty` when nothing would stay as a film.
 */
export function composition(handbook: Handbook, c: Constituents): Composition {
  const dry = dryVolume(c);
  if (!(dry > 0)) {
    throw new CoreError(
      'mix-empty',
      'mix',
      'Nothing stays as a film. Add paint, oil, varnish or alkyd medium.',
    );
  }
  const pigmentVolume = sum(c.pigments);
  const binder = binderVolume(c);
  const paint = sum(c.tubes);
  const wet = dry + c.volatile;
  const p = pvc(pigmentVolume, binder);
  const critical = cpvcOfMixture(handbook, c.pigments);
  const mBinder = binderMass(c);
  const mass = mBinder + pigmentMass(handbook, c);
  return {
    pvc: p,
    cpvc: critical,
    reducedPvc: critical === null ? null : p / critical,
    fatness: 1 - p,
    binderWeightFraction: mBinder / mass,
    oilVolumeFraction: dryingOilVolume(c) / dry,
    volumeSolids: dry / wet,
    volatileFraction: c.volatile / wet,
    addedOilRatio: paint === 0 ? null : (sum(c.addedOil) + c.resin + c.alkydMedium) / paint,
    addedVolatileRatio: paint === 0 ? null : c.addedVolatile / paint,
    mediumShare: c.medium === 0 ? 0 : c.medium / (c.medium + paint),
    alkydMediumShare: c.alkydBearingMedium === 0 ? 0 : c.alkydBearingMedium / (c.medium + paint),
    alkydOfBinder: binder === 0 ? 0 : (c.alkydTube + c.alkydMedium) / binder,
    resinOfBinder: binder === 0 ? 0 : c.resin / binder,
    waxOfFilm: c.wax / dry,
    dryDensityGPerMl: mass / dry,
  };
}

export interface MediumFigures {
  solidsVolumeFraction: number;
  solidsWeightFraction: number;
  densityGPerMl: number;
  /** Drying oil of what stays, by volume; 0 where nothing stays. */
  oilOfSolids: number;
}

/** Solids by volume and by weight, and density, of a medium in parts by volume. Throws `medium-empty`. */
export function mediumFigures(medium: MediumPart[]): MediumFigures {
  const total = medium.reduce((s, part) => s + part.parts, 0);
  if (total === 0) {
    throw new CoreError('medium-empty', 'medium', 'The medium is empty. Add an ingredient.');
  }
  const solids = mediumConstituents(medium, 1);
  const density = medium.reduce(
    (s, part) => s + (part.parts / total) * ingredientFigures(part).densityGPerMl,
    0,
  );
  return {
    solidsVolumeFraction: dryVolume(solids),
    solidsWeightFraction: binderMass(solids) / density,
    densityGPerMl: density,
    oilOfSolids: dryVolume(solids) === 0 ? 0 : dryingOilVolume(solids) / dryVolume(solids),
  };
}
