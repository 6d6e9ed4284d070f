import { constantAir, REFERENCE_CLIMATE } from '../drying';
import { FINISH } from '@/data/finish';
import type { VARNISH_TESTS } from '@/data/finish-keys';
import { RETEST_DAYS } from '@/data/varnish-tests';
import { STUDIO_HANDBOOK } from '../handbook';
import { NO_SWATCHES } from '../optics/composition';
import { assessPainting } from '../painting';
import { placeCoat } from '../painting/coats';
import { layCoat } from '../painting/events';
import { mergePaintings } from '../painting/merge';
import { settleBother } from '../painting/notes-of';
import { paintingSchema, type Painting } from '../painting/schema';
import { varnishWait } from '../painting/varnish';
import { beginSession, type Session } from '../session';
import { todayRow } from '../today';
import { refusal } from '../tests/refusal';
import { own, recipe, tube } from '../tests/recipes';
import { DAY, making, NOW, NOW_MS, optionsAt, stackOf } from '../tests/paintings';
import {
  answerMends,
  beginScan,
  changeBother,
  dropScan,
  dropVarnishTest,
  endScan,
  finishingOf,
  noteFully,
  noteVarnishTest,
  scanUnderWay,
  seeSquare,
  setFinishing,
} from './edit';
import { curveOf } from './curve';
import { frameFit, reliefMm } from './frame';
import { journeyOutlook } from './journey';
import { mendingCoat } from './mending';
import { sortedBothers, usualFate } from './sorted';
import { standingOf } from './stopping';
import { testsState } from './tests';
import { varnishCoat, varnishDays, varnishLooks, varnishMl, varnishOutlook } from './varnish-plan';

const iso = (day: number): string => new Date(NOW_MS + day * DAY).toISOString();
const on = (day: number) => making(iso(day));

const lay = (p: Painting, coatId: string, day: number): Painting =>
  layCoat(
    p,
    { coatId, passageIds: p.passages.map((x) => x.id), at: iso(day), spot: null, intoWet: false },
    on(Math.max(day, 0)),
  );
const WHITE = recipe([tube('titanium-white')], 0, [], 50);
const laid = lay(stackOf([WHITE]), 'c0', 0);
const [A, B] = laid.passages.map((p) => p.id) as [string, string];
const assessed = (p: Painting, day: number) => assessPainting(p, optionsAt(NOW_MS + day * DAY));
const C = STUDIO_HANDBOOK.constants;

describe('looking it over', () => {
  test('a look that ended counts; one that was broken off leaves no trace; a new one ends the old', () => {
    let p = beginScan(laid, 'mirrored', 'squares', on(1));
    const first = scanUnderWay(p)!;
    p = seeSquare(
      seeSquare(seeSquare(p, first.id, 0, on(1)), first.id, 4, on(1)),
      first.id,
      4,
      on(1),
    );
    expect(scanUnderWay(p)!.seen).toEqual([0, 4]);
    p = endScan(p, first.id, on(1));
    expect(scanUnderWay(p)).toBeNull();
    p = beginScan(p, 'upright', 'passages', on(2));
    p = beginScan(p, 'at-distance', 'passages', on(3));
    expect(finishingOf(p).scans.map((s) => s.way)).toEqual(['mirrored', 'at-distance']);
    p = dropScan(p, scanUnderWay(p)!.id, on(3));
    expect(finishingOf(p).scans).toHaveLength(1);
    expect(paintingSchema.parse(p)).toEqual(p);
  });

  test('two tabs that each look keep both looks, and the rule that either chose', () => {
    const mine = setFinishing(
      beginScan(laid, 'upright', 'squares', on(1)),
      { rule: 'two-looks' },
      on(1),
    );
    const theirs = setFinishing(
      beginScan(laid, 'mirrored', 'squares', on(1)),
      { agreedHours: 12 },
      on(1),
    );
    const both = finishingOf(mergePaintings(laid, mine, theirs));
    expect(both.scans).toHaveLength(2);
    expect(both).toMatchObject({ rule: 'two-looks', agreedHours: 12 });
    const undone = finishingOf(
      mergePaintings(mine, setFinishing(mine, { rule: undefined }, on(2)), mine),
    );
    expect('rule' in undone).toBe(false);
  });
});

