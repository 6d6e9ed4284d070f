import { HANDBOOK_SET } from '../tests/handbook-set';
import type { Handbook, Pigment } from '../handbook';
import { recipe, tube } from '../tests/recipes';
import { composition, wetMixture } from '.';

/**
 * Typical artists' tube paints: density, oil absorption and oil by weight from Gettens & Stout, Mayer,
 * Doerner and Patton (from memory); PVC, critical PVC and reduced PVC worked out by hand with oil 0.930.
 */
const TUBES: [
  name: string,
  density: number,
  oilAbsorption: number,
  oilWt: number,
  pvc: number,
  cpvc: number,
  reduced: number,
][] = [
  ['lead white', 6.7, 11, 14, 0.46, 0.559, 0.823],
  ['zinc white', 5.6, 15, 19, 0.415, 0.527, 0.787],
  ['titanium white', 4.1, 20, 25, 0.405, 0.533, 0.76],
  ['cadmium yellow', 4.5, 20, 27, 0.358, 0.51, 0.704],
  ['cadmium red', 4.8, 18, 25, 0.368, 0.52, 0.707],
  ['Naples yellow', 6.2, 12, 16, 0.441, 0.557, 0.791],
  ['yellow ochre', 3.1, 38, 42, 0.293, 0.442, 0.662],
  ['iron oxide yellow', 4.0, 35, 40, 0.259, 0.4, 0.646],
  ['raw sienna', 3.2, 45, 48, 0.239, 0.394, 0.608],
  ['burnt sienna', 3.6, 38, 43, 0.255, 0.406, 0.628],
  ['raw umber', 3.6, 40, 45, 0.24, 0.394, 0.61],
  ['burnt umber', 3.7, 38, 44, 0.242, 0.399, 0.607],
  ['iron oxide red', 5.0, 20, 28, 0.324, 0.483, 0.67],
  ['green earth', 2.7, 45, 46, 0.288, 0.435, 0.662],
  ['chromium oxide', 5.2, 15, 21, 0.402, 0.545, 0.738],
  ['viridian', 3.3, 55, 48, 0.234, 0.34, 0.688],
  ['cobalt blue', 4.2, 28, 32, 0.32, 0.443, 0.722],
  ['cerulean', 4.6, 20, 28, 0.342, 0.504, 0.679],
  ['ultramarine', 2.35, 33, 36, 0.413, 0.547, 0.756],
  ['Prussian blue', 1.85, 60, 55, 0.291, 0.457, 0.637],
  ['phthalo blue', 1.6, 45, 52, 0.349, 0.565, 0.618],
  ['phthalo green', 2.05, 40, 46, 0.347, 0.533, 0.652],
  ['quinacridone', 1.48, 55, 55, 0.34, 0.535, 0.635],
  ['arylide yellow', 1.5, 45, 52, 0.364, 0.581, 0.627],
  ['alizarin lake', 1.65, 65, 58, 0.29, 0.466, 0.622],
  ['bone black', 2.45, 50, 48, 0.291, 0.433, 0.673],
  ['lamp black', 1.8, 100, 68, 0.196, 0.342, 0.572],
  ['iron oxide black', 4.8, 24, 30, 0.311, 0.448, 0.695],
  ['vermilion', 8.1, 11, 15, 0.394, 0.512, 0.77],
];

const pigment = ([key, density, oilAbsorption, oilWt]: (typeof TUBES)[number]): Pigment => ({
  key,
  ci: '',
  name: key,
  densityGPerMl: density,
  oilAbsorptionGPer100g: oilAbsorption,
  dryingFactor: 1,
  tubeOilWtPct: oilWt,
  metals: [],
});

const handbook: Handbook = {
  ...HANDBOOK_SET,
  pigments: Object.fromEntries(TUBES.map((line) => [line[0], pigment(line)])),
};

test.each(TUBES)('tube of %s', (name, density, _, oilWt, pvc, cpvc, reduced) => {
  const f = composition(handbook, wetMixture(handbook, recipe([tube(name)])));
  // The printed values have three places; a thousandth more for the rounding of their own inputs.
  expect(Math.abs(f.pvc - pvc)).toBeLessThanOrEqual(0.0011);
  expect(Math.abs(f.cpvc! - cpvc)).toBeLessThanOrEqual(0.0011);
  expect(Math.abs(f.reducedPvc! - reduced)).toBeLessThanOrEqual(0.0021);
  expect(f.binderWeightFraction).toBeCloseTo(oilWt / 100, 9);
  // Mass by hand: 100 g over the volumes of pigment and oil.
  const ml = (100 - oilWt) / density + oilWt / 0.93;
  expect(f.dryDensityGPerMl).toBeCloseTo(100 / ml, 6);
  expect(f.fatness + f.pvc).toBeCloseTo(1, 12);
});

test('a neat oil paint holds more binder than its pigments need, every one of them', () => {
  for (const [name] of TUBES) {
    const f = composition(handbook, wetMixture(handbook, recipe([tube(name)])));
    expect(f.reducedPvc!).toBeGreaterThan(0.55);
    expect(f.reducedPvc!).toBeLessThan(0.85);
  }
});
