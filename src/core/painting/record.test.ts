import fc from 'fast-check';
import { dryVolume } from '../film';
import { DAY, isoDaysAgo, making, NOW, NOW_MS, optionsAt, stackOf } from '../tests/paintings';
import { refusal } from '../tests/refusal';
import { FLESH, part, recipe, tube } from '../tests/recipes';
import { today } from '../today';
import { assessPainting, isBegun, isLaid, shareToLay, type Painting, type Spot } from '.';
import { settleLater } from './hour';
import { correctEntry, implausible, recordWithout } from './correct';
import { dabOf, likeCoat } from './improvise';
import { leaveRest, recordLaying, recordRemoval, type LayingEntry } from './record';
import { layAlso, recordNewCoat } from './record-new';
import { paintingSchema } from './schema';

const HOUR = DAY / 24;
const hoursAgo = (hours: number): string => new Date(NOW_MS - hours * HOUR).toISOString();
const WHITE = [tube('titanium-white')];
const plan = stackOf([recipe(FLESH), recipe(WHITE, 0.2, [part('linseed-refined')], 40)]);
const [jars, wall] = plan.passages.map((p) => p.id) as [string, string];
const options = optionsAt();

const lay = (painting: Painting, entry: Partial<LayingEntry>): Painting =>
  recordLaying(
    painting,
    { coatId: 'c0', passageIds: [jars], at: NOW, spot: null, ...entry },
    options,
    making(),
  );
const half = (name: string): Spot => ({ name, share: 0.5 });

/** What lies where: every site with its films, whatever the entries are called. */
const films = (painting: Painting) =>
  assessPainting(painting, options).passages.map(({ base, spots }) =>
    [base, ...spots].map((stack) => [
      stack.site.spotName,
      stack.layers.map((l) => [
        l.film.coatIds.join('+'),
        l.film.laidAtMs,
        dryVolume(l.film.asLaid).toFixed(6),
      ]),
    ]),
  );
const laidFilm = (painting: Painting, i = 0) =>
  assessPainting(painting, options).passages[i]!.base.layers.filter((l) => !l.planned);

