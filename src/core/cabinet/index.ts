export {
  mergeCabinets,
  putMedium,
  putMediums,
  putPaint,
  putPaints,
  putSwatch,
  withoutSwatch,
} from './edit';
export { asTube, colourIndexOf, pigmentRow, shortPigmentName } from './paints';
export { hazardOf, type Hazard } from './hazard';
export {
  COLUMNS,
  MEDIUM_COLUMNS,
  readMediumRow,
  readPaintRow,
  rowOfMedium,
  rowOfPaint,
  type ReadMediumRow,
  type ReadRow,
  type Row,
} from './rows';
export type { Cabinet, CabinetMedium, CabinetPaint } from './schema';
export type { Swatch, SwatchPatch } from './swatch-schema';
export { countingSwatch, swatchesOf } from './swatches';
export { CABINET_SCHEMA_VERSION } from '../editions';
export { starterCabinet } from './starter';
