export {
  exportFile,
  readCabinet,
  readClimateMonth,
  readSession,
  firstIssue,
  readExport,
  readPainting,
  readStudio,
  type ExportFile,
  type KeptPhoto,
} from './documents';
export { migrate, type MigrationSteps } from './migrate';
export { NEW_STUDIO, studioSchema, type Studio } from './studio';
