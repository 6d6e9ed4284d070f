import fc from 'fast-check';
import { putPaint, starterCabinet } from '../cabinet';
import { layCoat } from '../painting/events';
import { noteBother } from '../painting/notes-of';
import type { Painting } from '../painting';
import { beginSession, editSession } from '../session';
import { aPaintingLike } from '../tests/arbitraries';
import { making, newPainting } from '../tests/paintings';
import { commonGround, EMPTY_RECORD, meetings, type Met, type StudioRecord } from './bring-in';
import { NEW_STUDIO } from './studio';

const meet = (...about: Parameters<typeof meetings>) => [...meetings(...about)];

const P = newPainting();
const of = (painting: Painting, more: Partial<StudioRecord> = {}): StudioRecord => ({
  ...EMPTY_RECORD,
  painting: { [painting.id]: painting },
  ...more,
});
const only = (here: StudioRecord, file: StudioRecord, base: StudioRecord | null): Met => {
  const met = meet(here, file, base);
  expect(met).toHaveLength(1);
  return met[0]!;
};
const renamed = (p: Painting, title: string): Painting => ({
  ...p,
  title,
  revision: p.revision + 1,
});
const bothered = (p: Painting, text: string): Painting => noteBother(p, text, null, making());
const laid = (p: Painting): Painting =>
  layCoat(
    p,
    {
      coatId: p.coats[0]!.id,
      passageIds: p.coats[0]!.passageIds,
      at: '2026-02-16T10:00:00.000Z',
      spot: null,
      intoWet: false,
    },
    making(),
  );

describe('with what both last had in common', () => {
  test.each<[string, Painting, Painting, Met['meeting']]>([
    ['nothing has changed', P, P, 'same'],
    ['only here', renamed(P, 'Here'), P, 'here-newer'],
    ['only in the file', P, laid(P), 'file-newer'],
    ['each another thing', laid(P), renamed(P, 'There'), 'both'],
    ['one thing each its own way', renamed(P, 'Here'), renamed(P, 'There'), 'parted'],
    ['one thing alike', renamed(P, 'Alike'), renamed(P, 'Alike'), 'same'],
  ])('%s', (_, mine, theirs, meeting) => {
    expect(only(of(mine), of(theirs), of(P)).meeting).toBe(meeting);
  });

  test('what was done on the phone and on the desk both stays, and what one took out is gone', () => {
    const common = bothered(P, 'the edge of the jar');
    const desk = laid(common);
    const phone = { ...bothered(common, 'the light'), revision: 9 };
    const met = only(of(desk), of({ ...phone, bothers: phone.bothers!.slice(1) }), of(common));
    const merged = met.keepMine as Painting;
    expect(merged.events).toHaveLength(1);
    expect(merged.bothers!.map((b) => b.text)).toEqual(['the light']);
    expect(met.meeting).toBe('both');
  });

  test('where both changed one thing, the painter has either', () => {
    const met = only(of(renamed(P, 'Here')), of(renamed(P, 'There')), of(P));
    expect([(met.keepMine as Painting).title, (met.keepTheirs as Painting).title]).toEqual([
      'Here',
      'There',
    ]);
  });
});

describe('where nobody knows what they had in common', () => {
  test('nothing goes: what only one has stays, and what differs is asked about', () => {
    const here = bothered(laid(P), 'here');
    const there = renamed(bothered(P, 'there'), 'There');
    const met = only(of(here), of(there), null);
    expect(met.meeting).toBe('parted');
    const merged = met.keepTheirs as Painting;
    expect(merged.title).toBe('There');
    expect(merged.events).toHaveLength(1);
    expect(merged.bothers!.map((b) => b.text).sort()).toEqual(['here', 'there']);
  });

  test('over arbitrary paintings every coat and entry of both is in what comes of it', () => {
    fc.assert(
      fc.property(aPaintingLike(P), aPaintingLike(P), (a, b) => {
        const met = only(of(a), of(b), null);
        for (const merged of [met.keepMine, met.keepTheirs] as Painting[]) {
          const ids = new Set(merged.coats.map((c) => c.id));
          for (const coat of [...a.coats, ...b.coats]) expect(ids.has(coat.id)).toBe(true);
        }
        expect(only(of(a), of(a), null).meeting).toBe('same');
        // Taken in again, it brings nothing new.
        const again = only(of(met.keepMine as Painting), of(b), of(b));
        expect(['same', 'here-newer']).toContain(again.meeting);
      }),
      { numRuns: 60 },
    );
  });

  test('common ground is what both still say alike', () => {
    const ground = commonGround(bothered(P, 'here'), renamed(P, 'There'));
    expect([ground.title, ground.bothers, ground.coats]).toEqual([{ neither: true }, [], P.coats]);
  });
});

