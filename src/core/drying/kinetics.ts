import { GROUND_BEHAVIOUR, type AbsorbingSurface } from '@/data/grounds';
import { DRIERS, type DrierKey } from '@/data/driers';
import { MATERIALS, type MaterialKey } from '@/data/materials';
import { OILS, type OilKey } from '@/data/oils';
import { binderVolume, dryVolume, isAcrylic, sum, type Constituents } from '../film/constituents';
import type { Handbook } from '../handbook';
import type { LogNormal } from './lognormal';
import { inverseKelvin } from './rate';
import type { Climate } from './climate-schema';

/** Oil time used where a film holds no drying oil at all, and for the binder of alkyd tubes: linseed. */
const LINSEED: OilKey = 'linseed-refined';

/** What a film lies on, as far as its drying is concerned. */
export interface Below {
  /** The surface that drinks oil when this film is the first on it; null above a set film. */
  surface: AbsorbingSurface | null;
  /** Cure of the film below when this one was laid, 0 wet to 1 through-dry. 1 on a ground. */
  cure: number;
}

export const ON_NEUTRAL_GROUND: Below = { surface: null, cure: 1 };

export interface DryingTimes {
  /** `other`: pastel, tempera, varnish and the like, by the table of materials. */
  kind: 'oil' | 'acrylic' | 'other';
  /** Base time of oil, pigment and tube, reference-days at 50 um; 0 for acrylic. */
  baseDays: number;
  /** Base with alkyd, floor applied: touch-dry on a neutral ground at 50 um. "How fast a paint it is." */
  intrinsicTouchDays: number;
  alkydFactor: number;
  /** Where set ends and tacky begins, as a share of touch-dry: slow oils stay tacky for long. */
  setOverTouch: number;
  /** Up to where a brush still moves it, as a share of touch-dry. */
  openOverTouch: number;
  /** Doses in reference-days (acrylic: days at 50 % RH). */
  touch: LogNormal;
  through: LogNormal;
}

/** Blend of oils by volume: ln t = sum(share ln t_j). Resin and alkyd medium stay out. */
export function oilDays(film: Constituents): number {
  let weight = film.alkydTube;
  let log = film.alkydTube * Math.log(OILS[LINSEED].touchDryDays);
  for (const oils of [film.tubeOil, film.addedOil]) {
    for (const key in oils) {
      const volume = oils[key as OilKey] ?? 0;
      weight += volume;
      log += volume * Math.log(OILS[key as OilKey].touchDryDays);
    }
  }
  return weight === 0 ? OILS[LINSEED].touchDryDays : Math.exp(log / weight);
}

/** Factor of the pigments on the drying time: ln F = sum(u_i ln F_i), catalysts weigh triple. 1 without pigment. */
export const pigmentFactor = (film: Constituents): number =>
  film.speedWeight === 0 ? 1 : Math.exp(film.speedLog / film.speedWeight);

/** u: how far pigment and tube count, the share of the tubes in the drying oil. */
export function tubeExponent(handbook: Handbook, film: Constituents): number {
  const tube = sum(film.tubeOil) + film.alkydTube;
  const added = sum(film.addedOil);
  const tubeShare = tube + added === 0 ? 0 : tube / (tube + added);
  return handbook.tubeExponent === 'one' ? 1 : tubeShare;
}

/** b = t_oil (F_pigment F_tube)^u, reference-days at 50 um. */
export const baseDays = (handbook: Handbook, film: Constituents): number =>
  oilDays(film) *
  (pigmentFactor(film) * handbook.constants.tubeFactor) ** tubeExponent(handbook, film);

/** F_alk = (t_alk/b)^min(1, gain x), x the alkyd share of the binder; 1 when the base is faster already. */
export function alkydFactor(handbook: Handbook, film: Constituents, base: number): number {
  const { alkydTouchDays, alkydGain } = handbook.constants;
  const binder = binderVolume(film);
  const x = binder === 0 ? 0 : (film.alkydTube + film.alkydMedium) / binder;
  return base > alkydTouchDays ? (alkydTouchDays / base) ** Math.min(1, alkydGain * x) : 1;
}

/** What the air was, or will be, until a dose is reached, and what weather nobody knows yet adds to its spread. */
export interface AirUntil {
  climate: Climate;
  weatherSigma: number;
}
export type ClimateUntil = (medianDose: number) => AirUntil;