describe('what bothers', () => {
  const note = (p: Painting, over: object, day = 1) =>
    noteFully(p, { text: 'the edge, left', passageId: A, ...over }, on(day));

  test('sorts itself: what is seen first is mended, what one looks for is left, the painter has the last word', () => {
    let p = note(laid, { kind: 'edge', weight: 1 });
    p = note(p, { kind: 'colour', weight: 2 });
    p = note(p, { kind: 'drawing', weight: 2 });
    p = note(p, { kind: 'value', weight: 3 });
    p = note(p, { kind: 'dirt', weight: 3 });
    const kinds = () => sortedBothers(p).map((s) => [s.bother.kind, s.fate]);
    expect(kinds()).toEqual([
      ['value', 'coat'],
      ['drawing', 'coat'],
      ['dirt', 'again'],
      ['colour', 'again'],
      ['edge', 'leave'],
    ]);
    expect(sortedBothers(p)[3]!.againMs).toBe(NOW_MS + (1 + FINISH.looksApartDays) * DAY);
    p = changeBother(p, sortedBothers(p)[0]!.bother.id, { fate: { kind: 'leave' } }, on(1));
    expect(kinds()[0]![0]).toBe('drawing');
    expect(sortedBothers(p).find((s) => s.bother.kind === 'value')).toMatchObject({
      fate: 'leave',
      said: true,
    });
    p = changeBother(p, sortedBothers(p).at(-1)!.bother.id, { fate: undefined }, on(1));
    expect(paintingSchema.parse(p)).toEqual(p);
    expect(refusal(() => changeBother(p, 'gone', {}, on(1)))).toBe('nothing-there');
    expect(usualFate({})).toBe('coat');
  });

  test('a coat that mends it repeats the mix on top, as a spot; a dull surface is oiled out; the laying is told', () => {
    const p = note(laid, { kind: 'value', weight: 3, quarter: 'upper-left' });
    const b = p.bothers![0]!;
    const coat = mendingCoat(assessed(p, 1), b, 'mend')!;
    expect(coat).toMatchObject({
      role: 'overpainting',
      passageIds: [A],
      recipe: WHITE,
      spot: { name: 'the edge, left' },
    });
    const planned = changeBother(
      placeCoat(p, coat, { where: 'over-laid' }, on(1)),
      b.id,
      { fate: { kind: 'coat', coatId: 'mend' } },
      on(1),
    );
    expect(sortedBothers(planned)[0]!.coat).toEqual({ id: 'mend', name: coat.name, laidAt: null });
    const mended = layCoat(
      planned,
      { coatId: 'mend', passageIds: [A], at: iso(20), spot: coat.spot, intoWet: false },
      on(20),
    );
    expect(sortedBothers(mended)[0]!.coat!.laidAt).toBe(iso(20));
    expect(sortedBothers(settleBother(mended, b.id, true, on(21)))).toEqual([]);
    const dull = note(laid, { kind: 'surface' });
    expect(mendingCoat(assessed(dull, 1), dull.bothers![0]!, 'x')!.role).toBe('oiling-out');
    const bare = note(stackOf([WHITE]), { kind: 'value' });
    expect(
      mendingCoat(
        assessed({ ...bare, bothers: bare.bothers!.map((x) => ({ ...x, passageId: null })) }, 1),
        { ...bare.bothers![0]!, passageId: null },
        'x',
      ),
    ).toBeNull();
  });
});

