import fc from 'fast-check';
import { INGREDIENT_KEYS, INGREDIENTS } from '@/data/ingredients';
import { asTube, starterCabinet } from '../cabinet';
import {
  composition,
  ingredientFigures,
  mediumFigures,
  wetMixture,
  type MediumPart,
} from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { layCoat } from '../painting/events';
import { HANDBOOK_SET } from '../tests/handbook-set';
import { making, newPainting, NOW, stackOf } from '../tests/paintings';
import { own, part, recipe, tube } from '../tests/recipes';
import { refusal as code } from '../tests/refusal';
import {
  batchOf,
  blendJars,
  byVolume,
  byWeight,
  capOf,
  cm2PerMl,
  fromMl,
  lossesOf,
  mediumFor,
  needsOf,
  oilingOutDose,
  paintNeeded,
  partsFromAmounts,
  shareOfParts,
  shoppingList,
  solidsOf,
  stretchJar,
  stretchToSolids,
  toMl,
  tubeCover,
  UNITS,
} from '.';

const near = (value: number, expected: number, tolerance: number) =>
  expect(Math.abs(value - expected)).toBeLessThanOrEqual(tolerance);
const anyMedium = fc
  .uniqueArray(fc.constantFrom(...INGREDIENT_KEYS), { minLength: 1, maxLength: 5 })
  .chain((keys) =>
    fc.tuple(
      ...keys.map((ingredient) =>
        fc
          .double({ min: 0.1, max: 20, noNaN: true })
          .map((parts): MediumPart => ({ ingredient, parts })),
      ),
    ),
  );

describe('mediums of the handbooks, every printed digit', () => {
  // Recipe mediums of Mayer and Doerner, worked by hand with the densities of the table; from memory.
  const spirits = part('mineral-spirits');
  const row = (name: string, parts: MediumPart[], vol: number, wt: number, density: number) =>
    [name, parts, vol, wt, density] as const;
  const damar = (n = 1, solidsWtPct?: number): MediumPart => ({
    ingredient: 'damar-varnish',
    parts: n,
    ...(solidsWtPct ? { solidsWtPct } : {}),
  });
  test.each([
    row('linseed:spirits 1:1', [part('linseed-refined'), spirits], 50.0, 54.7, 0.85),
    row(
      'linseed:spirits 1:2',
      [part('linseed-refined'), part('mineral-spirits', 2)],
      33.3,
      37.7,
      0.823,
    ),
    row(
      'linseed:spirits 1:3',
      [part('linseed-refined'), part('mineral-spirits', 3)],
      25.0,
      28.7,
      0.81,
    ),
    row('linseed:spirits 2:1', [part('linseed-refined', 2), spirits], 66.7, 70.7, 0.877),
    row('stand:spirits 1:1', [part('stand-oil'), spirits], 50.0, 55.5, 0.865),
    row(
      'stand:damar:turpentine 1:1:1',
      [part('stand-oil'), damar(), part('turpentine')],
      42.9,
      46.0,
      0.915,
    ),
    row('1:1:2', [part('stand-oil'), damar(), part('turpentine', 2)], 32.2, 35.0, 0.903),
    row('1:1:3 turpentine', [part('stand-oil'), damar(), part('turpentine', 3)], 25.7, 28.2, 0.895),
    row(
      '1:1:3 spirits',
      [part('stand-oil'), damar(), part('mineral-spirits', 3)],
      25.73,
      30.16,
      0.838,
    ),
    row('1:1:5 turpentine', [part('stand-oil'), damar(), part('turpentine', 5)], 18.4, 20.4, 0.887),
    row(
      '1:1:1 with a five-pound cut',
      [part('stand-oil'), damar(1, 40.9), part('turpentine')],
      45.4,
      48.6,
      0.92,
    ),
    row(
      '1:1:5 with a five-pound cut',
      [part('stand-oil'), damar(1, 40.9), part('turpentine', 5)],
      19.4,
      21.6,
      0.889,
    ),
    row('alkyd glazing medium', [part('alkyd-medium')], 43.1, 50, 0.888),
    row('alkyd gel', [part('alkyd-gel')], 38.3, 45, 0.876),
    // Wax and spirits by weight 1:3 and 1:2: Gettens & Stout for the densities; from memory.
    row(
      'beeswax 1:3 by weight',
      [{ ingredient: 'cold-wax', parts: 1, solidsWtPct: 25 }],
      21.1,
      25,
      0.81,
    ),
    row(
      'beeswax 1:2 by weight',
      [{ ingredient: 'cold-wax', parts: 1, solidsWtPct: 33.33 }],
      28.6,
      33.3,
      0.824,
    ),
    row('larch balsam', [part('larch-balsam')], 76, 80, 1.02),
  ])('%s', (_, parts, vol, wt, density) => {
    const f = mediumFigures([...parts]);
    near(f.solidsVolumeFraction * 100, vol, 0.06);
    near(f.solidsWeightFraction * 100, wt, 0.07);
    near(f.densityGPerMl, density, 0.001);
  });

  test('wax by weight through the parts is the wax of the table', () => {
    const parts = byVolume([part('beeswax', 1), part('mineral-spirits', 3)], 'weight');
    near(mediumFigures(parts).solidsVolumeFraction * 100, 21.1, 0.06);
  });
});

