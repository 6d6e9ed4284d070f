import { mergeList } from '../merge-list';
import type { Cabinet, CabinetMedium, CabinetPaint } from './schema';
import type { CabinetBrush } from './brush-schema';
import type { Swatch } from './swatch-schema';

const changed = (cabinet: Cabinet, change: Partial<Cabinet>): Cabinet => ({
  ...cabinet,
  ...change,
  revision: cabinet.revision + 1,
});

/** In the place of the entry with its id, or last. */
const put = <T extends { id: string }>(list: T[], item: T): T[] =>
  list.some((x) => x.id === item.id)
    ? list.map((x) => (x.id === item.id ? item : x))
    : [...list, item];

/** The cabinet with a paint in it: in place of the one with its id, else as a new one. */
export const putPaint = (cabinet: Cabinet, paint: CabinetPaint): Cabinet =>
  changed(cabinet, { paints: put(cabinet.paints, paint) });

/** The same with several paints, as one change. */
export const putPaints = (cabinet: Cabinet, paints: CabinetPaint[]): Cabinet =>
  changed(cabinet, { paints: paints.reduce(put, cabinet.paints) });

/** The cabinet with a medium in it: in place of the one with its id, else as a new one. */
export const putMedium = (cabinet: Cabinet, medium: CabinetMedium): Cabinet =>
  changed(cabinet, { mediums: put(cabinet.mediums, medium) });

/** The same with several mediums, as one change. */
export const putMediums = (cabinet: Cabinet, mediums: CabinetMedium[]): Cabinet =>
  changed(cabinet, { mediums: mediums.reduce(put, cabinet.mediums) });

/** The cabinet with swatches of a paint in it. */
export const putSwatch = (cabinet: Cabinet, swatch: Swatch): Cabinet =>
  changed(cabinet, { swatches: put(cabinet.swatches ?? [], swatch) });

/** Without them. */
export const withoutSwatch = (cabinet: Cabinet, id: string): Cabinet =>
  changed(cabinet, { swatches: (cabinet.swatches ?? []).filter((s) => s.id !== id) });

/** The cabinet with a brush in it: in place of the one with its id, else as a new one. */
export const putBrush = (cabinet: Cabinet, brush: CabinetBrush): Cabinet =>
  changed(cabinet, { brushes: put(cabinet.brushes ?? [], brush) });

/** Merge two descendants of one cabinet, so that two tabs that both wrote lose nothing. */
export const mergeCabinets = (base: Cabinet, mine: Cabinet, theirs: Cabinet): Cabinet => ({
  ...mine,
  revision: Math.max(mine.revision, theirs.revision) + 1,
  paints: mergeList(base.paints, mine.paints, theirs.paints),
  mediums: mergeList(base.mediums, mine.mediums, theirs.mediums),
  ...((mine.swatches ?? theirs.swatches) && {
    swatches: mergeList(base.swatches ?? [], mine.swatches ?? [], theirs.swatches ?? []),
  }),
  ...((mine.brushes ?? theirs.brushes) && {
    brushes: mergeList(base.brushes ?? [], mine.brushes ?? [], theirs.brushes ?? []),
  }),
});
