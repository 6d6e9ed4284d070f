import { quincesLooking } from './quinces';
import type { Finding } from '../src/data/learning';
import { hoursOf, takeHours, type ClimateMonth } from '../src/core/climate';
import { noteBother } from '../src/core/painting/notes-of';
import { touchFilm } from '../src/core/painting/touch';
import { putOnEasel } from '../src/core/painting/easel';
import { byDay, daysBefore, demoSessions } from './history';
import { loggerReading } from '../server/logger';
import { dated, demoPlan } from './plan';
import type { Cabinet } from '../src/core/cabinet/schema';
import { starterCabinet } from '../src/core/cabinet/starter';
import { NEW_STUDIO, type ExportFile } from '../src/core/formats';
import { exportFile } from '../src/core/formats/export';
import { layCoat } from '../src/core/painting/events';
import { startPainting, type NewPainting } from '../src/core/painting/start';
import { type Coat, type Making, type Painting } from '../src/core/painting';

/**
 * An invented studio: four paintings in the middle of their work, one that rests, two that are finished. Nothing here is a real picture,
 * person or place. Times count back from `nowMs`, so that Today is alive whenever it is opened.
 */
const DAY_MS = 86_400_000;
const HOUR_MS = DAY_MS / 24;

const counting = (prefix: string, now: string): Making => {
  let n = 0;
  return { now, newId: () => `${prefix}-${++n}` };
};

interface Hand {
  painting: Painting;
  making: Making;
  ago(days: number): string;
}

function begin(prefix: string, nowMs: number, startedDaysAgo: number, input: NewPainting): Hand {
  const ago = (days: number) => new Date(daysBefore(nowMs, days)).toISOString();
  const making = counting(prefix, ago(startedDaysAgo));
  return {
    painting: startPainting(input, making),
    making: { ...making, now: new Date(nowMs).toISOString() },
    ago,
  };
}

const coatNamed = (p: Painting, name: string, passage?: string): Coat => {
  const id = passage === undefined ? undefined : p.passages.find((x) => x.name === passage)!.id;
  return p.coats.find((c) => c.name === name && (id === undefined || c.passageIds.includes(id)))!;
};

/** Passages are laid one after the other. */
const PASSAGE_MINUTES = 22;
const after = (at: string, minutes: number, now: string): string =>
  new Date(Math.min(Date.parse(at) + minutes * 60_000, Date.parse(now))).toISOString();

function laid(
  hand: Hand,
  name: string,
  passages: string[],
  daysAgo: number,
  more: { intoWet?: boolean; spot?: { name: string; share: number } } = {},
): Hand {
  let { painting } = hand;
  let later = 0;
  for (const coat of new Set(passages.map((x) => coatNamed(painting, name, x)))) {
    const passageIds = painting.passages
      .filter((p) => passages.includes(p.name) && coat.passageIds.includes(p.id))
      .map((p) => p.id);
    painting = layCoat(
      painting,
      {
        coatId: coat.id,
        passageIds,
        at: after(hand.ago(daysAgo), later, hand.making.now),
        spot: more.spot ?? null,
        intoWet: more.intoWet ?? false,
      },
      hand.making,
    );
    later += PASSAGE_MINUTES;
  }
  return { ...hand, painting };
}

/** Change a planned coat of one passage. */
function planned(hand: Hand, name: string, passage: string, change: (coat: Coat) => Coat): Hand {
  const target = coatNamed(hand.painting, name, passage);
  return {
    ...hand,
    painting: {
      ...hand.painting,
      coats: hand.painting.coats.map((c) => (c.id === target.id ? change(c) : c)),
    },
  };
}

function added(hand: Hand, coat: Coat, beforeName: string): Hand {
  const target = coatNamed(
    hand.painting,
    beforeName,
    hand.painting.passages.find((p) => coat.passageIds.includes(p.id))!.name,
  );
  const place = hand.painting.coats.indexOf(target);
  const coats = [...hand.painting.coats.slice(0, place), coat, ...hand.painting.coats.slice(place)];
  return { ...hand, painting: { ...hand.painting, coats } };
}