describe('what it is held against', () => {
  const noted = (over: object, day: number) =>
    noteFully(laid, { text: 'the left edge', passageId: A, ...over }, on(day));
  const look = (p: Painting, day: number): Painting => {
    const begun = beginScan(p, 'upright', 'squares', on(day));
    return endScan(begun, scanUnderWay(begun)!.id, on(day));
  };

  test('what sorts itself to be left spoils no look; what was scraped off begins them anew', () => {
    const faint = look(noted({ weight: 1 }, 3), 2);
    expect(standingOf(faint, 'two-looks', 0).missing).toBe('second-look');
    const seen = look(noted({ weight: 3, kind: 'value' }, 3), 2);
    expect(standingOf(seen, 'two-looks', 0).missing).toBe('bothers');
    const scraped: Painting = {
      ...look(laid, 2),
      events: [
        ...laid.events,
        {
          id: 'off',
          kind: 'reduced',
          at: iso(4),
          passageId: A,
          spotName: null,
          how: 'scraped',
          left: 'half',
        },
      ],
    };
    expect(standingOf(scraped, 'two-looks', 0).missing).toBe('look');
  });

  test('of what bothers the whole no mix is repeated: the painter says where', () => {
    const whole = noteFully(laid, { text: 'too cool', passageId: null, kind: 'colour' }, on(1));
    expect(mendingCoat(assessed(whole, 1), whole.bothers![0]!, 'x')).toBeNull();
    const placed = { ...whole.bothers![0]!, passageId: B };
    expect(mendingCoat(assessed(whole, 1), placed, 'x')).toMatchObject({
      passageIds: [B],
      role: 'overpainting',
      recipe: WHITE,
    });
    const drawn = { ...placed, kind: 'drawing' as const };
    expect(mendingCoat(assessed(whole, 1), drawn, 'x')!.role).toBe('detail');
    const dull = { ...whole.bothers![0]!, kind: 'surface' as const };
    expect(mendingCoat(assessed(whole, 1), dull, 'x')!.passageIds).toEqual([A, B]);
  });

  test('Today, the plan and the varnish say one day after a failed test', () => {
    const varnish = varnishCoat(laid, { material: 'synthetic-varnish', coats: 1 }, 'v');
    const planned = { ...laid, coats: [...laid.coats, varnish] };
    const failed = noteVarnishTest(
      planned,
      { at: iso(200), test: 'swab', passed: false, where: '' },
      on(200),
    );
    const repeatMs = NOW_MS + (200 + RETEST_DAYS) * DAY;
    const at = (p: Painting, day: number) => {
      const a = assessed(p, day);
      const here = a.passages[0]!;
      return todayRow(a, here.passage, here.base, NOW_MS + day * DAY);
    };
    expect(at(planned, 201).reason).toBe('ready');
    expect(at(failed, 201)).toMatchObject({ reason: 'refused', readyAtMs: repeatMs });
    expect(at(failed, 201 + RETEST_DAYS).reason).toBe('ready');
    const options = optionsAt(NOW_MS + 201 * DAY);
    const outlook = varnishOutlook(assessed(failed, 201), options, {
      material: 'synthetic-varnish',
      coats: 1,
    });
    expect(outlook.finalMs).toBe(repeatMs);
    expect(outlook.findings.map((f) => f.finding.rule)).toContain('varnish-test-failed');
    const told = varnishWait(assessed(failed, 201), C);
    expect([told.modernMs, told.tests.agree]).toEqual([repeatMs, false]);
  });
});

describe('diminishing returns', () => {
  const sitting = (day: number, hours: number): Session => {
    const s = beginSession(
      {
        works: [
          { paintingId: laid.id, passageIds: [], coatId: null, name: 'w', plannedMinutes: null },
        ],
        boxMinutes: null,
        goal: '',
      },
      making(iso(day)),
    );
    const to = new Date(NOW_MS + day * DAY + hours * 3_600_000).toISOString();
    return { ...s, endedAt: to, works: [{ ...s.works[0]!, stretches: [{ from: iso(day), to }] }] };
  };

  test('the curve flattens where the last quarter of the hours changed less than half as much as all', () => {
    const sessions = [sitting(0, 2), sitting(2, 2), sitting(4, 2), sitting(6, 2)];
    const early = curveOf(laid, sessions, NOW_MS + 8 * DAY);
    expect(early.sittings.map((s) => s.hours)).toEqual([2, 4, 6, 8]);
    // One coat over all of it, in the first sitting.
    expect(early.sittings.map((s) => s.painted)).toEqual([1, 1, 1, 1]);
    expect(early.meanPerHour).toBeCloseTo(1 / 8, 9);
    expect(early.lastPerHour).toBe(0);
    expect(early.flattens).toBe(true);
    const late = lay(stackOf([WHITE, WHITE]), 'c0', 0);
    const again = { ...lay(late, 'c1', 6), id: laid.id };
    expect(curveOf(again, sessions, NOW_MS + 8 * DAY).flattens).toBe(false);
    expect(curveOf(laid, sessions.slice(0, 3), NOW_MS + 8 * DAY).meanPerHour).toBeNull();
    expect(curveOf(laid, [], NOW_MS).sittings).toEqual([]);
  });

  test('bothers found and closed are counted by sitting', () => {
    let p = noteFully(laid, { text: 'x', passageId: null }, on(1));
    p = settleBother(p, p.bothers![0]!.id, true, on(3));
    const { sittings } = curveOf(
      p,
      [sitting(0, 1), sitting(2, 1), sitting(4, 1)],
      NOW_MS + 5 * DAY,
    );
    expect(sittings.map((s) => [s.found, s.closed])).toEqual([
      [1, 0],
      [1, 1],
      [1, 1],
    ]);
  });
});

