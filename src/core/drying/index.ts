export { constantAir, type StudioAir } from './air';
export {
  dryingTimes,
  ON_NEUTRAL_GROUND,
  paintSpeed,
  pigmentFactor,
  placeFactors,
  baseDays,
  type AirUntil,
  type Below,
  type ClimateUntil,
  type DryingTimes,
  type PaintSpeed,
} from './kinetics';
export {
  FINISH_STAGES,
  finishDoses,
  finishWindows,
  varnishDoseDays,
  type FinishStage,
  type FinishWindows,
  type RecoatRule,
} from './finish';
export { probabilityBy, quantileOf, TOLD, type LogNormal } from './lognormal';
export {
  acrylicRate,
  dryingRate,
  humidityFactor,
  REFERENCE_CLIMATE,
  temperatureFactor,
} from './rate';
export type { Climate } from './climate-schema';
export {
  cureFraction,
  DAY_MS,
  DRY_STATES,
  dryingClock,
  dryingWindows,
  dryState,
  FILM_TEST_STAGES,
  filmTestDoses,
  openDose,
  stageDoses,
  STAGES,
  windowOf,
  type DryingClock,
  type DryingWindows,
  type DryState,
  type Stage,
  type StageWindow,
} from './windows';