/** A still life in glazes; a scumble is planned too lean on the quinces. */
function quinces(nowMs: number): Painting {
  let hand = begin('quinces', nowMs, 40, {
    title: 'Quinces on Slate',
    support: { kind: 'linen', widthMm: 500, heightMm: 400 },
    ground: { kind: 'oil-ground', laidAt: new Date(nowMs - 90 * DAY_MS).toISOString() },
    method: 'oil-under-glaze',
    passages: [
      { name: 'quinces', share: 0.3 },
      { name: 'slate', share: 0.25 },
      { name: 'wall', share: 0.3 },
      { name: 'cloth', share: 0.15 },
    ],
  });
  hand = { ...hand, painting: { ...hand.painting, school: 'total-oil' } };
  const all = ['quinces', 'slate', 'wall', 'cloth'];
  hand = planned(hand, 'Body colour', 'quinces', (c) => ({
    ...c,
    recipe: {
      ...c.recipe,
      mix: [
        { parts: 3, pigment: 'titanium-white', binder: 'linseed' },
        { parts: 3, pigment: 'yellow-ochre', binder: 'linseed' },
        { parts: 1, pigment: 'cadmium-yellow', binder: 'linseed' },
      ],
      thicknessUm: 60,
    },
  }));
  hand = planned(hand, 'Glaze 1', 'quinces', (c) => ({
    ...c,
    recipe: {
      ...c.recipe,
      mix: [{ parts: 1, pigment: 'diarylide-indian-yellow', binder: 'linseed' }],
      mediumShare: 0.35,
    },
  }));
  const passageId = hand.painting.passages[0]!.id;
  hand = added(
    hand,
    {
      id: 'quinces-scumble',
      name: 'Scumble',
      role: 'scumble',
      passageIds: [passageId],
      recipe: {
        mix: [
          { parts: 5, pigment: 'titanium-white', binder: 'linseed' },
          { parts: 2, pigment: 'yellow-ochre', binder: 'linseed' },
        ],
        medium: [
          { parts: 1, ingredient: 'stand-oil' },
          { parts: 1, ingredient: 'mineral-spirits' },
        ],
        mediumShare: 0.22,
        thicknessUm: 20,
      },
      application: 'scumble',
      onto: 'touch-dry',
      spot: null,
    },
    'Glaze 2',
  );
  hand = laid(hand, 'Tone', all, 38);
  hand = laid(hand, 'Underpainting', all, 30);
  hand = laid(hand, 'Body colour', ['quinces'], 14);
  hand = laid(hand, 'Body colour', ['wall'], 9);
  hand = laid(hand, 'Body colour', ['slate'], 2.4);
  hand = laid(hand, 'Body colour', ['cloth'], 0.25);
  hand = laid(hand, 'Glaze 1', ['quinces'], 2.1);
  return { ...hand.painting, looking: quincesLooking(hand.painting, nowMs) };
}

/** An interior with an alkyd medium: everything goes fast. */
function ropewalk(nowMs: number): Painting {
  let hand = begin('ropewalk', nowMs, 20, {
    title: 'The Ropewalk',
    support: { kind: 'fibreboard-panel', widthMm: 600, heightMm: 300 },
    ground: { kind: 'acrylic-gesso', coats: 4 },
    method: 'alkyd-three-stage',
    passages: [
      { name: 'near wall', share: 0.4 },
      { name: 'ropes', share: 0.2 },
      { name: 'far end', share: 0.4 },
    ],
  });
  const all = ['near wall', 'ropes', 'far end'];
  hand = laid(hand, 'Underpainting', all, 11);
  hand = laid(hand, 'Body colour', ['near wall'], 6);
  hand = laid(hand, 'Body colour', ['ropes'], 1.1);
  hand = laid(hand, 'Body colour', ['far end'], 0.12);
  return hand.painting;
}

/** A bare ground: which day must it be toned? */
function netLoft(nowMs: number): Painting {
  return begin('loft', nowMs, 3, {
    title: 'The Net Loft, Evening',
    support: { kind: 'canvas', widthMm: 800, heightMm: 600 },
    ground: { kind: 'acrylic-gesso', coats: 3 },
    method: 'acrylic-under',
    passages: [
      { name: 'rafters', share: 0.35 },
      { name: 'nets', share: 0.25 },
      { name: 'window light', share: 0.1 },
      { name: 'floor', share: 0.3 },
    ],
  }).painting;
}

/** A picture that was left for a month, with the blue of its sky still wet. */
function kiln(nowMs: number): Painting {
  let hand = begin('kiln', nowMs, 60, {
    title: 'Brick Kiln, First Frost',
    support: { kind: 'wood-panel', widthMm: 400, heightMm: 300 },
    ground: { kind: 'acrylic-gesso', coats: 4 },
    method: 'direct-start',
    passages: [
      { name: 'sky', share: 0.35 },
      { name: 'kiln', share: 0.4 },
      { name: 'frost', share: 0.25 },
    ],
  });
  hand = laid(hand, 'Block-in', ['sky', 'kiln', 'frost'], 34);
  hand = laid(hand, 'Overpainting', ['sky'], 29);
  const next = coatNamed(hand.painting, 'Overpainting', 'kiln');
  return {
    ...hand.painting,
    coats: hand.painting.coats.map((c) =>
      c.id === next.id ? { ...c, why: 'the shadow side must stay cooler than the sky' } : c,
    ),
    bothers: [
      {
        id: 'kiln-b1',
        at: hand.ago(29),
        passageId: null,
        text: 'The smoke leads the eye out of the picture',
        doneAt: null,
      },
    ],
  };
}

