import { newPainting } from '@/core/testing/paintings';
import { checkDraft, draftOf, newDraft } from './draft';

const painting = newPainting();
const coat = painting.coats[0]!;

test('a coat goes into the editor and comes out the same', () => {
  for (const c of painting.coats) expect(checkDraft(draftOf(c)).coat).toEqual(c);
  const meant = { ...coat, why: 'the shadow stays cool' };
  expect(checkDraft(draftOf(meant)).coat).toEqual(meant);
});

test('what is typed wrong stands at its field, and there is no coat', () => {
  const wrong = checkDraft({
    ...draftOf(coat),
    name: ' ',
    sharePct: '140',
    thicknessUm: '',
    mix: [{ parts: '-1', pigment: 'raw-umber', binder: 'linseed' }],
  });
  expect(wrong.coat).toBeNull();
  expect(wrong.problem('name')).toBe('Needs a name.');
  expect(wrong.problem('recipe.mediumShare')).toMatch(/over 100 %/);
  expect(wrong.problem('recipe.thicknessUm')).toMatch(/number of µm/);
  expect(wrong.problem('recipe.mix.0.parts')).toMatch(/above 0/);
  expect(wrong.problem('recipe.mix.1.parts')).toBeUndefined();
});

test('decimal commas are read', () => {
  expect(checkDraft({ ...draftOf(coat), sharePct: '12,5' }).coat?.recipe.mediumShare).toBeCloseTo(
    0.125,
  );
});

test('a new coat is like the last one of its passage, or like the one it follows', () => {
  const [, wall] = painting.passages;
  const last = painting.coats.filter((c) => c.passageIds.includes(wall!.id)).at(-1)!;
  expect(newDraft(painting, wall!.id, null, 'n')).toMatchObject({
    id: 'n',
    name: `${last.name} again`,
    passageIds: [wall!.id],
  });
  expect(newDraft(painting, null, coat.id, 'n')).toMatchObject({
    name: `${coat.name} again`,
    passageIds: coat.passageIds,
  });
  expect(checkDraft(newDraft({ ...painting, coats: [] }, null, null, 'n')).coat).not.toBeNull();
});
