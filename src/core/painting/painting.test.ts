import { METHOD_KEYS } from '@/data/method-keys';
import { METHODS } from '@/data/methods';
import { composition } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { part, recipe, tube } from '../tests/recipes';
import {
  DAY,
  INPUT,
  isoDaysAgo,
  making,
  newPainting,
  NOW,
  NOW_MS,
  optionsAt,
  stackOf,
} from '../tests/paintings';
import { refusal as code } from '../tests/refusal';
import {
  assessPainting,
  liftsAt,
  openAt,
  mergePaintings,
  plannedCoats,
  stairWidth,
  topLaid,
  unlaidPassages,
  verdictOf,
  type Painting,
} from '.';
import { paintingSchema } from './schema';
import { addCoat, changeCoat, moveCoat, removeCoat } from './coats';
import { layCoat, reduceFilm, withoutEvent } from './events';
import { startPainting } from './start';

const WHITE = [tube('titanium-white')];
const assess = (p: Painting, nowMs = NOW_MS) => assessPainting(p, optionsAt(nowMs));
const base = (p: Painting, i = 0, nowMs = NOW_MS) => assess(p, nowMs).passages[i]!.base;
const ids = (p: Painting) => p.passages.map((x) => x.id);
const lay = (
  p: Painting,
  coatId: string,
  at: string,
  more: Partial<Parameters<typeof layCoat>[1]> = {},
) =>
  layCoat(
    p,
    { coatId, passageIds: ids(p), at, spot: null, intoWet: false, ...more },
    { now: NOW, newId: () => `e${p.events.length}` },
  );

describe('methods', () => {
  const ground = (key: (typeof METHOD_KEYS)[number]) =>
    METHODS[key].ground === 'old-painting'
      ? ({ kind: 'old-painting', paintedAt: isoDaysAgo(4000) } as const)
      : INPUT.ground;

  test.each(METHOD_KEYS)(
    '%s lays out a valid plan for every passage that its own school passes',
    (key) => {
      const p = newPainting({ method: key, ground: ground(key) });
      expect(paintingSchema.safeParse(p).error).toBeUndefined();
      for (const passage of p.passages)
        expect(plannedCoats(p, passage.id).length).toBeGreaterThanOrEqual(
          key === 'own-way' ? 0 : 3,
        );
      for (const { base: stack } of assess(p).passages) {
        for (const layer of stack.layers) {
          const v = verdictOf(layer, p.school);
          expect([layer.film.name, v?.verdict === 'fail' || v?.verdict === 'caution']).toEqual([
            layer.film.name,
            false,
          ]);
          expect(
            layer.findings.filter((f) => f.severity === 'forbid' && f.rule !== 'zinc-below'),
          ).toEqual([]);
        }
      }
    },
  );

  test('the alkyd method never goes above a quarter of medium', () => {
    const p = newPainting({ method: 'alkyd-three-stage' });
    for (const coat of p.coats) expect(coat.recipe.mediumShare).toBeLessThanOrEqual(0.25);
  });

  test('an old painting needs its method and refuses acrylic', () => {
    expect(code(() => newPainting({ method: 'over-old-oil' }))).toBe('ground-refused');
    const old = { kind: 'old-painting', paintedAt: isoDaysAgo(900) } as const;
    expect(code(() => newPainting({ ground: old, method: 'acrylic-under' }))).toBe(
      'ground-refused',
    );
    expect(
      code(() =>
        newPainting({
          ground: { kind: 'oil-ground', laidAt: isoDaysAgo(40) },
          method: 'acrylic-under',
        }),
      ),
    ).toBe('ground-refused');
    expect(
      code(() => newPainting({ ground: { kind: 'oil-ground', laidAt: isoDaysAgo(-3) } })),
    ).toBe('date-in-future');
  });

  test('over an old painting the first film cannot be judged, and says so', () => {
    const p = newPainting({
      method: 'over-old-oil',
      ground: { kind: 'old-painting', paintedAt: isoDaysAgo(4000) },
    });
    const first = base(p).layers[0]!;
    expect(first.film.name).toBe('Block-in');
    expect(first.film.merged).toBe(true);
    // It waits as the couch does, and has missed nothing.
    expect(first.onto).toBe('touch-dry');
    expect(first.pair!.missedWet).toBe(false);
    expect(verdictOf(first, 'total-oil')?.reason).toBe('oil-unknown');
  });
});

