export { mergeCabinets, putMedium, putMediums, putPaint, putPaints } from './edit';
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
export {
  CABINET_SCHEMA_VERSION,
  cabinetMediumSchema,
  cabinetPaintSchema,
  cabinetSchema,
  type Cabinet,
  type CabinetMedium,
  type CabinetPaint,
} from './schema';
export { starterCabinet } from './starter';
