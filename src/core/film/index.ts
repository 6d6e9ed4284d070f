export { composition, mediumFigures, type Composition, type MediumFigures } from './composition';
export {
  addConstituents,
  binderVolume,
  dryingOilVolume,
  dryVolume,
  extenderShare,
  isAcrylic,
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
export {
  binderKeySchema,
  binderOfPart,
  mediumPartSchema,
  ownTubeSchema,
  partsSchema,
  pigmentKeySchema,
  recipeSchema,
  thicknessSchema,
  THICKNESS_MAX_UM,
  tubePartSchema,
  type MediumPart,
  type OwnTube,
  type Recipe,
  type TubePart,
} from './recipe';
export { cutOfWtPct, varnishCut } from './resin';
export { dryingClass, dryingIndex, iodineValue } from './drying-oil';
