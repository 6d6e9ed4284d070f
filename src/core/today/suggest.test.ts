import { CLEANING_MINUTES } from '@/data/pace';
import { assessPainting, type Painting } from '../painting';
import { USUAL_DEADLINE } from '../painting/deadline';
import { layCoat } from '../painting/events';
import { touchFilm } from '../painting/touch';
import { isoDaysAgo, making, NOW_MS, optionsAt, stackOf } from '../tests/paintings';
import { FLESH, part, recipe, tube } from '../tests/recipes';
import { USUAL_PACE } from '../session/pace';
import { suggestSession } from './suggest';
import { worthATouch } from './worth';
import { today } from '.';

const rowsOf = (...paintings: Painting[]) =>
  today(
    paintings.map((p) => assessPainting(p, optionsAt())),
    NOW_MS,
  );
const named = (p: Painting, id: string): Painting => ({ ...p, id, title: id });
const lay = (p: Painting, i: number, daysAgo: number): Painting =>
  layCoat(
    p,
    {
      coatId: p.coats[i]!.id,
      passageIds: p.coats[i]!.passageIds,
      at: isoDaysAgo(daysAgo),
      spot: null,
      intoWet: false,
    },
    making(),
  );
const STAND = [part('stand-oil'), part('mineral-spirits')];

/** Open paint that another coat is meant to go into. */
const open = lay(
  named(
    stackOf([recipe(FLESH), recipe(FLESH, 0, [], 20)], [{}, { onto: 'wet', role: 'glaze' }]),
    'open',
  ),
  0,
  0.05,
);
const slowTone = named(
  stackOf([recipe([tube('ivory-black', 1, 'poppy')], 0.2, STAND, 30)], [{ role: 'tone' }]),
  'slow',
);
const quick = named(
  stackOf([recipe([tube('raw-umber')], 0, [], 10)], [{ role: 'block-in' }]),
  'quick',
);
const sameMedium = named(
  stackOf([recipe([tube('cadmium-red')], 0.2, STAND, 20)], [{ role: 'glaze' }]),
  'same',
);

test('open paint first, then the longest wait, then what keeps the medium on the palette; time left to clean', () => {
  const s = suggestSession(rowsOf(quick, sameMedium, slowTone, open), 12 * 60);
  expect(s.works.map((w) => w.cluster.row.painting.id).slice(0, 2)).toEqual(['open', 'slow']);
  expect(s.works[0]!.reason).toBe('open-paint');
  expect(s.works[1]!.reason).toBe('longest-wait');
  expect(s.cleaningMinutes).toBe(CLEANING_MINUTES);
  const used = s.works.reduce((sum, w) => sum + w.minutes, 0);
  expect(used + s.cleaningMinutes + s.spareMinutes).toBe(12 * 60);
  expect(s.works.map((w) => w.cluster.row.painting.id).sort()).toEqual([
    'open',
    'quick',
    'same',
    'slow',
  ]);
});

test('what does not fit is left out, or begun where it may be left half done', () => {
  const short = suggestSession(rowsOf(slowTone), CLEANING_MINUTES + 15);
  expect(short.works).toEqual([]);
  expect(short.spareMinutes).toBe(15);
  const part = suggestSession(rowsOf(quick), CLEANING_MINUTES + 40);
  expect(part.works.map((w) => [w.part, w.minutes])).toEqual([[true, 40]]);
  expect(suggestSession(rowsOf(quick), 5).works).toEqual([]);
});

test('open paint with nothing meant to go into it is not asked for', () => {
  const left = lay(named(stackOf([recipe(FLESH), recipe(FLESH)]), 'left'), 0, 0.05);
  expect(suggestSession(rowsOf(left), 240).works).toEqual([]);
});

test('a couch and the paint that goes into it are one work', () => {
  const couched = named(
    stackOf(
      [recipe([], 1, [part('linseed-refined')], 5), recipe(FLESH, 0, [], 40)],
      [{ role: 'oiling-out' }, { role: 'overpainting', onto: 'wet' }],
    ),
    'couched',
  );
  const { works } = suggestSession(rowsOf(couched), 12 * 60);
  expect(works.map((w) => [w.coat.role, ...w.into.map((c) => c.role)])).toEqual([
    ['oiling-out', 'overpainting'],
  ]);
  const [work] = works;
  expect(work!.minutesEach).toHaveLength(2);
  expect(work!.minutes).toBe(work!.minutesEach[0]! + work!.minutesEach[1]!);
  // It is begun and ended in one go, so that it is not offered where only a part of it fits.
  expect(suggestSession(rowsOf(couched), CLEANING_MINUTES + work!.minutes - 5).works).toEqual([]);
  // Paint that goes into other paint is a work of its own.
  const wet = named(
    stackOf([recipe(FLESH), recipe(FLESH, 0, [], 20)], [{}, { onto: 'wet' }]),
    'wet',
  );
  expect(suggestSession(rowsOf(wet), 12 * 60).works.map((w) => w.into)).toEqual([[]]);
});