describe('a coat in parts', () => {
  test('half of it leaves the rest planned, each with its own clock', () => {
    const begun = lay(plan, { at: isoDaysAgo(3), spot: half('left half') });
    const coat = begun.coats[0]!;
    expect([isLaid(begun, coat, jars), isBegun(begun, coat, jars)]).toEqual([false, true]);
    expect(shareToLay(begun, coat, jars)).toBeCloseTo(0.5, 12);
    const rows = Object.values(today([assessPainting(begun, options)], NOW_MS)).flat();
    const jarsRows = rows.filter((r) => r.passage.id === jars);
    // The rest takes the same coat; the half that lies there dries, and is told of.
    expect(jarsRows.map((r) => [r.spotName, r.next?.film.name, r.rest])).toEqual(
      expect.arrayContaining([[null, 'Coat 1', true]]),
    );
    const done = lay(begun, { at: hoursAgo(1) });
    expect(isLaid(done, done.coats[0]!, jars)).toBe(true);
    // Three days later the first half had set: two films side by side.
    const [passage] = assessPainting(done, options).passages;
    expect(passage!.base.layers[0]!.film.laidAtMs).toBe(NOW_MS - HOUR);
    expect(passage!.spots[0]!.layers[0]!.film.laidAtMs).toBe(NOW_MS - 3 * DAY);
    expect(paintingSchema.safeParse(done).success).toBe(true);
  });

  test('parts that were all open are one film, the film of the whole', () => {
    const parts = lay(
      lay(lay(plan, { at: hoursAgo(4), spot: { name: 'top', share: 0.3 } }), {
        at: hoursAgo(3),
        spot: { name: 'middle', share: 0.3 },
      }),
      { at: hoursAgo(2) },
    );
    const whole = lay(plan, { at: hoursAgo(2) });
    const [sites] = films(parts);
    const [[, film]] = films(whole)[0] as [[null, unknown]];
    // Where all is one film, it has one name, one clock and one body.
    sites!.forEach(([, here]) => expect(here).toEqual(film));
    const keys = assessPainting(parts, options).passages[0]!;
    expect(new Set([keys.base, ...keys.spots].map((s) => s.layers[0]!.film.key)).size).toBe(1);
  });

  test('the rest laid before the part is one film with it too, where it was open', () => {
    const rest = { at: hoursAgo(4) };
    const part_ = { at: hoursAgo(3), spot: half('left half') };
    // Entered the other way round: the part first, as it is noted, then the rest of an hour before.
    const late = lay(lay(plan, part_), rest);
    const event = late.events.find((e) => e.kind === 'laid' && e.spot !== null)!;
    expect(event).toMatchObject({ intoWet: false, joins: true });
    const { base, spots } = assessPainting(late, options).passages[0]!;
    for (const stack of [base, ...spots])
      expect(stack.layers[0]!.film.laidAtMs).toBe(NOW_MS - 3 * HOUR);
  });

  test.each([
    ['two halves by name', [half('left half'), half('right half')]],
    ['three thirds typed as 33 %', ['a', 'b', 'c'].map((name) => ({ name, share: 0.33 }))],
  ])('%s are all of it', (_what, spots) => {
    const done = spots.reduce((p, spot, i) => lay(p, { at: isoDaysAgo(30 - 9 * i), spot }), plan);
    expect(isLaid(done, done.coats[0]!, jars)).toBe(true);
    // The part laid last stands for the passage.
    expect(laidFilm(done)[0]!.film.laidAtMs).toBe(NOW_MS - (30 - 9 * (spots.length - 1)) * DAY);
  });

  test('a part is laid once; more of it goes into the wet or over the dry', () => {
    const wet = lay(plan, { at: hoursAgo(3), spot: half('left half') });
    const again = { at: hoursAgo(1), spot: half('left half') };
    expect(refusal(() => lay(lay(plan, { at: hoursAgo(3) }), { at: NOW }))).toBe('not-covered');
    expect(refusal(() => lay(plan, { more: 0.5 }))).toBe('not-covered');
    const more = lay(wet, { ...again, more: 0.5 });
    const [spot] = assessPainting(more, options).passages[0]!.spots;
    const laid = spot!.layers.filter((l) => !l.planned);
    expect(laid).toHaveLength(1);
    expect(laid[0]!.film.laidAtMs).toBe(NOW_MS - HOUR);
    expect(laid[0]!.film.thicknessAsLaidUm).toBeCloseTo(1.5 * plan.coats[0]!.recipe.thicknessUm, 6);
    expect(shareToLay(more, more.coats[0]!, jars)).toBeCloseTo(0.5, 12);
    const dry = lay(lay(plan, { at: isoDaysAgo(30) }), { at: NOW, more: 1 });
    expect(laidFilm(dry)).toHaveLength(2);
  });

  test('the rest can be left, and meant again', () => {
    const begun = lay(plan, { at: isoDaysAgo(3), spot: half('left half') });
    const left = leaveRest(begun, 'c0', [jars], true, making());
    expect(isLaid(left, left.coats[0]!, jars)).toBe(true);
    const back = leaveRest(left, 'c0', [jars], false, making());
    expect(back.coats).toEqual(begun.coats);
  });
});

describe('paint in hand and what comes off', () => {
  const dry = lay(plan, { at: isoDaysAgo(40), passageIds: [jars, wall] });
  const wipe = (painting: Painting, over: object = {}) =>
    recordRemoval(
      painting,
      {
        how: 'wiped',
        at: NOW,
        places: [{ passageId: jars, spotName: null, left: 'half' }],
        ...over,
      },
      options,
      making(),
    );

  test('set paint does not wipe off; it is scraped or sanded', () => {
    expect(refusal(() => wipe(dry))).toBe('paint-has-set');
    const scraped = wipe(dry, { how: 'scraped' });
    expect(laidFilm(scraped)[0]!.thicknessUm).toBeCloseTo(laidFilm(dry)[0]!.thicknessUm / 2, 6);
  });

  test('a wipe acts on the paint in hand, not on the dry film below', () => {
    const wiped = wipe(dry, {
      inHand: { coatId: 'c1', passageIds: [jars, wall], spot: null },
      places: [
        { passageId: jars, spotName: null, left: 'nothing' },
        { passageId: wall, spotName: null, left: 'trace' },
      ],
    });
    // Clean on the one, left behind it on the other; the dry film is as it was.
    expect(laidFilm(wiped, 0).map((l) => l.film.coatIds)).toEqual([['c0']]);
    expect(laidFilm(wiped, 0)[0]!.thicknessUm).toBe(laidFilm(dry, 0)[0]!.thicknessUm);
    expect(laidFilm(wiped, 1).map((l) => l.film.coatIds)).toEqual([['c0'], ['c1']]);
    expect(laidFilm(wiped, 1)[1]!.thicknessUm).toBeCloseTo(2, 1);
  });

  test('a part is wiped by a name of its own, and painted out with its cover', () => {
    const fresh = lay(plan, { at: hoursAgo(1) });
    const places = [
      { passageId: jars, spotName: 'around the lid', share: 0.2, left: 'trace' as const },
    ];
    const [part_] = assessPainting(wipe(fresh, { places }), options).passages[0]!.spots;
    expect([part_!.site.spotName, part_!.site.share]).toEqual(['around the lid', 0.2]);
    expect(part_!.layers[0]!.thicknessUm).toBeLessThan(0.1 * laidFilm(fresh)[0]!.thicknessUm);
    const out = wipe(dry, { how: 'painted-out', places });
    expect(out.coats.find((c) => c.name === 'Cover')!.spot).toEqual({
      name: 'around the lid',
      share: 0.2,
    });
    const row = today([assessPainting(out, options)], NOW_MS)['takes-a-coat'].find(
      (r) => r.spotName === 'around the lid',
    );
    expect(row?.next?.film.name).toBe('Cover');
  });
});

