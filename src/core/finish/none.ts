import type { Finishing } from './schema';

/** What a painting keeps of its finishing before anything is said. Apart from the schema: the first page needs none. */
export const NO_FINISHING: Finishing = { scans: [], answers: [], tests: [] };
