import { PIGMENT_ROWS } from '@/data/pigments';
import type { PigmentRow } from '@/data/pigments-schema';
import type { OwnTube } from '../film';
import type { CabinetPaint } from './schema';

/** The paint as a recipe carries it: what it is made of, without what it costs or how much is left. */
export const asTube = ({
  id,
  name,
  pigments,
  binder,
  extenderShare,
  oilWtPct,
  dryingFactor,
  stearateWtPct,
  makeUpUnknown,
}: CabinetPaint): OwnTube => ({
  id,
  name,
  pigments,
  binder,
  extenderShare,
  oilWtPct,
  dryingFactor,
  ...(stearateWtPct === undefined ? {} : { stearateWtPct }),
  makeUpUnknown,
});

const BY_KEY: ReadonlyMap<string, PigmentRow> = new Map(PIGMENT_ROWS.map((r) => [r.key, r]));

/** The row of a pigment in the table; undefined where the table has none of this key. */
export const pigmentRow = (key: string): PigmentRow | undefined => BY_KEY.get(key);

/** "PW6 + PB29": the Colour Index names of a paint. */
export const colourIndexOf = (tube: Pick<OwnTube, 'pigments'>): string =>
  tube.pigments.map((p) => pigmentRow(p.pigment)?.ci ?? p.pigment).join(' + ');

/** A short name for a pigment: what stands before the bracket in the table. */
export const shortPigmentName = (key: string): string =>
  (pigmentRow(key)?.name ?? key).replace(/ \(.*/, '');