describe('rules of stopping: three in use, common practice, no source', () => {
  const looked = (p: Painting, day: number): Painting => {
    const begun = beginScan(p, 'upright', 'squares', on(day));
    return endScan(begun, scanUnderWay(begun)!.id, on(day));
  };

  test('two looks a week apart with nothing noted in them, between them or painted since', () => {
    expect(standingOf(laid, 'two-looks', 0).missing).toBe('look');
    const once = looked(laid, 2);
    expect(standingOf(once, 'two-looks', 0)).toMatchObject({
      met: false,
      missing: 'second-look',
      lookFromMs: NOW_MS + 9 * DAY,
    });
    expect(standingOf(looked(once, 5), 'two-looks', 0).met).toBe(false);
    expect(standingOf(looked(once, 9), 'two-looks', 0).met).toBe(true);
    const bothered = noteFully(looked(once, 9), { text: 'x', passageId: null }, on(9));
    expect(standingOf(bothered, 'two-looks', 0).missing).toBe('bothers');
    const left = changeBother(
      bothered,
      bothered.bothers![0]!.id,
      { fate: { kind: 'leave' } },
      on(9),
    );
    expect(standingOf(left, 'two-looks', 0).met).toBe(true);
    const settled = settleBother(bothered, bothered.bothers![0]!.id, true, on(10));
    expect(standingOf(settled, 'two-looks', 0).missing).toBe('look');
  });

  test('the last answer, and the hours that were agreed on', () => {
    expect(standingOf(laid, 'only-change', 0).missing).toBe('answer');
    const mends = answerMends(laid, true, on(1));
    expect(standingOf(mends, 'only-change', 0).missing).toBe('still-mends');
    expect(standingOf(answerMends(mends, false, on(2)), 'only-change', 0).met).toBe(true);
    expect(standingOf(laid, 'hours-spent', 9).missing).toBe('agreement');
    const agreed = setFinishing(laid, { agreedHours: 10 }, on(1));
    expect(standingOf(agreed, 'hours-spent', 9).missing).toBe('hours');
    expect(standingOf(agreed, 'hours-spent', 10).met).toBe(true);
  });
});

