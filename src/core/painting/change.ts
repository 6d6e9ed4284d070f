import {
  METHODS,
  BODY_PALETTES,
  GLAZE_PALETTES,
  type CoatTemplate,
  type MethodKey,
} from '@/data/methods';
import { CoreError } from '../errors';
import type { SchoolKey } from '../schools';
import {
  PAINTING_SCHEMA_VERSION,
  type Coat,
  type Ground,
  type HowReduced,
  type Painting,
  type PaintingEvent,
  type Spot,
  type Support,
} from './schema';
import { unlaidPassages } from './sites';

/** Where ids and the time come from; the core has no clock and no randomness of its own. */
export interface Making {
  newId: () => string;
  /** ISO date and time, UTC. */
  now: string;
}

/** Allow for clocks of two devices that differ a little. */
const FUTURE_SLACK_MS = 60_000;

const changed = (
  painting: Painting,
  making: Pick<Making, 'now'>,
  change: Partial<Painting>,
): Painting => ({
  ...painting,
  ...change,
  revision: painting.revision + 1,
  updatedAt: making.now,
});

export interface NewPainting {
  title: string;
  support: Support;
  ground: Ground;
  method: MethodKey;
  passages: { name: string; share: number }[];
}

function coatFromTemplate(
  template: CoatTemplate,
  passageIds: string[],
  index: number,
  newId: () => string,
): Coat {
  const palettes =
    template.mix === 'body-palettes'
      ? BODY_PALETTES
      : template.mix === 'glaze-palettes'
        ? GLAZE_PALETTES
        : null;
  const mix = palettes
    ? palettes[index % palettes.length]!
    : (template.mix as (typeof BODY_PALETTES)[number]);
  return {
    id: newId(),
    name: template.name,
    role: template.role,
    passageIds,
    recipe: {
      mix,
      medium: template.medium,
      mediumShare: template.mediumShare,
      thicknessUm: template.thicknessUm,
    },
    application: template.application,
    onto: template.onto,
    spot: null,
  };
}

/** Every pair of passages: until the painter says otherwise, all of them may meet. */
const allPairs = (ids: string[]): [string, string][] =>
  ids.flatMap((a, i) => ids.slice(i + 1).map((b): [string, string] => [a, b]));

/** A new painting with its coats laid out by the method. The caller validates the result by `paintingSchema`. */
export function startPainting(input: NewPainting, making: Making): Painting {
  const method = METHODS[input.method];
  if (method.ground && input.ground.kind !== method.ground) {
    throw new CoreError(
      'ground-refused',
      'ground',
      `"${method.name}" begins on an old painting. Choose that as the ground, or another method.`,
    );
  }
  if (input.ground.kind === 'old-painting' && input.method === 'acrylic-under') {
    throw new CoreError(
      'ground-refused',
      'method',
      'Acrylic does not hold on old oil paint. Choose a method that is oil from the first stroke.',
    );
  }
  if (input.ground.kind === 'oil-ground' && input.method === 'acrylic-under') {
    throw new CoreError(
      'ground-refused',
      'method',
      'Acrylic does not hold on an oil ground. Choose an acrylic ground, or an oil method.',
    );
  }
  const since =
    input.ground.kind === 'oil-ground'
      ? input.ground.laidAt
      : input.ground.kind === 'old-painting'
        ? input.ground.paintedAt
        : null;
  if (since && Date.parse(since) > Date.parse(making.now) + FUTURE_SLACK_MS) {
    throw new CoreError(
      'date-in-future',
      'ground',
      'The ground was laid in the future. Give a day up to today.',
    );
  }
  const passages = input.passages.map((p) => ({
    id: making.newId(),
    name: p.name.trim(),
    share: p.share,
  }));
  const ids = passages.map((p) => p.id);
  const coats = method.coats.flatMap((template) =>
    template.scope === 'whole'
      ? [coatFromTemplate(template, ids, 0, making.newId)]
      : ids.map((passageId, i) => coatFromTemplate(template, [passageId], i, making.newId)),
  );
  return {
    schemaVersion: PAINTING_SCHEMA_VERSION,
    id: making.newId(),
    revision: 0,
    createdAt: making.now,
    updatedAt: making.now,
    title: input.title.trim(),
    support: input.support,
    ground: input.ground,
    method: input.method,
    school: method.school,
    passages,
    touches: allPairs(ids),
    coats,
    events: [],
  };
}

export function coatOf(painting: Painting, coatId: string): Coat {
  const coat = painting.coats.find((c) => c.id === coatId);
  if (!coat)
    throw new CoreError(
      'unknown-coat',
      'coatId',
      `This painting has no coat "${coatId}". Reload the painting.`,
    );
  return coat;
}

