import { CoreError } from '../errors';
import { csvRows, type CsvRow } from '../formats/csv-rows';
import { SESSION_SCHEMA_VERSION } from '../editions';
import { changed, type Making } from '../painting/making';
import { coatSchema, touchedEventSchema, type Painting } from '../painting/schema';
import { sessionSchema, type Session } from '../session/schema';
import { SEVERAL } from './csv';

/** What a table brings: paintings with what is new in them, sessions that are not here yet, rows that cannot be read. */
export interface FromTable {
  paintings: Painting[];
  sessions: Session[];
  bad: { line: number; problem: string }[];
}

type TableKind = 'tests' | 'coats' | 'log';

const OWN: Record<TableKind, readonly string[]> = {
  tests: ['painting_id', 'passage_id', 'finding'],
  coats: ['painting_id', 'recipe_json'],
  log: ['session_from', 'kind'],
};

const list = (cell: string | undefined): string[] => (cell ? cell.split(SEVERAL) : []);
const orNull = (cell: string | undefined): string | null => (cell ? cell : null);
const numberOr = (cell: string | undefined): number | null => (cell ? Number(cell) : null);

function rowsOf(text: string): { kind: TableKind; rows: CsvRow[] } {
  const { fields, rows } = csvRows(text);
  const kind = (Object.keys(OWN) as TableKind[]).find((k) =>
    OWN[k].every((name) => fields.includes(name)),
  );
  if (!kind)
    throw new CoreError(
      'document-unreadable',
      'file',
      'The file is no studio, page or drawing that Tawny Hour has saved, and no table of log, tests or coats. Readings of the air come in under Climate, paints under Cabinet.',
    );
  return { kind, rows };
}

/** Paintings that are here, with what a table adds to them. */
class Additions {
  private readonly now = new Map<string, Painting>();
  readonly bad: FromTable['bad'] = [];

  constructor(
    private readonly here: Record<string, Painting | undefined>,
    private readonly making: Pick<Making, 'now'>,
  ) {}

  add(
    { line, row }: CsvRow,
    change: (painting: Painting) => Partial<Painting> | string | null,
  ): void {
    const id = row.painting_id ?? '';
    const painting = this.now.get(id) ?? this.here[id];
    if (!painting) {
      this.bad.push({
        line,
        problem: `The painting "${row.painting || id}" is not here. Take its record in first.`,
      });
      return;
    }
    const made = change(painting);
    if (typeof made === 'string') this.bad.push({ line, problem: made });
    else if (made) this.now.set(id, changed(painting, this.making, made));
  }

  get paintings(): Painting[] {
    return [...this.now.values()];
  }
}

/** An object that was written into a cell; null where it cannot be read. */
function jsonOf(cell: string | undefined): object | null {
  try {
    const value: unknown = JSON.parse(cell ?? '');
    return typeof value === 'object' ? value : null;
  } catch {
    return null;
  }
}
const unread = (column: string): string =>
  `${column}: cannot be read. Leave that cell as it was exported.`;

const issueOf = (error: { issues: { path: PropertyKey[]; message: string }[] }): string => {
  const issue = error.issues[0]!;
  return `${issue.path.join('.') || 'row'}: ${issue.message}`;
};

function readTests(rows: readonly CsvRow[], to: Additions): void {
  for (const parsed of rows)
    to.add(parsed, (painting) => {
      const { row } = parsed;
      if (painting.events.some((e) => e.id === row.id)) return null;
      if (!painting.passages.some((p) => p.id === row.passage_id))
        return `The passage "${row.passage || row.passage_id}" is not of this painting.`;
      const event = touchedEventSchema.safeParse({
        id: row.id,
        kind: 'touched',
        at: row.at,
        passageId: row.passage_id,
        spotName: orNull(row.spot),
        finding: row.finding,
        twistMarks: row.twist_marks === 'yes',
        ...(row.set_aside === 'yes' ? { setAside: true } : {}),
      });
      if (!event.success) return issueOf(event.error);
      return { events: [...painting.events, event.data] };
    });
}

