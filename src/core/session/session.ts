import { CoreError } from '../errors';
import type { Recipe } from '../film';
import type { Making } from '../painting/making';
import {
  type PaletteMix,
  type Session,
  type SessionPhoto,
  type Stretch,
  type Work,
} from './schema';
import { SESSION_SCHEMA_VERSION } from '../editions';

type Now = Pick<Making, 'now'>;

/** What a session begins with: coats to work, in order, each with its minutes. */
export interface SessionPlan {
  works: Pick<Work, 'paintingId' | 'passageIds' | 'coatId' | 'name' | 'plannedMinutes'>[];
  boxMinutes: number | null;
  goal: string;
}

const changed = (session: Session, change: Partial<Session>): Session => ({
  ...session,
  ...change,
  revision: session.revision + 1,
});

/** A session that begins now, with what is meant to be worked in it. */
export const beginSession = (plan: SessionPlan, making: Making): Session => ({
  schemaVersion: SESSION_SCHEMA_VERSION,
  id: making.newId(),
  revision: 1,
  startedAt: making.now,
  endedAt: null,
  pauses: [],
  boxMinutes: plan.boxMinutes,
  goal: plan.goal.trim(),
  reached: null,
  note: '',
  works: plan.works.map((work, i) => ({
    ...work,
    id: making.newId(),
    // The first of the plan is what the painter picks the brush up for.
    stretches: i === 0 ? [{ from: making.now, to: null }] : [],
    done: false,
  })),
  palette: [],
  photos: [],
});

const closed = (stretches: Stretch[], at: string): Stretch[] =>
  stretches.map((s) => (s.to === null ? { ...s, to: at } : s));

/** Whether this is being worked on now. */
export const isRunning = (work: Work): boolean => work.stretches.some((s) => s.to === null);
/** Whether the session is interrupted now. */
export const isPaused = (session: Session): boolean => session.pauses.some((p) => p.to === null);
/** What is being worked on now; null in a pause, or between works. */
export const runningWork = (session: Session): Work | null => session.works.find(isRunning) ?? null;

const stopAll = (session: Session, at: string): Work[] =>
  session.works.map((w) => (isRunning(w) ? { ...w, stretches: closed(w.stretches, at) } : w));

const requireOpen = (session: Session): void => {
  if (session.endedAt !== null)
    throw new CoreError(
      'order',
      'endedAt',
      'This session has ended. Begin another, or correct its times.',
    );
};

const workOf = (session: Session, workId: string): Work => {
  const work = session.works.find((w) => w.id === workId);
  if (!work)
    throw new CoreError(
      'unknown-coat',
      'workId',
      `This session has no work "${workId}". Reload it.`,
    );
  return work;
};

/** Take a work up; the one in hand is put down, and a pause ends. Throws `order` when the session has ended. */
export function takeUp(session: Session, workId: string, { now }: Now): Session {
  requireOpen(session);
  workOf(session, workId);
  return changed(session, {
    pauses: closed(session.pauses, now),
    works: stopAll(session, now).map((w) =>
      w.id === workId
        ? { ...w, done: false, stretches: [...w.stretches, { from: now, to: null }] }
        : w,
    ),
  });
}

/** A work is done; the next that is not goes into hand, unless the session is paused or something else is in hand. */
export function finishWork(session: Session, workId: string, { now }: Now): Session {
  const was = workOf(session, workId);
  const works = session.works.map((w) =>
    w.id === workId ? { ...w, done: true, stretches: closed(w.stretches, now) } : w,
  );
  const done = changed(session, { works });
  const next = works.find((w) => !w.done && w.stretches.length === 0);
  return isRunning(was) && next ? takeUp(done, next.id, { now }) : done;
}

/** Put a work down: it is not done, and can be taken up again. Nothing else goes into hand. */
export function putDown(session: Session, workId: string, { now }: Now): Session {
  workOf(session, workId);
  return changed(session, {
    works: session.works.map((w) =>
      w.id === workId ? { ...w, stretches: closed(w.stretches, now) } : w,
    ),
  });
}

/** A coat, or a part of one, that was laid while the session runs belongs to it: noted where it had no work yet. */
export function noteLaid(
  session: Session,
  laid: Pick<Work, 'paintingId' | 'passageIds' | 'coatId' | 'name' | 'done'>,
  making: Making,
): Session {
  const same = session.works.find(
    (w) =>
      w.paintingId === laid.paintingId &&
      w.coatId === laid.coatId &&
      w.passageIds.some((id) => laid.passageIds.includes(id)),
  );
  if (same) return same.done || !laid.done ? session : finishWork(session, same.id, making);
  const work: Work = {
    ...laid,
    id: making.newId(),
    plannedMinutes: null,
    stretches: [],
  };
  return changed(session, { works: [...session.works, work] });
}

/** Change what a work is meant to take; null: nothing is meant. The caller validates. */
export const shareOut = (session: Session, workId: string, minutes: number | null): Session =>
  changed(session, {
    works: session.works.map((w) => (w.id === workId ? { ...w, plannedMinutes: minutes } : w)),
  });

