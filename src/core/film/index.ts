export { composition, mediumFigures, type Composition, type MediumFigures } from './composition';
export {
  addConstituents,
  binderVolume,
  dryingOilVolume,
  dryVolume,
  extenderShare,
  isAcrylic,
  isDrawing,
  isOily,
  isPassedOver,
  NOTHING,
  scaleConstituents,
  sum,
  thicknessOf,
  type Constituents,
} from './constituents';
export {
  filmOfRecipe,
  ingredientFigures,
  mediumConstituents,
  tubeConstituents,
  wetMixture,
} from './mixture';
export { afterGroundLoss, groundLossFraction } from './ground-loss';
export { cpvc, cpvcOfMixture, pvc } from './pvc';
export { tubeKey, tubePaint, type TubePaint } from './tube';
export type { MediumPart, OwnTube, Recipe, TubePart } from './recipe';
export { binderOfPart } from './tube';
export { THICKNESS_MAX_UM } from './limits';
export { cutOfWtPct, varnishCut } from './resin';
export { dryingClass, dryingIndex, iodineValue } from './drying-oil';
export { mixOfColours, type Colour } from './colours';