describe('bad paintings name the field', () => {
  const issues = (p: unknown) =>
    paintingSchema.safeParse(p).error?.issues.map((i) => `${i.path.join('.')}: ${i.message}`) ?? [];
  const p = newPainting();
  test.each<[string, object, RegExp]>([
    ['no title', { title: ' ' }, /^title: Needs a title/],
    [
      'no size',
      { support: { ...p.support, widthMm: 0 } },
      /^support.widthMm: A side must be at least 2 cm/,
    ],
    ['a ground of nothing', { ground: { kind: 'thin air' } }, /^ground.*must be acrylic gesso/],
    [
      'half a coat of gesso',
      { ground: { kind: 'acrylic-gesso', coats: 1.5 } },
      /^ground.coats: .*whole/,
    ],
    ['no passage', { passages: [] }, /^passages: At least one/],
    [
      'shares of 93 %',
      { passages: [{ ...p.passages[0]!, share: 0.33 }, p.passages[1]!] },
      /^passages: The shares make 93 %/,
    ],
    [
      'one name twice',
      { passages: p.passages.map((x) => ({ ...x, name: 'wall' })) },
      /^passages.1.name: Two passages are called "wall"/,
    ],
    [
      'a coat of an unknown passage',
      { coats: [{ ...p.coats[0]!, passageIds: ['nowhere'] }] },
      /^coats.0.passageIds: Names the passage "nowhere"/,
    ],
  ])('%s', (_, change, expected) => {
    expect(issues({ ...p, ...change }).some((line) => expected.test(line))).toBe(true);
  });
});

