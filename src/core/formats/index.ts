export {
  readCabinet,
  readClimateMonth,
  readSession,
  firstIssue,
  readPainting,
  readPlanRecord,
  readStudio,
} from './documents';
export type { ExportFile, KeptPhoto } from './export';
export { migrate, type MigrationSteps } from './migrate';
export { NEW_STUDIO, studioSchema, type Studio } from './studio';
