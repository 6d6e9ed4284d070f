import { readFileSync } from 'node:fs';
import path from 'node:path';
import { STUDIO_CONSTANTS as C } from '@/data/constants';
import { INGREDIENTS } from '@/data/ingredients';
import { OILS } from '@/data/oils';
import { PIGMENT_ROWS } from '@/data/pigments';
import {
  dryingRate,
  dryingTimes,
  ON_NEUTRAL_GROUND,
  quantileOf,
  REFERENCE_CLIMATE,
} from './drying';
import { composition, filmOfRecipe } from './film';
import { STUDIO_HANDBOOK } from './handbook';
import { part, recipe, tube } from './tests/recipes';

/** The rows of the worked example of docs/method.md: each step with the figures printed for it. */
const section = readFileSync(path.resolve(__dirname, '../../docs/method.md'), 'utf8').split(
  /^## \d+\. A worked example$/m,
)[1]!;
const rows = section
  .split('\n')
  .filter((line) => line.startsWith('| ') && !/^\| -+|^\| step/.test(line))
  .map((line) => line.split('|').map((cell) => cell.trim()))
  .map(([, step, , figures]) => ({
    step: step!,
    figures: figures!.split(/[,;]/).map((f) => f.trim()),
  }));
const printed = (start: string): string[] => {
  const row = rows.find((r) => r.step.startsWith(start));
  if (!row) throw new Error(`docs/method.md has no step "${start}".`);
  return row.figures;
};
/** As many digits as the page prints. */
const expectPrinted = (start: string, ...values: number[]) =>
  expect([
    start,
    values.map((v, i) => v.toFixed(printed(start)[i]!.split('.')[1]?.length ?? 0)),
  ]).toEqual([start, printed(start)]);

// By the page and the tables alone: nothing here calls the core.
const pigment = (key: string) => {
  const row = PIGMENT_ROWS.find((p) => p.key === key)!;
  return {
    density: row.density_g_cm3,
    oilAbsorption: row.oil_absorption_g_per_100g,
    oilWtPct: row.tube_oil_wt_pct,
    factor: row.drying_time_factor,
  };
};
const [white, umber] = [pigment('titanium-white'), pigment('raw-umber')];
const oil = OILS['linseed-refined'];
const stand = OILS['stand-oil'];

const paint = 100 * (1 - 0.2);
const [ofWhite, ofUmber] = [(paint * 3) / 4, paint / 4];
const solids = (row: typeof white) => {
  const w = row.oilWtPct;
  const volume = (100 - w) / row.density;
  return volume / (volume + w / oil.densityGPerMl);
};
const pigmentVolume = ofWhite * solids(white) + ofUmber * solids(umber);
const tubeOil = paint - pigmentVolume;
const stays = 20 / 2;
const pvc = pigmentVolume / (pigmentVolume + tubeOil + stays);
const cpvcOf = (row: typeof white) => 1 / (1 + (row.oilAbsorption * row.density) / 93.5);
const cpvc =
  pigmentVolume /
  ((ofWhite * solids(white)) / cpvcOf(white) + (ofUmber * solids(umber)) / cpvcOf(umber));
const factor = Math.exp(
  (ofWhite * Math.log(white.factor) + 3 * ofUmber * Math.log(umber.factor)) /
    (ofWhite + 3 * ofUmber),
);
const u = tubeOil / (tubeOil + stays);
const oilDays = Math.exp(u * Math.log(oil.touchDryDays) + (1 - u) * Math.log(stand.touchDryDays));
const base = oilDays * (factor * C.tubeFactor) ** u;
const touch = base * (0.3 + 0.7 * Math.sqrt(40 / 50));
const inverse = 1 / 288.15 - 1 / C.referenceTemperatureK;
const aT = Math.exp(-(C.activationEnergyJ / C.gasConstant) * inverse);
const aRh = 1 - C.humiditySlopeDamp * 10;
const rate = aT * aRh;
const sigma = Math.sqrt(
  C.sigmaTouch ** 2 +
    (C.sigmaThicknessTouch * Math.log(40 / 50)) ** 2 +
    ((C.sigmaActivationEnergyJ / C.gasConstant) * inverse) ** 2,
);
/** Standard normal, 90 %: any table, such as Abramowitz & Stegun 26.5; from memory. */
const Z90 = 1.2815515655446004;
const sure = (touch / rate) * Math.exp(Z90 * sigma);

test('every figure of the page follows from the page and the tables', () => {
  expectPrinted('paint, volumes', paint);
  expectPrinted('of it titanium white', ofWhite, ofUmber);
  expectPrinted('pigment per tube of white', solids(white));
  expectPrinted('pigment per tube of umber', solids(umber));
  expectPrinted('pigment, volumes', pigmentVolume);
  expectPrinted('oil of the tubes', tubeOil);
  expectPrinted('medium, volumes', 20, stays);
  expectPrinted('PVC', pvc);
  expectPrinted('fatness', 1 - pvc);
  expectPrinted('CPVC of white', cpvcOf(white), cpvcOf(umber));
  expectPrinted('CPVC of the mixture', cpvc);
  expectPrinted('reduced PVC', pvc / cpvc);
  expectPrinted('added-oil ratio', stays / paint);
  expectPrinted('F of the pigments', factor);
  expectPrinted('u, the tubes', u);
  expectPrinted('oil: linseed', oilDays);
  expectPrinted('base b', base);
  expectPrinted('touch-dry at 40', touch);
  expectPrinted('A_T', aT);
  expectPrinted('A_RH', aRh);
  expectPrinted('rate', rate);
  expectPrinted('touch-dry in that air, d, 50', touch / rate);
  expectPrinted('spread of ln t', sigma);
  expectPrinted('touch-dry in that air, d, 90', sure);
  expect(rows).toHaveLength(24);
});

test('the core says the same, to the last digit that a double holds', () => {
  const film = filmOfRecipe(
    STUDIO_HANDBOOK,
    recipe(
      [tube('titanium-white', 3), tube('raw-umber', 1)],
      0.2,
      [part('stand-oil'), part('mineral-spirits')],
      40,
    ),
  );
  const climate = { ...REFERENCE_CLIMATE, temperatureC: 15, relativeHumidityPct: 60 };
  const told = composition(STUDIO_HANDBOOK, film);
  const times = dryingTimes(STUDIO_HANDBOOK, film, 40, ON_NEUTRAL_GROUND, climate);
  expect(told.pvc).toBeCloseTo(pvc, 12);
  expect(told.cpvc).toBeCloseTo(cpvc, 12);
  expect(told.addedOilRatio).toBeCloseTo(stays / paint, 12);
  expect(times.baseDays).toBeCloseTo(base, 12);
  expect(times.touch.median).toBeCloseTo(touch, 12);
  expect(times.touch.sigma).toBeCloseTo(sigma, 12);
  expect(dryingRate(C, climate)).toBeCloseTo(rate, 12);
  expect(quantileOf(times.touch, 0.9) / rate).toBeCloseTo(sure, 9);
  expect(INGREDIENTS['mineral-spirits'].solids.solidsGPerMl).toBe(0);
});