describe('a batch in every measure', () => {
  test('50 ml of stand oil, varnish and spirits 1:1:3', () => {
    const batch = batchOf(
      STUDIO_HANDBOOK,
      [part('stand-oil'), part('damar-varnish'), part('mineral-spirits', 3)],
      50,
    );
    expect(batch.lines.map((l) => Math.round(l.ml))).toEqual([10, 10, 30]);
    near(batch.lines[0]!.g, 9.6, 0.01);
    // Metric teaspoon of 5 ml and 20 drops to the ml: common practice, no source.
    near(batch.lines[0]!.tsp, 2, 1e-9);
    near(batch.lines[0]!.drops, 200, 1e-9);
    near(batch.g, 50 * 0.838, 0.05);
  });

  test('conversions round-trip, whatever the medium (seed printed)', () => {
    fc.assert(
      fc.property(anyMedium, fc.double({ min: 0.5, max: 2000, noNaN: true }), (parts, ml) => {
        const batch = batchOf(STUDIO_HANDBOOK, parts, ml);
        const shares = (list: MediumPart[]) => {
          const total = list.reduce((s, p) => s + p.parts, 0);
          return list.map((p) => p.parts / total);
        };
        const wanted = shares(parts);
        const back = UNITS.map((unit) =>
          shares(
            partsFromAmounts(
              STUDIO_HANDBOOK,
              batch.lines.map((l) => ({
                ingredient: l.part.ingredient,
                amount: l[unit],
                unit,
              })),
            ),
          ),
        );
        const weighed = shares(byVolume(byWeight(parts), 'weight'));
        return [...back, weighed].every((list) =>
          list.every((x, i) => Math.abs(x - wanted[i]!) < 1e-9),
        );
      }),
    );
  });

  test('every unit there and back (seed printed)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 5000, noNaN: true }),
        fc.constantFrom(...UNITS),
        fc.double({ min: 0.7, max: 1.2, noNaN: true }),
        (amount, unit, density) => {
          const ml = toMl(STUDIO_HANDBOOK, amount, unit, density);
          return Math.abs(fromMl(STUDIO_HANDBOOK, ml, unit, density) - amount) < 1e-9 * amount;
        },
      ),
    );
  });

  test('no medium, and no amount, are refused', () => {
    expect(code(() => batchOf(STUDIO_HANDBOOK, [], 10))).toBe('medium-empty');
    expect(code(() => batchOf(STUDIO_HANDBOOK, [part('stand-oil')], 0))).toBe('volume-range');
    expect(code(() => batchOf(STUDIO_HANDBOOK, [part('stand-oil')], NaN))).toBe('volume-range');
  });
});

