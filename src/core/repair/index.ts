export { repairsFor, withMoreOf, type Repair, type RepairKind, type RepairRequest } from './repair';
export { repairAction, repairSentence } from './wording';
