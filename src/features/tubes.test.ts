import { asTube, starterCabinet } from '@/core/cabinet';
import { layCoat } from '@/core/painting/events';
import { making, NOW, stackOf } from '@/core/tests/paintings';
import { part, recipe, tube } from '@/core/tests/recipes';
import { NO_SWATCHES } from '@/core/optics/composition';
import { tubeColour } from './colours';
import { tubeBinder, tubeCodes, tubeName } from '@/core/cabinet/tube-names';
import { recentMediums, recentTubes, tubeId } from './tubes';

const white = { own: asTube(starterCabinet().paints[0]!) };

test('a tube is called, coded and coloured alike, of the table or one’s own', () => {
  const table = { pigment: 'titanium-white', binder: 'linseed' as const };
  for (const say of [tubeName, tubeCodes, tubeBinder]) expect(say(white)).toBe(say(table));
  expect(tubeColour(white, NO_SWATCHES)).toBe(tubeColour(table, NO_SWATCHES));
  expect(tubeId(white)).not.toBe(tubeId(table));
});

test('what was laid last comes first, then what is planned, each once', () => {
  const p = stackOf([
    recipe([tube('raw-umber')]),
    recipe([tube('yellow-ochre'), tube('raw-umber')]),
    recipe([{ parts: 1, ...white }]),
  ]);
  const laid = layCoat(
    p,
    { coatId: 'c1', passageIds: p.passages.map((x) => x.id), at: NOW, spot: null, intoWet: false },
    making(),
  );
  expect(recentTubes([laid]).map(tubeName)).toEqual([
    'Yellow ochre',
    'Raw umber',
    'Titanium white',
  ]);
  expect(recentTubes([])).toEqual([]);
});

test('mediums used last, by their name in the cabinet', () => {
  const named = (mediumName: string) => ({
    ...recipe([tube('raw-umber')], 0.1, [part('stand-oil')]),
    mediumName,
  });
  expect(recentMediums([stackOf([named('A'), named('B'), named('A')])])).toEqual(['A', 'B']);
});
