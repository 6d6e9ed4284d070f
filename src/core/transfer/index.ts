export {
  fitDesign,
  gridOf,
  projectorDistance,
  thrownWidth,
  type Fit,
  type Grid,
  type GridLine,
  type Size,
  type Transfer,
} from './transfer';
