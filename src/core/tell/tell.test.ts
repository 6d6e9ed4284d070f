import { STUDIO_HANDBOOK } from '../handbook';
import { assessPainting, type Layer } from '../painting';
import { part, recipe, tube } from '../tests/recipes';
import { optionsAt, stackOf } from '../tests/paintings';
import { SCHOOL_KEYS } from '../schools';
import type { Finding } from '../rules';
import {
  findingsByRule,
  gravestByRule,
  isBroken,
  isSunk,
  objects,
  pairNames,
  refusalOf,
  toldLayer,
} from '.';

const WHITE = [tube('titanium-white')];
const LEAN = recipe(WHITE, 0.1, [part('stand-oil'), part('mineral-spirits')], 20);
const FAT = recipe(WHITE, 0.3, [part('stand-oil')], 15);
const FORBIDDEN = recipe([tube('bitumen')]);

const layersOf = (...recipes: (typeof LEAN)[]): Layer[] =>
  assessPainting(stackOf(recipes), optionsAt()).passages[0]!.base.layers;

describe('a layer as it is told', () => {
  test('lean over fat: broken, with the sentence and the figures of the school', () => {
    const [, upper] = layersOf(FAT, LEAN);
    const told = toldLayer(upper!, 'total-oil');
    expect(told).toMatchObject({ broken: true, refusal: null });
    expect(told.verdict?.verdict).toBe('fail');
    expect(told.sentence).toMatch(/coat 2 is leaner than the coat 1/);
    expect(told.figures).toMatch(/% .*%/);
    expect(told.headline).toBe(told.sentence);
  });

  test('fat over lean holds', () => {
    const [, upper] = layersOf(LEAN, FAT);
    expect(toldLayer(upper!, 'total-oil')).toMatchObject({ broken: false, refusal: null });
  });

  test('the first film has nothing below to compare it with', () => {
    const [lowest] = layersOf(LEAN);
    expect(toldLayer(lowest!, 'total-oil')).toMatchObject({
      verdict: null,
      figures: '',
      broken: false,
      sentence: 'The first film on the ground: nothing below to compare it with.',
    });
  });

  test('what a rule refuses is graver than any verdict, and said first', () => {
    const [lowest] = layersOf(FORBIDDEN);
    const told = toldLayer(lowest!, 'total-oil');
    expect(told.broken).toBe(true);
    expect(told.refusal?.rule).toBe('bitumen');
    expect(told.headline).not.toBe(told.sentence);
    expect(refusalOf(lowest!)?.severity).toBe('forbid');
  });

  test('overruled with a reason it stands no more', () => {
    const painting = stackOf(
      [FORBIDDEN],
      [
        {
          overruled: [
            {
              rule: 'bitumen',
              reason: 'a study, to be thrown away',
              at: '2026-02-01T10:00:00.000Z',
            },
          ],
        },
      ],
    );
    const [lowest] = assessPainting(painting, optionsAt()).passages[0]!.base.layers;
    expect(refusalOf(lowest!)).toBeNull();
    expect(isBroken(lowest!, 'total-oil')).toBe(false);
  });

  test('broken is what the verdict or a refusal says, by every school', () => {
    for (const layer of [...layersOf(FAT, LEAN), ...layersOf(LEAN, FAT), ...layersOf(FORBIDDEN)])
      for (const school of SCHOOL_KEYS) {
        const told = toldLayer(layer, school);
        const objection = told.verdict !== null && objects(told.verdict.verdict);
        expect(told.broken).toBe(objection || told.refusal !== null);
        expect(isBroken(layer, school)).toBe(told.broken);
      }
  });

  test('the films of a pair are called by their names', () => {
    const [lowest, upper] = layersOf(FAT, LEAN);
    expect(pairNames(upper!, 'total-oil')).toEqual({
      lower: 'Coat 1',
      upper: 'Coat 2',
      upperPlanned: true,
    });
    expect(pairNames(lowest!, 'total-oil').lower).toBe('ground');
  });
});

describe('findings, each rule once', () => {
  const finding = (rule: Finding['rule'], over: Partial<Finding> = {}): Finding => ({
    rule,
    severity: 'caution',
    about: null,
    untilMs: null,
    value: null,
    overruled: null,
    ...over,
  });

  test('with its gravest finding and every place it speaks of', () => {
    const grave = finding('zinc-below', { severity: 'forbid' });
    const told = findingsByRule([
      { finding: finding('zinc-below'), where: 'glaze on jars' },
      { finding: grave, where: 'glaze on wall' },
      { finding: finding('zinc-below'), where: 'glaze on jars' },
    ]);
    expect(told).toEqual([{ finding: grave, where: ['glaze on jars', 'glaze on wall'] }]);
  });

  test('the graver first; what was overruled behind everything that was not', () => {
    const order = gravestByRule([
      finding('graphite', { severity: 'note' }),
      finding('bitumen', { severity: 'forbid', overruled: 'a study' }),
      finding('zinc-thick', { severity: 'caution' }),
      finding('underbound', { severity: 'forbid' }),
      finding('very-rich-film', { severity: 'strong' }),
    ]).map((f) => f.rule);
    expect(order).toEqual(['underbound', 'very-rich-film', 'zinc-thick', 'graphite', 'bitumen']);
  });
});

test('sunk has one threshold: lean, or robbed of its oil', () => {
  const { constants } = STUDIO_HANDBOOK;
  const film = (reducedPvc: number | null, lossFraction: number) =>
    isSunk({ composition: { reducedPvc }, lossFraction }, constants);
  expect(film(constants.sinkingReducedPvc + 0.01, 0)).toBe(true);
  expect(film(constants.sinkingReducedPvc, 0)).toBe(false);
  expect(film(0.5, constants.sinkingLoss)).toBe(true);
  expect(film(0.5, constants.sinkingLoss - 0.01)).toBe(false);
  expect(film(null, 0)).toBe(false);
});