describe('coats become films', () => {
  const two = stackOf([recipe(WHITE, 0, [], 40), recipe(WHITE, 0.1, [part('stand-oil')], 30)]);

  test('wet into wet is one film with one clock; volumes add', () => {
    let p = lay(two, 'c0', isoDaysAgo(0.3));
    p = lay(p, 'c1', isoDaysAgo(0.1), { intoWet: true });
    const { layers } = base(p);
    expect(layers).toHaveLength(1);
    const [film] = layers;
    expect(film!.film.thicknessAsLaidUm).toBeCloseTo(70, 6);
    expect(film!.film.laidAtMs).toBe(NOW_MS - 0.1 * DAY);
    expect(film!.pair).toBeNull();
  });

  test('on a set coat it is a film of its own, and the one below goes on at half its rate', () => {
    const p = lay(lay(two, 'c0', isoDaysAgo(8)), 'c1', isoDaysAgo(1));
    const { layers } = base(p);
    expect(layers.map((l) => l.film.coatIds)).toEqual([['c0'], ['c1']]);
    expect(layers[0]!.coveredAtMs).toBe(NOW_MS - DAY);
    const free = base(lay(two, 'c0', isoDaysAgo(8))).layers[0]!;
    expect(layers[0]!.windows!.throughDry.p50!).toBeGreaterThan(free.windows!.throughDry.p50!);
  });

  test('paint laid into a fresh couch merges with it: about 61 % binder, named by the paint (common practice, no source)', () => {
    const couch = stackOf(
      [recipe([], 1, [part('linseed-refined')], 2), recipe(WHITE, 0, [], 40)],
      [{ role: 'oiling-out', name: 'Couch' }, { name: 'White' }],
    );
    const onOil: Painting = {
      ...couch,
      ground: { kind: 'old-painting', paintedAt: isoDaysAgo(3000) },
    };
    const p = lay(lay(onOil, 'c0', isoDaysAgo(0.02)), 'c1', isoDaysAgo(0.01), { intoWet: true });
    const [film] = base(p).layers;
    expect(film!.film.name).toBe('White');
    expect(composition(STUDIO_HANDBOOK, film!.kept).fatness).toBeCloseTo(0.61, 1);
  });

  test('the path is per passage: a coat on one passage does not count on another', () => {
    const [jars, wall] = ids(two) as [string, string];
    const p = lay(two, 'c0', isoDaysAgo(3), { passageIds: [jars] });
    expect(topLaid(base(p, 0))).not.toBeNull();
    expect(topLaid(base(p, 1))).toBeNull();
    expect(unlaidPassages(p, p.coats[0]!)).toEqual([wall]);
  });

  test('a spot is judged on what lies under it and does not become the top of its passage', () => {
    let p = lay(two, 'c0', isoDaysAgo(9));
    p = lay(p, 'c1', isoDaysAgo(1), {
      passageIds: [ids(p)[0]!],
      spot: { name: 'Highlights', share: 0.05 },
    });
    const jars = assess(p).passages[0]!;
    expect(topLaid(jars.base)!.film.coatIds).toEqual(['c0']);
    expect(jars.spots).toHaveLength(1);
    expect(topLaid(jars.spots[0]!)!.film.coatIds).toEqual(['c1']);
    expect(verdictOf(topLaid(jars.spots[0]!)!, 'total-oil')!.verdict).toBe('ok');
  });

  test('a later full coat lies on the passage and on its spot alike', () => {
    let p = lay(two, 'c0', isoDaysAgo(9), {
      passageIds: [ids(two)[0]!],
      spot: { name: 'nose', share: 0.1 },
    });
    p = lay(p, 'c1', isoDaysAgo(1), { passageIds: [ids(two)[0]!] });
    const jars = assess(p).passages[0]!;
    expect(jars.base.layers.filter((l) => !l.planned).map((l) => l.film.coatIds)).toEqual([['c1']]);
    expect(jars.spots[0]!.layers.map((l) => l.film.coatIds)).toEqual([['c0'], ['c1']]);
  });

  test('wiped back: a trace is left and dries sooner', () => {
    const p = lay(two, 'c0', isoDaysAgo(0.2));
    const wiped = reduceFilm(
      p,
      { passageId: ids(p)[0]!, spotName: null, at: isoDaysAgo(0.1), how: 'wiped', left: 'trace' },
      making(),
    );
    expect(base(wiped).layers[0]!.film.thicknessAsLaidUm).toBeCloseTo(2, 6);
    expect(base(wiped).layers[0]!.times.touch.median).toBeLessThan(
      base(p).layers[0]!.times.touch.median,
    );
    expect(base(wiped, 1).layers[0]!.film.thicknessAsLaidUm).toBeCloseTo(40, 6);
  });

  test('painted out: the film stays and a covering coat is put first in the plan', () => {
    const p = lay(two, 'c0', isoDaysAgo(5));
    const out = reduceFilm(
      p,
      { passageId: ids(p)[0]!, spotName: null, at: NOW, how: 'painted-out', left: 'all' },
      making(),
    );
    expect(plannedCoats(out, ids(p)[0]!).map((c) => c.name)).toEqual(['Cover', 'Coat 2']);
    expect(plannedCoats(out, ids(p)[1]!).map((c) => c.name)).toEqual(['Coat 2']);
    expect(base(out).layers[0]!.film.paintedOut).toBe(true);
    expect(paintingSchema.safeParse(out).success).toBe(true);
  });

  test('what was laid keeps its recipe when the plan changes, unless the record is corrected', () => {
    const p = lay(two, 'c0', isoDaysAgo(3));
    const thicker = { ...p.coats[0]!, recipe: recipe(WHITE, 0, [], 90) };
    expect(
      base(changeCoat(p, thicker, false, making())).layers[0]!.film.thicknessAsLaidUm,
    ).toBeCloseTo(40, 6);
    expect(
      base(changeCoat(p, thicker, true, making())).layers[0]!.film.thicknessAsLaidUm,
    ).toBeCloseTo(90, 6);
    expect(base(removeCoat(p, 'c0', making())).layers[0]!.film.thicknessAsLaidUm).toBeCloseTo(
      40,
      6,
    );
  });

  test('a hungry ground takes oil from the first coat only, and the thickness after it is told', () => {
    const p = stackOf([recipe([tube('raw-umber')], 0, [], 10), recipe(WHITE, 0, [], 40)]);
    const [first, second] = base(p).layers;
    // Oil of the tube: 0.76 of 10 um; acrylic gesso drinks 2 um of it.
    expect(first!.thicknessUm).toBeCloseTo(8, 1);
    expect(second!.thicknessUm).toBeCloseTo(40, 6);
    expect(first!.composition.addedOilRatio).toBe(0);
  });

  test('a thin couch left to dry does not break the rule; a thick one does', () => {
    const couch = (um: number) =>
      stackOf(
        [
          recipe(WHITE, 0.15, [part('stand-oil')], 50),
          recipe([], 1, [part('linseed-refined'), part('mineral-spirits')], um),
          recipe(WHITE, 0.2, [part('stand-oil')], 40),
        ],
        [{}, { role: 'oiling-out', name: 'Couch' }, {}],
      );
    const thin = base(couch(2)).layers[2]!;
    expect(thin.pair!.overThinCouch).toBe(true);
    expect(verdictOf(thin, 'total-oil')!.verdict).toBe('ok');
    expect(verdictOf(base(couch(12)).layers[2]!, 'total-oil')!.verdict).toBe('fail');
  });

  test('an oil ground is the lowest film of the path; gesso is none', () => {
    const oil: Painting = { ...two, ground: { kind: 'oil-ground', laidAt: isoDaysAgo(60) } };
    expect(base(oil).layers.map((l) => l.film.name)).toEqual(['Oil ground', 'Coat 1', 'Coat 2']);
    expect(base(oil).layers[1]!.pair!.againstName).toBe('Oil ground');
    expect(base(two).layers[0]!.pair).toBeNull();
  });

  test('whether paint went into the wet is judged at the time it was laid', () => {
    const top = base(lay(two, 'c0', isoDaysAgo(5))).layers[0]!;
    const laid = NOW_MS - 5 * DAY;
    expect(openAt(top, laid - 1)).toBe(false);
    expect(openAt(top, laid + 0.1 * DAY)).toBe(true);
    expect(openAt(top, NOW_MS)).toBe(false);
    expect(liftsAt(top, laid + 2 * DAY)).toBe(true);
    expect(liftsAt(top, laid + 0.1 * DAY)).toBe(false);
    expect(liftsAt(top, NOW_MS)).toBe(false);
  });

  test('a planned coat into an open film is one film with it; once set, it has missed the wet', () => {
    const p = stackOf(
      [recipe(WHITE, 0.3, [part('stand-oil')], 40), recipe(WHITE, 0, [], 40)],
      [{}, { onto: 'wet' }],
    );
    const open = base(lay(p, 'c0', isoDaysAgo(0.1))).layers[1]!;
    expect(open.pair!.intoOpen).toBe(true);
    expect(verdictOf(open, 'total-oil')).toBeNull();
    const late = base(lay(p, 'c0', isoDaysAgo(20))).layers[1]!;
    expect(late.pair!.missedWet).toBe(true);
    expect(verdictOf(late, 'total-oil')!.verdict).toBe('fail');
  });

  test('the stair of the chosen school widens where it passes', () => {
    const p = newPainting({ method: 'acrylic-under' });
    const widths = base(p)
      .layers.filter((l) => !l.kept.acrylic)
      .map((l) => stairWidth(l, p.school)!);
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
  });
});

