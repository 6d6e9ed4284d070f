import fc from 'fast-check';
import type { CabinetPaint } from '../cabinet/schema';
import { STUDIO_HANDBOOK } from '../handbook';
import { layCoat } from '../painting/events';
import { beginSession, endSession, type Session } from '../session';
import { paintNeeded } from '../quantity/paint-needed';
import { lossesOf } from '../quantity/shopping';
import { refusal } from '../tests/refusal';
import { own, recipe, tube } from '../tests/recipes';
import { DAY, making, NOW, NOW_MS, stackOf } from '../tests/paintings';
import {
  accountsOf,
  dropEntry,
  pictureAccount,
  putEntry,
  setAccounts,
  type Reckoning,
} from './accounts';
import { brushLives, finestMm } from './brushes';
import { hoursOf, WHOLE } from './hours';
import { grossFor, majorOf, minorOf, partOf } from './money';
import { accountsSchema } from './schema';
import { paintUsed, runDown, tubesLeft } from './used';
import { yearAccounts } from './year';

const at = (day: number, hour = 10): string =>
  new Date(NOW_MS + day * DAY + (hour - 10) * 3_600_000).toISOString();

function session(
  day: number,
  hours: number,
  work: { paintingId: string; coatId: string | null; passageIds?: string[] },
): Session {
  const begun = beginSession(
    {
      works: [{ passageIds: [], name: 'work', plannedMinutes: null, ...work }],
      boxMinutes: null,
      goal: '',
    },
    making(at(day)),
  );
  const ended = endSession(begun, making(at(day, 10 + hours)));
  const w = { ...ended.works[0]!, stretches: [{ from: at(day), to: at(day, 10 + hours) }] };
  return { ...ended, works: [w] };
}

describe('money', () => {
  test('whole coins: what a float would lose is kept', () => {
    expect(minorOf(1.005)).toBe(101);
    expect(minorOf(12.345)).toBe(1235);
    expect(minorOf(0.1 + 0.2)).toBe(30);
    expect(minorOf(1e-7)).toBe(0);
    expect(minorOf(1200, 0)).toBe(1200);
    expect(majorOf(1235)).toBe(12.35);
    expect(refusal(() => minorOf(NaN))).toBe('range');
    expect(partOf(1000, 0.145)).toBe(145);
    expect(partOf(-15, 0.5)).toBe(-8);
  });

  test('the price for a wanted sum is the least whose rest after commission reaches it; seeded by fast-check', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10_000_000 }),
        fc.integer({ min: 0, max: 95 }),
        (net, pct) => {
          const gross = grossFor(net, pct);
          expect(gross - partOf(gross, pct / 100)).toBeGreaterThanOrEqual(net);
          if (gross > 0) {
            const less = gross - 1;
            expect(less - partOf(less, pct / 100)).toBeLessThan(net);
          }
        },
      ),
    );
    // 40 % of a gallery, 600.00 wanted: 1000.00. Worked by hand.
    expect(grossFor(60_000, 40)).toBe(100_000);
    expect(refusal(() => grossFor(1, 100))).toBe('range');
  });
});

const WHITE = own({ pigment: 'titanium-white' });
const PAINT: CabinetPaint = {
  ...(WHITE as unknown as { own: CabinetPaint }).own,
  tubeMl: 40,
  price: 9.6,
  left: 1,
  archived: false,
};
const laidStack = () => {
  const painting = stackOf([recipe([WHITE], 0, [], 75), recipe([tube('raw-umber')], 0, [], 20)]);
  const passageIds = painting.passages.map((p) => p.id);
  const lay = (p: typeof painting, coatId: string, day: number) =>
    layCoat(
      p,
      { coatId, passageIds, at: at(day), spot: null, intoWet: false },

      making(at(60)),
    );
  return lay(lay(painting, 'c0', 0), 'c1', 20);
};
const painting = laidStack();
const needMl = paintNeeded(
  STUDIO_HANDBOOK,
  painting.coats[0]!.recipe,
  2000,
  lossesOf(STUDIO_HANDBOOK, painting),
).tubes[0]!.ml;
const reckoning = (over: Partial<Reckoning> = {}): Reckoning => ({
  handbook: STUDIO_HANDBOOK,
  paints: [PAINT],
  sessions: [
    session(0, 2, {
      paintingId: painting.id,
      coatId: 'c0',
      passageIds: painting.passages.map((p) => p.id),
    }),
    session(20, 3, {
      paintingId: painting.id,
      coatId: 'c1',
      passageIds: [painting.passages[0]!.id],
    }),
    session(30, 1, { paintingId: painting.id, coatId: null }),
  ],
  paintings: { [painting.id]: painting },
  nowMs: NOW_MS + 60 * DAY,
  ...over,
});

