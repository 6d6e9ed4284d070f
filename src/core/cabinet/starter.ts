import { STARTER_MEDIUMS, STARTER_PAINTS } from '@/data/starter-cabinet';
import { shortPigmentName } from './paints';
import { type Cabinet } from './schema';
import { CABINET_SCHEMA_VERSION } from '../editions';

/**
 * The cabinet a studio begins with: a usual palette and the mediums of the trade. Ids are fixed, so that two
 * tabs that open an empty studio begin with the same cabinet.
 */
export const starterCabinet = (): Cabinet => ({
  schemaVersion: CABINET_SCHEMA_VERSION,
  revision: 0,
  paints: STARTER_PAINTS.map(({ pigment, binder = 'linseed', name }) => ({
    id: `starter-${pigment}-${binder}`,
    name: name ?? shortPigmentName(pigment),
    pigments: [{ pigment, parts: 1 }],
    binder,
    extenderShare: 0,
    oilWtPct: null,
    dryingFactor: null,
    makeUpUnknown: false,
    tubeMl: 37,
    price: null,
    left: 1,
    archived: false,
  })),
  mediums: STARTER_MEDIUMS.map(({ key, name, parts }) => ({
    id: `starter-${key}`,
    name,
    by: 'volume',
    parts: parts.map(([ingredient, n]) => ({ ingredient, parts: n })),
    archived: false,
  })),
});