/** Found so many days after the last full coat of a passage was laid. */
type Touch = [passage: string, daysAfter: number, finding: Finding, coat: string];
const QUINCE_TOUCHES: Touch[] = [
  ['quinces', 1.1, 'wet', 'Body colour'],
  ['quinces', 2.1, 'tacky', 'Body colour'],
  ['quinces', 4.1, 'touch-dry', 'Body colour'],
  ['wall', 1.2, 'wet', 'Body colour'],
  ['wall', 3.1, 'tacky', 'Body colour'],
  ['slate', 1.2, 'wet', 'Body colour'],
];
const ROPE_TOUCHES: Touch[] = [
  ['near wall', 0.8, 'tacky', 'Body colour'],
  ['near wall', 1.9, 'touch-dry', 'Body colour'],
];

/** Noted by day, none in the future. */
function touched(painting: Painting, touches: Touch[], nowMs: number): Painting {
  const now = new Date(nowMs).toISOString();
  const making = counting(`${painting.id}-touch`, now);
  return touches.reduce((p, [passage, daysAfter, finding, coat]) => {
    const passageId = p.passages.find((x) => x.name === passage)!.id;
    const laidAt = p.events.find(
      (e) => e.kind === 'laid' && e.name === coat && e.passageIds.includes(passageId),
    )!.at;
    const at = byDay(Date.parse(laidAt) + daysAfter * DAY_MS);
    return touchFilm(
      p,
      {
        passageId,
        spotName: null,
        at: new Date(Math.min(at, nowMs)).toISOString(),
        finding,
        twistMarks: false,
      },
      making,
    );
  }, painting);
}

const withBothers = (painting: Painting, nowMs: number): Painting =>
  noteBother(
    painting,
    'The shadow under the left quince is too warm',
    null,
    counting('quinces-bother', new Date(nowMs - 2 * DAY_MS).toISOString()),
  );

/** A finished picture, its glazes long laid: it waits for its varnish. */
function plums(nowMs: number): Painting {
  let hand = begin('plums', nowMs, 57, {
    title: 'Plums, Blue Plate',
    support: { kind: 'linen-on-panel', widthMm: 300, heightMm: 240 },
    ground: { kind: 'acrylic-gesso', coats: 4 },
    method: 'direct-start',
    passages: [
      { name: 'plums', share: 0.4 },
      { name: 'plate', share: 0.25 },
      { name: 'table', share: 0.35 },
    ],
  });
  hand = laid(hand, 'Block-in', ['plums', 'plate', 'table'], 56);
  hand = laid(hand, 'Overpainting', ['table'], 50);
  hand = laid(hand, 'Overpainting', ['plate'], 49);
  hand = laid(hand, 'Overpainting', ['plums'], 47);
  hand = laid(hand, 'Glaze', ['plums', 'plate'], 36);
  hand = laid(hand, 'Glaze', ['table'], 35);
  const { making, ago } = hand;
  return putOnEasel(hand.painting, { kind: 'finished', at: ago(24) }, making);
}

/** A study of one sitting, wet into wet, and finished with it. */
function lane(nowMs: number): Painting {
  const hand = begin('lane', nowMs, 42, {
    title: 'Lane after Rain, Study',
    support: { kind: 'fibreboard-panel', widthMm: 240, heightMm: 180 },
    ground: { kind: 'acrylic-gesso', coats: 3 },
    method: 'one-sitting',
    passages: [
      { name: 'sky', share: 0.4 },
      { name: 'lane', share: 0.35 },
      { name: 'hedges', share: 0.25 },
    ],
  });
  const all = ['sky', 'lane', 'hedges'];
  const sitting = new Date(nowMs - 41 * DAY_MS).setHours(10, 5, 0, 0);
  const at = (minutes: number) => (nowMs - sitting - minutes * 60_000) / DAY_MS;
  let done = laid(hand, 'Wash-in', all, at(0));
  done = laid(done, 'Transparent darks', all, at(45), { intoWet: true });
  done = laid(done, 'Opaque lights', all, at(120), { intoWet: true });
  done = laid(done, 'Last lights', ['sky', 'lane'], at(195), { intoWet: true });
  return putOnEasel(done.painting, { kind: 'finished', at: done.ago(40) }, done.making);
}

