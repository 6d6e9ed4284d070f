import { assessPainting } from './assess';
import {
  openAt,
  topLaid,
  type AssessOptions,
  type Layer,
  type PaintingAssessment,
  type SiteStack,
} from './layer';
import type { LaidEvent, Painting, PaintingEvent } from './schema';
import { inTimeOrder, sameRecipe, sameSpot } from './sites';

/**
 * The painting as it was when something was done: what had been entered for that hour or before, whatever was entered
 * later, and of the plan only the coat that is asked about.
 * @param until entries up to this time, ms; or those that come before this one
 */
export function asItWas(
  painting: Painting,
  until: number | PaintingEvent,
  coatId: string | null = null,
): Painting {
  const ordered = inTimeOrder(painting.events);
  const events =
    typeof until === 'number'
      ? ordered.filter((e) => Date.parse(e.at) <= until)
      : ordered.slice(
          0,
          ordered.findIndex((e) => e.id === until.id),
        );
  const laid = new Set(events.flatMap((e) => (e.kind === 'laid' ? [e.coatId] : [])));
  // What was laid in part is on its way still: its rest is not below what is asked about.
  const coats = painting.coats.flatMap((coat) =>
    coat.id === coatId ? [coat] : laid.has(coat.id) ? [{ ...coat, enough: coat.passageIds }] : [],
  );
  return { ...painting, events, coats };
}

/** What lay where at an hour, and how dry it was; with one coat of the plan on top where it is asked about. */
export const assessAt = (
  painting: Painting,
  until: number | PaintingEvent,
  coatId: string | null,
  options: AssessOptions,
): PaintingAssessment =>
  assessPainting(
    asItWas(painting, until, coatId),
    optionsAt(options, typeof until === 'number' ? until : Date.parse(until.at)),
  );

const HOUR_MS = 3_600_000;

/** With what a film is judged at another hour: the air of that hour, where it is followed. */
export const optionsAt = (options: AssessOptions, nowMs: number): AssessOptions => ({
  ...options,
  nowMs,
  climate: options.air ? options.air.meanBetween(nowMs, nowMs + HOUR_MS) : options.climate,
});

/** The stack of a passage, or of a spot of it where that has one of its own. */
export function stackAt(
  { passages }: PaintingAssessment,
  passageId: string,
  spotName: string | null,
): SiteStack | null {
  const found = passages.find((p) => p.passage.id === passageId);
  const spot = found?.spots.find((s) => sameSpot(s.site.spotName, spotName));
  return spot ?? found?.base ?? null;
}

/** The film on top there that the painter put on; null on a bare ground. */
export function topAt(
  assessment: PaintingAssessment,
  passageId: string,
  spotName: string | null,
): Layer | null {
  const stack = stackAt(assessment, passageId, spotName);
  const top = stack && topLaid(stack);
  return top && top.film.coatIds.length > 0 ? top : null;
}

/** How an entry meets what was there: into the wet below, and one film with the parts beside it. */
export interface Meeting {
  intoWet: boolean;
  joins: boolean;
}
type Laid = Pick<LaidEvent, 'coatId' | 'spot' | 'recipe' | 'more'>;

/** Whether a film is the same coat on another part: it lies beside what is laid now, not below it. */
const isBeside = (top: Layer | null, laid: Laid): boolean =>
  top !== null && !laid.more && top.film.coatIds.at(-1) === laid.coatId;

/** The film that a coat goes on at a place: where the same coat lies on the rest of it, what lies below that. */
function filmBelow(was: PaintingAssessment, laid: Laid, passageId: string): Layer | null {
  const spotName = laid.spot?.name ?? null;
  const top = topAt(was, passageId, spotName);
  if (!isBeside(top, laid)) return top;
  const stack = stackAt(was, passageId, spotName)!;
  const below = stack.layers[stack.layers.indexOf(top!) - 1] ?? null;
  // Where the rest of the coat went into the wet, so does this.
  if (top!.film.merged) return top;
  return below && below.film.coatIds.length > 0 ? below : null;
}