describe('entries that are refused change nothing', () => {
  const p = newPainting();
  const coat = p.coats[0]!;
  const passageIds = coat.passageIds;
  const attempt = (more: object) => () =>
    layCoat(
      p,
      { coatId: coat.id, passageIds, at: NOW, spot: null, intoWet: false, ...more },
      making(),
    );
  test.each<[string, object, string]>([
    ['tomorrow', { at: isoDaysAgo(-1) }, 'date-in-future'],
    ['no date', { at: 'soon' }, 'date-invalid'],
    ['no passage', { passageIds: [] }, 'not-covered'],
    ['a passage the coat does not cover', { passageIds: [p.passages[1]!.id] }, 'not-covered'],
    ['an unknown passage', { passageIds: ['attic'] }, 'unknown-passage'],
    ['an unknown coat', { coatId: 'nothing' }, 'unknown-coat'],
    ['a spot without a name', { spot: { name: ' ', share: 0.1 } }, 'spot-name-empty'],
    ['a spot of 140 %', { spot: { name: 'nose', share: 1.4 } }, 'spot-share-range'],
  ])('%s', (_, more, expected) => {
    const before = JSON.stringify(p);
    expect(code(attempt(more))).toBe(expected);
    expect(JSON.stringify(p)).toBe(before);
  });

  test('before its oil ground, or wiping what is not there', () => {
    const oil: Painting = { ...p, ground: { kind: 'oil-ground', laidAt: isoDaysAgo(2) } };
    expect(
      code(() =>
        layCoat(
          oil,
          { coatId: coat.id, passageIds, at: isoDaysAgo(3), spot: null, intoWet: false },
          making(),
        ),
      ),
    ).toBe('order');
    expect(
      code(() =>
        reduceFilm(
          p,
          { passageId: passageIds[0]!, spotName: null, at: NOW, how: 'wiped', left: 'half' },
          making(),
        ),
      ),
    ).toBe('nothing-there');
  });
});

