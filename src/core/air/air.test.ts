import { Matrix, EigenvalueDecomposition } from 'ml-matrix';
import { AIR_OF_ROOM, AIR_ROWS, VAPOURS, VAPOUR_KEYS } from '@/data/air';
import { STUDIO_HANDBOOK } from '../handbook';
import { part, recipe, tube } from '../tests/recipes';
import { airOutlook } from './outlook';
import { dishMgPerH, vapourOfCoat } from './sources';
import { after, doseAfter, hoursUntil, modesOf, steadyState, type TwoZones } from './two-zone';

const ROOM: TwoZones = { nearM3: 1.05, farM3: 38.95, exchangeM3PerH: 280, freshM3PerH: 20 };
const EMPTY = { near: 0, far: 0 };
const G = 7700;

/** Runge and Kutta, fourth order: nothing of the closed form in it. */
function integrated(z: TwoZones, begin: typeof EMPTY, g: number, hours: number) {
  const slope = ([n, f]: number[]): number[] => [
    (g + z.exchangeM3PerH * (f! - n!)) / z.nearM3,
    (z.exchangeM3PerH * (n! - f!) - z.freshM3PerH * f!) / z.farM3,
  ];
  const steps = 20_000;
  const h = hours / steps;
  let c = [begin.near, begin.far];
  const dose = [0, 0];
  const plus = (a: number[], b: number[], k: number) => a.map((x, i) => x + k * b[i]!);
  for (let i = 0; i < steps; i++) {
    const k1 = slope(c);
    const k2 = slope(plus(c, k1, h / 2));
    const k3 = slope(plus(c, k2, h / 2));
    const k4 = slope(plus(c, k3, h));
    const next = c.map((x, j) => x + (h / 6) * (k1[j]! + 2 * k2[j]! + 2 * k3[j]! + k4[j]!));
    dose.forEach((_, j) => (dose[j]! += (h * (c[j]! + next[j]!)) / 2));
    c = next;
  }
  return { near: c[0]!, far: c[1]!, dose };
}

test('two zones agree with a numerical integration, from an empty room and from a full one', () => {
  for (const [begin, g] of [
    [EMPTY, G],
    [{ near: 900, far: 300 }, 0],
    [{ near: 10, far: 400 }, 2500],
  ] as const)
    for (const hours of [0.05, 0.5, 3]) {
      const truth = integrated(ROOM, begin, g, hours);
      const told = after(ROOM, begin, g, hours);
      expect(told.near).toBeCloseTo(truth.near, 4);
      expect(told.far).toBeCloseTo(truth.far, 4);
      const dose = doseAfter(ROOM, begin, g, hours);
      expect(dose.near).toBeCloseTo(truth.dose[0]!, 2);
      expect(dose.far).toBeCloseTo(truth.dose[1]!, 2);
    }
});

test('its rates are the eigenvalues of the system, by a library', () => {
  const { nearM3, farM3, exchangeM3PerH: b, freshM3PerH: q } = ROOM;
  const system = new Matrix([
    [-b / nearM3, b / nearM3],
    [b / farM3, -(b + q) / farM3],
  ]);
  const [fast, slow] = new EigenvalueDecomposition(system).realEigenvalues.sort((x, y) => x - y);
  const modes = modesOf(ROOM);
  expect(modes.fast).toBeCloseTo(fast!, 9);
  expect(modes.slow).toBeCloseTo(slow!, 9);
});

test('the closed form of Nicas (1996) and its steady state; from memory', () => {
  const { nearM3: vn, exchangeM3PerH: b, freshM3PerH: q } = ROOM;
  const { slow: l1, fast: l2 } = modesOf(ROOM);
  const nicas = (t: number): number =>
    G / q +
    G / b +
    G * ((b * q + l2 * vn * (b + q)) / (b * q * vn * (l1 - l2))) * Math.exp(l1 * t) -
    G * ((b * q + l1 * vn * (b + q)) / (b * q * vn * (l1 - l2))) * Math.exp(l2 * t);
  for (const t of [0.1, 1, 4]) expect(after(ROOM, EMPTY, G, t).near).toBeCloseTo(nicas(t), 6);
  expect(steadyState(ROOM, G)).toEqual({ near: G / q + G / b, far: G / q });
  expect(after(ROOM, EMPTY, G, 400).near).toBeCloseTo(G / q + G / b, 6);
});

test('with much air between the zones it is the well-mixed room of the handbook example', () => {
  // V 40 m3, Q 20 m3/h, 10 ml/h of odourless spirits: 299.1 mg/m3 after 3 h; 185.6 on the mean. Film sheet, 9.2.
  const mixed: TwoZones = { nearM3: 1, farM3: 39, exchangeM3PerH: 1e7, freshM3PerH: 20 };
  expect(after(mixed, EMPTY, 7700, 3).far).toBeCloseTo(299.1, 0);
  expect(doseAfter(mixed, EMPTY, 7700, 3).far / 3).toBeCloseTo(185.6, 0);
  // and five hours of decay after: 138.2 over the working day.
  const end = after(mixed, EMPTY, 7700, 3);
  const day =
    (doseAfter(mixed, EMPTY, 7700, 3).far + doseAfter(mixed, end, 0, 5).far) /
    AIR_OF_ROOM.shiftHours;
  expect(day).toBeCloseTo(138.2, 0);
  // Turpentine: 432.5 mg/m3 in the end, 336 after 3 h.
  expect(steadyState(mixed, 8650).far).toBeCloseTo(432.5, 6);
  expect(after(mixed, EMPTY, 8650, 3).far).toBeCloseTo(336, 0);
});