describe('jars', () => {
  const lean = { parts: [part('linseed-refined'), part('mineral-spirits', 3)], ml: 40 };
  const rich = { parts: [part('linseed-refined'), part('mineral-spirits')], ml: 20 };

  test('stretching keeps the recipe', () => {
    const add = stretchJar(lean, 100);
    expect(add.map((a) => a.ml)).toEqual([15, 45]);
    expect(code(() => stretchJar(lean, 30))).toBe('volume-range');
  });

  test('two jars: 40 ml of 1:3 and 20 ml of 1:1 make 1:2', () => {
    const both = blendJars(lean, rich);
    expect(both.ml).toBe(60);
    expect(both.parts.map((p) => p.parts)).toEqual([20, 40]);
  });

  test('thinning to a wanted strength, and refusing the wrong way', () => {
    // 20 ml half oil thinned to a quarter: 20 ml more, by hand.
    near(stretchToSolids(rich, { ingredient: 'mineral-spirits' }, 0.25)!, 20, 1e-9);
    expect(stretchToSolids(rich, { ingredient: 'mineral-spirits' }, 0.75)).toBeNull();
    const x = stretchToSolids(rich, { ingredient: 'stand-oil' }, 0.75)!;
    near((10 + x) / (20 + x), 0.75, 1e-9);
  });

  test('blending never loses anything (seed printed)', () => {
    const ml = fc.double({ min: 1, max: 500, noNaN: true });
    fc.assert(
      fc.property(anyMedium, anyMedium, ml, ml, (a, b, x, y) => {
        const both = blendJars({ parts: a, ml: x }, { parts: b, ml: y });
        const total = both.parts.reduce((s, p) => s + p.parts, 0);
        const solids = (parts: MediumPart[], v: number) =>
          mediumFigures(parts).solidsVolumeFraction * v;
        return (
          Math.abs(total - x - y) < 1e-6 &&
          Math.abs(solids(both.parts, x + y) - solids(a, x) - solids(b, y)) < 1e-6
        );
      }),
    );
  });
});

describe('back from a wanted fatness to the medium', () => {
  const white = [tube('titanium-white')];
  // The series of titanium white with stand oil, damar and spirits 1:1:3, worked by hand; from memory.
  const glaze = [part('stand-oil'), part('damar-varnish'), part('mineral-spirits', 3)];
  test.each([
    [0.739, 0.1],
    [0.714, 0.2],
    [0.7, 0.25],
    [0.673, 1 / 3],
    [0.605, 0.5],
  ])('reduced PVC %f needs a share of %f', (reducedPvc, share) => {
    near(mediumFor(HANDBOOK_SET, white, glaze, { reducedPvc }).mediumShare, share, 0.006);
  });

  test('the share found gives the fatness asked for (seed printed)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.61, max: 0.95, noNaN: true }), (fatness) => {
        const found = mediumFor(STUDIO_HANDBOOK, white, [part('stand-oil')], { fatness });
        const f = composition(
          STUDIO_HANDBOOK,
          wetMixture(STUDIO_HANDBOOK, {
            mix: white,
            medium: [part('stand-oil')],
            mediumShare: found.mediumShare,
          }),
        );
        return Math.abs(f.fatness - fatness) < 1e-9;
      }),
    );
  });

  test('leaner than the tube, and a medium that leaves nothing, are refused', () => {
    expect(code(() => mediumFor(STUDIO_HANDBOOK, white, glaze, { fatness: 0.4 }))).toBe(
      'target-range',
    );
    expect(
      code(() => mediumFor(STUDIO_HANDBOOK, white, [part('turpentine')], { fatness: 0.7 })),
    ).toBe('target-range');
    expect(code(() => mediumFor(STUDIO_HANDBOOK, white, glaze, { fatness: 1.2 }))).toBe(
      'target-range',
    );
    expect(code(() => mediumFor(STUDIO_HANDBOOK, [], glaze, { fatness: 0.9 }))).not.toBe(
      'accepted',
    );
  });

  test('the cap: a quarter, and a third (common practice, no source)', () => {
    expect([0.25, 0.26, 1 / 3, 0.34].map((m) => capOf(STUDIO_HANDBOOK, m))).toEqual([
      'within',
      'over-quarter',
      'over-quarter',
      'over-third',
    ]);
    expect(shareOfParts(1, 3)).toBe(0.25);
  });
});