describe('varnish', () => {
  const tested = (
    p: Painting,
    test: (typeof VARNISH_TESTS)[number],
    passed: boolean,
    day: number,
    where = '',
  ) => noteVarnishTest(p, { at: iso(day), test, passed, where }, on(day));

  test('half a year to two years for natural resin, two weeks at least for modern: the handbook rule on films of 50, 100 and 1000 um', () => {
    // Mayer and handbooks, six to twelve months; from memory. The day is told at nine chances in ten, never early.
    const days = (um: number, material: 'resin-varnish' | 'synthetic-varnish') => {
      const p = lay(stackOf([{ ...WHITE, thicknessUm: um }]), 'c0', 0);
      return (
        (varnishOutlook(assessed(p, 1), optionsAt(NOW_MS + DAY), { material, coats: 1 }).finalMs! -
          NOW_MS) /
        DAY
      );
    };
    expect(days(50, 'resin-varnish')).toBeGreaterThanOrEqual(182 - 1e-6);
    expect(days(50, 'resin-varnish')).toBeLessThan(365);
    expect(days(1000, 'resin-varnish')).toBeCloseTo(730, 3);
    expect(days(50, 'synthetic-varnish')).toBeGreaterThanOrEqual(14 - 1e-6);
    expect(days(50, 'synthetic-varnish')).toBeLessThan(days(50, 'resin-varnish'));
  });

  test('it says what the wait of the whole picture says, a failed test with it', () => {
    for (const p of [laid, tested(laid, 'swab', false, 200)]) {
      const outlook = varnishOutlook(assessed(p, 201), optionsAt(NOW_MS + 201 * DAY), {
        material: 'resin-varnish',
        coats: 1,
      });
      expect(outlook.finalMs).toBe(varnishWait(assessed(p, 201), C).traditionalMs);
    }
    const failed = varnishWait(assessed(tested(laid, 'swab', false, 200), 201), C);
    expect(failed.modernMs).toBe(NOW_MS + (200 + RETEST_DAYS) * DAY);
  });

  test('tests: each place by its last result, one that fails is enough, what came before the last coat says nothing', () => {
    let p = tested(laid, 'swab', false, 20, 'white');
    p = tested(p, 'swab', true, 20, 'umber');
    expect(testsState(p).each.find((t) => t.test === 'swab')!.state).toBe('failed');
    p = tested(p, 'swab', true, 51, 'White');
    expect(testsState(p).each.find((t) => t.test === 'swab')!.state).toBe('passed');
    expect(testsState(p).agree).toBe(false);
    p = tested(tested(p, 'twist', true, 52), 'nail', true, 52);
    expect(testsState(p).agree).toBe(true);
    const cut = tested(p, 'cut', false, 53);
    expect(testsState(cut).agree).toBe(false);
    expect(testsState(dropVarnishTest(cut, finishingOf(cut).tests.at(-1)!.id, on(53))).agree).toBe(
      true,
    );
    const more = lay({ ...p, coats: [...p.coats, { ...p.coats[0]!, id: 'late' }] }, 'late', 60);
    expect(testsState(more).each.every((t) => t.state === 'missing')).toBe(true);
    expect(refusal(() => tested(laid, 'twist', true, 0))).toBe('accepted');
    expect(
      refusal(() =>
        noteVarnishTest(laid, { at: iso(9), test: 'twist', passed: true, where: '' }, on(1)),
      ),
    ).toBe('date-in-future');
  });

  test('the rules speak: a dispersion over oil is refused, too early is strong, a lean film drinks it', () => {
    const told = (p: Painting, material: 'waterborne-varnish' | 'synthetic-varnish', day: number) =>
      varnishOutlook(assessed(p, day), optionsAt(NOW_MS + day * DAY), { material, coats: 1 });
    expect(told(laid, 'waterborne-varnish', 900).refused).toBe(true);
    expect(told(laid, 'synthetic-varnish', 2).findings.map((f) => f.finding.rule)).toContain(
      'varnish-too-early',
    );
    expect(told(laid, 'synthetic-varnish', 900).findings.map((f) => f.finding.rule)).not.toContain(
      'varnish-too-early',
    );
    const lean = lay(stackOf([recipe([own({ oilWtPct: 14 })], 0, [], 40)]), 'c0', 0);
    expect(told(lean, 'synthetic-varnish', 900).findings.map((f) => f.finding.rule)).toContain(
      'varnish-sinks',
    );
  });

  test('it deepens darks and leaves lights: black on a matt surface from about L* 24 to 6, white by a step at most', () => {
    // Saunderson's correction; the figures of the optics sheet: f 0.85 to 0.
    const look = (pigment: string) =>
      varnishLooks(
        assessed(lay(stackOf([recipe([tube(pigment)], 0, [], 80)]), 'c0', 0), 60),
        NO_SWATCHES,
        'gloss',
      )[0]!;
    const black = look('ivory-black');
    expect(black.then[0]).toBeLessThan(black.now[0]);
    expect(black.then[0]).toBeLessThan(9);
    const white = look('titanium-white');
    expect(Math.abs(white.then[0] - white.now[0])).toBeLessThan(2);
    expect(varnishLooks(assessed(stackOf([WHITE]), 1), NO_SWATCHES, 'matt')).toEqual([]);
  });

  test('amount: 170 to 500 cm2 a ml for each coat, as handbooks have it; from memory', () => {
    const { least, most } = varnishMl({ kind: 'canvas', widthMm: 500, heightMm: 400 }, 1);
    expect(2000 / least).toBeCloseTo(500, 6);
    expect(2000 / most).toBeCloseTo(166.7, 1);
    expect(varnishMl({ kind: 'canvas', widthMm: 500, heightMm: 400 }, 2).most).toBe(2 * most);
    expect(
      varnishCoat(laid, { material: 'synthetic-varnish', coats: 2 }, 'v').recipe.thicknessUm,
    ).toBe(20);
  });

  test('a dry warm day suits, a damp or cold one does not', () => {
    const day = (temperatureC: number, relativeHumidityPct: number) =>
      varnishDays(
        constantAir(C, { ...REFERENCE_CLIMATE, temperatureC, relativeHumidityPct }),
        NOW_MS,
        2,
      ).map((d) => d.suits);
    expect(day(20, 50)).toEqual([true, true]);
    expect(day(20, 80)).toEqual([false, false]);
    expect(day(10, 50)).toEqual([false, false]);
  });
});

