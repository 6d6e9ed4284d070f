export {
  exportFile,
  readCabinet,
  firstIssue,
  readExport,
  readPainting,
  readStudio,
  type ExportFile,
} from './documents';
export { migrate, type MigrationSteps } from './migrate';
export { NEW_STUDIO, studioSchema, type Studio } from './studio';