/** A picture that is turned to the wall for a while. */
function hands(nowMs: number): Painting {
  let hand = begin('hands', nowMs, 54, {
    title: 'Hands, Grey Morning',
    support: { kind: 'canvas', widthMm: 350, heightMm: 450 },
    ground: { kind: 'acrylic-gesso', coats: 4, tint: 'raw umber' },
    method: 'oil-under-glaze',
    passages: [
      { name: 'hands', share: 0.35 },
      { name: 'sleeve', share: 0.3 },
      { name: 'ground', share: 0.35 },
    ],
  });
  const all = ['hands', 'sleeve', 'ground'];
  hand = laid(hand, 'Tone', all, 53);
  hand = laid(hand, 'Underpainting', all, 45);
  hand = laid(hand, 'Body colour', ['ground'], 33);
  hand = laid(hand, 'Body colour', ['sleeve'], 26, { spot: { name: 'cuff', share: 0.3 } });
  hand = laid(hand, 'Body colour', ['hands'], 25);
  const until = new Date(nowMs + 12 * DAY_MS).toISOString();
  return putOnEasel(hand.painting, { kind: 'resting', since: hand.ago(20), until }, hand.making);
}

const READINGS_DAYS = 45;
const LOGGER_SEED = 11;

/** Six weeks of readings of the logger on the wall. */
function climate(nowMs: number): ClimateMonth[] {
  const readings = Array.from(
    { length: READINGS_DAYS * 24 },
    (_, i) => nowMs - i * HOUR_MS,
  ).flatMap((atMs) => {
    const said = loggerReading(LOGGER_SEED, atMs);
    return said ? [{ atMs, ...said }] : [];
  });
  return takeHours({}, hoursOf(readings));
}

/** The paints of the demo studio: some nearly empty, one mixed by hand, one that says nothing of itself. */
function cabinet(): Cabinet {
  const base = starterCabinet();
  const stock: Record<string, [left: number, price: number]> = {
    'titanium-white': [0.35, 9.5],
    'yellow-ochre': [0.8, 7],
    'terre-verte': [0.02, 8.5],
    'transparent-oxide-red': [0.6, 8],
    'transparent-oxide-yellow': [0.9, 8],
    'ultramarine-blue': [1.4, 8],
    'cobalt-blue': [0.5, 21],
    'cadmium-red': [0.7, 19],
    'cadmium-yellow': [0.1, 18],
  };
  const paints = base.paints.map((paint) => {
    const [left, price] = stock[paint.pigments[0]!.pigment] ?? [1, 7];
    return { ...paint, left, price };
  });
  const own = { ...paints[0]!, oilWtPct: null, dryingFactor: null, price: null };
  return {
    ...base,
    revision: 1,
    paints: [
      ...paints,
      {
        ...own,
        id: 'demo-slate-grey',
        name: 'Slate grey, tubed by hand',
        pigments: [
          { pigment: 'titanium-white', parts: 6 },
          { pigment: 'ultramarine-blue', parts: 2 },
          { pigment: 'burnt-umber', parts: 1 },
        ],
        tubeMl: 60,
        left: 0.75,
      },
      {
        ...own,
        id: 'demo-student-white',
        name: 'Student white',
        extenderShare: 0.35,
        makeUpUnknown: true,
        tubeMl: 200,
        left: 0.9,
        price: 6,
      },
    ],
  };
}

/** The whole demo studio as an export file, as if it had been saved at `nowMs`. */
export function demoStudio(nowMs: number): ExportFile {
  const bare = netLoft(nowMs);
  const passage = (name: string) => bare.passages.find((p) => p.name === name)!.id;
  const loft = dated(bare, nowMs, 44, {
    edges: [{ between: [passage('rafters'), passage('window light')], intent: 'crisp' }],
  });
  const paintings = [
    withBothers(touched(quinces(nowMs), QUINCE_TOUCHES, nowMs), nowMs),
    dated(touched(ropewalk(nowMs), ROPE_TOUCHES, nowMs), nowMs, 24, { milestone: 'travel' }),
    loft,
    kiln(nowMs),
    hands(nowMs),
    plums(nowMs),
    lane(nowMs),
  ];
  const studio = {
    ...NEW_STUDIO,
    climate: { ...NEW_STUDIO.climate, temperatureC: 18.5, relativeHumidityPct: 56 },
    paintingOrder: paintings.map((p) => p.id),
  };
  return exportFile('studio', paintings, studio, new Date(nowMs).toISOString(), cabinet(), {
    sessions: demoSessions(paintings, nowMs),
    climate: climate(nowMs),
    plan: demoPlan(paintings),
  });
}
