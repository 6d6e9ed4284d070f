import { DAY_MS, type StageWindow } from '../drying';
import {
  isBegun,
  isCouch,
  isOnEasel,
  nextPlanned,
  topLaid,
  type Layer,
  type PaintingAssessment,
  type SiteStack,
} from '../painting';
import { stops } from '../rules';
import type { Coat, Onto, Painting, Passage } from '../painting/schema';

export const TODAY_GROUPS = ['takes-a-coat', 'still-open', 'leave-alone'] as const;
export type TodayGroup = (typeof TODAY_GROUPS)[number];

/** Why a row stands where it stands. */
export type TodayReason =
  | 'bare'
  | 'ground-waits'
  | 'ready'
  | 'ready-nothing-planned'
  | 'refused'
  | 'varnish-waits'
  | 'open'
  | 'drying'
  | 'probably-dry'
  | 'stands-still';

export interface TodayRow {
  painting: Painting;
  stack: SiteStack;
  passage: Passage;
  spotName: string | null;
  group: TodayGroup;
  reason: TodayReason;
  top: Layer | null;
  next: Layer | null;
  /** A part of the coat to come lies there already: what is told is the rest. */
  rest: boolean;
  /** The stage waited for, or until which it is open. */
  window: StageWindow | null;
  /** Spots of the passage that are not ready for what it takes: it goes round them. */
  around: string[];
  /** Where the varnish waits for another passage or spot: its name. */
  waitsFor: string | null;
  /** When it was ready, or will be, at the planning chance. Null when drying stands still. */
  readyAtMs: number | null;
}

/** The coats that are one work there: the next to be laid, and what goes into it while it is wet where it is a couch. */
export function coatsAtOnce({ painting, next }: Pick<TodayRow, 'painting' | 'next'>): Coat[] {
  const coats = (next?.film.coatIds ?? []).flatMap(
    (id) => painting.coats.find((c) => c.id === id) ?? [],
  );
  return coats.length > 0 && isCouch(coats[0]!.role) ? coats : coats.slice(0, 1);
}

const wantedStage = (onto: Onto | null): 'touchDry' | 'throughDry' =>
  onto === 'through-dry' ? 'throughDry' : 'touchDry';

interface Judged {
  group: TodayGroup;
  reason: TodayReason;
  window: StageWindow | null;
  readyAtMs: number | null;
}

function bareRow(groundReadyAtMs: number | null, nowMs: number): Judged {
  return groundReadyAtMs !== null && groundReadyAtMs > nowMs
    ? { group: 'leave-alone', reason: 'ground-waits', window: null, readyAtMs: groundReadyAtMs }
    : { group: 'takes-a-coat', reason: 'bare', window: null, readyAtMs: groundReadyAtMs };
}

/** When the film takes the next coat, at the planning chance. A through-dry wait never ends before touch-dry. */
function readiness(stage: StageWindow, onto: Onto | null, top: Layer): number | null {
  if (onto !== 'through-dry') return stage.p75;
  // Through-dry is waited for at its median: its windows are too wide to wait for more with nothing lost.
  const touch = top.windows?.touchDry.p75 ?? null;
  return stage.p50 === null || touch === null ? null : Math.max(stage.p50, touch);
}

function paintedRow(top: Layer, next: Layer | null, nowMs: number): Judged {
  const windows = top.windows!;
  if (top.state === 'open') {
    return {
      group: 'still-open',
      reason: 'open',
      window: windows.openUntil,
      readyAtMs: windows.openUntil.p10,
    };
  }
  const onto = next?.onto ?? null;
  const stage = windows[wantedStage(onto)];
  const readyAtMs = readiness(stage, onto, top);
  if (readyAtMs === null)
    return { group: 'leave-alone', reason: 'stands-still', window: stage, readyAtMs };
  if (readyAtMs <= nowMs) {
    return {
      group: 'takes-a-coat',
      reason: next ? 'ready' : 'ready-nothing-planned',
      window: stage,
      readyAtMs,
    };
  }
  const probably = stage.p50 !== null && stage.p50 <= nowMs;
  return {
    group: 'leave-alone',
    reason: probably ? 'probably-dry' : 'drying',
    window: stage,
    readyAtMs,
  };
}

/** A varnish that comes too early is advised against, not refused; nobody is offered it all the same. */
const holdsBack = (finding: Layer['findings'][number]): boolean =>
  stops(finding) || (finding.rule === 'varnish-too-early' && finding.overruled === null);

/**
 * A coat that a rule refuses is not offered, however dry the film below it is. It waits until the last of
 * the rules lets go; without end where one of them never does.
 */
function allowed(judged: Judged, next: Layer | null): Judged {
  const refusals = next?.findings.filter(holdsBack) ?? [];
  if (judged.group !== 'takes-a-coat' || refusals.length === 0) return judged;
  const readyAtMs = refusals.reduce<number | null>(
    (latest, { untilMs }) =>
      latest === null || untilMs === null ? null : Math.max(latest, untilMs),
    0,
  );
  return { group: 'leave-alone', reason: 'refused', window: null, readyAtMs };
}