describe('paint needed', () => {
  const glaze = [part('stand-oil'), part('damar-varnish'), part('mineral-spirits', 3)];
  const coat = recipe([tube('titanium-white')], 0.2, glaze, 75);

  // Canvas 60 x 80 cm, one coat of 75 um, volume solids 0.8515: worked by hand.
  test('36 ml dry, 42.3 wet, 63.4 with canvas and waste', () => {
    near(solidsOf(HANDBOOK_SET, coat), 0.8515, 0.0005);
    const bare = paintNeeded(HANDBOOK_SET, coat, 4800, { canvasFactor: 1, wasteFactor: 1 });
    near(bare.dryMl, 36, 1e-9);
    near(bare.wetMl, 42.3, 0.05);
    const real = paintNeeded(HANDBOOK_SET, coat, 4800, { canvasFactor: 1.25, wasteFactor: 1.2 });
    near(real.wetMl, 63.4, 0.05);
    near(real.paintMl + real.mediumMl, real.wetMl, 1e-9);
    near(real.mediumMl / real.wetMl, 0.2, 1e-12);
    expect(real.cap).toBe('within');
  });

  test('T19: 37 ml at 75 um cover 4933 cm2 without waste, and weigh 81.9 g in titanium white', () => {
    const tubeOf = tubeCover(HANDBOOK_SET, tube('titanium-white'), 37, 75);
    near(tubeOf.areaCm2, 4933, 1);
    near(tubeOf.g, 81.9, 0.05);
  });

  // Coverage of painters' coats, cm2 per ml of wet paint; from memory.
  test.each([
    [75, 133],
    [150, 67],
    [50, 200],
    [500, 20],
    [15, 667],
    [40, 250],
    [10, 1000],
    [60, 167],
  ])('%i um wet cover %i cm2 to the ml', (wet, cm2) => {
    near(cm2PerMl(wet), cm2, 0.5);
  });

  test('area and factors out of range are refused', () => {
    const losses = { canvasFactor: 1, wasteFactor: 1 };
    expect(code(() => paintNeeded(HANDBOOK_SET, coat, 0, losses))).toBe('area-range');
    expect(code(() => paintNeeded(HANDBOOK_SET, coat, 10, { ...losses, wasteFactor: 0.5 }))).toBe(
      'target-range',
    );
  });
});