test('a ledger worked by hand: paint, support, fee, sale, commission, hour', () => {
  const m = making(at(60));
  let p = putEntry(painting, 'costs', { id: 'k1', kind: 'support', what: 'linen', minor: 2450 }, m);
  p = putEntry(p, 'costs', { id: 'k2', kind: 'frame', what: '', minor: 6000 }, m);
  p = putEntry(
    p,
    'submissions',
    {
      id: 's1',
      to: 'the spring show',
      kind: 'show',
      sentAt: at(40),
      outcome: 'accepted',
      answeredAt: at(50),
      feeMinor: 1500,
    },
    m,
  );
  p = setAccounts(
    p,
    { sale: { at: at(55), to: 'a visitor', gotMinor: 90_000, commissionPct: 40 } },
    m,
  );
  expect(accountsSchema.parse(accountsOf(p))).toEqual(accountsOf(p));
  const a = pictureAccount(p, reckoning({ perHourMinor: 2000, commissionPct: 40 }));
  // 9.60 for 40 ml: 24 coins a ml.
  expect(a.paintMinor).toBe(Math.round(needMl * 24));
  expect(a.paintIncomplete).toBe(true);
  expect(a.costMinor).toBe(a.paintMinor + 2450 + 6000 + 1500);
  expect(a.sale!.commissionMinor).toBe(36_000);
  expect(a.sale!.netMinor).toBe(90_000 - 36_000 - a.costMinor);
  expect(a.minutes).toBe(360);
  expect(a.sale!.perHourMinor).toBe(Math.round(a.sale!.netMinor / 6));
  // Six hours at 20.00 and the cost, of which the gallery takes 40 %.
  expect(a.neededMinor).toBe(grossFor(12_000 + a.costMinor, 40));
  for (const x of [
    a.paintMinor,
    a.costMinor,
    a.sale!.netMinor,
    a.sale!.perHourMinor!,
    a.neededMinor!,
  ])
    expect(Number.isInteger(x)).toBe(true);
  expect(accountsOf(dropEntry(p, 'costs', 'k1', m)).costs.map((c) => c.id)).toEqual(['k2']);
  expect(
    accountsOf(putEntry(p, 'costs', { id: 'k2', kind: 'glass', what: '', minor: 1 }, m)).costs[1]!
      .kind,
  ).toBe('glass');
  expect('sale' in accountsOf(setAccounts(p, { sale: undefined }, m))).toBe(false);
});

test('a price that is asked is told before it is sold; without hours there is no pay of an hour', () => {
  const p = setAccounts(painting, { askedMinor: 50_000 }, making());
  const a = pictureAccount(p, reckoning({ sessions: [] }));
  expect(a.sale).toBeNull();
  expect(a.asked).toEqual({ netMinor: 50_000 - a.costMinor, perHourMinor: null });
  expect(a.neededMinor).toBeNull();
});

test('a study lends its hours and cost by the share that the picture bears', () => {
  const study = {
    ...putEntry(painting, 'costs', { id: 'k', kind: 'other', what: '', minor: 1001 }, making()),
    id: 'study',
    title: 'Study',
  };
  const p = setAccounts(
    { ...stackOf([]), id: 'big', study: { paintingId: 'study', title: 'Study', scale: 2 } },
    { studyPct: 50 },
    making(),
  );
  const a = pictureAccount(
    p,
    reckoning({
      paintings: { study },
      sessions: [session(0, 4, { paintingId: 'study', coatId: null })],
    }),
  );
  expect(a.study!.minutes).toBe(120);
  const own_ = pictureAccount(study, reckoning({ sessions: [] }));
  expect(a.study!.minor).toBe(partOf(own_.costMinor, 0.5));
  expect(a.allMinutes).toBe(120);
});

