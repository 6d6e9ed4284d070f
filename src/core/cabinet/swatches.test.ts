import { pigmentSpectra } from '../optics';
import { filmParts } from '../optics/composition';
import { filmOfRecipe } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import {
  asTube,
  countingSwatch,
  mergeCabinets,
  putSwatch,
  starterCabinet,
  swatchesOf,
  withoutSwatch,
} from '.';
import { cabinetSchema, type Cabinet } from './schema';
import type { Swatch } from './swatch-schema';

const paint = starterCabinet().paints.find((p) => p.pigments[0]!.pigment === 'burnt-sienna')!;
const swatch = (id: string, over: Partial<Swatch> = {}): Swatch => ({
  id,
  paintId: paint.id,
  at: '2026-03-12T10:00:00.000Z',
  patches: [{ laid: { kind: 'masstone' }, lab: [26, 20, 20], finish: 'oil-gloss' }],
  fit: { strength: [0.4, 0.4, 0.4], scattering: 0.1, power: 0, shiftNm: 0 },
  misfit: [0.4],
  tableMisfit: [2.1],
  used: true,
  ...over,
});

test('what is accepted can be read again; a cabinet without swatches is one as before', () => {
  const cabinet = putSwatch(starterCabinet(), swatch('a'));
  expect(cabinetSchema.parse(JSON.parse(JSON.stringify(cabinet)))).toEqual(cabinet);
  expect(cabinetSchema.parse(starterCabinet()).swatches).toBeUndefined();
  const wrong = putSwatch(cabinet, swatch('b', { patches: [] }));
  expect(cabinetSchema.safeParse(wrong).success).toBe(false);
});

test('the latest swatch that is used counts; left or taken out, the table speaks again', () => {
  let cabinet: Cabinet = putSwatch(starterCabinet(), swatch('a'));
  cabinet = putSwatch(cabinet, swatch('b', { at: '2026-04-01T10:00:00.000Z' }));
  expect(countingSwatch(cabinet, paint.id)?.id).toBe('b');
  cabinet = putSwatch(cabinet, swatch('b', { at: '2026-04-01T10:00:00.000Z', used: false }));
  expect(countingSwatch(cabinet, paint.id)?.id).toBe('a');
  expect(countingSwatch(withoutSwatch(cabinet, 'a'), paint.id)).toBeNull();
  expect(swatchesOf(withoutSwatch(cabinet, 'a')).size).toBe(0);
});

test('a film takes the tube’s own figures, and the others of its mix the table’s', () => {
  const swatches = swatchesOf(putSwatch(starterCabinet(), swatch('a')));
  const film = filmOfRecipe(STUDIO_HANDBOOK, {
    mix: [
      { parts: 1, own: asTube(paint) },
      { parts: 1, pigment: 'burnt-sienna', binder: 'linseed' },
    ],
    medium: [],
    mediumShare: 0,
    thicknessUm: 20,
  });
  const { pigments, thicknessUm } = filmParts(film, swatches);
  const sienna = pigments.filter((p) => p.pigment === 'burnt-sienna');
  expect(sienna).toHaveLength(2);
  expect(sienna.filter((p) => p.correction)).toHaveLength(1);
  expect(sienna.reduce((s, p) => s + p.um, 0)).toBeCloseTo(film.pigments['burnt-sienna']!, 9);
  expect(thicknessUm).toBeCloseTo(20, 9);
  const band = 17;
  expect(sienna.find((p) => p.correction)!.correction!.k[band]).toBeCloseTo(Math.exp(0.4 * 0.9), 0);
  expect(pigmentSpectra('burnt-sienna')!.k[band]).toBeGreaterThan(0);
});

test('two tabs that each read swatches keep both, and undo takes one', () => {
  const base = starterCabinet();
  const mine = putSwatch(base, swatch('mine'));
  const theirs = putSwatch(base, swatch('theirs'));
  const both = mergeCabinets(base, mine, theirs);
  expect(both.swatches?.map((s) => s.id).sort()).toEqual(['mine', 'theirs']);
  const undone = mergeCabinets(mine, { ...base, revision: mine.revision }, both);
  expect(undone.swatches?.map((s) => s.id)).toEqual(['theirs']);
  expect(mergeCabinets(base, base, base).swatches).toBeUndefined();
});