/** By the forecast for that hour, at one passage. */
function meetingAt(was: PaintingAssessment, laid: Laid, passageId: string, atMs: number): Meeting {
  const below = filmBelow(was, laid, passageId);
  const intoWet = below !== null && openAt(below, atMs);
  const parts = was.painting.events.filter(
    (e): e is LaidEvent =>
      e.kind === 'laid' &&
      !e.more &&
      e.coatId === laid.coatId &&
      e.passageIds.includes(passageId) &&
      sameRecipe(e.recipe, laid.recipe),
  );
  const joins =
    !laid.more &&
    parts.length > 0 &&
    parts.every((part) => {
      const top = topAt(was, passageId, part.spot?.name ?? null);
      return isBeside(top, laid) && openAt(top!, atMs);
    });
  return { intoWet, joins };
}

/** Passages of one laying, put together where it meets the same. */
export interface MeetingGroup extends Meeting {
  passageIds: string[];
}

/**
 * How paint laid at an hour meets what was there, passage by passage.
 * @param was the painting as it was then (`assessAt`)
 * @param said what the painter says of the film below: wet or set; null leaves it to the forecast
 */
export function meetingsOf(
  was: PaintingAssessment,
  laid: Laid,
  passageIds: string[],
  atMs: number,
  said: boolean | null = null,
): MeetingGroup[] {
  const groups: MeetingGroup[] = [];
  for (const id of passageIds) {
    const found = meetingAt(was, laid, id, atMs);
    const paintBelow = filmBelow(was, laid, id)?.film.asLaid.material === null;
    const intoWet = said === null ? found.intoWet : said && paintBelow;
    const group = groups.find((g) => g.intoWet === intoWet && g.joins === found.joins);
    if (group) group.passageIds.push(id);
    else groups.push({ intoWet, joins: found.joins, passageIds: [id] });
  }
  return groups;
}

const meets = ({ intoWet, joins }: Pick<LaidEvent, 'intoWet' | 'joins'>): string =>
  `${intoWet}|${joins === true}`;

/** An entry with how it meets what was there; what is not so is left away. */
export const withMeeting = (event: LaidEvent, { intoWet, joins }: Meeting): LaidEvent => {
  const { joins: _was, ...rest } = event;
  return { ...rest, intoWet, ...(joins ? { joins: true } : {}) };
};

const passagesOf = (event: PaintingEvent): string[] =>
  event.kind === 'laid' ? event.passageIds : [event.passageId];

/**
 * What was entered, taken back or dated anew may change what later entries were laid on: paint that was thought to go
 * on a dry film went into a wet one. Those whose forecast changes by it are entered anew; what the painter said himself,
 * and what the change does not touch, stays. So the same entries give the same films in whatever order they come in.
 * Where an entry now meets one passage otherwise than another it becomes two.
 */
export function settleLater(
  before: Painting,
  after: Painting,
  options: AssessOptions,
  newId: () => string,
): Painting {
  const was = new Map(before.events.map((e) => [e.id, e]));
  const now = new Map(after.events.map((e) => [e.id, e]));
  const changed = [
    ...before.events.filter((e) => now.get(e.id) !== e),
    ...after.events.filter((e) => was.get(e.id) !== e),
  ].filter((e) => e.kind !== 'touched');
  if (changed.length === 0) return after;
  const fromMs = Math.min(...changed.map((e) => Date.parse(e.at)));
  const touched = new Set(changed.flatMap(passagesOf));
  const judge = (painting: Painting, event: LaidEvent): MeetingGroup[] =>
    meetingsOf(
      assessAt(painting, event, null, options),
      event,
      event.passageIds,
      Date.parse(event.at),
    );
  let settled = after;
  for (const event of inTimeOrder(after.events)) {
    if (event.kind !== 'laid' || event.saidWet || Date.parse(event.at) < fromMs) continue;
    // What is new was judged when it was entered.
    const known = was.get(event.id);
    if (known?.kind !== 'laid' || !event.passageIds.some((id) => touched.has(id))) continue;
    const groups = judge(settled, event);
    const said = (list: MeetingGroup[]) => JSON.stringify(list);
    if (said(judge(before, known)) === said(groups)) continue;
    const pieces = groups.map((group, i) => ({
      ...withMeeting(event, group),
      passageIds: group.passageIds,
      id: i === 0 ? event.id : newId(),
    }));
    if (pieces.length === 1 && meets(pieces[0]!) === meets(event)) continue;
    settled = {
      ...settled,
      events: settled.events.flatMap((e): PaintingEvent[] => (e.id === event.id ? pieces : [e])),
    };
  }
  return settled;
}
