import fc from 'fast-check';
import { HANDBOOK_CONSTANTS, STUDIO_CONSTANTS } from '@/data/constants';
import { constantAir, dryingClock, REFERENCE_CLIMATE, type Climate } from '../drying';
import { bandSdC, dayNightDay, learnDay, meanBandSdC } from './day';
import {
  followedAir,
  HOUR_MS,
  hoursOf,
  mergeMonths,
  takeHours,
  takeReading,
  type ClimateHour,
  type Reading,
} from '.';

const START = Date.UTC(2026, 1, 10);
const DAY_MS = 24 * HOUR_MS;
const CLIMATE: Climate = { ...REFERENCE_CLIMATE, temperatureC: 18, relativeHumidityPct: 50 };

const series = (days: number, at: (hour: number) => [t: number, rh: number]): ClimateHour[] =>
  Array.from({ length: days * 24 }, (_, i): ClimateHour => {
    const [t, rh] = at(i);
    return [START / HOUR_MS + i, t, rh, 1];
  });
const air = (hours: ClimateHour[], climate = CLIMATE, constants = STUDIO_CONSTANTS) =>
  followedAir(constants, { climate, dayNight: null, hours, utcOffsetHours: 0 });

describe('an hourly climate', () => {
  test('that never changes equals the closed form, covered or not, before, in and after the readings', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -3, max: 40 }),
        fc.double({ min: 5, max: 98, noNaN: true }),
        fc.double({ min: -20, max: 60, noNaN: true }),
        fc.double({ min: 0.05, max: 40, noNaN: true }),
        fc.option(fc.double({ min: 0, max: 30, noNaN: true })),
        (temperatureC, relativeHumidityPct, laidDay, dose, coverDay) => {
          const climate = { ...CLIMATE, temperatureC, relativeHumidityPct };
          const followed = air(
            series(10, () => [temperatureC, relativeHumidityPct]),
            climate,
          );
          const laid = START + laidDay * DAY_MS;
          const cover = coverDay === null ? null : laid + coverDay * DAY_MS;
          for (const kind of ['oil', 'acrylic'] as const) {
            const closed = dryingClock(STUDIO_CONSTANTS, kind, climate, laid, cover);
            const hourly = followed.clock(kind, laid, cover);
            const at = laid + 17.3 * DAY_MS;
            expect(hourly.doseAt(at)).toBeCloseTo(closed.doseAt(at), 8);
            const [a, b] = [hourly.timeOf(dose), closed.timeOf(dose)];
            if (b === null) expect(a).toBeNull();
            else expect(Math.abs(a! - b)).toBeLessThan(60_000);
          }
        },
      ),
      { seed: 4, numRuns: 120 },
    );
  });

  // T13 of the check cases: 16 h at 16 C and 8 h at 22 C; worked by hand, Arrhenius with 60 kJ/mol.
  test('T13: 16 h at 16 C and 8 h at 22 C dry a 5 d paint in 5.76 d, not in the 5.92 d of their mean', () => {
    const hours = series(30, (i) => [i % 24 < 8 ? 22 : 16, 50]);
    const clock = air(hours, CLIMATE, HANDBOOK_CONSTANTS).clock('oil', START, null);
    expect(clock.doseAt(START + DAY_MS)).toBeCloseTo(0.8681, 3);
    // From 8 h of warmth on: a whole number of days tells the mean rate.
    expect((clock.timeOf(5 * 0.8681)! - START) / DAY_MS).toBeCloseTo(5, 2);
    const mean = constantAir(HANDBOOK_CONSTANTS, { ...CLIMATE, temperatureC: 18 });
    expect((mean.clock('oil', START, null).timeOf(5)! - START) / DAY_MS).toBeCloseTo(5.92, 2);
  });

  // Jensen's inequality: the rate is a convex function of the temperature between 5 and 35 C.
  test('the integral of a climate that changes is more than that of its mean', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 25, noNaN: true }),
        fc.double({ min: 1, max: 5, noNaN: true }),
        (middle, swing) => {
          const hours = series(4, (i) => [middle + (i % 24 < 12 ? swing : -swing), 50]);
          const dose = air(hours)
            .clock('oil', START, null)
            .doseAt(START + 4 * DAY_MS);
          const ofMean = dryingClock(
            STUDIO_CONSTANTS,
            'oil',
            { ...CLIMATE, temperatureC: middle },
            START,
            null,
          ).doseAt(START + 4 * DAY_MS);
          expect(dose).toBeGreaterThan(ofMean * (1 + 1e-4 * swing * swing));
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });

  test('the dose never falls, and a time told by it comes back', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: -5, max: 38, noNaN: true }),
            fc.double({ min: 10, max: 95, noNaN: true }),
          ),
          { minLength: 30, maxLength: 120 },
        ),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (values, coverDay) => {
          const hours = values.map(([t, rh], i): ClimateHour => [START / HOUR_MS + i, t, rh, 1]);
          const clock = air(hours).clock('oil', START, START + coverDay * DAY_MS);
          let last = -1;
          for (let h = 0; h < 200; h += 7) {
            const dose = clock.doseAt(START + h * HOUR_MS);
            expect(dose).toBeGreaterThanOrEqual(last);
            last = dose;
            const back = dose > 0 ? clock.timeOf(dose) : null;
            if (back !== null) expect(clock.doseAt(back)).toBeCloseTo(dose, 6);
          }
        },
      ),
      { seed: 6, numRuns: 60 },
    );
  });

  test('the mean climate until a stage is the mean of 1/T, and the rule of the sheet holds it to 5-35 C', () => {
    const { temperatureC, relativeHumidityPct } = air(
      series(2, (i) => [i % 2 === 0 ? 10 : 30, i % 2 === 0 ? 40 : 60]),
    ).meanBetween(START, START + 2 * DAY_MS);
    const expected = 2 / (1 / 283.15 + 1 / 303.15) - 273.15;
    expect(temperatureC).toBeCloseTo(expected, 6);
    expect(relativeHumidityPct).toBeCloseTo(50, 6);
    const cold = air(series(2, () => [-20, 50])).meanBetween(START, START + DAY_MS);
    expect(cold.temperatureC).toBeCloseTo(5, 6);
  });
});

