import { mergeCabinets } from '../cabinet/edit';
import type { Cabinet } from '../cabinet/schema';
import { mergeMonths } from '../climate/readings';
import type { ClimateMonth } from '../climate/readings-schema';
import { mergePaintings } from '../painting/merge';
import type { Painting } from '../painting/schema';
import { mergeRecords } from '../plan-record/record';
import type { PlanRecord } from '../plan-record/schema';
import { mergeSessions } from '../session/merge';
import type { Session } from '../session/schema';
import { mergeStudios } from './merge-studio';
import type { Studio } from './studio-schema';

/** The record of a studio, by kind and id: what is here, what a file brings, or what both last had in common. */
export interface StudioRecord {
  painting: Record<string, Painting>;
  session: Record<string, Session>;
  climate: Record<string, ClimateMonth>;
  plan: Record<string, PlanRecord>;
  cabinet: Record<string, Cabinet>;
  studio: Record<string, Studio>;
}
export type RecordKind = keyof StudioRecord;

export const EMPTY_RECORD: StudioRecord = {
  painting: {},
  session: {},
  climate: {},
  plan: {},
  cabinet: {},
  studio: {},
};

type DocumentOf<K extends RecordKind> = StudioRecord[K][string];

/**
 * What a document of the file does to the one that is here. `new`: not here yet; `same`: nothing differs; `here-newer`:
 * the file has nothing that is not here; `file-newer`: only the file has gone on; `both`: both have gone on, each its
 * own way; `parted`: both have changed one thing, and the painter chooses; `gone-here`: taken out here, and the file
 * has only what it was; `gone-there`: taken out in the file, and unchanged here since.
 */
export type Meeting =
  'new' | 'same' | 'here-newer' | 'file-newer' | 'both' | 'parted' | 'gone-here' | 'gone-there';

export interface Met<K extends RecordKind = RecordKind> {
  kind: K;
  id: string;
  meeting: Meeting;
  mine: DocumentOf<K> | null;
  theirs: DocumentOf<K> | null;
  /** Both together; where they parted, with what is here, and with what the file has. Null: not there any more. */
  keepMine: DocumentOf<K> | null;
  keepTheirs: DocumentOf<K> | null;
}

const MERGE: {
  [K in RecordKind]: (
    base: DocumentOf<K>,
    mine: DocumentOf<K>,
    theirs: DocumentOf<K>,
  ) => DocumentOf<K>;
} = {
  painting: mergePaintings,
  session: mergeSessions,
  climate: (_base, mine, theirs) => mergeMonths(mine, theirs),
  plan: mergeRecords,
  cabinet: mergeCabinets,
  studio: mergeStudios,
};

/** What counts up or notes when: no part of what a document says. */
const BOOKKEEPING: ReadonlySet<string> = new Set(['revision', 'updatedAt', 'sealed']);

interface Keyed {
  id: string;
}
const isKeyed = (value: unknown): value is Keyed =>
  typeof value === 'object' && value !== null && typeof (value as Keyed).id === 'string';

const isEmpty = (value: unknown): boolean => Array.isArray(value) && value.length === 0;

/** What a document says, in one order: lists of entries by their ids, fields by their names. */
function saying(value: unknown): unknown {
  if (Array.isArray(value)) {
    const list = value as unknown[];
    const said = list.map(saying);
    return list.length > 0 && list.every(isKeyed)
      ? said.sort((a, b) => ((a as Keyed).id < (b as Keyed).id ? -1 : 1))
      : said;
  }
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      // A list that was emptied again says no more than one that never was.
      .filter(([key, v]) => !BOOKKEEPING.has(key) && v !== undefined && !isEmpty(v))
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, v]) => [key, saying(v)]),
  );
}
const said = (document: unknown): string => JSON.stringify(saying(document));

/** Whether two documents say the same, however often and when they were changed. */
export const saysTheSame = (a: object, b: object): boolean => said(a) === said(b);

