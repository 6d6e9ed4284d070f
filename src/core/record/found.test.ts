import fc from 'fast-check';
import { VARNISH_TEST_WORDS } from '@/data/finish';
import { noteVarnishTest } from '../finish/edit';
import { assessPainting } from '../painting';
import { layCoat, reduceFilm } from '../painting/events';
import type { Painting } from '../painting/schema';
import { touchFilm } from '../painting/touch';
import { own, part, recipe, tube } from '../tests/recipes';
import { DAY, isoDaysAgo, making, newPainting, optionsAt, stackOf } from '../tests/paintings';
import { cautionLines, removalLines, testRows, verdictLines } from './found';
import { metalCautions, metalsIn } from './metals';
import { madeBetween, namesOf } from './options';
import { wellFormed } from './well-formed';

const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);
const LEAN = recipe([tube('titanium-white')], 0.2, [part('mineral-spirits')], 20);
const FAT = recipe([tube('titanium-white')], 0.4, [part('stand-oil')], 20);
const RESIN = recipe([tube('raw-umber')], 0.5, [part('damar-varnish')], 10);

const lay = (p: Painting, coatId: string, ago: number, spotName?: string): Painting => {
  const spot = spotName ? { name: spotName, share: 0.1 } : null;
  const passageIds = spot ? [p.passages[0]!.id] : p.passages.map((x) => x.id);
  return layCoat(p, { coatId, passageIds, at: isoDaysAgo(ago), spot, intoWet: false }, making());
};
const textsOf = (blocks: { text?: string }[]): string[] => blocks.flatMap((b) => b.text ?? []);
const cautionsOf = (p: Painting): string =>
  textsOf(cautionLines(assessPainting(p, optionsAt())) as { text: string }[]).join('\n');

describe('what the rules say of what lies there', () => {
  const verdicts = (p: Painting) =>
    textsOf(verdictLines(assessPainting(p, optionsAt())) as { text: string }[]);

  test('names the school, each film once, and of a spot only what lies there alone', () => {
    let p = stackOf([FAT, LEAN, RESIN], [{}, {}, { spot: { name: 'rim', share: 0.1 } }]);
    p = lay(lay(lay(p, 'c0', 90), 'c1', 60), 'c2', 30, 'rim');
    const told = verdicts(p);
    expect(told[0]).toMatch(/^Judged by: /);
    const of = (where: string, coat: string) =>
      told.filter((line) => line.startsWith(`${where}, ${coat}:`));
    expect(of('jars', 'Coat 2')).toHaveLength(1);
    expect(of('wall', 'Coat 2')).toHaveLength(1);
    expect(of('jars, rim', 'Coat 3')).toHaveLength(1);
    expect(of('jars, rim', 'Coat 2')).toHaveLength(0);
    expect(of('wall', 'Coat 3')).toHaveLength(0);
  });

  test('says why a rule was overruled; what is only planned is not told', () => {
    const reason = 'a trial, it hangs in the dark';
    let p = stackOf(
      [recipe([tube('bitumen')]), recipe([tube('bitumen')])],
      [
        {
          overruled: [{ rule: 'bitumen', reason, at: isoDaysAgo(9) }],
        },
      ],
    );
    expect(verdicts(p)).toHaveLength(1);
    p = lay(p, 'c0', 5);
    const told = verdicts(p).join('\n');
    expect(told).toContain(`Overruled, because: ${reason}`);
    expect(told).not.toContain('Coat 2');
  });
});

test('what was taken down is told with its day, its place and what is left', () => {
  const p = lay(stackOf([LEAN]), 'c0', 20);
  const [jars] = p.passages;
  const scraped = reduceFilm(
    p,
    {
      passageId: jars!.id,
      spotName: 'left, edge',
      share: 0.2,
      at: isoDaysAgo(10),
      how: 'scraped',
      left: 'trace',
    },
    making(),
  );
  expect(removalLines(p, day)).toEqual([]);
  expect(removalLines(scraped, day)).toEqual([
    {
      kind: 'text',
      text: `${day(Date.parse(isoDaysAgo(10)))}: jars (left, edge) scraped down, left: trace.`,
    },
  ]);
});

