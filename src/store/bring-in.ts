import { CoreError } from '@/core/errors';
import {
  EMPTY_RECORD,
  meetings,
  type Met,
  type RecordKind,
  type StudioRecord,
} from '@/core/formats/bring-in';
import type { ExportFile } from '@/core/formats/export';
import type { Painting } from '@/core/painting';
import { NEW_PLAN_RECORD } from '@/core/plan-record/record';
import { endedByAnother } from '@/core/session/one';
import type { Session } from '@/core/session/schema';
import { cabinetArrived } from './cabinet';
import { monthsChanged } from './climate';
import { making } from './clock';
import { lineageWith, type Exchange } from './exchange';
import { breath, inSlices } from './in-slices';
import type { DocumentKind, Kinds } from './keep/documents';
import type { Reader } from './keep/reader';
import { paintingLeft, paintingsLoaded } from './paintings';
import { planNoted } from './plan';
import { sessionLeft, sessionsLoaded } from './sessions';
import type { Dispatch, State } from './store';
import { studioArrived } from './studio';
import { changesMade, type Change } from './undo';

type Thunk<T> = (dispatch: Dispatch, getState: () => State) => T;

const byId = <T extends { id: string }>(list: T[]): Record<string, T> =>
  Object.fromEntries(list.map((x) => [x.id, x]));
const there = <T>(record: Record<string, T | undefined>): Record<string, T> =>
  Object.fromEntries(Object.entries(record).filter(([, v]) => v !== undefined)) as Record<
    string,
    T
  >;

/** All that is kept of this studio. */
export const recordOf = (state: State): StudioRecord => ({
  painting: there(state.paintings.entities),
  session: there(state.sessions.entities),
  climate: there(state.climate),
  plan: there(state.plan),
  cabinet: { cabinet: state.cabinet },
  studio: { studio: state.studio },
});

/** All that a file brings. */
export const recordOfFile = (file: ExportFile): StudioRecord => ({
  ...EMPTY_RECORD,
  painting: byId(file.paintings),
  session: byId(file.sessions),
  climate: byId(file.climate),
  plan: file.plan ? { [file.plan.id]: file.plan } : {},
  cabinet: file.cabinet ? { cabinet: file.cabinet } : {},
  studio: file.studio ? { studio: file.studio } : {},
});

/** Settings and cabinet as every studio begins with them were chosen by nobody: what a file says of them holds. */
const untouched = ({ studio, cabinet }: State): StudioRecord => ({
  ...EMPTY_RECORD,
  studio: studio.revision === 0 ? { studio } : {},
  cabinet: cabinet.revision === 0 ? { cabinet } : {},
});

/** What the file would do here. Where it descends from what this studio last wrote or read, that is the common base. */
export const meetFile = (
  state: State,
  file: ExportFile,
  exchange: Exchange | null,
): Promise<Met[]> =>
  inSlices(
    meetings(
      recordOf(state),
      recordOfFile(file),
      exchange && file.lineage.includes(exchange.id) ? exchange.record : untouched(state),
      file.kind === 'studio',
    ),
  );

/**
 * What is to be remembered once a file was taken in: what the file held, not what came of it here. What only this studio
 * has is then still its own when the next file of that line comes, and not taken for something taken out there. Null
 * for files that tell no line.
 */
export const exchangeAfter = (
  file: ExportFile,
  before: Exchange | null,
  at: string,
): Exchange | null =>
  file.id === ''
    ? null
    : {
        id: file.id,
        at,
        lineage: lineageWith(before, ...file.lineage),
        record: recordOfFile(file),
      };

/** What the painter chose where both sides changed one thing. */
export type Preference = 'here' | 'file' | 'both';

export interface Choices {
  parted: Preference;
  settings: boolean;
}

const TITLE_MOST = 120;
const COPY = ' (copy)';
const copyOf = (painting: Painting): Painting => ({
  ...painting,
  id: making().newId(),
  title: painting.title.slice(0, TITLE_MOST - COPY.length) + COPY,
});

interface Taken {
  kind: RecordKind;
  before: Met['mine'];
  /** Null: taken out. */
  after: Met['theirs'];
}

const NOTHING_TO_DO: ReadonlySet<Met['meeting']> = new Set(['same', 'here-newer', 'gone-here']);

/** What is to be changed here; what stays as it is, is not in it. */
function taken(met: Met[], { parted, settings }: Choices): Taken[] {
  return met.flatMap((m): Taken[] => {
    if (m.kind === 'studio' && !settings) return [];
    const take = (after: Met['theirs']): Taken[] => [{ kind: m.kind, before: m.mine, after }];
    if (NOTHING_TO_DO.has(m.meeting)) return [];
    if (m.meeting !== 'parted') return take(m.keepMine);
    // Of the settings the painter was asked by themselves.
    if (parted === 'file' || m.kind === 'studio') return take(m.keepTheirs);
    if (parted === 'both' && m.kind === 'painting')
      return [{ kind: 'painting', before: null, after: copyOf(m.theirs as Painting) }];
    return take(m.keepMine);
  });
}