const NEITHER = { neither: true };

/**
 * Where nobody knows what two documents last had in common: what they still have in common. What only one has counts
 * as added by it, and what they say differently as changed by both; so nothing goes without being asked about.
 */
export function commonGround<T extends object>(mine: T, theirs: T): T {
  const other = theirs as Record<string, unknown>;
  return Object.fromEntries(
    Object.entries(mine).map(([key, value]) => {
      const theirsHere = other[key];
      if (said(value) === said(theirsHere)) return [key, value];
      if (!Array.isArray(value)) return [key, NEITHER];
      const list = value as unknown[];
      const others = (theirsHere ?? []) as unknown[];
      if (![...list, ...others].every(isKeyed)) {
        const there = new Set(others.map(said));
        return [key, list.filter((item) => there.has(said(item)))];
      }
      const byId = new Map((others as Keyed[]).map((x) => [x.id, x]));
      return [
        key,
        (list as Keyed[]).flatMap((item) => {
          const same = byId.get(item.id);
          return same ? [said(same) === said(item) ? item : { ...NEITHER, id: item.id }] : [];
        }),
      ];
    }),
  ) as T;
}

function meet<K extends RecordKind>(
  kind: K,
  id: string,
  base: DocumentOf<K> | undefined,
  mine: DocumentOf<K> | undefined,
  theirs: DocumentOf<K>,
): Met<K> {
  if (!mine) {
    // What was taken out here stays out, unless the file has gone on with it.
    const meeting = base && said(base) === said(theirs) ? 'gone-here' : 'new';
    return { kind, id, meeting, mine: null, theirs, keepMine: theirs, keepTheirs: theirs };
  }
  const ground = base ?? commonGround(mine, theirs);
  const keepMine = MERGE[kind](ground, mine, theirs);
  const keepTheirs = MERGE[kind](ground, theirs, mine);
  const meeting = ((): Meeting => {
    if (said(mine) === said(theirs)) return 'same';
    if (said(keepMine) !== said(keepTheirs)) return 'parted';
    if (said(keepMine) === said(mine)) return 'here-newer';
    return said(keepMine) === said(theirs) ? 'file-newer' : 'both';
  })();
  return { kind, id, meeting, mine, theirs, keepMine, keepTheirs };
}

/** Kinds that can be taken out of a studio. */
const REMOVABLE = ['painting', 'session'] as const;

/** What both had, the file has no more, and nobody has changed here since. */
const takenOutThere = (here: StudioRecord, file: StudioRecord, base: StudioRecord): Met[] =>
  REMOVABLE.flatMap((kind) =>
    Object.entries(base[kind]).flatMap(([id, was]): Met[] => {
      const mine = here[kind][id];
      if (!mine || file[kind][id] || said(mine) !== said(was)) return [];
      const gone = { mine, theirs: null, keepMine: null, keepTheirs: null };
      return [{ kind, id, meeting: 'gone-there', ...gone }];
    }),
  );

/**
 * What a file does to a studio, document by document. Nothing is changed. One after the other, since a studio of years
 * has thousands: the caller may give way between them.
 * @param base what both last had in common, where it is known (an export of this studio that the file descends from)
 * @param whole whether the file holds all of its studio, so that what it lacks was taken out there
 */
export function* meetings(
  here: StudioRecord,
  file: StudioRecord,
  base: StudioRecord | null,
  whole = true,
): Generator<Met> {
  for (const kind of Object.keys(MERGE) as RecordKind[])
    for (const [id, theirs] of Object.entries(file[kind]))
      yield meet(
        kind,
        id,
        base?.[kind][id] as DocumentOf<typeof kind> | undefined,
        here[kind][id] as DocumentOf<typeof kind> | undefined,
        theirs as DocumentOf<typeof kind>,
      );
  if (base && whole) yield* takenOutThere(here, file, base);
}