/** Only films put on by the painter count: a bare oil ground has its own wait. */
const topCoat = (stack: SiteStack): Layer | null => {
  const top = topLaid(stack);
  return top && top.film.coatIds.length > 0 ? top : null;
};

/** What is to be said of one passage or spot today: whether it takes its next coat, and when it does if not yet. */
export function todayRow(
  assessment: PaintingAssessment,
  passage: Passage,
  stack: SiteStack,
  nowMs: number,
): TodayRow {
  const top = topCoat(stack);
  const next = nextPlanned(stack);
  const judged = top ? paintedRow(top, next, nowMs) : bareRow(assessment.groundReadyAtMs, nowMs);
  const { painting } = assessment;
  const [coat] = coatsAtOnce({ painting, next });
  return {
    painting,
    around: [],
    waitsFor: null,
    rest: coat !== undefined && isBegun(painting, coat, passage.id),
    stack,
    passage,
    spotName: stack.site.spotName,
    top,
    next,
    ...allowed(judged, next),
  };
}

/** Open ends soonest first; what takes a coat, longest ready first; what waits, soonest ready first. */
const order = (row: TodayRow): number =>
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

/**
 * A varnish goes over the whole picture at once: it waits for the last of its passages and spots, however ready the others
 * are. Where one of them still has paint to come nobody can say when.
 */
function varnishTogether(rows: TodayRow[]): TodayRow[] {
  const isVarnish = (row: TodayRow) => row.next?.film.role === 'varnish';
  const ready = rows.filter((row) => isVarnish(row) && row.group === 'takes-a-coat');
  if (ready.length === 0) return rows;
  const last = rows
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
const behind = (row: TodayRow): number => (row.reason === 'ready-nothing-planned' ? 1 : 0);

/** Whether something is planned for this spot that is not planned for the passage around it. */
function hasItsOwn(spot: SiteStack, { painting }: PaintingAssessment): boolean {
  const coatId = nextPlanned(spot)?.film.coatIds[0];
  return painting.coats.some((c) => c.id === coatId && c.spot !== null);
}

/** The rows of one passage: itself, and each spot that has a coat of its own to come or holds the passage back. */
function rowsOf(
  assessment: PaintingAssessment,
  { passage, base, spots }: PaintingAssessment['passages'][number],
  nowMs: number,
): TodayRow[] {
  let whole = todayRow(assessment, passage, base, nowMs);
  const own: TodayRow[] = [];
  const holding: TodayRow[] = [];
  for (const spot of spots) {
    const row = todayRow(assessment, passage, spot, nowMs);
    if (hasItsOwn(spot, assessment)) own.push(row);
    else if (
      row.top !== null &&
      row.top.film.key !== whole.top?.film.key &&
      row.group !== 'takes-a-coat'
    )
      holding.push(row);
  }
  // What goes over all of the passage goes round the spots that are not ready for it.
  const around = holding.filter((row) => row.next?.film.coatIds[0] === whole.next?.film.coatIds[0]);
  whole = { ...whole, around: around.map((row) => row.spotName!) };
  // Where only a spot is still to come, the passage has nothing more to say.
  const says = whole.reason !== 'ready-nothing-planned' || own.length === 0;
  return [...(says ? [whole] : []), ...own, ...holding];
}

/**
 * Every passage of every painting on the easel, in the order of what the film allows. A spot has a row of its own where a coat is
 * planned for it, and while it is wetter than the rest of its passage.
 */
export function today(
  assessments: PaintingAssessment[],
  nowMs: number,
  worked: (painting: Painting, nowMs: number) => boolean = isOnEasel,
): Record<TodayGroup, TodayRow[]> {
  const rows = assessments
    .filter(({ painting }) => worked(painting, nowMs))
    .flatMap((assessment) =>
      varnishTogether(assessment.passages.flatMap((passage) => rowsOf(assessment, passage, nowMs))),
    );
  const group = (key: TodayGroup) => {
    const inTime = rows
      .filter((row) => row.group === key)
      .sort((a, b) => behind(a) - behind(b) || order(a) - order(b));
    return key === 'takes-a-coat' ? inPassageOrder(inTime, (row) => row) : inTime;
  };
  return {
    'takes-a-coat': group('takes-a-coat'),
    'still-open': group('still-open'),
    'leave-alone': group('leave-alone'),
  };
}

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
    clusters.set(key, { row: known?.row ?? row, passages, whole });
  }
  return [...clusters.values()];
}

/** What comes ready between now and the end of tomorrow: rows of the waiting group within `days`. */
export const comingReady = (rows: TodayRow[], nowMs: number, days: number): TodayRow[] =>
  rows.filter((row) => row.readyAtMs !== null && row.readyAtMs <= nowMs + days * DAY_MS);