function requirePassages(painting: Painting, ids: string[]): void {
  const missing = ids.find((id) => !painting.passages.some((p) => p.id === id));
  if (missing !== undefined) {
    throw new CoreError(
      'unknown-passage',
      'passageIds',
      `This painting has no passage "${missing}". Reload the painting.`,
    );
  }
}

/** Milliseconds of a time that is not in the future. Throws `date-invalid`, `date-in-future`. */
export function pastMs(at: string, now: string): number {
  const ms = Date.parse(at);
  if (Number.isNaN(ms))
    throw new CoreError(
      'date-invalid',
      'at',
      'That is not a date and time. Choose one from the list or enter it again.',
    );
  if (ms > Date.parse(now) + FUTURE_SLACK_MS) {
    throw new CoreError(
      'date-in-future',
      'at',
      'That time is still to come. A coat can be laid now or earlier.',
    );
  }
  return ms;
}

export interface Laying {
  coatId: string;
  passageIds: string[];
  at: string;
  spot: Spot | null;
  intoWet: boolean;
}

function requireSpot(spot: Spot | null): void {
  if (!spot) return;
  if (spot.name.trim() === '')
    throw new CoreError(
      'spot-name-empty',
      'spot.name',
      'The spot needs a name, such as "highlights".',
    );
  if (!(spot.share > 0 && spot.share <= 1)) {
    throw new CoreError(
      'spot-share-range',
      'spot.share',
      'The share of a spot must be above 0 % and at most 100 %.',
    );
  }
}

/** Record that a coat was laid. Its recipe is kept with the entry as it was. */
export function layCoat(painting: Painting, laying: Laying, making: Making): Painting {
  const coat = coatOf(painting, laying.coatId);
  requirePassages(painting, laying.passageIds);
  requireSpot(laying.spot);
  pastMs(laying.at, making.now);
  if (laying.passageIds.length === 0) {
    throw new CoreError(
      'not-covered',
      'passageIds',
      'Choose at least one passage the coat was laid on.',
    );
  }
  const unlaid = unlaidPassages(painting, coat);
  const wrong = laying.passageIds.find((id) => !unlaid.includes(id));
  if (wrong !== undefined) {
    const name = painting.passages.find((p) => p.id === wrong)!.name;
    throw new CoreError(
      'not-covered',
      'passageIds',
      `"${coat.name}" is not waiting to be laid on ${name}. Choose another passage, or add a coat.`,
    );
  }
  const ground =
    painting.ground.kind === 'oil-ground' ? Date.parse(painting.ground.laidAt) : -Infinity;
  if (Date.parse(laying.at) < ground) {
    throw new CoreError(
      'order',
      'at',
      'That is before the ground was laid. Give a later time, or correct the ground.',
    );
  }
  const event: PaintingEvent = {
    id: making.newId(),
    kind: 'laid',
    at: new Date(laying.at).toISOString(),
    coatId: coat.id,
    passageIds: laying.passageIds,
    spot: laying.spot && { name: laying.spot.name.trim(), share: laying.spot.share },
    intoWet: laying.intoWet,
    name: coat.name,
    role: coat.role,
    recipe: coat.recipe,
  };
  return changed(painting, making, { events: [...painting.events, event] });
}

export interface Reducing {
  passageId: string;
  spotName: string | null;
  at: string;
  how: HowReduced;
  left: 'all' | 'half' | 'trace';
}

/** A neutral opaque cover for a passage that was painted out; the painter edits it. */
const COVER_MIX: Coat['recipe']['mix'] = [
  { parts: 4, pigment: 'titanium-white', binder: 'linseed' },
  { parts: 1, pigment: 'raw-umber', binder: 'linseed' },
];
const COVER_THICKNESS_UM = 40;

/**
 * Record that the top film was wiped back, scraped or painted out. Painting out also puts the covering
 * coat first in the plan of that passage, since it is a coat with a job.
 */