/** Standard deviation of ln t from everything the forecast does not know. Independent parts add in quadrature. */
function sigmaOf(
  stage: 'touch' | 'through',
  handbook: Handbook,
  film: Constituents,
  thicknessUm: number,
  below: Below,
  { climate, weatherSigma }: AirUntil,
): number {
  const c = handbook.constants;
  const lnH = Math.log(thicknessUm / c.referenceThicknessUm);
  const inverseT = inverseKelvin(c, climate.temperatureC) - 1 / c.referenceTemperatureK;
  const rh = climate.relativeHumidityPct;
  const own =
    stage === 'touch'
      ? c.sigmaTouch ** 2 + (c.sigmaThicknessTouch * lnH) ** 2
      : c.sigmaThrough ** 2 + (c.sigmaThicknessThrough * lnH) ** 2;
  return Math.sqrt(
    own +
      ((c.sigmaActivationEnergyJ / c.gasConstant) * inverseT) ** 2 +
      (rh < c.sigmaHumidityLowPct || rh > c.sigmaHumidityHighPct ? c.sigmaHumidity ** 2 : 0) +
      (climate.light === 'room' ? 0 : c.sigmaLight ** 2) +
      (film.alkydTube + film.alkydMedium > 0 ? c.sigmaAlkyd ** 2 : 0) +
      (film.makeUpUnknown > 0 ? c.sigmaUnknownOil ** 2 : 0) +
      (below.cure < 1 ? c.sigmaOverWet ** 2 : 0) +
      weatherSigma ** 2,
  );
}

function acrylicTimes(handbook: Handbook, thicknessUm: number): DryingTimes {
  const c = handbook.constants;
  const median = c.acrylicTouchDays * (thicknessUm / c.referenceThicknessUm);
  const touch = { median, sigma: c.sigmaTouch };
  return {
    kind: 'acrylic',
    baseDays: 0,
    intrinsicTouchDays: c.acrylicTouchDays,
    alkydFactor: 1,
    setOverTouch: c.setOverTouch,
    openOverTouch: c.openOverTouch,
    touch,
    through: touch,
  };
}

/**
 * Factors of the driers in a film on touch-dry and through-dry. A dose below the usual one counts in
 * proportion to its logarithm; more than the usual dose hastens nothing. Zirconium and calcium only work
 * beside cobalt or manganese. The product has a floor.
 */
export function drierFactors(
  handbook: Handbook,
  film: Constituents,
): { touch: number; through: number } {
  let touch = 1;
  let through = 1;
  const primary = (film.driers['cobalt-drier'] ?? 0) + (film.driers['manganese-drier'] ?? 0) > 0;
  const wet = dryVolume(film) + film.volatile;
  for (const key in film.driers) {
    const drier = DRIERS[key as DrierKey];
    if (drier.auxiliary && !primary) continue;
    const dose = Math.min(1, (film.driers[key as DrierKey] ?? 0) / wet / drier.usualShare);
    touch *= drier.touchFactor ** dose;
    through *= drier.throughFactor ** dose;
  }
  const floor = handbook.constants.drierFactorMin;
  return { touch: Math.max(floor, touch), through: Math.max(floor, through) };
}

/** Oil of cloves slows: exp(1.1 c), c its weight % of the mixture, at most 3. */
export const cloveFactor = (handbook: Handbook, film: Constituents): number => {
  const { cloveOilPerPercent, cloveOilMaxPct } = handbook.constants;
  return Math.exp(cloveOilPerPercent * Math.min(cloveOilMaxPct, film.cloveWtPct));
};

/** How fast a paint it is, whatever its thickness and place. */
export interface PaintSpeed {
  baseDays: number;
  alkydFactor: number;
  /** Base with alkyd, driers and clove oil, floor applied. */
  intrinsicTouchDays: number;
  drierThroughFactor: number;
  cloveFactor: number;
  /** Where tacky begins, as a share of touch-dry. */
  setOverTouch: number;
}

/**
 * Where a film stops taking a print and begins to be only tacky, as a share of its touch-dry dose: early where its binder
 * is slow oil (poppy, safflower, walnut, stand oil), by the share of it. Such tones are wet for two days and tacky for the
 * rest of the week; common practice, no source.
 */
export function setOverTouch(handbook: Handbook, film: Constituents): number {
  const c = handbook.constants;
  const binder = binderVolume(film);
  let slow = 0;
  for (const oils of [film.tubeOil, film.addedOil])
    for (const key in oils)
      if (OILS[key as OilKey].touchDryDays >= c.slowOilTouchDays) slow += oils[key as OilKey] ?? 0;
  const share = binder === 0 ? 0 : slow / binder;
  return c.setOverTouch - (c.setOverTouch - c.setOverTouchSlow) * share;
}

/**
 * Up to where a film is open, as a share of its touch-dry dose: the brush mixes what is liquid below a skin, so body
 * colour stays open for longer than a wash of it; pigments that dry the oil close the skin sooner; and never longer than
 * most of the way to tacky. Practice: thickish earths over dry acrylic still blend next day, an earth wash for hours.
 * @param thicknessUm dry, as laid
 */