function readCoats(rows: readonly CsvRow[], to: Additions): void {
  for (const parsed of rows)
    to.add(parsed, (painting) => {
      const { row } = parsed;
      if (painting.coats.some((c) => c.id === row.id)) return null;
      const recipe = jsonOf(row.recipe_json);
      if (recipe === null) return unread('recipe_json');
      const more = row.more_json ? jsonOf(row.more_json) : {};
      if (more === null) return unread('more_json');
      const coat = coatSchema.safeParse({
        ...more,
        id: row.id,
        name: row.name,
        role: row.role,
        application: row.application,
        onto: row.onto,
        passageIds: list(row.passage_ids),
        recipe,
        spot: row.spot ? { name: row.spot, share: Number(row.spot_share) } : null,
      });
      if (!coat.success) return issueOf(coat.error);
      const strange = coat.data.passageIds.find(
        (id) => !painting.passages.some((p) => p.id === id),
      );
      if (strange !== undefined) return `The passage "${strange}" is not of this painting.`;
      return { coats: [...painting.coats, coat.data] };
    });
}

function readLog(
  rows: readonly CsvRow[],
  here: Record<string, Session | undefined>,
): Pick<FromTable, 'sessions' | 'bad'> {
  const bySession = new Map<string, CsvRow[]>();
  for (const parsed of rows) {
    const id = parsed.row.id ?? '';
    if (!here[id]) bySession.set(id, [...(bySession.get(id) ?? []), parsed]);
  }
  const bad: FromTable['bad'] = [];
  const sessions = [...bySession].flatMap(([id, own]): Session[] => {
    const head = own[0]!.row;
    const works = new Map<string, CsvRow[]>();
    own
      .filter(({ row }) => row.kind === 'work')
      .forEach((p) => works.set(p.row.work_id!, [...(works.get(p.row.work_id!) ?? []), p]));
    const stretch = ({ row }: CsvRow) => ({ from: row.from, to: orNull(row.to) });
    const read = sessionSchema.safeParse({
      schemaVersion: SESSION_SCHEMA_VERSION,
      id,
      revision: 0,
      startedAt: head.session_from,
      endedAt: orNull(head.session_to),
      pauses: own.filter(({ row }) => row.kind === 'pause').map(stretch),
      boxMinutes: numberOr(head.box_minutes),
      goal: head.goal ?? '',
      reached: orNull(head.reached),
      note: head.note ?? '',
      works: [...works].map(([workId, of]) => ({
        id: workId,
        paintingId: of[0]!.row.painting_id,
        passageIds: list(of[0]!.row.passage_ids),
        coatId: orNull(of[0]!.row.coat_id),
        name: of[0]!.row.work ?? '',
        plannedMinutes: numberOr(of[0]!.row.planned_minutes),
        stretches: of.filter(({ row }) => row.from).map(stretch),
        done: of[0]!.row.done === 'yes',
      })),
      // A table of older make has none; one that was changed by hand may have lost it.
      palette: [],
      photos: [],
      ...jsonOf(own.find(({ row }) => row.kind === 'session')?.row.more_json),
    });
    if (read.success) return [read.data];
    bad.push({ line: own[0]!.line, problem: issueOf(read.error) });
    return [];
  });
  return { sessions, bad };
}

/**
 * A table that was exported, taken in again: what is here already stays as it is, what is not comes in. Rows that
 * cannot be read are named by their line. Throws `document-unreadable` where it is no such table.
 */
export function readTable(
  text: string,
  here: {
    paintings: Record<string, Painting | undefined>;
    sessions: Record<string, Session | undefined>;
  },
  making: Pick<Making, 'now'>,
): FromTable {
  const { kind, rows } = rowsOf(text);
  if (kind === 'log') return { paintings: [], ...readLog(rows, here.sessions) };
  const to = new Additions(here.paintings, making);
  if (kind === 'tests') readTests(rows, to);
  else readCoats(rows, to);
  return { paintings: to.paintings, sessions: [], bad: to.bad };
}
