import { assessPainting, type Painting } from '@/core/painting';
import { layCoat } from '@/core/painting/events';
import {
  isoDaysAgo,
  making,
  newPainting,
  NOW_MS,
  optionsAt,
  stackOf,
} from '@/core/tests/paintings';
import { part, recipe, tube } from '@/core/tests/recipes';
import { NO_SWATCHES } from '@/core/optics/composition';
import { columnsOf, overall, ruleNotes, troublesOf } from './usePaintingView';

const WHITE = [tube('titanium-white')];
const see = (p: Painting) => assessPainting(p, optionsAt());
const sound = newPainting();
const notched = stackOf([
  recipe(WHITE, 0.3, [part('stand-oil')], 25),
  recipe(WHITE, 0.1, [part('stand-oil'), part('mineral-spirits')], 20),
]);
/** The notch on the jars only. */
const half: Painting = {
  ...notched,
  coats: notched.coats.map((c) =>
    c.id === 'c1' ? { ...c, passageIds: [notched.passages[0]!.id] } : c,
  ),
};

test('the whole painting in one sentence', () => {
  expect(overall(see(sound))).toEqual({ words: 'Every column holds as it rises.', broken: false });
  expect(overall(see(half))).toEqual({
    words: 'One column holds. A coat pinches in: jars.',
    broken: true,
  });
  expect(overall(see(notched)).words).toBe('No column holds. A coat pinches in: jars, wall.');
});

test('what is said of the whole never stands above what the rules say, or what cannot be told', () => {
  const cautioned = stackOf([recipe(WHITE, 0.3, [part('stand-oil')], 50)]);
  expect(ruleNotes(see(cautioned)).length).toBe(1);
  expect(overall(see(cautioned))).toEqual({
    words: 'No coat pinches in, but there is a caution below.',
    broken: false,
  });
  const close = stackOf([recipe([tube('cadmium-red')], 0, [], 50), recipe(WHITE, 0, [], 50)]);
  expect(overall(see(close)).words).toMatch(/^No coat pinches in, but one is too close to call/);
});

test('a step that narrows and is let off says why', () => {
  const umber = recipe([tube('burnt-umber')], 0.3, [part('linseed-refined')], 10);
  const stained = stackOf([umber, recipe(WHITE, 0, [], 50)], [{}, { onto: 'through-dry' }]);
  const [jars] = columnsOf(see(stained), NOW_MS, NO_SWATCHES);
  expect(jars!.steps.map((s) => s.letOff)).toEqual([
    null,
    'let off, the stain below is thin and dry through',
  ]);
  const [pinched] = columnsOf(see(notched), NOW_MS, NO_SWATCHES);
  expect(pinched!.steps.map((s) => s.letOff)).toEqual([null, null]);
});

test('every trouble says where, which coat, and what a painter would say of it', () => {
  expect(troublesOf(see(sound))).toEqual([]);
  expect(troublesOf(see(half))).toEqual([
    {
      passageId: half.passages[0]!.id,
      passageName: 'jars',
      coatName: 'Coat 2',
      sentence: 'The planned coat 2 is leaner than the coat 1 it will lie on.',
    },
  ]);
});

test('a spot that breaks the rule is told with its name', () => {
  const spot: Painting = {
    ...half,
    coats: half.coats.map((c) =>
      c.id === 'c1' ? { ...c, spot: { name: 'nose', share: 0.1 } } : c,
    ),
  };
  expect(troublesOf(see(spot)).map((t) => t.passageName)).toEqual(['jars, nose']);
});

test('columns carry every film, its state, and what is due or broken', () => {
  const [jars, wall] = columnsOf(see(half), NOW_MS, NO_SWATCHES);
  expect(jars!.steps.map((s) => [s.name, s.state, s.broken])).toEqual([
    ['Coat 1', 'planned', false],
    ['Coat 2', 'planned', true],
  ]);
  expect(jars!.broken).toBe('coat 2 does not hold');
  expect(wall!.broken).toBeNull();
  expect(wall!.due).toBe('Coat 1 first');
});

test('what is due follows the film', () => {
  const due = (daysAgo: number) => {
    const [first] = columnsOf(lay(daysAgo), NOW_MS, NO_SWATCHES);
    return first!.due;
  };
  const lay = (daysAgo: number) =>
    see(
      layCoat(
        notched,
        {
          coatId: 'c0',
          passageIds: [notched.passages[0]!.id],
          at: isoDaysAgo(daysAgo),
          spot: null,
          intoWet: false,
        },
        making(),
      ),
    );
  expect(due(0.1)).toMatch(/^till /);
  expect(due(1.5)).toMatch(/^dry .+/);
  // Today offers no coat that a rule refuses, and the column says the same.
  expect(due(40)).toBe('takes coat 2');
});

describe('what the rules say over the painting', () => {
  const zinc = { ...recipe([tube('zinc-white')], 0, [], 40) };
  const p = stackOf([zinc, recipe([tube('titanium-white')], 0, [], 50)]);

  test('each rule once, gravest first, with where it speaks; notes stay at their film', () => {
    const notes = ruleNotes(assessPainting(p, optionsAt()));
    expect(notes[0]!.finding.rule).toBe('zinc-below');
    expect(notes[0]!.where).toEqual(['coat 2 on jars', 'coat 2 on wall']);
    expect(new Set(notes.map((n) => n.finding.rule)).size).toBe(notes.length);
    expect(notes.every((n) => n.finding.severity !== 'note')).toBe(true);
  });

  test('what was overruled stands last, and the column is no longer refused', () => {
    const overruled = [
      { rule: 'zinc-below' as const, reason: 'a test', at: new Date(0).toISOString() },
    ];
    const kept = { ...p, coats: p.coats.map((c) => ({ ...c, overruled })) };
    const notes = ruleNotes(assessPainting(kept, optionsAt()));
    expect(notes.at(-1)!.finding).toMatchObject({ rule: 'zinc-below', overruled: 'a test' });
    expect(
      troublesOf(assessPainting(p, optionsAt())).some((t) =>
        /Oil over zinc white/.test(t.sentence),
      ),
    ).toBe(true);
    expect(
      troublesOf(assessPainting(kept, optionsAt())).some((t) =>
        /Oil over zinc white/.test(t.sentence),
      ),
    ).toBe(false);
  });
});