/** Add a work to a session that runs; it is taken up at once when nothing is in hand. */
export function addWork(
  session: Session,
  work: SessionPlan['works'][number],
  making: Making,
): Session {
  requireOpen(session);
  const added: Work = { ...work, id: making.newId(), stretches: [], done: false };
  const more = changed(session, { works: [...session.works, added] });
  return runningWork(session) || isPaused(session) ? more : takeUp(more, added.id, making);
}

/** An interruption: nothing is in hand until it ends. */
export function pause(session: Session, { now }: Now): Session {
  requireOpen(session);
  if (isPaused(session)) return session;
  return changed(session, {
    works: stopAll(session, now),
    pauses: [...session.pauses, { from: now, to: null }],
  });
}

/** Go on after an interruption with what was in hand before it. */
export function resume(session: Session, { now }: Now): Session {
  requireOpen(session);
  const open = session.pauses.find((p) => p.to === null);
  if (!open) return session;
  const before = session.works.find((w) => !w.done && w.stretches.some((s) => s.to === open.from));
  const back = changed(session, { pauses: closed(session.pauses, now) });
  return before ? takeUp(back, before.id, { now }) : back;
}

/** End it now: what runs is put down, an interruption is over. */
export function endSession(session: Session, { now }: Now): Session {
  requireOpen(session);
  return changed(session, {
    endedAt: now,
    pauses: closed(session.pauses, now),
    works: stopAll(session, now),
  });
}

/** What may be corrected at any time. The caller validates. */
export type SessionEdit = Partial<
  Pick<Session, 'goal' | 'reached' | 'note' | 'startedAt' | 'endedAt' | 'boxMinutes'>
>;

/** Stretches within a session's new bounds: what began, or ended, with the session still does; the rest is cut. */
function within(stretches: Stretch[], was: Session, next: Session): Stretch[] {
  const from = Date.parse(next.startedAt);
  const to = next.endedAt === null ? Infinity : Date.parse(next.endedAt);
  return stretches.flatMap((s) => {
    const begins = s.from === was.startedAt ? from : Math.max(from, Date.parse(s.from));
    if (s.to === null) return [{ ...s, from: new Date(begins).toISOString() }];
    const ends = s.to === was.endedAt ? to : Math.min(to, Date.parse(s.to));
    return ends > begins
      ? [{ from: new Date(begins).toISOString(), to: new Date(ends).toISOString() }]
      : [];
  });
}

/**
 * Correct a session. Where its beginning or end is moved, its works and interruptions are cut to it, so that hours
 * forgotten at the clock are not kept on a painting. Throws `order` when it would end before it starts.
 */
export function editSession(session: Session, edit: SessionEdit): Session {
  const next = { ...session, ...edit };
  if (next.endedAt !== null && Date.parse(next.endedAt) < Date.parse(next.startedAt))
    throw new CoreError('order', 'endedAt', 'It would end before it begins. Give a later end.');
  if (next.startedAt === session.startedAt && next.endedAt === session.endedAt)
    return changed(session, edit);
  return changed(session, {
    ...edit,
    pauses: within(session.pauses, session, next),
    works: session.works.map((w) => ({ ...w, stretches: within(w.stretches, session, next) })),
  });
}

/** Take a work out of the record, with its time. */
export const removeWork = (session: Session, workId: string): Session =>
  changed(session, { works: session.works.filter((w) => w.id !== workId) });

/** Note a mix that was put out on the palette now. @param mix its amount in ml; null when nobody measured */
export const putOut = (
  session: Session,
  mix: { name: string; recipe: Recipe; ml: number | null },
  making: Making,
): Session =>
  changed(session, {
    palette: [
      ...session.palette,
      { ...mix, id: making.newId(), madeAt: making.now, coveredAt: null, goneAt: null },
    ],
  });

/** Cover the mixes and put them in the cool; all that are not gone. */
export const coverPalette = (session: Session, { now }: Now): Session =>
  changed(session, {
    palette: session.palette.map((m) =>
      m.goneAt === null && m.coveredAt === null ? { ...m, coveredAt: now } : m,
    ),
  });

/** Note that a mix was covered, went, or how much there was. */
export const changeMix = (
  session: Session,
  mixId: string,
  change: Partial<Pick<PaletteMix, 'coveredAt' | 'goneAt' | 'ml'>>,
): Session =>
  changed(session, {
    palette: session.palette.map((m) => (m.id === mixId ? { ...m, ...change } : m)),
  });

/** Note a photo of the work; the picture itself is kept apart, under its id. */
export const addPhoto = (session: Session, photo: SessionPhoto): Session =>
  changed(session, { photos: [...session.photos, photo] });

/** Take a photo out of the record; the picture is swept later. */
export const removePhoto = (session: Session, photoId: string): Session =>
  changed(session, { photos: session.photos.filter((p) => p.id !== photoId) });