test('passages come in their own order where the painter wants it', () => {
  const apart = (inOrder: boolean): Painting => {
    const p = named(stackOf([recipe(FLESH), recipe(FLESH)]), 'ordered');
    // The second passage has been dry for longer.
    const [first, second] = p.passages.map(({ id }) => id) as [string, string];
    const on = (q: Painting, id: string, daysAgo: number) =>
      layCoat(
        q,
        {
          coatId: q.coats[0]!.id,
          passageIds: [id],
          at: isoDaysAgo(daysAgo),
          spot: null,
          intoWet: false,
        },
        making(),
      );
    return {
      ...on(on(p, second, 60), first, 40),
      planning: { ...USUAL_DEADLINE, ...(inOrder ? { inOrder } : {}) },
    };
  };
  const order = (inOrder: boolean) => {
    const rows = rowsOf(apart(inOrder));
    return [
      rows['takes-a-coat'].map((r) => r.passage.name),
      suggestSession(rows, 12 * 60).works.flatMap((w) => w.cluster.passages.map((p) => p.name)),
    ];
  };
  const names = apart(true).passages.map((p) => p.name);
  expect(order(true)).toEqual([names, names]);
  expect(order(false)[0]).toEqual([...names].reverse());
});

test('a faster hand does more in the same time', () => {
  const minutes = (pace: typeof USUAL_PACE) =>
    suggestSession(rowsOf(quick), 600, pace).works[0]!.minutes;
  expect(minutes({ ...USUAL_PACE, 'block-in': 0.5 * USUAL_PACE['block-in'] })).toBeLessThan(
    minutes(USUAL_PACE),
  );
});

test('a touch is offered where it may be dry or not, never on open paint or an old film', () => {
  const maybe = lay(named(stackOf([recipe(FLESH), recipe(FLESH)]), 'maybe'), 0, 3.2);
  const old = lay(named(stackOf([recipe(FLESH), recipe(FLESH)]), 'old'), 0, 60);
  const rows = rowsOf(maybe, old, open);
  const offered = worthATouch(
    [...rows['still-open'], ...rows['leave-alone'], ...rows['takes-a-coat']],
    null,
    NOW_MS,
  );
  expect(new Set(offered.map((w) => w.row.painting.id))).toEqual(new Set(['maybe']));
  // Touched just now it tells nothing more; half a day later it does.
  const touched = (hoursAgo: number) =>
    touchFilm(
      maybe,
      {
        passageId: maybe.passages[0]!.id,
        spotName: null,
        at: isoDaysAgo(hoursAgo / 24),
        finding: 'tacky',
        twistMarks: false,
      },
      making(),
    );
  const names = (p: Painting) => {
    const now = rowsOf(p);
    const all = [...now['leave-alone'], ...now['takes-a-coat']];
    return worthATouch(all, null, NOW_MS).map((w) => w.row.passage.name);
  };
  const [first, second] = maybe.passages.map((p) => p.name);
  expect(names(touched(1))).toEqual([second]);
  expect(names(touched(24)).sort()).toEqual([first, second].sort());
});

describe('where there is a plan', () => {
  const at = (p: Painting, i: number, hours: number) => ({
    id: `${p.id}/${p.coats[i]!.id}`,
    atMs: NOW_MS + hours * 3_600_000,
  });

  test('what it has for the day comes first, in its order; only paint that closes goes before it', () => {
    const rows = rowsOf(quick, sameMedium, slowTone, open);
    const plan = [at(sameMedium, 0, 1), at(quick, 0, 2)];
    const s = suggestSession(rows, 12 * 60, USUAL_PACE, plan);
    expect(s.works.map((w) => [w.cluster.row.painting.id, w.reason])).toEqual([
      ['open', 'open-paint'],
      ['same', 'planned'],
      ['quick', 'planned'],
      ['slow', 'fits'],
    ]);
    expect(s.departures).toEqual([]);
  });

  test('what it has and cannot be is told: not ready yet, or no time for it', () => {
    const tacky = lay(
      named(
        stackOf([recipe(FLESH), recipe(FLESH, 0.5, STAND, 15)], [{}, { role: 'glaze' }]),
        'tacky',
      ),
      0,
      2.5,
    );
    const plan = [at(tacky, 1, 1), { ...at(slowTone, 0, 2), id: `${at(slowTone, 0, 2).id}#2` }];
    const s = suggestSession(rowsOf(tacky, slowTone), CLEANING_MINUTES, USUAL_PACE, plan);
    expect(s.works).toEqual([]);
    expect(s.departures.map((d) => [d.row.painting.id, d.why, d.passages.length]).sort()).toEqual([
      ['slow', 'no-time', 2],
      ['tacky', 'not-ready', 2],
    ]);
    // Of another day's plan nothing is said.
    expect(suggestSession(rowsOf(tacky), 60, USUAL_PACE, []).departures).toEqual([]);
  });
});

