import { formatHex, rgb } from 'culori';
import { normalCdf, quantileOf } from './drying/lognormal';
import { dryingRate, REFERENCE_CLIMATE, temperatureFactor } from './drying';
import { dryingClass, dryingIndex, iodineValue } from './film/drying-oil';
import { cutOfWtPct, varnishCut } from './film';
import { STUDIO_HANDBOOK } from './handbook';
import { hexToLinear, linearToHex } from './optics/srgb';
import { cm2PerMl } from './quantity/paint-needed';
import { fromMl, toMl } from './quantity/amounts';
import { dateIn, daylightOf, mondayOf, momentOf, nextDay } from './schedule/calendar';
import { fitDesign, projectorDistance } from './transfer';
import { OILS } from '@/data/oils';

/** Checks against what stands outside the project, each with its source. */

const { constants } = STUDIO_HANDBOOK;

// Abramowitz & Stegun, Handbook of Mathematical Functions, table 26.1; from memory.
test.each([
  [0, 0.5],
  [0.5, 0.69146246],
  [1, 0.84134475],
  [1.281551566, 0.9],
  [1.644853627, 0.95],
  [1.959963985, 0.975],
  [2.326347874, 0.99],
  [3, 0.9986501],
])('the normal distribution at %d is %d', (z, p) => {
  expect(normalCdf(z)).toBeCloseTo(p, 8);
  expect(normalCdf(-z)).toBeCloseTo(1 - p, 8);
});

// The median, quartiles and 90 % of a log-normal: exp(z sigma), z from the same table.
test.each([
  [0.5, 1],
  [0.75, Math.exp(0.4 * 0.6744897502)],
  [0.9, Math.exp(0.4 * 1.281551566)],
  [0.1, Math.exp(-0.4 * 1.281551566)],
])('the log-normal of spread 0.4 has its %d quantile at %d', (p, value) => {
  expect(quantileOf({ median: 1, sigma: 0.4 }, p)).toBeCloseTo(value, 8);
});

// AOCS Recommended Practice Cd 1c-85: 100 % of one acid as triglyceride; from memory.
test.each([
  [{ oleic: 100, linoleic: 0, linolenic: 0 }, 86],
  [{ oleic: 0, linoleic: 100, linolenic: 0 }, 173.2],
  [{ oleic: 0, linoleic: 0, linolenic: 100 }, 261.6],
])('the iodine value of %j is %d', (acids, value) => {
  expect(iodineValue(acids)).toBeCloseTo(value, 6);
});

// Ranges of the iodine value: Codex CXS 210 (safflower 136-148, walnut 132-162), ISO 150 and the handbooks (linseed
// 170-204, poppy 132-146); from memory.
test.each([
  ['linseed-refined', 170, 204],
  ['walnut', 132, 162],
  ['poppy', 132, 146],
  ['safflower', 136, 148],
] as const)('%s oil has an iodine value from %d to %d', (key, from, to) => {
  const value = iodineValue(OILS[key].acidsPct!);
  expect(value).toBeGreaterThanOrEqual(from);
  expect(value).toBeLessThanOrEqual(to);
});

// Greaves 1948, repeated in Wicks, Jones & Pappas: drying oils lie over 70; from memory.
test.each(['linseed-refined', 'walnut', 'poppy', 'safflower'] as const)(
  '%s is a drying oil',
  (key) => {
    expect(dryingClass(dryingIndex(OILS[key].acidsPct!))).toBe('drying');
  },
);

// NIST Handbook 44: the pound is 453.59237 g, the US gallon 3785.411784 ml. Two pounds to a gallon of turpentine
// (0.865 g/ml) are 21.7 % by weight.
test('a two-pound cut', () => {
  const { resinWeightFraction } = varnishCut(2, 1.07, 0.865);
  expect(resinWeightFraction).toBeCloseTo(907.18474 / (907.18474 + 3785.411784 * 0.865), 9);
  expect(cutOfWtPct(100 * resinWeightFraction, 0.865)).toBeCloseTo(2, 9);
});

// Arrhenius: 60 kJ/mol between 15 and 25 C multiply the rate by 2.316 (any textbook of physical chemistry).
test('ten degrees more than double the rate', () => {
  const ratio = temperatureFactor(constants, 25) / temperatureFactor(constants, 15);
  expect(ratio).toBeCloseTo(Math.exp((60_000 / 8.314) * (1 / 288.15 - 1 / 298.15)), 9);
  expect(ratio).toBeCloseTo(2.316, 2);
});

// ISO 554: the standard atmosphere for testing is 20 C or 23 C and 50 % RH. In it the tables say what they say.
test('in the standard atmosphere paint dries at the rate of the tables', () => {
  expect(dryingRate(constants, REFERENCE_CLIMATE)).toBeCloseTo(1, 12);
});

// IEC 61966-2-1: 8-bit 188 is half the light of 255 (0.5029), 118 is 18 % grey (0.1812).
test.each([
  ['#000000', 0],
  ['#bcbcbc', 0.502886],
  ['#767676', 0.181164],
  ['#ffffff', 1],
])('%s sends back %d of the light', (hex, linear) => {
  expect(hexToLinear(hex)[0]).toBeCloseTo(linear, 5);
});

test('colours come out as another library writes them', () => {
  for (const hex of ['#8f4a16', '#e9e9e8', '#5f5f5d', '#012345']) {
    expect(linearToHex(hexToLinear(hex))).toBe(formatHex(rgb(hex)));
  }
});

