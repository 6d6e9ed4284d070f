import { AIR, LIGHT } from '@/data/climate';
import type { Constants } from '@/data/constants';
import type { Climate } from './climate-schema';

/** 20 C, 50 % RH, room daylight, ordinary air: rate 1. */
export const REFERENCE_CLIMATE: Climate = {
  temperatureC: 20,
  relativeHumidityPct: 50,
  light: 'room',
  air: 'room',
};

const CELSIUS_ZERO_K = 273.15;
const kelvin = (temperatureC: number): number => temperatureC + CELSIUS_ZERO_K;
/** Temperature within the range the model holds for. */
export const clampTemperatureC = (constants: Constants, temperatureC: number): number =>
  Math.min(constants.temperatureMaxC, Math.max(constants.temperatureMinC, temperatureC));

/** 1/T within that range, 1/K: what the uncertainty of temperature goes by. */
export const inverseKelvin = (constants: Constants, temperatureC: number): number =>
  1 / kelvin(clampTemperatureC(constants, temperatureC));

/**
 * Arrhenius factor on the rate against 20 C, valid 5-35 C. Above 35 C the value of 35 C is kept;
 * below 5 C it falls in proportion to the temperature, to nothing at 0 C, without a jump.
 * @example temperatureFactor(constants, 10) // 0.4192 with Ea 60 kJ/mol
 */
export function temperatureFactor(constants: Constants, temperatureC: number): number {
  const { activationEnergyJ, gasConstant, referenceTemperatureK, temperatureMinC } = constants;
  const t = kelvin(clampTemperatureC(constants, temperatureC));
  const arrhenius = Math.exp(
    -(activationEnergyJ / gasConstant) * (1 / t - 1 / referenceTemperatureK),
  );
  const cold = Math.min(1, Math.max(0, temperatureC / temperatureMinC));
  return arrhenius * cold;
}

/** Damp air retards, dry air hastens a little; bounded. */
export function humidityFactor(constants: Constants, relativeHumidityPct: number): number {
  const over = relativeHumidityPct - constants.referenceHumidityPct;
  const factor =
    over > 0 ? 1 - constants.humiditySlopeDamp * over : 1 - constants.humiditySlopeDry * over;
  return Math.min(constants.humidityFactorMax, Math.max(constants.humidityFactorMin, factor));
}

/** Rate of drying of oil paint in reference-days per day. 0 at or below 0 C. */
export function dryingRate(constants: Constants, climate: Climate): number {
  return (
    temperatureFactor(constants, climate.temperatureC) *
    humidityFactor(constants, climate.relativeHumidityPct) *
    LIGHT[climate.light].rateFactor *
    AIR[climate.air].rateFactor
  );
}

/**
 * Rate for acrylic, against its touch-dry time at 50 % RH: water leaves in proportion to what the air
 * still takes up, 50/(100 - RH) in the time; none below 10 C, where dispersions do not form a film.
 */
export function acrylicRate(constants: Constants, climate: Climate): number {
  if (climate.temperatureC < constants.acrylicTemperatureMinC) return 0;
  const { acrylicHumidityMaxPct, referenceHumidityPct } = constants;
  const left = (rhPct: number): number => 100 - rhPct;
  return (
    left(Math.min(acrylicHumidityMaxPct, climate.relativeHumidityPct)) / left(referenceHumidityPct)
  );
}