export function openOverTouch(
  { constants: c }: Handbook,
  film: Constituents,
  thicknessUm: number,
  set: number,
): number {
  const thick = Math.max(1, thicknessUm / c.openThinUm) ** c.openThicknessExponent;
  const pigment = Math.min(1, pigmentFactor(film)) ** c.openPigmentExponent;
  return Math.min(c.openMaxOfSet * set, c.openOverTouch * thick * pigment);
}

/**
 * How fast the paint of a film dries, before thickness and climate: factor on the touch-dry time of the reference
 * film, and what is known of its oil.
 */
export function paintSpeed(handbook: Handbook, film: Constituents): PaintSpeed {
  const base = baseDays(handbook, film);
  const fAlkyd = alkydFactor(handbook, film, base);
  const driers = drierFactors(handbook, film);
  const clove = cloveFactor(handbook, film);
  return {
    baseDays: base,
    alkydFactor: fAlkyd,
    intrinsicTouchDays:
      Math.max(handbook.constants.touchFloorDays, base * fAlkyd * driers.touch) * clove,
    drierThroughFactor: driers.through,
    cloveFactor: clove,
    setOverTouch: setOverTouch(handbook, film),
  };
}

/** What a film's place makes of its touch-dry time: the ground it is first on, the film it lies on, its thickness. */
export interface PlaceFactors {
  ground: number;
  under: number;
  thickness: number;
}

/** The factors of a place on touch-dry, in the order in which they multiply. @param thicknessUm dry, as laid */
export function placeFactors(
  { constants: c }: Handbook,
  thicknessUm: number,
  { surface, cure }: Below,
): PlaceFactors {
  const h = thicknessUm / c.referenceThicknessUm;
  return {
    ground: surface ? GROUND_BEHAVIOUR[surface].touchFactor : 1,
    under: 1 + c.underTouchGain * (1 - cure),
    thickness: c.touchThicknessFloor + (1 - c.touchThicknessFloor) * h ** c.touchThicknessExponent,
  };
}

/** A film that is not reckoned dries by the table of materials. */
function materialTimes(handbook: Handbook, material: MaterialKey): DryingTimes {
  const { touchDays, throughDays } = MATERIALS[material];
  const c = handbook.constants;
  return {
    kind: 'other',
    baseDays: touchDays,
    intrinsicTouchDays: touchDays,
    alkydFactor: 1,
    setOverTouch: c.setOverTouch,
    openOverTouch: c.openOverTouch,
    touch: { median: touchDays, sigma: c.sigmaTouch },
    through: { median: throughDays, sigma: c.sigmaThrough },
  };
}

/**
 * Doses at which a film is touch-dry and through-dry.
 *
 * @param film constituents as laid (before a ground drinks any of it)
 * @param thicknessUm dry thickness as laid, um
 * @param speed of the paint, where the caller has it already
 * @param climate only widens the uncertainty here; the dose itself does not depend on it. Where it changes with
 *   time, a function that tells its mean until a dose is reached
 *
 * Validity 5-35 C, 5-1000 um. Model: docs/method.md, "Drying".
 */
export function dryingTimes(
  handbook: Handbook,
  film: Constituents,
  thicknessUm: number,
  below: Below,
  climate: Climate | ClimateUntil,
  speed: PaintSpeed = paintSpeed(handbook, film),
): DryingTimes {
  if (film.material !== null) return materialTimes(handbook, film.material);
  if (isAcrylic(film)) return acrylicTimes(handbook, thicknessUm);
  const c = handbook.constants;
  const { baseDays: base, alkydFactor: fAlkyd, intrinsicTouchDays: intrinsic } = speed;
  const ground = below.surface ? GROUND_BEHAVIOUR[below.surface] : null;
  const h = thicknessUm / c.referenceThicknessUm;
  const wet = 1 - below.cure;
  const place = placeFactors(handbook, thicknessUm, below);
  const touch = intrinsic * place.ground * place.under * place.thickness;
  const through = Math.max(
    c.throughMinOverTouch * touch,
    c.throughOverTouch *
      base *
      fAlkyd ** c.alkydThroughExponent *
      speed.drierThroughFactor *
      speed.cloveFactor *
      (ground?.absorbent ? c.throughAbsorbentFactor : 1) *
      (1 + c.underThroughGain * wet) *
      h ** c.throughThicknessExponent,
  );
  const until: ClimateUntil =
    typeof climate === 'function' ? climate : () => ({ climate, weatherSigma: 0 });
  const sigma = (stage: 'touch' | 'through', median: number): number =>
    sigmaOf(stage, handbook, film, thicknessUm, below, until(median));
  return {
    kind: 'oil',
    baseDays: base,
    intrinsicTouchDays: intrinsic,
    alkydFactor: fAlkyd,
    setOverTouch: speed.setOverTouch,
    openOverTouch: openOverTouch(handbook, film, thicknessUm, speed.setOverTouch),
    touch: { median: touch, sigma: sigma('touch', touch) },
    through: { median: through, sigma: sigma('through', through) },
  };
}
