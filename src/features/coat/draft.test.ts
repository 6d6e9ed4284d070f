import { checkDraft, withAt } from '@/forms/draft';
import { coatSchema } from '@/core/painting/schema';
import { newPainting } from '@/core/tests/paintings';
import { asMaterial, asPaint, nameForRole, newCoat, paintPartOf } from './draft';

const painting = newPainting();
const coat = painting.coats[0]!;
const typed = (text: string, as: 'parts' | 'percent' | 'micrometres') => ({
  typed: text,
  as,
  was: 1,
});

test('what is typed wrong stands at its field, and there is no coat', () => {
  const wrong = checkDraft(coatSchema, {
    ...coat,
    name: ' ',
    recipe: {
      ...coat.recipe,
      mediumShare: typed('140', 'percent'),
      thicknessUm: typed('', 'micrometres'),
      mix: [{ parts: typed('-1', 'parts'), pigment: 'raw-umber', binder: 'linseed' }],
    },
  });
  expect(wrong.value).toBeNull();
  const said = Object.fromEntries(wrong.issues.map((i) => [i.where, i.message]));
  expect(said.name).toBe('Needs a name.');
  expect(said['recipe.mediumShare']).toMatch(/over 100 %/);
  expect(said['recipe.thicknessUm']).toMatch(/number of µm/);
  expect(said['recipe.mix.0.parts']).toMatch(/above 0/);
});

test('what no field of the form knows of is carried along', () => {
  const known = { ...coat, minutes: 90, oneSitting: true, apart: true };
  const draft = withAt(known, 'recipe.thicknessUm', typed('42,5', 'micrometres'));
  expect(checkDraft(coatSchema, draft).value).toEqual(withAt(known, 'recipe.thicknessUm', 42.5));
});

test('a new coat is blank, over all or one passage; or like the one it follows, without its reasons', () => {
  const [, wall] = painting.passages;
  expect(newCoat(painting, wall!.id, null, 'n')).toMatchObject({
    id: 'n',
    name: 'Overpainting',
    passageIds: [wall!.id],
    recipe: { mix: [] },
  });
  const all = newCoat(painting, null, null, 'n');
  expect(all.passageIds).toEqual(painting.passages.map((p) => p.id));
  const reasoned = { ...coat, why: 'warm below', minutes: 40 };
  const again = newCoat({ ...painting, coats: [reasoned] }, null, coat.id, 'n');
  expect(again).toEqual({ ...coat, id: 'n', name: `${coat.name} again` });
  expect(coatSchema.parse(again)).toEqual(again);
  expect(nameForRole('Overpainting', 'overpainting', 'glaze')).toBe('Glaze');
  expect(nameForRole('Sky', 'overpainting', 'glaze')).toBe('Sky');
});

test('the name of a coat made like one with a long name can be kept', () => {
  const long = { ...coat, name: 'x'.repeat(60) };
  const next = newCoat({ ...painting, coats: [long] }, null, long.id, 'n');
  expect(coatSchema.parse(next).name).toHaveLength(60);
});

test('made a drawing and made paint again, it is mixed as it was', () => {
  const { recipe } = coat;
  const before = paintPartOf(recipe);
  const drawn = asMaterial(5, 'charcoal');
  expect(coatSchema.shape.recipe.safeParse(drawn).success).toBe(true);
  expect(asPaint(drawn, before)).toEqual({ ...recipe, thicknessUm: 5 });
  expect(coatSchema.shape.recipe.safeParse(asPaint(drawn, null)).success).toBe(true);
});
