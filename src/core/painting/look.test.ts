import { layCoat } from './events';
import { making, NOW, NOW_MS, stackOf } from '../tests/paintings';
import { part, recipe, tube } from '../tests/recipes';
import { STUDIO_HANDBOOK } from '../handbook';
import { REFERENCE_CLIMATE } from '../drying';
import { valueOfLab } from '../optics';
import { NO_SWATCHES } from '../optics/composition';
import { assessPainting } from './assess';
import { belowOf, groundLook, stackLook } from './look';
import { turnedPairs, valueMap } from './value-map';

const options = { handbook: STUDIO_HANDBOOK, climate: REFERENCE_CLIMATE, nowMs: NOW_MS };
const stackIn = (painting: ReturnType<typeof stackOf>, nowMs = NOW_MS) =>
  assessPainting(painting, { ...options, nowMs }).passages[0]!.base;

const picture = stackOf([
  recipe([tube('titanium-white', 3), tube('raw-umber')], 0, [], 60),
  recipe([tube('ultramarine-blue')], 0.9, [part('stand-oil')], 12),
]);

test('every film is the colour of the place once it lies there, from the ground up', () => {
  const stack = stackIn(picture);
  const look = stackLook(stack, picture, NO_SWATCHES);
  const [under, glaze] = stack.layers;
  const colourOf = (layer: typeof under) => look.films.get(layer!.film.key)!.lab;
  expect(valueOfLab(groundLook(picture).lab)).toBeGreaterThan(8.5);
  expect(valueOfLab(colourOf(glaze))).toBeLessThan(valueOfLab(colourOf(under)) - 0.5);
  expect(colourOf(glaze)[2]).toBeLessThan(-10);
  expect(belowOf(stack, glaze!, look).lab).toEqual(colourOf(under));
  expect(belowOf(stack, under!, look)).toBe(look.ground);
  // Nothing is laid: now is the ground, finished is all of the plan.
  expect(look.now).toBe(look.ground);
  expect(look.finished.lab).toEqual(colourOf(glaze));
  expect(stackLook(stack, picture, NO_SWATCHES)).toBe(look);
});

test('wet paint looks deeper than when it has dried, and a drawing does not colour the place', () => {
  const dark = stackOf([recipe([tube('ivory-black')], 0, [], 60)]);
  const laid = layCoat(
    dark,
    {
      coatId: dark.coats[0]!.id,
      passageIds: dark.passages.map((p) => p.id),
      at: NOW,
      spot: null,
      intoWet: false,
    },
    making(),
  );
  const at = (days: number) => {
    const ms = NOW_MS + days * 86_400_000;
    return stackLook(stackIn(laid, ms), laid, NO_SWATCHES).now;
  };
  expect(at(0.01).finish).toBe('wet');
  expect(at(60).finish).not.toBe('wet');
  expect(at(60).lab[0]).toBeGreaterThan(at(0.01).lab[0]);
  const drawn = stackOf([{ ...recipe([], 0, [], 1), material: 'charcoal' }]);
  const look = stackLook(stackIn(drawn), drawn, NO_SWATCHES);
  expect(look.finished.inner).toEqual(look.ground.inner);
});

test('the map of values goes from what lies there to what is planned, and tells what turns round', () => {
  const map = valueMap(assessPainting(picture, options), NO_SWATCHES);
  expect(map).toHaveLength(picture.passages.length);
  for (const row of map) {
    expect(row.now.value).toBeGreaterThan(row.finished.value);
    expect(row.next).not.toBeNull();
  }
  const point = (value: number) => ({ ...map[0]!.now, value });
  const rows = [
    { ...map[0]!, name: 'a', now: point(4), finished: point(8) },
    { ...map[0]!, name: 'b', now: point(7), finished: point(5) },
    { ...map[0]!, name: 'c', now: point(4.1), finished: point(4.9) },
  ];
  expect(turnedPairs(rows)).toEqual([['b', 'a']]);
});
