export type { ExportFile, KeptPhoto } from './export';
export { migrate, type MigrationSteps } from './migrate';
export { NEW_STUDIO } from './studio';
export type { Studio } from './studio-schema';
