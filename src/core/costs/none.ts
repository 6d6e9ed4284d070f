import type { Accounts } from './schema';

/** What a painting keeps of its money before anything is said. Apart from the schema: the first page needs none. */
export const NO_ACCOUNTS: Accounts = { costs: [], submissions: [] };