// Geometry: a millilitre is a square metre of one micrometre.
test.each([
  [1, 10_000],
  [25, 400],
  [50, 200],
  [100, 100],
])('a millilitre covers at %d um %d cm2', (um, cm2) => {
  expect(cm2PerMl(um)).toBeCloseTo(cm2, 9);
});

// A metric teaspoon is 5 ml; common practice, no source.
test('spoons and grams', () => {
  expect(toMl(STUDIO_HANDBOOK, 3, 'tsp', 1)).toBeCloseTo(15, 9);
  expect(toMl(STUDIO_HANDBOOK, 93, 'g', 0.93)).toBeCloseTo(100, 9);
  expect(fromMl(STUDIO_HANDBOOK, 100, 'g', 0.87)).toBeCloseTo(87, 9);
});

// Length of the day at the solstices and the equinox, from almanacs (USNO tables); from memory, to five minutes.
test.each([
  ['Berlin, midsummer', '2026-06-21', 'Europe/Berlin', 52.52, 16 * 60 + 50],
  ['Berlin, midwinter', '2026-12-21', 'Europe/Berlin', 52.52, 7 * 60 + 39],
  ['New York, midsummer', '2026-06-21', 'America/New_York', 40.71, 15 * 60 + 5],
  ['New York, midwinter', '2026-12-21', 'America/New_York', 40.71, 9 * 60 + 15],
  ['Stockholm, midsummer', '2026-06-21', 'Europe/Stockholm', 59.33, 18 * 60 + 37],
  ['the equator, equinox', '2026-03-20', 'Africa/Nairobi', 0, 12 * 60 + 7],
  ['Sydney, midsummer', '2026-12-22', 'Australia/Sydney', -33.87, 14 * 60 + 25],
] as const)('the day of %s', (_name, day, zone, latitude, minutes) => {
  const light = daylightOf(day, zone, latitude)!;
  expect(Math.abs((light.toMs - light.fromMs) / 60_000 - minutes)).toBeLessThan(5);
});

// Noon by the sun stands in the middle of the day, and the equation of time keeps it within 17 minutes of the clock's.
test('the middle of the day stays near noon of the zone', () => {
  for (const day of ['2026-02-11', '2026-05-14', '2026-07-26', '2026-11-03']) {
    const { fromMs, toMs } = daylightOf(day, 'UTC', 50)!;
    const noon = Date.parse(`${day}T12:00:00Z`);
    expect(Math.abs((fromMs + toMs) / 2 - noon) / 60_000).toBeLessThan(17);
  }
});

// Directive 2000/84/EC: last Sundays of March and October, 1:00 UTC. US Energy Policy Act of 2005: second Sunday of
// March, first of November, 2:00 local. ISO 8601: weeks begin on Monday.
describe('clocks and weeks', () => {
  test.each([
    ['2026-03-28', 'Europe/Berlin', '2026-03-28T11:00:00.000Z'],
    ['2026-03-29', 'Europe/Berlin', '2026-03-29T10:00:00.000Z'],
    ['2026-10-24', 'Europe/Berlin', '2026-10-24T10:00:00.000Z'],
    ['2026-10-25', 'Europe/Berlin', '2026-10-25T11:00:00.000Z'],
    ['2026-03-07', 'America/New_York', '2026-03-07T17:00:00.000Z'],
    ['2026-03-08', 'America/New_York', '2026-03-08T16:00:00.000Z'],
    ['2026-11-01', 'America/New_York', '2026-11-01T17:00:00.000Z'],
    ['2026-06-01', 'Asia/Kathmandu', '2026-06-01T06:15:00.000Z'],
  ])('noon of %s in %s is %s', (day, zone, utc) => {
    const noon = momentOf(day, 12 * 60, zone);
    expect(new Date(noon).toISOString()).toBe(utc);
    expect(dateIn(noon, zone)).toBe(day);
  });

  test.each([
    ['2026-01-01T12:00:00Z', '2025-12-29'],
    ['2026-11-29T12:00:00Z', '2026-11-23'],
    ['2026-11-30T12:00:00Z', '2026-11-30'],
  ])('the week of %s begins on %s', (moment, monday) => {
    expect(mondayOf(Date.parse(moment), 'UTC')).toBe(monday);
  });

  // The Gregorian calendar: 2028 is a leap year, 2100 is none.
  test.each([
    ['2028-02-28', 1, '2028-02-29'],
    ['2100-02-28', 1, '2100-03-01'],
    ['2026-12-31', 1, '2027-01-01'],
    ['2026-03-01', -1, '2026-02-28'],
  ])('%s and %d days is %s', (day, by, then) => {
    expect(nextDay(day, by)).toBe(then);
  });
});

// A throw ratio is distance over width of the picture (ANSI IT7; common use).
test('a projector of ratio 1.5 throws a metre from a metre and a half', () => {
  expect(projectorDistance(1.5, 100)).toBeCloseTo(150, 9);
});

// ISO 216: A-sizes are of one shape, so a drawing on A4 goes on A2 at twice its side with nothing lost.
test('A4 fills A2 at twice its side', () => {
  const fit = fitDesign({ width: 210, height: 297 }, { width: 420, height: 594 }, 'crop');
  expect(fit.scale).toBeCloseTo(2, 9);
});
