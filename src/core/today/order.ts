import { isFinalVarnish } from '../rules';
import { plannedCoats } from '../painting';
import type { Passage } from '../painting/schema';
import type { TodayRow } from './row';

/** What rows are to each other: their order, what waits for what, what is told once. */

/** Open ends soonest first; what takes a coat, longest ready first; what waits, soonest ready first. */
export const order = (row: TodayRow): number =>
  row.readyAtMs ?? (row.group === 'takes-a-coat' ? -Infinity : Infinity);

/**
 * Passages that take the same kind of coat in the painter's own order, where one wants it: they change places among
 * themselves, and nothing else moves.
 */
export function inPassageOrder<T>(items: T[], rowOf: (item: T) => TodayRow): T[] {
  const place = (row: TodayRow): number => row.painting.passages.indexOf(row.passage);
  const kin = (row: TodayRow): string | null =>
    row.painting.planning?.inOrder && row.next ? `${row.painting.id}|${row.next.film.role}` : null;
  const queues = new Map<string, T[]>();
  for (const item of items) {
    const key = kin(rowOf(item));
    if (key !== null) queues.set(key, [...(queues.get(key) ?? []), item]);
  }
  for (const queue of queues.values()) queue.sort((a, b) => place(rowOf(a)) - place(rowOf(b)));
  return items.map((item) => {
    const key = kin(rowOf(item));
    return key === null ? item : queues.get(key)!.shift()!;
  });
}

const placeName = ({ passage, spotName }: TodayRow): string => spotName ?? passage.name;

/** A final varnish comes next there. A retouch varnish goes on patches as they come. */
const isVarnish = ({ next }: TodayRow): boolean =>
  next !== null && isFinalVarnish(next.film.asLaid.material);

/** Whether a final varnish is planned for the passage of a row, next or later. */
const willBeVarnished = ({ painting, passage }: TodayRow): boolean =>
  plannedCoats(painting, passage.id).some((c) => isFinalVarnish(c.recipe.material ?? null));

/**
 * A final varnish goes over the picture at once: it waits for the last of its passages and spots, however ready the
 * others are. Where one of them still has paint to come nobody can say when.
 */
export function varnishTogether(rows: TodayRow[]): TodayRow[] {
  const ready = rows.filter((row) => isVarnish(row) && row.group === 'takes-a-coat');
  if (ready.length === 0) return rows;
  const last = rows
    .filter(willBeVarnished)
    .filter((row) => row.group !== 'takes-a-coat' || (row.next !== null && !isVarnish(row)))
    .map((row) => ({ row, atMs: isVarnish(row) ? (row.readyAtMs ?? Infinity) : Infinity }))
    .reduce<{ row: TodayRow; atMs: number } | null>(
      (a, b) => (a === null || b.atMs > a.atMs ? b : a),
      null,
    );
  if (!last) return rows;
  return rows.map((row) =>
    ready.includes(row)
      ? {
          ...row,
          group: 'leave-alone',
          reason: 'varnish-waits',
          window: null,
          waitsFor: placeName(last.row),
          readyAtMs: last.atMs === Infinity ? null : last.atMs,
        }
      : row,
  );
}

/** Nothing planned goes behind everything that has a coat to come. */
export const behind = (row: TodayRow): number => (row.reason === 'ready-nothing-planned' ? 1 : 0);

/** Rows of one painting that were laid together and wait for the same coat say the same thing once. */
export interface TodayCluster {
  row: TodayRow;
  passages: Passage[];
  /** All passages of the painting. */
  whole: boolean;
}

/** Put rows together that differ only in their passage. Keeps the order of the first of each. */
export function clusterRows(rows: TodayRow[]): TodayCluster[] {
  const clusters = new Map<string, TodayCluster>();
  for (const row of rows) {
    const nextCoat = row.next?.film.coatIds.join() ?? '';
    const key = [
      row.painting.id,
      row.reason,
      row.spotName ?? '',
      row.rest,
      row.top?.film.key ?? 'ground',
      nextCoat,
    ].join('|');
    const known = clusters.get(key);
    const passages = known ? [...known.passages, row.passage] : [row.passage];
    const whole = row.spotName === null && passages.length === row.painting.passages.length;
    const around = [...new Set([...(known?.row.around ?? []), ...row.around])];
    const soft = [...(known?.row.soft ?? []), ...row.soft].filter(
      (n, i, all) => all.findIndex((other) => other.name === n.name) === i,
    );
    const awaited = [...new Set([...(known?.row.awaited ?? []), ...row.awaited])];
    clusters.set(key, { row: { ...(known?.row ?? row), around, soft, awaited }, passages, whole });
  }
  return [...clusters.values()];
}