describe('frame and journey', () => {
  test('a rebate worked by hand: 2 mm glass, 5 mm spacer, 18 mm stretcher, 3 mm behind is 28 mm', () => {
    const facts = { rebateMm: 25, supportMm: 18, glazed: true, spacerMm: 5 };
    const fit = frameFit(facts, 1, true);
    expect(fit.neededMm).toBe(28);
    expect(fit.leftMm).toBe(-3);
    expect(fit.spacerEnough).toBe(true);
    expect(frameFit({ ...facts, spacerMm: 3 }, 1, true).spacerEnough).toBe(false);
    expect(frameFit({ ...facts, glazed: false, spacerMm: 0 }, 0.05, true).spacerEnough).toBe(false);
    expect(frameFit({ ...facts, glazed: false, spacerMm: 1 }, 0.05, true)).toMatchObject({
      neededMm: 22,
      leftMm: 3,
    });
    expect(
      frameFit({ ...facts, glazed: false, spacerMm: 1 }, 0.05, false).leastSpacerMm,
    ).toBeCloseTo(3.05, 9);
    // 50 um, less what the gesso drinks.
    expect(reliefMm(assessed(laid, 1))).toBeCloseTo(0.048, 3);
  });

  test('wet it does not travel, dry to the hand face free, dry through wrapped', () => {
    const told = (leaves: number, packing: 'wrapped' | 'face-free') =>
      journeyOutlook(assessed(laid, 1), C, { leavesAt: iso(leaves), days: 3, packing });
    expect(told(0, 'face-free').may).toBe('not-yet');
    const { carriedFromMs, wrappedFromMs, arrivesMs } = told(0, 'wrapped');
    expect(arrivesMs).toBe(NOW_MS + 3 * DAY);
    expect(carriedFromMs!).toBeLessThan(wrappedFromMs!);
    const between = (carriedFromMs! + 60_000 - NOW_MS) / DAY;
    expect(told(between, 'face-free')).toMatchObject({ may: 'face-free', fits: true });
    expect(told(between, 'wrapped').fits).toBe(false);
    expect(told((wrappedFromMs! - NOW_MS) / DAY + 1, 'wrapped').fits).toBe(true);
  });
});

test('bothers, finishing and accounts are read again as they were written', () => {
  const p = noteFully(
    laid,
    {
      text: ' a, b ',
      passageId: B,
      kind: 'dirt',
      weight: 2,
      quarter: 'lower-right',
      place: { pictureId: 'x', x: 0.5, y: 0.25 },
      fate: { kind: 'again', at: NOW },
    },
    on(1),
  );
  const all = setFinishing(
    p,
    {
      rule: 'hours-spent',
      agreedHours: 3,
      varnish: { material: 'resin-varnish', sheen: 'matt', coats: 2 },
      frame: { rebateMm: 20, supportMm: 18, glazed: false, spacerMm: 2 },
      journey: { leavesAt: NOW, days: 2, packing: 'carried' },
    },
    on(1),
  );
  expect(paintingSchema.parse(JSON.parse(JSON.stringify(all)))).toEqual(all);
  expect(all.bothers![0]!.text).toBe('a, b');
});
