import { FINENESS_FACTOR, LEAST_WORK_MINUTES, PACE, PACE_AREA_CM2, WORK_PACE } from '@/data/pace';
import type { Coat, CoatRole, LaidEvent, Painting } from '../painting/schema';
import { laidEvents, laidShare, shareToLay } from '../painting/sites';
import { areaCm2 } from '../painting/vocabulary';
import { remember } from '../remember';
import type { Session } from './schema';
import { workedMinutes } from './time';

/** How long the painter takes by kind of coat, against the usual: 1 as the table, 2 twice as long. */
export type Pace = Record<CoatRole, number>;

const ROLES = Object.keys(WORK_PACE) as CoatRole[];

/** The usual: as long as the table says. */
export const USUAL_PACE = Object.fromEntries(ROLES.map((role) => [role, 1])) as Pace;

/** Minutes that a coat of a kind usually takes on an area, cm2; by kind, area and how fine the work is. */
export function usualMinutes(
  { role, fineness }: Pick<Coat, 'role' | 'fineness'>,
  cm2: number,
): number {
  const { minutes, power } = WORK_PACE[role];
  return (
    minutes * (Math.max(1, cm2) / PACE_AREA_CM2) ** power * FINENESS_FACTOR[fineness ?? 'usual']
  );
}

/** Whether a coat may be left half done: what the painter says of it, else by its kind. Into the wet it is not. */
export const mayBeParted = ({ role, oneSitting, onto }: Coat): boolean =>
  onto !== 'wet' && !(oneSitting ?? !WORK_PACE[role].splittable);

/** Area of a coat that is still to be laid on some passages, cm2. */
export const toLayCm2 = (painting: Painting, coat: Coat, passageIds: string[]): number =>
  areaCm2(painting.support) *
  painting.passages
    .filter((p) => passageIds.includes(p.id))
    .reduce((sum, p) => sum + p.share * shareToLay(painting, coat, p.id), 0);

/** Area that an entry put paint on, cm2; on some passages where they are named. */
export const laidCm2 = (
  painting: Painting,
  event: LaidEvent,
  passageIds: string[] = event.passageIds,
): number =>
  areaCm2(painting.support) *
  painting.passages
    .filter((p) => passageIds.includes(p.id))
    .reduce((sum, p) => sum + p.share * laidShare(painting, event, p.id), 0);

/** Area of all of a coat, laid or not, cm2. */
const wholeCm2 = (painting: Painting, coat: Coat): number =>
  areaCm2(painting.support) *
  (coat.spot?.share ?? 1) *
  painting.passages
    .filter((p) => coat.passageIds.includes(p.id))
    .reduce((sum, p) => sum + p.share, 0);

const ROUND_TO = 5;
const roundUp = (minutes: number): number => Math.ceil(minutes / ROUND_TO) * ROUND_TO;

/**
 * Minutes that what is still to be laid of a coat on some passages takes: the painter's own word for the whole coat by
 * the share of it, or kind, fineness, area and pace.
 */
export function minutesOf(
  painting: Painting,
  coat: Coat,
  passageIds: string[],
  pace: Pace,
): number {
  const cm2 = toLayCm2(painting, coat, passageIds);
  if (coat.minutes !== undefined)
    return coat.minutes * Math.min(1, cm2 / Math.max(1e-9, wholeCm2(painting, coat)));
  return Math.max(LEAST_WORK_MINUTES, roundUp(usualMinutes(coat, cm2) * pace[coat.role]));
}

/** Entries by their coat: asked for once for every work of every session. */
const laidByCoat = remember('laid by coat', (painting: Painting): Map<string, LaidEvent[]> => {
  const out = new Map<string, LaidEvent[]>();
  for (const e of laidEvents(painting)) out.set(e.coatId, [...(out.get(e.coatId) ?? []), e]);
  return out;
});

/** One coat, or part of one, that was laid: how much longer than usual it took, ln. */
export interface PaceSample {
  role: CoatRole;
  log: number;
}

/**
 * What the sessions say of the painter's pace: every coat, or part of one, that was laid after ten minutes of work or
 * more. What counts is the area that was really laid, over the time since some of that coat was last laid.
 */
export function paceSamples(
  sessions: Session[],
  paintings: Record<string, Painting | undefined>,
): PaceSample[] {
  const out: PaceSample[] = [];
  const spent = new Map<string, number>();
  const inOrder = sessions
    .filter((s) => s.endedAt !== null)
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  for (const session of inOrder)
    for (const work of session.works) {
      const painting = paintings[work.paintingId];
      const coat = painting?.coats.find((c) => c.id === work.coatId);
      if (!painting || !coat) continue;
      const key = [painting.id, coat.id, ...work.passageIds].join('|');
      const minutes = (spent.get(key) ?? 0) + workedMinutes(work, Date.parse(session.endedAt!));
      const laid = (laidByCoat(painting).get(coat.id) ?? []).filter(
        (e) => e.at >= session.startedAt && e.at <= session.endedAt! && !e.more,
      );
      const cm2 = laid.reduce((sum, e) => sum + laidCm2(painting, e, work.passageIds), 0);
      spent.set(key, cm2 > 0 ? 0 : minutes);
      if (cm2 === 0 || minutes < PACE.leastMinutes) continue;
      out.push({ role: coat.role, log: Math.log(minutes / usualMinutes(coat, cm2)) });
    }
  return out;
}

/** The pace by kind of coat: the usual counts as two sittings, each sample as one, on the logarithm. */
export const paceFrom = (samples: PaceSample[]): Pace =>
  Object.fromEntries(
    ROLES.map((role) => {
      const own = samples.filter((s) => s.role === role);
      const sum = own.reduce((s, { log }) => s + log, 0);
      return [role, Math.exp(sum / (PACE.usualCounts + own.length))];
    }),
  ) as Pace;

/** The painter's own pace by kind of coat, from the sessions. */
export const paceOf = (
  sessions: Session[],
  paintings: Record<string, Painting | undefined>,
): Pace => paceFrom(paceSamples(sessions, paintings));