test('every kind of document is met, settings and readings too', () => {
  const session = beginSession({ works: [], boxMinutes: 60, goal: 'g' }, making());
  const cabinet = starterCabinet();
  const month = (hours: [number, number, number, number][]) => ({
    schemaVersion: 1 as const,
    id: '2026-02',
    revision: 1,
    hours,
  });
  const here = {
    ...EMPTY_RECORD,
    session: { [session.id]: session },
    climate: { '2026-02': month([[491_000, 18, 50, 2]]) },
    cabinet: { cabinet },
    studio: { studio: NEW_STUDIO },
  };
  const file = {
    ...EMPTY_RECORD,
    session: { [session.id]: editSession(session, { note: 'cold' }) },
    climate: { '2026-02': month([[491_001, 19, 50, 1]]) },
    cabinet: { cabinet: putPaint(cabinet, { ...cabinet.paints[0]!, left: 0.25 }) },
    studio: { studio: { ...NEW_STUDIO, units: 'inch' as const, revision: 3 } },
  };
  const met = meet(here, file, here);
  expect(met.map((m) => [m.kind, m.meeting])).toEqual([
    ['session', 'file-newer'],
    ['climate', 'both'],
    ['cabinet', 'file-newer'],
    ['studio', 'file-newer'],
  ]);
  expect(meet(EMPTY_RECORD, file, null).every((m) => m.meeting === 'new')).toBe(true);
});

test('two passages renamed on two sides both keep their new names', () => {
  const name = (p: Painting, i: number, text: string): Painting => ({
    ...p,
    passages: p.passages.map((x, j) => (j === i ? { ...x, name: text } : x)),
  });
  const met = only(of(name(P, 0, 'pots')), of(name(P, 1, 'plaster')), of(P));
  expect(met.meeting).toBe('both');
  expect((met.keepMine as Painting).passages.map((p) => p.name)).toEqual(['pots', 'plaster']);
});

describe('what was taken out', () => {
  const of2 = (...paintings: Painting[]): StudioRecord => ({
    ...EMPTY_RECORD,
    painting: Object.fromEntries(paintings.map((p) => [p.id, p])),
  });
  const Q = { ...P, id: 'second' };
  const says = (here: StudioRecord, file: StudioRecord, base: StudioRecord | null, whole = true) =>
    meet(here, file, base, whole).map((m) => [m.id, m.meeting]);

  test('here stays out, unless the file has gone on with it', () => {
    expect(says(of2(P), of2(P, Q), of2(P, Q))).toEqual([
      [P.id, 'same'],
      ['second', 'gone-here'],
    ]);
    expect(says(of2(P), of2(P, laid(Q)), of2(P, Q))[1]).toEqual(['second', 'new']);
  });

  test('there goes here too, unless it has gone on here; what only this studio has stays', () => {
    expect(says(of2(P, Q), of2(P), of2(P, Q))[1]).toEqual(['second', 'gone-there']);
    expect(says(of2(P, laid(Q)), of2(P), of2(P, Q))).toEqual([[P.id, 'same']]);
    expect(says(of2(P, Q), of2(P), of2(P))).toEqual([[P.id, 'same']]);
  });

  test('is told by a file of the whole studio only, and by one whose line is known', () => {
    expect(says(of2(P, Q), of2(P), of2(P, Q), false)).toEqual([[P.id, 'same']]);
    expect(says(of2(P, Q), of2(P), null)).toEqual([[P.id, 'same']]);
  });
});
