export { withMoreOf } from './amounts';
export { applyRepair, repairsFor } from './repair';
export type { Repair, RepairKind, RepairRequest } from './types';
export { wishesFor, type Wish, type WishAnswer, type WishLever } from './wish';
export { repairAction, repairSentence, wishSentence } from './wording';
