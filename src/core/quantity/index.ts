export {
  batchOf,
  blendJars,
  byVolume,
  byWeight,
  fromMl,
  partsFromAmounts,
  stretchJar,
  stretchToSolids,
  toMl,
  UNITS,
  type Batch,
  type Jar,
  type Unit,
} from './amounts';
export {
  capOf,
  mediumFor,
  shareOfParts,
  solidsOf,
  type FatnessTarget,
  type MediumFor,
} from './medium-for';
export { oilingOutDose, type OilingOutDose } from './oiling-out';
export { cm2PerMl, paintNeeded, tubeCover, type Losses, type PaintNeeded } from './paint-needed';
export {
  lossesOf,
  needsOf,
  shoppingList,
  type CoatNeed,
  type ShoppingLine,
  type ShoppingList,
} from './shopping';
