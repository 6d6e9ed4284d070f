import Papa from 'papaparse';
import type { ClimateMonth } from '../climate/readings-schema';
import { HOUR_MS } from '../climate/readings';
import { guardedRow } from '../formats/csv-cells';
import type { Coat, Painting } from '../painting/schema';
import { laidEvents } from '../painting/sites';
import type { Session } from '../session/schema';
import { mediumWords, mixWords } from './words';

/** Tables of the record, RFC 4180: CRLF, quotes where they are needed. A first column of ids lets them come back. */

export const TEST_COLUMNS = [
  'id',
  'painting_id',
  'painting',
  'passage_id',
  'passage',
  'spot',
  'at',
  'finding',
  'twist_marks',
  'set_aside',
] as const;
export const COAT_COLUMNS = [
  'id',
  'painting_id',
  'painting',
  'name',
  'role',
  'application',
  'onto',
  'passage_ids',
  'passages',
  'spot',
  'spot_share',
  'mix',
  'medium',
  'thickness_um',
  'laid_at',
  'recipe_json',
  /** What else is said of the coat. */
  'more_json',
] as const;
export const LOG_COLUMNS = [
  'id',
  'session_from',
  'session_to',
  'box_minutes',
  'goal',
  'reached',
  'note',
  'kind',
  'work_id',
  'work',
  'painting_id',
  'painting',
  'coat_id',
  'passage_ids',
  'planned_minutes',
  'done',
  'from',
  'to',
  /** Of a session: its palette, and which photos were taken. */
  'more_json',
] as const;
export const CLIMATE_COLUMNS = ['time', 'temperature_c', 'relative_humidity_pct'] as const;

const table = <C extends string>(
  columns: readonly C[],
  rows: readonly Record<C, unknown>[],
): string =>
  `${Papa.unparse(
    {
      fields: [...columns],
      data: rows.map((row) => {
        const safe = guardedRow(row);
        return columns.map((c) => safe[c] ?? '');
      }),
    },
    { newline: '\r\n' },
  )}\r\n`;

/** Several ids or names in one cell. */
export const SEVERAL = '|';

/** Touch tests of paintings. */
export const testsCsv = (paintings: readonly Painting[]): string =>
  table(
    TEST_COLUMNS,
    paintings.flatMap((p) =>
      p.events.flatMap((e) =>
        e.kind === 'touched'
          ? [
              {
                id: e.id,
                painting_id: p.id,
                painting: p.title,
                passage_id: e.passageId,
                passage: p.passages.find((x) => x.id === e.passageId)?.name ?? '',
                spot: e.spotName ?? '',
                at: e.at,
                finding: e.finding,
                twist_marks: e.twistMarks ? 'yes' : 'no',
                set_aside: e.setAside ? 'yes' : 'no',
              },
            ]
          : [],
      ),
    ),
  );

const OWN_COLUMN: ReadonlySet<string> = new Set<keyof Coat>([
  'id',
  'name',
  'role',
  'application',
  'onto',
  'passageIds',
  'spot',
  'recipe',
]);

/** What has no column of its own. */
function moreOf(coat: Coat): string {
  const more = Object.entries(coat).filter(([key]) => !OWN_COLUMN.has(key));
  return more.length === 0 ? '' : JSON.stringify(Object.fromEntries(more));
}

/** Coats of paintings, planned and laid, the recipe in words and whole. */
export const coatsCsv = (paintings: readonly Painting[]): string =>
  table(
    COAT_COLUMNS,
    paintings.flatMap((p) =>
      p.coats.map((c) => ({
        id: c.id,
        painting_id: p.id,
        painting: p.title,
        name: c.name,
        role: c.role,
        application: c.application,
        onto: c.onto,
        passage_ids: c.passageIds.join(SEVERAL),
        passages: c.passageIds
          .map((id) => p.passages.find((x) => x.id === id)?.name ?? id)
          .join(SEVERAL),
        spot: c.spot?.name ?? '',
        spot_share: c.spot?.share ?? '',
        mix: mixWords(c.recipe),
        medium: mediumWords(c.recipe),
        thickness_um: c.recipe.thicknessUm,
        laid_at: laidEvents(p)
          .filter((e) => e.coatId === c.id)
          .map((e) => e.at)
          .join(SEVERAL),
        recipe_json: JSON.stringify(c.recipe),
        more_json: moreOf(c),
      })),
    ),
  );

/** The log, one row for each stretch of work and each interruption. */
export function logCsv(
  sessions: readonly Session[],
  titleOf: (paintingId: string) => string,
): string {
  const rows = [...sessions]
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt))
    .flatMap((s) => {
      const head = {
        id: s.id,
        session_from: s.startedAt,
        session_to: s.endedAt ?? '',
        box_minutes: s.boxMinutes ?? '',
        goal: s.goal,
        reached: s.reached ?? '',
        note: s.note,
      };
      const none = {
        work_id: '',
        work: '',
        painting_id: '',
        painting: '',
        coat_id: '',
        passage_ids: '',
        planned_minutes: '',
        done: '',
        from: '',
        to: '',
        more_json: '',
      } as Record<string, unknown>;
      return [
        {
          ...head,
          ...none,
          kind: 'session',
          more_json: JSON.stringify({ palette: s.palette, photos: s.photos }),
        },
        ...s.pauses.map((p) => ({ ...head, ...none, kind: 'pause', from: p.from, to: p.to ?? '' })),
        ...s.works.flatMap((w) => {
          const work = {
            ...head,
            kind: 'work',
            work_id: w.id,
            work: w.name,
            painting_id: w.paintingId,
            painting: titleOf(w.paintingId),
            coat_id: w.coatId ?? '',
            passage_ids: w.passageIds.join(SEVERAL),
            planned_minutes: w.plannedMinutes ?? '',
            done: w.done ? 'yes' : 'no',
            more_json: '',
          };
          return w.stretches.length === 0
            ? [{ ...work, from: '', to: '' }]
            : w.stretches.map((x) => ({ ...work, from: x.from, to: x.to ?? '' }));
        }),
      ];
    });
  return table(LOG_COLUMNS, rows as never);
}

/** Readings of the air, hour by hour; any reader of loggers takes them in again. */
export const climateCsv = (months: readonly ClimateMonth[]): string =>
  table(
    CLIMATE_COLUMNS,
    months.flatMap(({ hours }) =>
      hours.map(([hour, temperature_c, relative_humidity_pct]) => ({
        time: new Date(hour * HOUR_MS).toISOString(),
        temperature_c,
        relative_humidity_pct,
      })),
    ),
  );