describe('in whatever order it is entered', () => {
  test('a forgotten coat, entered four days later, lies under the one that went into it', () => {
    const late = lay(lay(plan, { coatId: 'c1', at: isoDaysAgo(4) }), {
      coatId: 'c0',
      at: new Date(NOW_MS - 4 * DAY - 2 * HOUR).toISOString(),
    });
    const inTime = lay(
      lay(plan, { coatId: 'c0', at: new Date(NOW_MS - 4 * DAY - 2 * HOUR).toISOString() }),
      { coatId: 'c1', at: isoDaysAgo(4) },
    );
    expect(films(late)).toEqual(films(inTime));
    expect(laidFilm(late)[0]!.film.coatIds).toEqual(['c0', 'c1']);
  });

  test('what the painter says of the film below, no forecast decides again', () => {
    const said = lay(plan, { coatId: 'c1', at: isoDaysAgo(4), wet: false });
    const late = lay(said, { at: new Date(NOW_MS - 4 * DAY - 2 * HOUR).toISOString() });
    expect(laidFilm(late)).toHaveLength(2);
  });

  const anyEntry = fc.record({
    coatId: fc.constantFrom('c0', 'c1'),
    hours: fc.integer({ min: 1, max: 200 }),
    where: fc.constantFrom<string[]>([jars], [wall], [jars, wall]),
    spot: fc
      .constantFrom<(Spot | null)[]>(null, null, half('left half'), half('right half'))
      .map((s) => s as unknown as Spot | null),
  });
  // Two entries of one coat at one hour, or of the same place, are no two entries of a day.
  const anyDay = fc.uniqueArray(anyEntry, {
    maxLength: 4,
    selector: (e) => `${e.hours}`,
  });
  const enter = (entries: (typeof anyEntry extends fc.Arbitrary<infer T> ? T : never)[]) =>
    entries.reduce<{ painting: Painting; refused: number }>(
      ({ painting, refused }, e) => {
        try {
          return {
            painting: lay(painting, {
              coatId: e.coatId,
              at: hoursAgo(e.hours),
              passageIds: e.where,
              spot: e.spot,
            }),
            refused,
          };
        } catch {
          return { painting, refused: refused + 1 };
        }
      },
      { painting: plan, refused: 0 },
    );
  const sorted = (painting: Painting) =>
    films(painting).map((sites) => [...sites].sort((a, b) => `${a[0]}`.localeCompare(`${b[0]}`)));

  test('the same entries give the same films (a failure prints its seed)', () => {
    let compared = 0;
    fc.assert(
      fc.property(anyDay, fc.infiniteStream(fc.integer()), (day, order) => {
        const shuffled = [...day]
          .map((e) => ({ e, at: order.next().value! }))
          .sort((a, b) => a.at - b.at)
          .map(({ e }) => e);
        const [one, other] = [enter(day), enter(shuffled)];
        // What was refused in one order is not the same record.
        if (one.refused > 0 || other.refused > 0) return;
        compared += 1;
        expect(sorted(other.painting)).toEqual(sorted(one.painting));
      }),
      { numRuns: 150 },
    );
    expect(compared).toBeGreaterThan(30);
  });

  test('corrected and corrected back, or entered and taken back, nothing has changed', () => {
    let corrected = 0;
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 1, max: 300 }), (day, hours) => {
        const { painting } = enter(day);
        const event = painting.events[0];
        if (event?.kind !== 'laid') return;
        const wrong = correctEntry(painting, event.id, { at: hoursAgo(hours) }, options, making());
        // Where an entry met two passages differently it became two, and is corrected as two.
        if (wrong.events.length === painting.events.length) {
          const right = correctEntry(wrong, event.id, { at: event.at }, options, making());
          corrected += 1;
          expect(sorted(right)).toEqual(sorted(painting));
        }
        const id = 'again';
        const more = recordNewCoat(
          painting,
          likeCoat(plan.coats[1]!, id, { spot: null }),
          hoursAgo(hours),
          options,
          making(),
        );
        const entries = more.events.filter((e) => e.kind === 'laid' && e.coatId === id);
        const back = entries.reduce((p, e) => recordWithout(p, e.id, options, making()), more);
        // The coat came with its laying, and goes with it.
        expect(sorted(back)).toEqual(sorted(painting));
        expect(back.coats).toEqual(painting.coats);
      }),
      { numRuns: 120 },
    );
    expect(corrected).toBeGreaterThan(30);
  });
});

