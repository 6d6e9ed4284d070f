export { withMoreOf } from './amounts';
export { repairsFor } from './repair';
export type { Repair, RepairKind, RepairRequest } from './types';
export { repairAction, repairSentence } from './wording';
