import { dryVolume } from '../film';
import { recordLaying } from '../painting/record';
import { DAY, isoDaysAgo, making, NOW, NOW_MS, optionsAt, stackOf } from '../tests/paintings';
import { FLESH, recipe, tube } from '../tests/recipes';
import type { Coat, Painting } from '../painting';
import { assessPainting } from '../painting';
import { refusalOf } from '.';
import { toldLaying } from './laying';

const ACRYLIC = recipe([tube('titanium-white', 1, 'acrylic')]);
const plan = stackOf([recipe(FLESH), recipe(FLESH), ACRYLIC]);
const [jars, wall] = plan.passages.map((p) => p.id) as [string, string];
const options = optionsAt();
const lay = (p: Painting, coatId: string, daysAgo: number, passageIds = [jars]): Painting =>
  recordLaying(p, { coatId, passageIds, at: isoDaysAgo(daysAgo), spot: null }, options, making());
const coat = (id: string): Coat => plan.coats.find((c) => c.id === id)!;
const ask = (p: Painting, coatId: string, daysAgo = 0, passageIds = [jars]) =>
  toldLaying(
    p,
    { coat: coat(coatId), passageIds, spot: null, atMs: NOW_MS - daysAgo * DAY },
    options,
  );

test('open paint is gone into, setting paint would be lifted, dry paint takes it', () => {
  const p = lay(plan, 'c0', 10);
  expect(ask(p, 'c1', 9.9)).toMatchObject({ open: [jars], unset: [jars], lifts: null });
  const setting = ask(p, 'c1', 8);
  expect([setting.open, setting.unset, setting.lifts?.film.name]).toEqual([[], [jars], 'Coat 1']);
  expect(ask(p, 'c1', 0)).toMatchObject({ open: [], unset: [], lifts: null, refused: false });
  // On the bare passage beside it there is nothing to lift.
  expect(ask(p, 'c1', 8, [wall]).lifts).toBeNull();
});

test('a rule is heard for whatever goes on: planned, again, or on a passage it was not meant for', () => {
  const p = lay(plan, 'c0', 60);
  const planned = assessPainting(p, options).passages[0]!.base.layers.at(-1)!;
  expect(refusalOf(planned)?.rule).toBe('acrylic-over-oil');
  expect(ask(p, 'c2').findings.map((f) => f.rule)).toContain('acrylic-over-oil');
  expect(ask(p, 'c2').refused).toBe(true);
  const reasoned = {
    ...coat('c2'),
    overruled: [{ rule: 'acrylic-over-oil' as const, reason: 'a study', at: NOW }],
  };
  const told = toldLaying(
    p,
    { coat: reasoned, passageIds: [jars], spot: null, atMs: NOW_MS },
    options,
  );
  expect(told.refused).toBe(false);
  // Laid all the same, and asked about once more: it is not let off because it lies there.
  const over = lay(p, 'c2', 2);
  expect(ask(lay(over, 'c1', 1), 'c2').refused).toBe(true);
});

test('a spot that is not dry is gone round, and holds a varnish back', () => {
  const dabbed = recordLaying(
    lay(plan, 'c0', 200),
    { coatId: 'c1', passageIds: [jars], at: isoDaysAgo(2), spot: { name: 'rim', share: 0.1 } },
    options,
    making(),
  );
  const told = ask(dabbed, 'c1');
  expect([told.lifts, told.around.map((l) => l.film.name)]).toEqual([null, ['Coat 2']]);
  const varnish = {
    ...coat('c1'),
    role: 'varnish' as const,
    recipe: { ...recipe([]), material: 'synthetic-varnish' as const, thicknessUm: 10 },
  };
  const early = (p: Painting) =>
    toldLaying(
      p,
      { coat: varnish, passageIds: [jars], spot: null, atMs: NOW_MS },
      options,
    ).findings.find((f) => f.rule === 'varnish-too-early');
  expect(early(lay(plan, 'c0', 200))).toBeUndefined();
  expect(early(dabbed)!.untilMs!).toBeGreaterThan(NOW_MS + 5 * DAY);
});

test('judged by what lay there at that hour, whatever was entered since', () => {
  const p = lay(lay(plan, 'c0', 60), 'c1', 0.01);
  expect(ask(p, 'c1', 0).open).toEqual([jars]);
  expect(ask(p, 'c1', 1).tops.get(jars)!.film.coatIds).toEqual(['c0']);
  expect(dryVolume(ask(p, 'c1', 1).tops.get(jars)!.film.asLaid)).toBeGreaterThan(0);
});