describe('changing the plan', () => {
  const p = newPainting();
  test('a coat moves among the coats of its passages, and stops at the ends', () => {
    const [first] = plannedCoats(p, p.passages[0]!.id);
    const up = moveCoat(p, first!.id, 1, making());
    expect(plannedCoats(up, p.passages[0]!.id)[1]!.id).toBe(first!.id);
    expect(plannedCoats(up, p.passages[1]!.id).map((c) => c.id)).toEqual(
      plannedCoats(p, p.passages[1]!.id).map((c) => c.id),
    );
    expect(moveCoat(p, first!.id, -1, making())).toBe(p);
  });

  test('added after another, taken out, taken back', () => {
    const extra = { ...p.coats[0]!, id: 'extra', name: 'Extra' };
    const more = addCoat(p, extra, p.coats[0]!.id, making());
    expect(more.coats[1]!.name).toBe('Extra');
    expect(removeCoat(more, 'extra', making()).coats).toEqual(p.coats);
    const laid = layCoat(
      p,
      {
        coatId: p.coats[0]!.id,
        passageIds: p.coats[0]!.passageIds,
        at: NOW,
        spot: null,
        intoWet: false,
      },
      making(),
    );
    expect(withoutEvent(laid, laid.events[0]!.id, making()).events).toEqual([]);
    expect(laid.revision).toBe(p.revision + 1);
  });

  test('two tabs that both wrote lose nothing', () => {
    const mine = addCoat(p, { ...p.coats[0]!, id: 'mine' }, null, making());
    const theirs = {
      ...addCoat(
        removeCoat(p, p.coats[1]!.id, making()),
        { ...p.coats[0]!, id: 'theirs' },
        null,
        making(),
      ),
      title: 'Renamed',
    };
    const merged = mergePaintings(p, mine, theirs);
    const got = merged.coats.map((c) => c.id);
    expect(got).toContain('mine');
    expect(got).toContain('theirs');
    expect(got).not.toContain(p.coats[1]!.id);
    expect(merged.title).toBe('Renamed');
    expect(merged.revision).toBeGreaterThan(Math.max(mine.revision, theirs.revision));
  });
});

test('startPainting gives every passage its palette and all pairs touch', () => {
  const p = startPainting(
    {
      ...INPUT,
      passages: [
        { name: 'a', share: 0.3 },
        { name: 'b', share: 0.3 },
        { name: 'c', share: 0.4 },
      ],
    },
    making(),
  );
  expect(p.touches).toHaveLength(3);
  const body = p.coats
    .filter((c) => c.name === 'Block-in')
    .map((c) => JSON.stringify(c.recipe.mix));
  expect(new Set(body).size).toBe(3);
});