test('hours by kind and passage add up to the hours of the log; pace is area by hour', () => {
  const h = hoursOf(painting, reckoning().sessions, NOW_MS + 60 * DAY);
  expect(h.minutes).toBe(360);
  expect(h.byKind).toEqual([
    { key: 'overpainting', minutes: 300 },
    { key: 'no-coat', minutes: 60 },
  ]);
  // Two hours over both passages at 40 and 60 %, three on the first, one on none.
  expect(h.byPassage).toEqual([
    { key: painting.passages[0]!.id, minutes: 48 + 180 },
    { key: painting.passages[1]!.id, minutes: 72 },
    { key: WHOLE, minutes: 60 },
  ]);
  expect(h.pace).toEqual([{ role: 'overpainting', minutes: 300, cm2: 4000, perHour: 800 }]);
});

describe('tubes run down', () => {
  test('by what was laid since they were looked at, and back when that is corrected', () => {
    const seen = { ...PAINT, leftAt: at(-1) };
    const left = tubesLeft([painting], STUDIO_HANDBOOK, [seen]).get(PAINT.id)!;
    expect(left.usedMl).toBeCloseTo(needMl, 9);
    expect(left.ml).toBeCloseTo(40 - needMl, 9);
    expect(
      tubesLeft([painting], STUDIO_HANDBOOK, [{ ...PAINT, leftAt: at(5) }]).get(PAINT.id)!.usedMl,
    ).toBe(0);
    expect(tubesLeft([painting], STUDIO_HANDBOOK, [PAINT]).get(PAINT.id)!.ml).toBe(40);
    const corrected = { ...painting, events: painting.events.slice(1) };
    expect(tubesLeft([corrected], STUDIO_HANDBOOK, [seen]).get(PAINT.id)!.ml).toBe(40);
    expect(runDown([painting], STUDIO_HANDBOOK, [seen])[0]!.left).toBeCloseTo(
      (40 - needMl) / 40,
      9,
    );
    expect(runDown([painting], STUDIO_HANDBOOK, [{ ...seen, left: 0.01 }])[0]!.left).toBe(0);
  });

  test('a paint without a price counts as not known, one that the cabinet lacks too', () => {
    const lines = paintUsed(painting, STUDIO_HANDBOOK, [{ ...PAINT, price: null }]);
    expect(lines.map((l) => l.minor)).toEqual([null, null]);
    expect(lines.find((l) => l.paint)!.ml).toBeCloseTo(needMl, 9);
  });
});

test('a year: what was sold in it against all hours worked in it', () => {
  const p = setAccounts(
    painting,
    { sale: { at: at(10), to: 'x', gotMinor: 60_000, commissionPct: 0 } },
    making(),
  );
  const sent = putEntry(
    p,
    'submissions',
    {
      id: 'a',
      to: 'x',
      kind: 'competition',
      sentAt: at(-60),
      outcome: 'refused',
      answeredAt: null,
      feeMinor: 0,
    },
    making(),
  );
  const years = yearAccounts([sent], reckoning(), (ms) => new Date(ms).getUTCFullYear());
  expect(years.map((y) => y.year)).toEqual([2026, 2025]);
  expect(years[1]!.sent.refused).toBe(1);
  expect(years[0]).toMatchObject({ sold: 1, gotMinor: 60_000, minutes: 360 });
  expect(years[0]!.perHourMinor).toBe(partOf(years[0]!.netMinor, 60 / 360));
});

test('a brush ages by its share of the hours since it was new; the finest in use is found', () => {
  const brush = {
    id: 'b',
    name: 'Rigger',
    shape: 'rigger' as const,
    widthMm: 1,
    priceMinor: 800,
    bestHours: 3,
    newAt: at(10),
    usePct: 50,
    retiredAt: null,
  };
  const [life] = brushLives([brush], reckoning().sessions, NOW_MS + 60 * DAY);
  // Of six hours four came after it was new.
  expect(life!.hours).toBeCloseTo(2, 9);
  expect(life!.leftHours).toBeCloseTo(1, 9);
  expect(brushLives([{ ...brush, retiredAt: NOW }], [], NOW_MS)).toEqual([]);
  expect(
    finestMm([
      brush,
      { ...brush, widthMm: 0.5, retiredAt: NOW },
      { ...brush, widthMm: 0.4, shape: 'knife' },
    ]),
  ).toBe(1);
  expect(finestMm([])).toBeNull();
});
