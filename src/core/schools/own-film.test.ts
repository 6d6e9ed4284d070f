import { VERBS } from '../headless/verbs';
import { ALKYD, part, recipe, tube } from '../tests/recipes';
import type { Recipe } from '../film';

/** What is said of one film alone, whatever it lies on; through the verb, so on its ground and with its waits. */
const verdict = (school: string, coats: Recipe[], more: object = {}) => {
  const { pairs } = VERBS.verdicts!.run({
    now: '2026-02-17T10:00:00.000Z',
    school,
    coats: coats.map((r, i) => ({
      name: `coat ${i}`,
      recipe: r,
      laidAt: i < coats.length - 1 ? '2026-01-10T10:00:00.000Z' : null,
    })),
    ...more,
  }) as {
    pairs: { verdicts: Record<string, { verdict: string; reason: string; sentence: string }> }[];
  };
  return pairs.at(-1)!.verdicts[school]!;
};
const umber = (um: number) => recipe([tube('raw-umber')], 0, [], um);
const alkyd = (share: number, um: number) => recipe([tube('titanium-white')], share, ALKYD, um);

test('spare binder fails by the film below as well: paint on what powders comes off with it', () => {
  const chalk = { ground: { kind: 'chalk-glue', coats: 8 }, support: 'wood-panel' };
  const told = verdict('binder-excess', [umber(10), umber(60)], chalk);
  expect([told.verdict, told.reason]).toEqual(['fail', 'underbound-below']);
  expect(told.sentence).toBe(
    'The coat 0 below has too little binder: what lies on it comes off with it.',
  );
  // On acrylic gesso the same wash keeps its oil.
  expect(verdict('binder-excess', [umber(10), umber(60)]).reason).not.toBe('underbound-below');
});

test('all the oil leaves pores to the other school', () => {
  const lean = recipe([tube('raw-umber')], 0.4, [part('mineral-spirits')], 8);
  const told = verdict('total-oil', [recipe([tube('titanium-white')]), lean], {
    ground: { kind: 'chalk-glue', coats: 8 },
    support: 'wood-panel',
  });
  expect(told.reason).not.toBe('underbound');
});

test('constant alkyd takes the worse of what each film is by itself', () => {
  const body = alkyd(0.3, 60);
  const glaze = alkyd(0.5, 15);
  // Body a little over the cap, glaze let off: a caution, not the fail of half alkyd medium.
  expect(verdict('constant-alkyd', [body, glaze]).verdict).toBe('caution');
  expect(verdict('constant-alkyd', [alkyd(0.25, 60), glaze]).verdict).toBe('note');
  expect(verdict('constant-alkyd', [alkyd(0.25, 60), alkyd(0.5, 60)]).verdict).toBe('fail');
});

test('constant alkyd looks through a glaze that is let off, as through a couch', () => {
  const told = verdict('constant-alkyd', [alkyd(0.25, 60), alkyd(0.5, 15), alkyd(0.25, 60)]);
  expect([told.verdict, told.reason]).toEqual(['ok', 'rises']);
  // Named is the body that it is held to.
  const less = verdict('constant-alkyd', [alkyd(0.25, 60), alkyd(0.5, 15), alkyd(0.1, 60)]);
  expect(less.reason).toBe('falls');
  expect(less.sentence).toContain('coat 0');
});