/** One session runs: where a file brings a second, the one that ends is part of the step, and of its undo. */
function withOneSession(list: Taken[], state: State): Taken[] {
  const after = new Map<string, Session>();
  for (const session of Object.values(state.sessions.entities)) after.set(session.id, session);
  const ours = list.filter((t) => t.kind === 'session');
  for (const t of ours)
    if (t.after) after.set((t.after as Session).id, t.after as Session);
    else if (t.before) after.delete((t.before as Session).id);
  const ended = new Map(endedByAnother([...after.values()]).map((s) => [s.id, s]));
  if (ended.size === 0) return list;
  const here = new Set(ours.map((t) => (t.after as Session | null)?.id));
  return [
    ...list.map((t) => {
      const end = t.kind === 'session' && t.after ? ended.get((t.after as Session).id) : undefined;
      return end ? { ...t, after: end } : t;
    }),
    ...[...ended.values()]
      .filter((s) => !here.has(s.id))
      .map((s): Taken => ({ kind: 'session', before: after.get(s.id)!, after: s })),
  ];
}

const only = <K extends RecordKind>(list: Taken[], kind: K): StudioRecord[K][string][] =>
  list.flatMap((t) => (t.kind === kind && t.after ? [t.after as StudioRecord[K][string]] : []));
const goneOf = (list: Taken[], kind: RecordKind): string[] =>
  list.flatMap((t) =>
    t.kind === kind && !t.after && t.before && 'id' in t.before ? [t.before.id] : [],
  );

/** Refuses what cannot be kept, by a CoreError that says why. */
function* checked(list: Taken[], reader: Reader): Generator<void> {
  for (const { kind, after } of list) {
    const why = after && reader.whyNotKept(kind as DocumentKind, after as Kinds[DocumentKind]);
    if (why) throw new CoreError('not-keepable', kind, `Together they cannot be kept. ${why}`);
    yield;
  }
}

const KEPT = ['paintings', 'sessions', 'climate', 'plan', 'cabinet', 'studio'] as const;
const sameRecord = (a: State, b: State): boolean => KEPT.every((part) => a[part] === b[part]);

/** What is to be done with a file, checked; of the studio as it is when all of that is worked out. */
async function worked(
  file: ExportFile,
  exchange: Exchange | null,
  choices: Choices,
  reader: Reader,
  getState: () => State,
): Promise<Taken[]> {
  for (;;) {
    const state = getState();
    const list = withOneSession(taken(await meetFile(state, file, exchange), choices), state);
    await inSlices(checked(list, reader));
    // The painter, or another tab, may have gone on meanwhile.
    if (sameRecord(state, getState())) return list;
  }
}

/**
 * Takes a file in as one step, all or nothing: every document that comes of it is checked first, and all of it is
 * taken back by one undo. Rejects with a CoreError that says what cannot be kept; then nothing has changed.
 * @returns how many documents were changed or came in
 */
export const bringIn =
  (
    file: ExportFile,
    exchange: Exchange | null,
    choices: Choices,
    reader: Reader,
  ): Thunk<Promise<number>> =>
  async (dispatch, getState) => {
    const list = await worked(file, exchange, choices, reader, getState);
    if (list.length === 0) return 0;
    dispatch(paintingsLoaded(only(list, 'painting')));
    goneOf(list, 'painting').forEach((id) => dispatch(paintingLeft(id)));
    dispatch(sessionsLoaded(only(list, 'session')));
    goneOf(list, 'session').forEach((id) => dispatch(sessionLeft(id)));
    dispatch(monthsChanged(only(list, 'climate')));
    only(list, 'plan').forEach((record) => dispatch(planNoted(record)));
    only(list, 'cabinet').forEach((cabinet) => dispatch(cabinetArrived(cabinet)));
    only(list, 'studio').forEach((studio) => dispatch(studioArrived(studio)));
    dispatch(
      changesMade({
        what: 'Took in a file',
        parts: list.map(
          ({ kind, before, after }) =>
            ({
              of: kind,
              what: 'Took in',
              // Of plans there is always one, said or not.
              before: before ?? (kind === 'plan' ? NEW_PLAN_RECORD : null),
              after,
            }) as Change,
        ),
      }),
    );
    // What follows from so much at once is worked out before the caller goes on.
    await breath();
    return list.length;
  };
