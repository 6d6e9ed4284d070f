import { STUDIO_HANDBOOK } from '../handbook';
import { recipe, tube } from '../tests/recipes';
import { composition, filmOfRecipe, mixOfColours } from '.';

const LIGHT = {
  name: 'light',
  share: 0.75,
  mix: [tube('titanium-white', 3), tube('yellow-ochre')],
};
const DARK = { name: 'dark', share: 0.25, mix: [tube('yellow-ochre', 10), tube('raw-umber', 30)] };

test('several colours are one film: each by its share, whatever its parts are counted in', () => {
  const mix = mixOfColours([LIGHT, DARK]);
  const parts = Object.fromEntries(mix.map((p) => ['pigment' in p ? p.pigment : '', p.parts]));
  // 75 % of the area at 3:1 and 25 % at 1:3, in parts of a hundred, by hand.
  expect(parts['titanium-white']).toBeCloseTo(56.25, 9);
  expect(parts['yellow-ochre']).toBeCloseTo(25, 9);
  expect(parts['raw-umber']).toBeCloseTo(18.75, 9);
  const film = filmOfRecipe(STUDIO_HANDBOOK, recipe(mix));
  const one = filmOfRecipe(STUDIO_HANDBOOK, recipe(mixOfColours([{ ...LIGHT, share: 1 }])));
  const alone = filmOfRecipe(STUDIO_HANDBOOK, recipe(LIGHT.mix));
  const fatness = (f: typeof film) => composition(STUDIO_HANDBOOK, f).fatness;
  expect(fatness(one)).toBeCloseTo(fatness(alone), 9);
  const dark = fatness(filmOfRecipe(STUDIO_HANDBOOK, recipe(DARK.mix)));
  const [least, most] = [fatness(alone), dark].sort((a, b) => a - b) as [number, number];
  expect(fatness(film)).toBeGreaterThan(least);
  expect(fatness(film)).toBeLessThan(most);
});
