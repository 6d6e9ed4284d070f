import { layCoat } from '@/core/painting/events';
import { assessPainting, type Painting } from '@/core/painting';
import {
  DAY,
  isoDaysAgo,
  making,
  newPainting,
  NOW_MS,
  optionsAt,
  stackOf,
} from '@/core/tests/paintings';
import { recipe, tube } from '@/core/tests/recipes';
import { today, TODAY_GROUPS } from '@/core/today';
import { rowTime, rowWords } from './due-words';

const two = stackOf([
  recipe([tube('titanium-white')], 0, [], 40),
  recipe([tube('titanium-white')], 0, [], 60),
]);
const jars = two.passages[0]!.id;
const lay = (p: Painting, coatId: string, daysAgo: number) =>
  layCoat(
    p,
    { coatId, passageIds: [jars], at: isoDaysAgo(daysAgo), spot: null, intoWet: false },
    making(),
  );

/** What Today says of the jars. */
function said(painting: Painting, nowMs = NOW_MS, temperatureC = 20): [string, string] {
  const options = optionsAt(nowMs);
  const rows = today(
    [assessPainting(painting, { ...options, climate: { ...options.climate, temperatureC } })],
    nowMs,
  );
  const row = TODAY_GROUPS.flatMap((g) => rows[g]).find((r) => r.passage.id === jars)!;
  return [rowWords(row, nowMs), rowTime(row, nowMs)];
}

test('bare: what it takes, now', () => {
  expect(said(two)).toEqual(['bare, takes the coat 1', 'now']);
  expect(said({ ...two, coats: [] })[0]).toBe('bare, nothing planned');
});

test('open: about until when, and the careful time beside it', () => {
  const [words, time] = said(lay(two, 'c0', 0.1));
  expect(words).toMatch(/^open till about /);
  expect(time).toMatch(/\d/);
});

test('drying: the state and the stretch from 50 to 90 %; never a bare date', () => {
  const [words, time] = said(lay(two, 'c0', 1.5));
  expect(words).toMatch(/^(setting|tacky), .+ (to|–).+/);
  expect(time).not.toBe('now');
});

test('probably dry asks for a finger', () => {
  const p = lay(two, 'c0', 0);
  const top = assessPainting(p, optionsAt()).passages[0]!.base.layers[0]!;
  const { p50, p75 } = top.windows!.touchDry;
  expect(said(p, (p50! + p75!) / 2)[0]).toMatch(/^probably dry: touch it/);
});

test('ready, and ready with nothing to come', () => {
  expect(said(lay(two, 'c0', 6))).toEqual(['touch-dry, takes the coat 2', 'now']);
  const done = lay(lay(two, 'c0', 60), 'c1', 40);
  expect(said(done)[0]).toMatch(/nothing more planned$/);
  expect(said(done)[1]).toBe('');
});

test('an oil ground that waits says from when; a frozen studio says why', () => {
  const young: Painting = {
    ...newPainting(),
    ground: { kind: 'oil-ground', laidAt: isoDaysAgo(10) },
  };
  const rows = today([assessPainting(young, optionsAt())], NOW_MS);
  expect(rowWords(rows['leave-alone'][0]!, NOW_MS)).toMatch(/^oil ground, from /);
  const frozen = assessPainting(lay(two, 'c0', 2), {
    ...optionsAt(),
    climate: { ...optionsAt().climate, temperatureC: 0 },
  });
  const row = today([frozen], NOW_MS + 30 * DAY);
  const stuck = [...row['leave-alone'], ...row['still-open']].find((r) => r.passage.id === jars)!;
  expect(rowWords(stuck, NOW_MS)).toMatch(/open|too cold to dry/);
});

test('a coat that a rule refuses is not offered: acrylic over oil, unless the painter has given a reason', () => {
  const acrylic = recipe([tube('titanium-white', 1, 'acrylic')], 0, [], 60);
  const refused: Painting = {
    ...two,
    coats: two.coats.map((coat) => (coat.id === 'c1' ? { ...coat, recipe: acrylic } : coat)),
  };
  const laid = lay(refused, 'c0', 30);
  expect(said(laid)).toEqual(['through-dry; the coat 2 is refused here', '–']);
  const overruled: Painting = {
    ...laid,
    coats: laid.coats.map((coat) =>
      coat.id === 'c1'
        ? {
            ...coat,
            overruled: [{ rule: 'acrylic-over-oil', reason: 'a test piece', at: isoDaysAgo(1) }],
          }
        : coat,
    ),
  };
  expect(said(overruled)).toEqual(['through-dry, takes the coat 2', 'now']);
});