test('finger and witness tests stand in the order of their days, whatever the order of noting', () => {
  let p = lay(stackOf([LEAN]), 'c0', 40);
  p = noteVarnishTest(p, { at: isoDaysAgo(2), test: 'nail', passed: true, where: '' }, making());
  p = touchFilm(
    p,
    {
      passageId: p.passages[1]!.id,
      spotName: null,
      at: isoDaysAgo(30),
      finding: 'tacky',
      twistMarks: true,
    },
    making(),
  );
  p = noteVarnishTest(
    p,
    { at: isoDaysAgo(12), test: 'swab', passed: false, where: 'white' },
    making(),
  );
  const rows = testRows(p, day);
  expect(rows.map((r) => r[0])).toEqual([30, 12, 2].map((ago) => day(Date.parse(isoDaysAgo(ago)))));
  expect(rows[0]).toEqual([expect.any(String), 'wall', 'finger', 'tacky; a thumb twist marks']);
  expect(rows[1]!.slice(1, 3)).toEqual(['white', 'swab']);
  expect(rows[2]!.slice(1, 3)).toEqual(['witness', VARNISH_TEST_WORDS.nail.name.toLowerCase()]);
  expect(rows[1]![3]).not.toBe(rows[2]![3]);
});

describe('what whoever cleans it has to know', () => {
  test('metals of pigments and grounds, each once; common practice, no source', () => {
    const mixes = [recipe([tube('lead-white'), tube('cadmium-red')]), recipe([tube('lead-white')])];
    const { ground } = newPainting();
    expect(metalsIn(mixes, ground)).toEqual(['cadmium', 'lead', 'selenium']);
    expect(metalsIn([recipe([tube('titanium-white')])], ground)).toEqual([]);
    expect(metalsIn([recipe([own({ pigment: 'lead-white' })])], ground)).toEqual(['lead']);
    const leadGround = { ...ground, kind: 'oil-ground', white: 'lead' } as Painting['ground'];
    expect(metalsIn([], leadGround)).toEqual(['lead']);
    expect(metalCautions(['lead', 'unheard-of'])).toHaveLength(1);
  });

  test('resin on top is told, on a spot as well; not where it is covered', () => {
    const p = stackOf([FAT, RESIN, FAT], [{}, { spot: { name: 'rim', share: 0.1 } }]);
    const bare = lay(p, 'c0', 90);
    expect(cautionsOf(bare)).not.toMatch(/natural resin/);
    const spot = lay(bare, 'c1', 60, 'rim');
    expect(cautionsOf(spot)).toMatch(/A top film holds natural resin/);
  });

  test('water-mixable oil, an own tube of it too; and whether a varnish is recorded', () => {
    const wet = lay(stackOf([recipe([tube('titanium-white', 1, 'water-mixable')])]), 'c0', 30);
    expect(cautionsOf(wet)).toMatch(/Water-mixable oil was used/);
    const mine = lay(stackOf([recipe([own({ binder: 'water-mixable' })])]), 'c0', 30);
    expect(cautionsOf(mine)).toMatch(/Water-mixable oil was used/);
    expect(cautionsOf(mine)).toMatch(/No final varnish is recorded\./);
    expect(cautionsOf(mine)).toMatch(/The safety data sheet and local rules govern\.$/);
  });
});

test('passages by their names, all of them in a word; made between its first and last coat', () => {
  const p = stackOf([LEAN, FAT]);
  const [jars, wall] = p.passages.map((x) => x.id) as [string, string];
  expect(namesOf(p, [jars, wall])).toBe('all');
  expect(namesOf(p, [wall])).toBe('wall');
  expect(namesOf(p, ['gone'])).toBe('gone');
  expect(madeBetween(p)).toBeNull();
  const made = madeBetween(lay(lay(p, 'c0', 50), 'c1', 9))!;
  expect((made.toMs - made.fromMs) / DAY).toBeCloseTo(41, 9);
});

test('halves of letters are told as such, like the standard does it (ECMA-262, String.prototype.toWellFormed)', () => {
  const unit = fc.integer({ min: 0xd700, max: 0xe0ff }).map((c) => String.fromCharCode(c));
  fc.assert(
    fc.property(fc.array(fc.oneof(unit, fc.string({ maxLength: 3 }))), (parts) => {
      const text = parts.join('');
      const standard = (text as unknown as { toWellFormed(): string }).toWellFormed();
      expect(wellFormed(text)).toBe(standard);
    }),
    { numRuns: 300, seed: 20261130 },
  );
});