describe('a soft edge', () => {
  const body = recipe(FLESH, 0, [], 60);
  const edged = (laidAgo: number | null): Painting => {
    const p = stackOf([body, body], [{ name: 'Jars' }, { name: 'Wall' }]);
    const [jars, wall] = p.passages;
    const painting: Painting = {
      ...p,
      coats: [
        { ...p.coats[0]!, passageIds: [jars!.id] },
        { ...p.coats[1]!, passageIds: [wall!.id] },
      ],
      planning: { ...USUAL_DEADLINE, edges: [{ between: [jars!.id, wall!.id], intent: 'soft' }] },
    };
    return laidAgo === null ? painting : lay(painting, 0, laidAgo);
  };
  const wallRow = (p: Painting) =>
    rowsOf(p)['takes-a-coat'].find((r) => r.passage.name === 'wall')!;

  test('while its neighbour is open it is told till when, and comes first', () => {
    const p = edged(0.3);
    const [near] = wallRow(p).soft;
    expect(near!.name).toBe('jars');
    expect(near!.openUntilMs!).toBeGreaterThan(NOW_MS);
    expect(rowsOf(p)['still-open'][0]!.awaited).toEqual(['wall']);
    const { works } = suggestSession(rowsOf(p, slowTone), 600);
    expect([works[0]!.coat.name, works[0]!.reason]).toEqual(['Wall', 'soft-edge']);
  });

  test('two days later the neighbour has set: the strip along it is to be wetted', () => {
    expect(wallRow(edged(4)).soft).toEqual([{ name: 'jars', openUntilMs: null }]);
    // Nothing lies there yet, or no such edge is meant: nothing is said.
    expect(wallRow(edged(null)).soft).toEqual([]);
    expect(wallRow({ ...edged(4), planning: USUAL_DEADLINE }).soft).toEqual([]);
  });
});

describe('what dries within the hours', () => {
  const WATER = [part('water')];
  const acrylic = (thicknessUm: number) =>
    recipe([tube('burnt-umber', 1, 'acrylic')], 0.3, WATER, thicknessUm);
  const later = {
    nowMs: NOW_MS,
    rowsAt: (p: Painting, nowMs: number) => today([assessPainting(p, optionsAt(nowMs))], nowMs),
  };
  const picture = (second: ReturnType<typeof recipe>): Painting =>
    named(
      stackOf(
        [acrylic(8), second],
        [
          { role: 'tone', minutes: 20 },
          { role: 'underpainting', minutes: 40 },
        ],
      ),
      'acrylic',
    );
  const coats = (p: Painting, hours: number, on: typeof later | null = later) =>
    suggestSession(rowsOf(p), hours * 60, USUAL_PACE, [], on).works;

  test('an acrylic tone takes the next coat of acrylic in the same evening, after its wait', () => {
    const [first, second, ...more] = coats(picture(acrylic(10)), 4);
    expect(more).toEqual([]);
    expect(first!.coat.role).toBe('tone');
    expect(second).toMatchObject({ reason: 'dries-within', minutes: 40 });
    // Laid and looked at then, Today lets the second coat on no sooner and no later.
    const laidAt = NOW_MS + 20 * 60_000;
    const now = new Date(laidAt).toISOString();
    const painting = picture(acrylic(10));
    const laid = layCoat(
      painting,
      {
        coatId: painting.coats[0]!.id,
        passageIds: painting.coats[0]!.passageIds,
        at: now,
        spot: null,
        intoWet: false,
      },
      { ...making(), now },
    );
    const groupAfter = (minutes: number) => {
      const rows = later.rowsAt(laid, laidAt + minutes * 60_000);
      return rows['takes-a-coat'].length;
    };
    expect(second!.waitMinutes).toBeGreaterThan(0);
    expect(groupAfter(second!.waitMinutes - 1)).toBe(0);
    expect(groupAfter(second!.waitMinutes)).toBe(2);
  });

  test('charcoal is dusted off and the tone laid on it in the same hours', () => {
    const drawn = named(
      stackOf(
        [
          { ...recipe([], 0, [], 1), material: 'charcoal' as const },
          recipe([tube('burnt-umber')], 0.5, STAND, 8),
        ],
        [
          { role: 'drawing', minutes: 30 },
          { role: 'tone', minutes: 20 },
        ],
      ),
      'drawn',
    );
    expect(coats(drawn, 2).map((w) => [w.coat.role, w.reason])).toEqual([
      ['drawing', 'fits'],
      ['tone', 'dries-within'],
    ]);
  });

  test('not where the hours do not reach, where it is oil below, or where nobody asks', () => {
    expect(coats(picture(acrylic(10)), 1.1)).toHaveLength(1);
    expect(coats(picture(acrylic(10)), 4, null)).toHaveLength(1);
    const oil = named(
      stackOf(
        [recipe([tube('burnt-umber')], 0.3, STAND, 8), recipe(FLESH)],
        [{ role: 'tone' }, {}],
      ),
      'oil',
    );
    expect(coats(oil, 6)).toHaveLength(1);
  });
});
