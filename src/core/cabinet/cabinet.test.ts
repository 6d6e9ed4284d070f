import fc from 'fast-check';
import { BINDER_KEYS } from '@/data/binders';
import { PIGMENT_ROWS } from '@/data/pigments';
import { composition, wetMixture } from '../film';
import { dryingTimes, ON_NEUTRAL_GROUND, REFERENCE_CLIMATE } from '../drying';
import { STUDIO_HANDBOOK } from '../handbook';
import { own, recipe, tube } from '../tests/recipes';
import {
  asTube,
  colourIndexOf,
  hazardOf,
  mergeCabinets,
  putMedium,
  putPaint,
  putPaints,
  readPaintRow,
  rowOfPaint,
  starterCabinet,
  type CabinetPaint,
} from '.';
import { cabinetSchema } from './schema';

const cabinet = starterCabinet();
const paint = cabinet.paints[0]!;
const figures = (mix: Parameters<typeof recipe>[0]) =>
  composition(STUDIO_HANDBOOK, wetMixture(STUDIO_HANDBOOK, recipe(mix)));
const touch = (mix: Parameters<typeof recipe>[0]) =>
  dryingTimes(
    STUDIO_HANDBOOK,
    wetMixture(STUDIO_HANDBOOK, recipe(mix)),
    50,
    ON_NEUTRAL_GROUND,
    REFERENCE_CLIMATE,
  ).touch.median;

test('the cabinet to begin with is sound, and names its hazards', () => {
  expect(cabinetSchema.safeParse(cabinet).error).toBeUndefined();
  expect(cabinet.paints.length).toBeGreaterThan(15);
  expect(cabinet.mediums.length).toBeGreaterThan(5);
  const lead = cabinet.paints.find((p) => p.pigments[0]!.pigment === 'lead-white')!;
  expect(hazardOf(lead).metals).toEqual(['lead']);
  expect(hazardOf(lead).notes.join(' ')).toMatch(/do not sand dry/);
});

describe('a tube of one’s own', () => {
  test('of one pigment without corrections is the tube of the table', () => {
    for (const { key } of PIGMENT_ROWS) {
      const mine = figures([own({ pigment: key })]);
      const table = figures([tube(key)]);
      expect(mine.pvc).toBeCloseTo(table.pvc, 12);
      expect(mine.dryDensityGPerMl).toBeCloseTo(table.dryDensityGPerMl, 9);
      expect(touch([own({ pigment: key })])).toBeCloseTo(touch([tube(key)]), 9);
    }
  });

  test('its oil by weight is the painter’s: 30 % of titanium white is 0.345 by PVC', () => {
    // By hand: 70/density of rutile over 70/density + 30/0.93.
    const rho = STUDIO_HANDBOOK.pigments['titanium-white']!.densityGPerMl;
    const f = figures([own({ oilWtPct: 30 })]);
    expect(f.pvc).toBeCloseTo(70 / rho / (70 / rho + 30 / 0.93), 9);
    expect(f.binderWeightFraction).toBeCloseTo(0.3, 9);
  });

  test('several pigments share the tube; extender is solid but has no say in the drying', () => {
    const mixed = own({
      pigments: [
        { pigment: 'titanium-white', parts: 1 },
        { pigment: 'yellow-ochre', parts: 1 },
      ],
    });
    const f = figures([mixed]);
    const [a, b] = [figures([tube('titanium-white')]), figures([tube('yellow-ochre')])];
    expect(f.pvc).toBeLessThan(Math.max(a.pvc, b.pvc));
    expect(f.pvc).toBeGreaterThan(Math.min(a.pvc, b.pvc));
    // Extender brings its own oil, so the drying oil changes a little; the pigment factor does not.
    const filled = own({ extenderShare: 0.5, dryingFactor: 1.2 });
    const pure = own({ dryingFactor: 1.2 });
    expect(touch([filled])).toBeCloseTo(touch([pure]), 6);
  });

  test('a drying factor of one’s own replaces the table’s', () => {
    // u is 1 without medium, so the time goes with the factor itself.
    const a = touch([own({ dryingFactor: 1 })]);
    const b = touch([own({ dryingFactor: 2 })]);
    expect(b / a).toBeCloseTo(2, 9);
  });

  test('its Colour Index names are told', () => {
    expect(
      colourIndexOf({
        pigments: [
          { pigment: 'titanium-white', parts: 1 },
          { pigment: 'ultramarine-blue', parts: 1 },
        ],
      }),
    ).toBe('PW6 + PB29');
  });
});