test('the room is back when both zones are: an exponential of the slow mode', () => {
  const hours = hoursUntil(ROOM, { near: 300, far: 300 }, 15, 72)!;
  expect(hours).toBeCloseTo(Math.log(20) / -modesOf(ROOM).slow, 1);
  expect(hoursUntil(ROOM, { near: 1, far: 1 }, 5, 72)).toBe(0);
  expect(hoursUntil({ ...ROOM, freshM3PerH: 0.01 }, { near: 300, far: 300 }, 5, 72)).toBeNull();
});

test('limits: ppm to mg/m3 at 25 C; ACGIH 20 ppm of turpentine is 111.4, WEEL 30 ppm of limonene 167.2', () => {
  expect(VAPOURS.turpentine.limits[0]!.mgM3).toBeCloseTo(111.4, 1);
  expect(VAPOURS.limonene.limits.find((l) => l.by.includes('WEEL'))!.mgM3).toBeCloseTo(167.2, 1);
  for (const key of VAPOUR_KEYS)
    expect(VAPOURS[key].limits[0]!.mgM3).toBe(Math.min(...VAPOURS[key].limits.map((l) => l.mgM3)));
  Object.values(AIR_ROWS).forEach((r) => expect(r.source).not.toBe(''));
});

test('what a coat gives off is its solvents, by the volume they have in the mixture', () => {
  const losses = { canvasFactor: 1, wasteFactor: 1 };
  const thinned = recipe([tube('raw-umber')], 0.5, [part('mineral-spirits')], 10);
  const [film] = vapourOfCoat(STUDIO_HANDBOOK, thinned, 1000, losses);
  // 10 um dry over 1000 cm2 are 1 ml of paint, and as much of spirits at half and half.
  expect(film!.vapour).toBe('odourless');
  expect(film!.ml).toBeCloseTo(1, 6);
  expect(
    vapourOfCoat(
      STUDIO_HANDBOOK,
      recipe([tube('raw-umber')], 0.2, [part('stand-oil')]),
      1000,
      losses,
    ),
  ).toEqual([]);
  expect(vapourOfCoat(STUDIO_HANDBOOK, thinned, 0, losses)).toEqual([]);
  const varnish = { ...recipe([]), material: 'resin-varnish' as const, thicknessUm: 10 };
  expect(vapourOfCoat(STUDIO_HANDBOOK, varnish, 1000, losses)[0]).toMatchObject({
    vapour: 'turpentine',
    ml: 3,
  });
});

describe('a session', () => {
  const room = { volumeM3: 40, changesLeast: 0.5, changesMost: 2 };
  const washing = { kind: 'washing' as const, vapour: 'turpentine' as const, ml: 30 };

  test('ranges are ranges, the near field is above the room, and nothing is called safe', () => {
    const [v] = airOutlook({ room, hours: 3, sources: [washing] });
    for (const r of [v!.near, v!.room, v!.nearDay, v!.roomDay, v!.ml])
      expect(r.least).toBeLessThanOrEqual(r.most);
    expect(v!.near.least).toBeGreaterThan(v!.room.least);
    expect(v!.near.most).toBeGreaterThan(v!.room.most);
    // 30 ml in three hours is the turpentine of the handbook example: three times the limit in the room's mean.
    expect(v!.room.most).toBeCloseTo(336, -1);
    expect(v!.over).toBe('possible');
    expect(JSON.stringify(v)).not.toMatch(/safe/i);
  });

  test('fresh air that is asked for keeps the near field at the limit; where none does, it says so', () => {
    const [v] = airOutlook({ room, hours: 3, sources: [{ ...washing, ml: 10 }] });
    const q = v!.freshNeededM3PerH!;
    const beta =
      0.5 * 2 * Math.PI * AIR_OF_ROOM.nearRadiusLeastM ** 2 * AIR_OF_ROOM.airSpeedLeastMPerH;
    const g = (10 * 0.865 * 1000) / 3;
    expect(g / q + g / beta).toBeCloseTo(v!.strictest.mgM3, 6);
    const [much] = airOutlook({ room, hours: 1, sources: [{ ...washing, ml: 500 }] });
    expect(much!.freshNeededM3PerH).toBeNull();
    expect(much!.over).toBe('likely');
  });

  test('a wider dish gives off more, a closed one nothing; more air helps', () => {
    expect(dishMgPerH('turpentine', 10, 'most')).toBeCloseTo(
      4 * dishMgPerH('turpentine', 5, 'most'),
      6,
    );
    const dish = (hours: number) => ({
      kind: 'dish' as const,
      vapour: 'turpentine' as const,
      diameterCm: 8,
      hours,
    });
    const at = (changes: number, hours: number) =>
      airOutlook({
        room: { volumeM3: 40, changesLeast: changes, changesMost: changes },
        hours: 3,
        sources: [dish(hours)],
      })[0]!;
    expect(at(0.5, 0).near.most).toBe(0);
    expect(at(2, 3).room.most).toBeLessThan(at(0.5, 3).room.most);
    expect(at(0.5, 3).backHours.most!).toBeGreaterThan(at(2, 3).backHours.most!);
  });

  test('a film that is laid at the end still gives off after it', () => {
    const [v] = airOutlook({
      room,
      hours: 0.25,
      sources: [{ kind: 'film', vapour: 'odourless', ml: 20 }],
    });
    expect(v!.ml.least).toBeCloseTo(20, 6);
    expect(v!.ml.most).toBeCloseTo(20, 6);
    expect(v!.backHours.least!).toBeGreaterThan(AIR_OF_ROOM.filmHoursMost - 1e-9);
  });
});