describe('days to come', () => {
  test('the pattern of the readings goes on, the last day fades, and the band widens to that of any day', () => {
    // Every third day 3 C warmer.
    const hours = series(21, (i) => [
      15 + 4 * Math.sin((2 * Math.PI * i) / 24) + (Math.floor(i / 24) % 3 === 0 ? 3 : 0),
      50,
    ]);
    const learned = learnDay(hours)!;
    expect(learned.days).toBe(14);
    expect(learned.pattern.temperatureC[6]!).toBeGreaterThan(learned.pattern.temperatureC[18]! + 6);
    expect(learned.dailySdC).toBeGreaterThan(1);
    const bands = [0, 1, 3, 10].map((d) => bandSdC(learned, d));
    expect(bands[0]).toBe(0);
    expect([...bands].sort((a, b) => a - b)).toEqual(bands);
    expect(bands[3]!).toBeLessThanOrEqual(learned.dailySdC);
    // A mean over many days is better known than one day; one that begins later is known worse.
    expect(meanBandSdC(learned, 5, 20)).toBeLessThan(meanBandSdC(learned, 5, 2));
    expect(meanBandSdC(learned, 5, 3)).toBeGreaterThanOrEqual(meanBandSdC(learned, 0, 3));
    const followed = air(hours);
    expect(followed.weatherSigma(START, START + 20 * DAY_MS)).toBe(0);
    expect(followed.weatherSigma(START + 21 * DAY_MS, START + 25 * DAY_MS)).toBeGreaterThan(0.02);
    expect(followed.timeline.at(START / HOUR_MS + 22 * 24).measured).toBe(false);
  });

  test('less than a day of readings teaches no pattern', () => {
    expect(learnDay(series(1, () => [20, 50]).slice(0, 20))).toBeNull();
    expect(learnDay([])).toBeNull();
  });

  test('two levels, over midnight too, in the hours of the studio', () => {
    const night = { temperatureC: 10, relativeHumidityPct: 70 };
    const day = dayNightDay(CLIMATE, { dayFromHour: 8, dayToHour: 20, night }, 2);
    // 8 h local is 6 h UTC.
    expect([
      day.temperatureC[5],
      day.temperatureC[6],
      day.temperatureC[17],
      day.temperatureC[18],
    ]).toEqual([10, 18, 18, 10]);
    const late = dayNightDay(CLIMATE, { dayFromHour: 20, dayToHour: 4, night }, 0);
    expect([late.temperatureC[23], late.temperatureC[3], late.temperatureC[4]]).toEqual([
      18, 18, 10,
    ]);
  });
});

describe('readings kept by the month', () => {
  const at = (hours: number, temperatureC: number): Reading => ({
    atMs: START + hours * HOUR_MS,
    temperatureC,
    relativeHumidityPct: 50,
  });

  test('an hour is the mean of its readings; the same file twice changes nothing', () => {
    const hours = hoursOf([at(0, 10), at(0.5, 20), at(1, 30)]);
    expect(hours.map((h) => [h[1], h[3]])).toEqual([
      [15, 2],
      [30, 1],
    ]);
    const [month] = takeHours({}, hours);
    expect(month!.id).toBe('2026-02');
    expect(takeHours({ [month!.id]: month }, hours)).toEqual([]);
    const live = takeReading(month, at(1.5, 20));
    expect(live.hours[1]!.slice(1)).toEqual([25, 50, 2]);
    expect(live.revision).toBe(month!.revision + 1);
  });

  test('two tabs lose nothing: every hour of both, told by the fuller record', () => {
    const [mine] = takeHours({}, hoursOf([at(0, 10), at(0.2, 12), at(5, 20)]));
    const [theirs] = takeHours({}, hoursOf([at(0, 40), at(6, 21)]));
    const merged = mergeMonths(mine!, theirs!);
    expect(merged.hours.map((h) => h[1])).toEqual([11, 20, 21]);
  });

  test('readings over the turn of a month go into both', () => {
    const turn = (Date.UTC(2026, 2, 1) - START) / HOUR_MS;
    expect(takeHours({}, hoursOf([at(turn - 1, 15), at(turn, 16)])).map((m) => m.id)).toEqual([
      '2026-02',
      '2026-03',
    ]);
  });
});
