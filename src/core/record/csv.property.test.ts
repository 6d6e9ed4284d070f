import { parse as parseCsv } from 'csv-parse/sync';
import fc from 'fast-check';
import type { Cost, Submission } from '../costs/schema';
import { accountsOf, putEntry, setAccounts } from '../costs/accounts';
import { finishingOf, noteVarnishTest, setFinishing } from '../finish/edit';
import { beginSession, endSession, putOut, type Session } from '../session';
import { mergePaintings } from '../painting/merge';
import { paintingSchema, type Coat, type Painting } from '../painting/schema';
import { aCoat, aMoment, aName, anId, aPaintingLike } from '../tests/arbitraries';
import { recipe, tube } from '../tests/recipes';
import { making, newPainting, NOW, stackOf } from '../tests/paintings';
import { coatsCsv, logCsv, testsCsv } from './csv';
import { readTable } from './csv-in';
import { svgOf, jsonInSvg } from './svg';

/** What is exported comes back as it was, whatever names, commas, quotes, lines and formulas are in it; seeds are printed. */
const base = stackOf([recipe([tube('titanium-white')])]);
const ids = base.passages.map((p) => p.id);
const here = (p: Painting) => ({ paintings: { [p.id]: p }, sessions: {} });
const withCoats = (painting: Painting, coats: Coat[]): Painting => ({
  ...painting,
  coats: coats.filter((c, i) => coats.findIndex((d) => d.id === c.id) === i),
});

test('coats of any name and recipe come back from their table, every field of them', () => {
  fc.assert(
    fc.property(
      aPaintingLike(base),
      fc.array(aCoat(ids), { minLength: 1, maxLength: 4 }),
      (like, coats) => {
        const painting = withCoats(like, coats);
        const csv = coatsCsv([painting]);
        const back = readTable(csv, here({ ...painting, coats: [] }), making());
        expect(back.bad).toEqual([]);
        expect(back.paintings[0]!.coats).toEqual(painting.coats);
        const other = parseCsv(csv, { columns: true, record_delimiter: '\r\n' });
        expect(other).toHaveLength(painting.coats.length);
      },
    ),
    { numRuns: 60 },
  );
});

test('touch tests of any place come back from their table', () => {
  const finding = fc.constantFrom('wet', 'set', 'tacky', 'touch-dry') as fc.Arbitrary<'wet'>;
  const event = fc.record(
    {
      id: anId,
      kind: fc.constant('touched' as const),
      at: aMoment,
      passageId: fc.constantFrom(...ids),
      spotName: fc.option(aName),
      finding,
      twistMarks: fc.boolean(),
      setAside: fc.constant(true),
    },
    { requiredKeys: ['id', 'kind', 'at', 'passageId', 'spotName', 'finding', 'twistMarks'] },
  );
  fc.assert(
    fc.property(fc.uniqueArray(event, { maxLength: 5, selector: (e) => e.id }), (events) => {
      const painting = { ...base, events } as Painting;
      const back = readTable(testsCsv([painting]), here({ ...base, events: [] }), making());
      expect(back.bad).toEqual([]);
      expect(back.paintings[0]?.events ?? []).toEqual(events);
    }),
    { numRuns: 60 },
  );
});

test('a session of any words comes back from the log, its palette with it', () => {
  fc.assert(
    fc.property(aName, aName, aName, (name, goal, note) => {
      let s: Session = beginSession(
        {
          works: [
            { paintingId: base.id, passageIds: ids, coatId: null, name, plannedMinutes: null },
          ],
          boxMinutes: null,
          goal,
        },
        making(NOW),
      );
      s = putOut(s, { name, recipe: recipe([tube('raw-umber')]), ml: null }, making(NOW));
      s = { ...endSession(s, making('2026-02-17T11:00:00.000Z')), note: note.trim() };
      const back = readTable(
        logCsv([s], () => name),
        { paintings: {}, sessions: {} },
        making(),
      );
      expect(back.bad).toEqual([]);
      expect(back.sessions[0]).toEqual({ ...s, revision: 0 });
    }),
    { numRuns: 60 },
  );
});

test('a drawing carries any text of its record unharmed', () => {
  fc.assert(
    fc.property(aName, fc.string({ unit: 'grapheme' }), (name, words) => {
      const json = JSON.stringify({ words });
      const svg = svgOf({ name, widthMm: 10, heightMm: 10, shapes: [] }, json);
      expect(JSON.parse(jsonInSvg(svg)!)).toEqual({ words });
    }),
  );
});

describe('two tabs', () => {
  const cost = (id: string): Cost => ({ id, kind: 'frame', what: id, minor: 100 });
  const sent = (id: string): Submission => ({
    id,
    to: id,
    kind: 'show',
    sentAt: NOW,
    outcome: 'waiting',
    answeredAt: null,
    feeMinor: 0,
  });

  test('costs and submissions of both stay; what one took out goes; the price as the one that changed it has it', () => {
    const begun = putEntry(newPainting(), 'costs', cost('old'), making());
    const mine = setAccounts(
      putEntry(begun, 'submissions', sent('here'), making()),
      { askedMinor: 5 },
      making(),
    );
    const theirs = setAccounts(
      putEntry(
        putEntry(begun, 'costs', cost('new'), making()),
        'submissions',
        sent('there'),
        making(),
      ),
      { costs: [cost('new')] },
      making(),
    );
    const merged = mergePaintings(begun, mine, theirs);
    expect(accountsOf(merged)).toEqual({
      costs: [cost('new')],
      submissions: [sent('here'), sent('there')],
      askedMinor: 5,
    });
    expect(paintingSchema.parse(merged)).toEqual(merged);
  });

  test('tests before the varnish of both stay, whichever merged first', () => {
    const test = { at: NOW, test: 'swab' as const, passed: true, where: '' };
    const begun = newPainting();
    const mine = noteVarnishTest(begun, test, making());
    const theirs = setFinishing(
      noteVarnishTest(begun, { ...test, where: 'white' }, making()),
      { varnish: { material: 'resin-varnish', sheen: 'matt', coats: 1 } },
      making(),
    );
    for (const merged of [
      mergePaintings(begun, mine, theirs),
      mergePaintings(begun, theirs, mine),
    ]) {
      expect(
        finishingOf(merged)
          .tests.map((t) => t.where)
          .sort(),
      ).toEqual(['', 'white']);
      expect(finishingOf(merged).varnish!.sheen).toBe('matt');
    }
  });
});