describe('changes', () => {
  test('a paint is added, changed in place, and what was there stays', () => {
    const more = putPaint(cabinet, { ...paint, id: 'new', name: 'New' });
    expect(more.paints).toHaveLength(cabinet.paints.length + 1);
    const again = putPaint(more, { ...paint, left: 0.5 });
    expect(again.paints[0]!.left).toBe(0.5);
    expect(again.paints).toHaveLength(more.paints.length);
    expect(putPaints(cabinet, [paint]).paints).toEqual(cabinet.paints);
    expect(putMedium(cabinet, { ...cabinet.mediums[0]!, name: 'Other' }).mediums[0]!.name).toBe(
      'Other',
    );
  });

  test('two tabs that both wrote lose nothing', () => {
    const mine = putPaint(cabinet, { ...paint, left: 0.2 });
    const theirs = putPaint(putPaint(cabinet, { ...paint, id: 'x', name: 'X' }), {
      ...cabinet.paints[1]!,
      left: 0.7,
    });
    const both = mergeCabinets(cabinet, mine, theirs);
    expect(both.paints[0]!.left).toBe(0.2);
    expect(both.paints[1]!.left).toBe(0.7);
    expect(both.paints.some((p) => p.id === 'x')).toBe(true);
    expect(both.revision).toBeGreaterThan(Math.max(mine.revision, theirs.revision));
  });

  test('two entries with one id are refused', () => {
    expect(
      cabinetSchema.safeParse({ ...cabinet, paints: [paint, paint] }).error?.issues[0]?.message,
    ).toMatch(/Two entries have the id/);
  });
});

describe('rows of a table file', () => {
  const newId = () => 'made-up';
  const anyPaint: fc.Arbitrary<CabinetPaint> = fc
    .record({
      stearate: fc.constantFrom(null, 4.5),
      id: fc.constantFrom('a', 'b-1'),
      name: fc.constantFrom('My white', 'Ochre, "the good one"', 'Grey; mixed'),
      pigments: fc
        .uniqueArray(fc.constantFrom(...PIGMENT_ROWS.map((r) => r.key)), {
          minLength: 1,
          maxLength: 3,
        })
        .map((keys) => keys.map((pigment, i) => ({ pigment, parts: i + 0.5 }))),
      binder: fc.constantFrom(...BINDER_KEYS),
      extenderShare: fc.constantFrom(0, 0.25, 0.8),
      oilWtPct: fc.constantFrom(null, 22.5),
      dryingFactor: fc.constantFrom(null, 1.4),
      makeUpUnknown: fc.boolean(),
      tubeMl: fc.constantFrom(20, 37, 150),
      price: fc.constantFrom(null, 8.5),
      left: fc.constantFrom(0, 0.5, 2),
      archived: fc.boolean(),
    })
    .map(({ stearate, ...p }) => (stearate === null ? p : { ...p, stearateWtPct: stearate }));

  test('every paint comes back the same (seed printed)', () => {
    fc.assert(
      fc.property(anyPaint, (p) => {
        const read = readPaintRow(rowOfPaint(p), newId);
        expect(read).toEqual({ paint: p });
      }),
    );
  });

  test('a row as a person types it', () => {
    const read = readPaintRow(
      { name: 'Blue', pigments: 'Ultramarine blue 2 + PW4', binder: '', price: '7,50' },
      newId,
    );
    expect(read).toMatchObject({
      paint: {
        id: 'made-up',
        binder: 'linseed',
        price: 7.5,
        left: 1,
        pigments: [
          { pigment: 'ultramarine-blue', parts: 2 },
          { pigment: 'zinc-white', parts: 1 },
        ],
      },
    });
  });

  test.each([
    [{ name: '', pigments: 'raw-umber' }, /^name: The paint needs a name/],
    [{ name: 'X', pigments: '' }, /^pigments: A paint has at least one pigment/],
    [{ name: 'X', pigments: 'mauve dream' }, /^pigments: No such pigment/],
    [{ name: 'X', pigments: 'raw-umber', binder: 'honey' }, /^binder: No such binder/],
    [{ name: 'X', pigments: 'raw-umber', price: 'dear' }, /^price: The price must be a number/],
    [{ name: 'X', pigments: 'raw-umber', oil_wt_pct: '99' }, /^oil_wt_pct: Oil can be at most 90/],
    [{ name: 'X', pigments: 'raw-umber', left_pct: '-5' }, /^left_pct: .*below 0/],
    [{ name: 'X', pigments: 'raw-umber', tube_ml: '0' }, /^tube_ml: A tube holds at least/],
  ])('a bad row says which column and why: %j', (row, expected) => {
    const read = readPaintRow(row, newId);
    expect('problems' in read && read.problems[0]).toMatch(expected);
  });

  test('a paint goes into a recipe without its price', () => {
    expect(Object.keys(asTube({ ...paint, price: 9 }))).not.toContain('price');
  });
});