export function reduceFilm(painting: Painting, reducing: Reducing, making: Making): Painting {
  requirePassages(painting, [reducing.passageId]);
  const atMs = pastMs(reducing.at, making.now);
  const something = painting.events.some(
    (e) =>
      e.kind === 'laid' && e.passageIds.includes(reducing.passageId) && Date.parse(e.at) <= atMs,
  );
  if (!something) {
    throw new CoreError(
      'nothing-there',
      'at',
      'Nothing was laid on this passage by then. Give a later time.',
    );
  }
  const event: PaintingEvent = {
    id: making.newId(),
    kind: 'reduced',
    ...reducing,
    at: new Date(reducing.at).toISOString(),
  };
  const events = [...painting.events, event];
  if (reducing.how !== 'painted-out') return changed(painting, making, { events });
  const cover: Coat = {
    id: making.newId(),
    name: 'Cover',
    role: 'overpainting',
    passageIds: [reducing.passageId],
    recipe: { mix: COVER_MIX, medium: [], mediumShare: 0, thicknessUm: COVER_THICKNESS_UM },
    application: 'brush-coat',
    onto: 'touch-dry',
    spot:
      reducing.spotName === null
        ? null
        : { name: reducing.spotName, share: spotShare(painting, reducing) },
  };
  const first = painting.coats.findIndex(
    (coat) =>
      coat.passageIds.includes(reducing.passageId) &&
      unlaidPassages(painting, coat).includes(reducing.passageId),
  );
  const place = first === -1 ? painting.coats.length : first;
  const coats = [...painting.coats.slice(0, place), cover, ...painting.coats.slice(place)];
  return changed(painting, making, { events, coats });
}

function spotShare(painting: Painting, { passageId, spotName }: Reducing): number {
  const spots = painting.events.flatMap((e) =>
    e.kind === 'laid' && e.passageIds.includes(passageId) && e.spot?.name === spotName
      ? [e.spot.share]
      : [],
  );
  return spots.at(-1) ?? 0.05;
}

/** Take an entry back, as if it had never been made. */
export function withoutEvent(
  painting: Painting,
  eventId: string,
  making: Pick<Making, 'now'>,
): Painting {
  return changed(painting, making, { events: painting.events.filter((e) => e.id !== eventId) });
}

/** Put a changed coat in the place of the old one. `correctRecord` also rewrites what was laid of it. */
export function changeCoat(
  painting: Painting,
  coat: Coat,
  correctRecord: boolean,
  making: Pick<Making, 'now'>,
): Painting {
  coatOf(painting, coat.id);
  requirePassages(painting, coat.passageIds);
  return changed(painting, making, {
    coats: painting.coats.map((c) => (c.id === coat.id ? coat : c)),
    events: correctRecord
      ? painting.events.map((e) =>
          e.kind === 'laid' && e.coatId === coat.id
            ? { ...e, recipe: coat.recipe, name: coat.name, role: coat.role }
            : e,
        )
      : painting.events,
  });
}

/** Add a coat; after another one, or last. */
export function addCoat(
  painting: Painting,
  coat: Coat,
  afterId: string | null,
  making: Pick<Making, 'now'>,
): Painting {
  requirePassages(painting, coat.passageIds);
  const place =
    afterId === null
      ? painting.coats.length
      : painting.coats.findIndex((c) => c.id === afterId) + 1;
  return changed(painting, making, {
    coats: [...painting.coats.slice(0, place), coat, ...painting.coats.slice(place)],
  });
}

/** Take a coat out of the plan. What was laid of it stays. */
export function removeCoat(
  painting: Painting,
  coatId: string,
  making: Pick<Making, 'now'>,
): Painting {
  coatOf(painting, coatId);
  return changed(painting, making, { coats: painting.coats.filter((c) => c.id !== coatId) });
}

/** Move a coat one place down (-1) or up (+1) among the coats that share a passage with it. */
export function moveCoat(
  painting: Painting,
  coatId: string,
  by: -1 | 1,
  making: Pick<Making, 'now'>,
): Painting {
  const coat = coatOf(painting, coatId);
  const from = painting.coats.indexOf(coat);
  const related = (c: Coat) => c.passageIds.some((id) => coat.passageIds.includes(id));
  let to = from + by;
  while (to >= 0 && to < painting.coats.length && !related(painting.coats[to]!)) to += by;
  if (to < 0 || to >= painting.coats.length) return painting;
  const rest = painting.coats.filter((c) => c.id !== coatId);
  return changed(painting, making, { coats: [...rest.slice(0, to), coat, ...rest.slice(to)] });
}

export const followSchool = (
  painting: Painting,
  school: SchoolKey,
  making: Pick<Making, 'now'>,
): Painting => changed(painting, making, { school });

export interface Particulars {
  title: string;
  passages: Painting['passages'];
  touches: Painting['touches'];
}

/** Change title, names and shares of the passages, and which of them touch. The caller validates. */
export const changeParticulars = (
  painting: Painting,
  particulars: Particulars,
  making: Pick<Making, 'now'>,
): Painting => changed(painting, making, particulars);
