import type { StageWindow } from '../drying';
import {
  isBegun,
  isCouch,
  nextPlanned,
  topLaid,
  type Layer,
  type PaintingAssessment,
  type SiteStack,
} from '../painting';
import { softlyAwaited, softNeighbours, type SoftNeighbour } from '../painting/edges';
import { holdsVarnish, stops } from '../rules';
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
  /** Neighbours across edges that are meant soft, as far as they bear on the coat to come. */
  soft: SoftNeighbour[];
  /** While this is open: whose side of a soft edge is still to be painted. */
  awaited: string[];
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
export function readiness(onto: Onto | null, { windows }: Layer): number | null {
  if (!windows) return null;
  const { p50, p75 } = windows[wantedStage(onto)];
  if (onto !== 'through-dry') return p75;
  // Through-dry is waited for at its median: its windows are too wide to wait for more with nothing lost.
  const touch = windows.touchDry.p75;
  return p50 === null || touch === null ? null : Math.max(p50, touch);
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
  const readyAtMs = readiness(onto, top);
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

const holdsBack = (finding: Layer['findings'][number]): boolean =>
  stops(finding) || (holdsVarnish(finding) && finding.overruled === null);

/**
 * A coat that a rule refuses is not offered, however dry the film below it is. It waits until the last of
 * the rules lets go; without end where one of them never does.
 */
function allowed(judged: Judged, next: Layer | null): Judged {
  const refusals = next?.findings.filter(holdsBack) ?? [];
  if (judged.group === 'still-open' || refusals.length === 0) return judged;
  const readyAtMs = refusals.reduce<number | null>(
    (latest, { untilMs }) =>
      latest === null || untilMs === null ? null : Math.max(latest, untilMs),
    0,
  );
  // What dries until after the rules have let go waits for that, and is told so.
  const dries = judged.group === 'leave-alone' ? (judged.readyAtMs ?? Infinity) : 0;
  if (readyAtMs !== null && readyAtMs <= dries) return judged;
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
    soft: coat && stack.site.spotName === null ? softNeighbours(assessment, passage.id, coat) : [],
    awaited: stack.site.spotName === null ? softlyAwaited(assessment, passage.id) : [],
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
