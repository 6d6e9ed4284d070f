import { HISTORIC_PIGMENTS } from './historic-pigments';
import table from './pigments.json';
import type { PigmentRow } from './pigments-schema';

/** The file is part of the build, so it is checked by a test (data.test.ts), not at every start. */
export const TABLE_PIGMENTS = table.pigments as PigmentRow[];

/** All there are: the table, and two historic paints that are only here to be warned of. */
export const PIGMENT_ROWS: PigmentRow[] = [...TABLE_PIGMENTS, ...HISTORIC_PIGMENTS];
