export { composition, mediumFigures, type Composition, type MediumFigures } from './composition';
export {
  addConstituents,
  binderVolume,
  dryingOilVolume,
  dryVolume,
  filmOfRecipe,
  isAcrylic,
  NOTHING,
  scaleConstituents,
  tubeConstituents,
  tubeKey,
  wetMixture,
  type Constituents,
} from './constituents';
export { afterGroundLoss, groundLossFraction } from './ground-loss';
export { cpvc, cpvcOfMixture, pvc } from './pvc';
export {
  mediumPartSchema,
  recipeSchema,
  thicknessSchema,
  THICKNESS_MAX_UM,
  tubePartSchema,
  type MediumPart,
  type Recipe,
  type TubePart,
} from './recipe';
export { varnishCut } from './resin';
export { dryingClass, dryingIndex, iodineValue } from './drying-oil';
