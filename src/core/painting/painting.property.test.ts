import fc from 'fast-check';
import { dryVolume } from '../film';
import { DAY, isoDaysAgo, making, NOW_MS, optionsAt, stackOf } from '../tests/paintings';
import { part, recipe, tube } from '../tests/recipes';
import { addCoat } from './coats';
import { assessPainting, mergePaintings, type Painting } from '.';
import { isAtRest, onlyLater } from './at-rest';
import { paintingSchema } from './schema';
import { layCoat, reduceFilm } from './events';

const WHITE = [tube('titanium-white')];
const COATS = 5;
const plan = stackOf(
  Array.from({ length: COATS }, (_, i) =>
    recipe(WHITE, 0.05 * (i + 1), [part('stand-oil')], 20 + 10 * i),
  ),
);
const [first, second] = plan.passages.map((p) => p.id) as [string, string];

/** Some of the coats laid, at times days apart, into the wet or not, on one passage or both. */
const anyWork = fc.array(
  fc.record({
    coat: fc.integer({ min: 0, max: COATS - 1 }),
    daysAgo: fc.integer({ min: 1, max: 60 }),
    intoWet: fc.boolean(),
    where: fc.constantFrom<string[]>([first], [second], [first, second]),
    spot: fc.option(fc.constantFrom('nose', 'Highlights'), { nil: null }),
  }),
  { maxLength: COATS },
);
type Work = (typeof anyWork extends fc.Arbitrary<infer T> ? T : never)[number];

const done = (work: Work[]): Painting =>
  work.reduce((p, w) => {
    try {
      const spot = w.spot === null ? null : { name: w.spot, share: 0.1 };
      return layCoat(
        p,
        {
          coatId: `c${w.coat}`,
          passageIds: w.where,
          at: isoDaysAgo(w.daysAgo),
          spot,
          intoWet: w.intoWet,
        },
        making(),
      );
    } catch {
      // Laid there already: refused, and nothing changed.
      return p;
    }
  }, plan);

const films = (p: Painting) =>
  assessPainting(p, optionsAt()).passages.map(({ base, spots }) =>
    [base, ...spots].map((s) =>
      s.layers.map((l) => [l.film.coatIds.join('+'), l.film.laidAtMs, dryVolume(l.film.asLaid)]),
    ),
  );

/** All that is said of a painting, with what is worked out when asked for left out. */
const said = (p: Painting, nowMs: number) =>
  JSON.stringify(assessPainting(p, optionsAt(nowMs)).passages);

describe('whatever was laid (a failure prints its seed)', () => {
  test('once a picture is at rest, time alone changes nothing that is said of it', () => {
    let rested = 0;
    fc.assert(
      fc.property(anyWork, fc.integer({ min: 1, max: 4000 }), (work, days) => {
        const painting = { ...done(work), coats: [] };
        const dry = NOW_MS + 600 * DAY;
        const [was, now] = [optionsAt(dry), optionsAt(dry + days * DAY)];
        expect(onlyLater(was, now)).toBe(true);
        expect(onlyLater(now, was)).toBe(false);
        if (!isAtRest(assessPainting(painting, was))) return;
        rested += 1;
        expect(said(painting, now.nowMs)).toBe(said(painting, was.nowMs));
      }),
      { numRuns: 60 },
    );
    expect(rested).toBeGreaterThan(30);
  });

  test('the record stays valid, and films depend on when things were done, not on when they were noted', () => {
    fc.assert(
      fc.property(anyWork, (work) => {
        const p = done(work);
        const distinct = new Set(p.events.map((e) => e.at)).size === p.events.length;
        const backwards = { ...p, events: [...p.events].reverse() };
        return (
          paintingSchema.safeParse(p).success &&
          (!distinct || JSON.stringify(films(p)) === JSON.stringify(films(backwards)))
        );
      }),
    );
  });

  test('no paint is lost or made: films hold what was laid on a passage', () => {
    fc.assert(
      fc.property(anyWork, (work) => {
        const p = done(work.map((w) => ({ ...w, spot: null })));
        const { base } = assessPainting(p, optionsAt()).passages[0]!;
        const there = base.layers
          .filter((l) => !l.planned)
          .reduce((s, l) => s + dryVolume(l.film.asLaid), 0);
        const laid = p.events.reduce(
          (s, e) =>
            s + (e.kind === 'laid' && e.passageIds.includes(first) ? e.recipe.thicknessUm : 0),
          0,
        );
        return Math.abs(there - laid) < 1e-6;
      }),
    );
  });

  test('taking something away never leaves more', () => {
    fc.assert(
      fc.property(
        anyWork,
        fc.constantFrom('all' as const, 'half' as const, 'trace' as const),
        (work, left) => {
          const p = done(work);
          if (!p.events.some((e) => e.kind === 'laid' && e.passageIds.includes(first))) return true;
          const reduced = reduceFilm(
            p,
            { passageId: first, spotName: null, at: isoDaysAgo(0), how: 'scraped', left },
            making(),
          );
          const sum = (x: Painting) =>
            assessPainting(x, optionsAt()).passages[0]!.base.layers.reduce(
              (s, l) => s + (l.planned ? 0 : l.thicknessUm),
              0,
            );
          return sum(reduced) <= sum(p) + 1e-9;
        },
      ),
    );
  });
});

describe('merging two tabs (a failure prints its seed)', () => {
  const anyEdits = fc.array(fc.integer({ min: 0, max: 99 }), { maxLength: 4 });
  const edit = (p: Painting, numbers: number[], tab: string): Painting =>
    numbers.reduce(
      (q, n) => addCoat(q, { ...plan.coats[0]!, id: `${tab}${n}` }, null, making()),
      p,
    );
  const ids = (p: Painting) => p.coats.map((c) => c.id).sort();

  test('keeps what either side added, whichever side merges', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 99 }), { maxLength: 4 }),
        fc.uniqueArray(fc.integer({ min: 100, max: 199 }), { maxLength: 4 }),
        (a, b) => {
          const mine = edit(plan, a, 'a');
          const theirs = edit(plan, b, 'b');
          const one = ids(mergePaintings(plan, mine, theirs));
          const other = ids(mergePaintings(plan, theirs, mine));
          return (
            JSON.stringify(one) === JSON.stringify(other) &&
            one.length === COATS + a.length + b.length
          );
        },
      ),
    );
  });

  test('with nothing new on the other side, mine stays mine', () => {
    fc.assert(
      fc.property(
        anyEdits.map((x) => [...new Set(x)]),
        (a) => {
          const mine = edit(plan, a, 'a');
          const merged = mergePaintings(plan, mine, plan);
          return (
            JSON.stringify({ ...merged, revision: 0 }) === JSON.stringify({ ...mine, revision: 0 })
          );
        },
      ),
    );
  });
});