describe('what to squeeze out, and what is missing', () => {
  const cabinet = starterCabinet();
  const white = cabinet.paints.find((p) => p.pigments[0]!.pigment === 'titanium-white')!;

  test('a list for the whole painting: laid coats take nothing more', () => {
    const p = stackOf([recipe([tube('raw-umber')], 0, [], 20), recipe([tube('titanium-white')])]);
    const all = needsOf(STUDIO_HANDBOOK, p);
    expect(all.map((n) => n.name)).toEqual(['Coat 1', 'Coat 2']);
    // 50 x 40 cm: 2000 cm2 at 20 um is 4 ml dry; canvas 1.25 and waste 1.2 make 6 ml.
    near(all[0]!.needed.wetMl, 6, 1e-6);
    const laid = layCoat(
      p,
      {
        coatId: 'c0',
        passageIds: p.passages.map((x) => x.id),
        at: NOW,
        spot: null,
        intoWet: false,
      },
      making(),
    );
    expect(needsOf(STUDIO_HANDBOOK, laid).map((n) => n.name)).toEqual(['Coat 2']);
    const panel = { ...p, support: { ...p.support, kind: 'wood-panel' as const } };
    expect(lossesOf(STUDIO_HANDBOOK, panel).canvasFactor).toBe(1);
  });

  test('the tube of the table and the same paint of the cabinet are one line', () => {
    const p = stackOf([
      recipe([tube('titanium-white')], 0, [], 50),
      recipe([{ parts: 1, own: asTube(white) }], 0.2, [part('stand-oil')], 50),
    ]);
    const list = shoppingList(STUDIO_HANDBOOK, needsOf(STUDIO_HANDBOOK, p), [
      { ...white, left: 0.25, price: 12 },
    ]);
    expect(list.lines).toHaveLength(1);
    const [line] = list.lines;
    near(line!.haveMl, 9.25, 1e-9);
    near(line!.missingMl, line!.ml - 9.25, 1e-9);
    expect(line!.tubesToBuy).toBe(Math.ceil(line!.missingMl / 37));
    expect(line!.costMinor).toBe(Math.round((line!.ml / 37) * 1200));
    expect(list.costMinor).toBe(line!.costMinor);
    expect(list.ingredients.map((i) => i.part.ingredient)).toEqual(['stand-oil']);
    expect(list.costIncomplete).toBe(false);
  });

  test('what the cabinet has not is missing as a whole; two tubes of one paint are two tubes', () => {
    const p = stackOf([recipe([tube('vermilion')], 0, [], 50)]);
    const list = shoppingList(STUDIO_HANDBOOK, needsOf(STUDIO_HANDBOOK, p), cabinet.paints);
    expect(list.lines[0]).toMatchObject({ paint: null, haveMl: 0, costMinor: null });
    expect(list.costIncomplete).toBe(true);
    const mine = recipe([own({ id: 'mine' })], 0, [], 300);
    const many = shoppingList(STUDIO_HANDBOOK, needsOf(STUDIO_HANDBOOK, stackOf([mine])), [
      { ...asTube(white), id: 'mine', tubeMl: 20, price: null, left: 2.5, archived: true },
    ]);
    near(many.lines[0]!.haveMl, 50, 1e-9);
    expect(many.lines[0]!.tubesToBuy).toBe(Math.ceil(many.lines[0]!.missingMl / 20));
  });

  test('a picture without coats needs nothing', () => {
    const bare = { ...newPainting(), coats: [] };
    expect(shoppingList(STUDIO_HANDBOOK, needsOf(STUDIO_HANDBOOK, bare), [])).toMatchObject({
      lines: [],
      ingredients: [],
      costMinor: 0,
    });
  });
});

describe('oiling out', () => {
  const couch = [part('linseed-refined'), part('mineral-spirits', 2)];
  test('500 cm2 take 0.3 ml of one to two, six drops', () => {
    // 500 cm2 x 2 um is 0.1 ml of oil; a third of the couch is oil. By hand.
    const dose = oilingOutDose(STUDIO_HANDBOOK, couch, 500);
    near(dose.wetMl, 0.3, 1e-9);
    near(dose.drops, 6, 1e-9);
    expect(dose.tooFat).toBe(false);
  });
  test('more than half oil, or more than 5 um, is too fat; spirits alone leave nothing', () => {
    expect(oilingOutDose(STUDIO_HANDBOOK, [part('linseed-refined')], 500).tooFat).toBe(true);
    expect(oilingOutDose(STUDIO_HANDBOOK, couch, 500, 8).tooFat).toBe(true);
    expect(code(() => oilingOutDose(STUDIO_HANDBOOK, [part('turpentine')], 500))).toBe(
      'target-range',
    );
    expect(code(() => oilingOutDose(STUDIO_HANDBOOK, couch, -1))).toBe('area-range');
  });
});

test('what stays of every ingredient weighs no more than the ingredient', () => {
  for (const key of INGREDIENT_KEYS) {
    const { solids, densityGPerMl } = ingredientFigures({ ingredient: key });
    expect(solids.solidsGPerMl).toBeLessThanOrEqual(densityGPerMl + 1e-9);
    expect(INGREDIENTS[key].source).toMatch(/from memory|own density|.+/);
  }
});