test('a part is laid once under its name, and nothing before there was a ground', () => {
  const part_ = lay(plan, { at: hoursAgo(5), spot: { name: 'the lid', share: 0.2 } });
  expect(refusal(() => lay(part_, { spot: { name: ' The Lid', share: 0.3 } }))).toBe('not-covered');
  const grounded: Painting = {
    ...part_,
    ground: { kind: 'acrylic-gesso', coats: 3, laidAt: isoDaysAgo(2) },
  };
  const [event] = grounded.events;
  const dated = (at: string) => () => correctEntry(grounded, event!.id, { at }, options, making());
  expect([refusal(dated(isoDaysAgo(3))), refusal(dated(isoDaysAgo(1)))]).toEqual([
    'order',
    'accepted',
  ]);
});

test('nothing entered, nothing settled', () => {
  const painting = lay(plan, { at: isoDaysAgo(2) });
  expect(settleLater(painting, painting, options, making().newId)).toBe(painting);
});

test('improvised: the same again, on the next passage too, and a dab, each over what is laid', () => {
  const base = lay(plan, { at: isoDaysAgo(40) });
  const coat = base.coats[0]!;
  const again = likeCoat({ ...coat, why: 'because', enough: [jars] }, 'again', { name: 'Again' });
  expect([again.why, again.enough]).toEqual([undefined, undefined]);
  const twice = recordNewCoat(base, { ...again, passageIds: [jars] }, NOW, options, making());
  expect(twice.coats.map((c) => c.id)).toEqual(['c0', 'again', 'c1']);
  expect(laidFilm(twice).map((l) => l.film.coatIds)).toEqual([['c0'], ['again']]);
  const dabbed = recordNewCoat(
    base,
    dabOf(coat, 'dab', [jars, wall], 'dab'),
    NOW,
    options,
    making(),
  );
  expect(assessPainting(dabbed, options).passages.map((p) => p.spots[0]?.site.share)).toEqual([
    0.02, 0.02,
  ]);
  const narrow = { ...base, coats: base.coats.map((c) => ({ ...c, passageIds: [jars] })) };
  const also = layAlso(narrow, 'c0', wall, NOW, options, making());
  expect(laidFilm(also, 1)[0]!.film.coatIds).toEqual(['c0']);
  expect(also.coats[0]!.passageIds).toEqual([jars, wall]);
});

test('dates that are hardly meant are asked about', () => {
  const years = implausible(plan, isoDaysAgo(3 * 365), NOW);
  expect(years).toContain('3 years ago');
  expect(implausible(plan, isoDaysAgo(100), NOW)).toContain('before this painting was begun');
  expect(implausible(plan, isoDaysAgo(5), NOW)).toBeNull();
});

test('an entry taken back lets go of what was settled by it', () => {
  const both = lay(lay(plan, { at: hoursAgo(4) }), { coatId: 'c1', at: hoursAgo(2) });
  const below = both.events[0]!.id;
  const without = recordWithout(both, below, options, making());
  expect(without.events).toHaveLength(1);
  expect(without.events[0]).toMatchObject({ coatId: 'c1', intoWet: false });
});
