import fc from 'fast-check';
import { OPTICS } from '@/data/optics';
import {
  endless,
  flat,
  innerOf,
  kOverS,
  over,
  plateOf,
  seen,
  stackOver,
  thicker,
  together,
  wedge,
  type OpticalFilm,
} from '.';

/** Films of one band: K and S per um, and um. */
const film = (k: number, s: number, um: number): OpticalFilm => ({
  kh: Float64Array.of(k * um),
  sh: Float64Array.of(s * um),
});
const one = (value: number) => Float64Array.of(value);
const plate = (k: number, s: number, um: number) => {
  const { r, t } = plateOf(film(k, s, um));
  return [r[0]!, t[0]!] as const;
};
const onto = (k: number, s: number, um: number, below: number) =>
  over(plateOf(film(k, s, um)), one(below))[0]!;

// Kubelka & Munk, Z. tech. Phys. 12 (1931): K/S = (1-R)^2/2R of an endless film, and back.
test.each([
  [0.04, 11.52],
  [0.1, 4.05],
  [0.5, 0.25],
  [0.8, 0.025],
  [0.9, 0.0055555556],
])('an endless film of reflectance %d has K/S %d', (r, q) => {
  expect(kOverS(r)).toBeCloseTo(q, 6);
  expect(endless(q, 1)).toBeCloseTo(r, 9);
});
test.each([
  [0.01, 0.868226],
  [0.1, 0.641742],
  [1, 0.267949],
  [10, 0.045549],
])('K/S %d reflects %d', (q, r) => expect(endless(q, 1)).toBeCloseTo(r, 6));

// Beer-Lambert: what scatters nothing lets exp(-Kh) through, once down and once up again.
test('a film that only absorbs follows Beer and Lambert', () => {
  const [r, t] = plate(0.02, 0, 25);
  expect(r).toBe(0);
  expect(t).toBeCloseTo(Math.exp(-0.5), 12);
  expect(onto(0.02, 0, 25, 0.8)).toBeCloseTo(0.8 * Math.exp(-1), 12);
});

// K = 0: R = Sh/(1+Sh), T = 1/(1+Sh); nothing is lost (energy).
test('a film that only scatters loses nothing', () => {
  expect(plate(0, 0.05, 20)).toEqual([expect.closeTo(0.5, 12), expect.closeTo(0.5, 12)]);
  expect(onto(0, 0.05, 20, 0.2)).toBeCloseTo(0.555556, 6);
  fc.assert(
    fc.property(fc.double({ min: 1e-9, max: 50, noNaN: true }), (sh) => {
      const [r, t] = plate(0, sh, 1);
      expect(r + t).toBeCloseTo(1, 12);
    }),
  );
});

test('absorbing and scattering: R, T, and over a ground', () => {
  const [r, t] = plate(0.01, 0.05, 20);
  expect(r).toBeCloseTo(0.426888, 6);
  expect(t).toBeCloseTo(0.397118, 6);
  expect(onto(0.01, 0.05, 20, 0.5)).toBeCloseTo(0.527136, 6);
  expect(onto(0.01, 0.05, 20, 1)).toBeCloseTo(0.702057, 6);
});

/** K and S, 1/um, of one band from a film of known thickness over two grounds; Kubelka (1948), closed form. */
function fromTwoGrounds(
  [over1, ground1]: [number, number],
  [over2, ground2]: [number, number],
  um: number,
): { k: number; s: number } | null {
  const [rb, gb, rw, gw] =
    ground1 <= ground2 ? [over1, ground1, over2, ground2] : [over2, ground2, over1, ground1];
  const below = 2 * (rw * gb - rb * gw);
  if (Math.abs(below) < 1e-12) {
    if (rw <= 0 || gw <= 0) return null;
    return { k: -Math.log(rw / gw) / (2 * um), s: 0 };
  }
  const a = ((1 + rb * gb) * (rw - gw) - (1 + rw * gw) * (rb - gb)) / below;
  const [r, g] = Math.abs(rb - gb) > Math.abs(rw - gw) ? [rb, gb] : [rw, gw];
  if (r === g) return null;
  const y = (1 - a * (r + g) + r * g) / (r - g);
  if (a <= 1 + 1e-9) return { k: 0, s: 1 / (y * um) };
  const b = Math.sqrt(a * a - 1);
  const ratio = b / y;
  if (Math.abs(ratio) >= 1) return null;
  const s = Math.atanh(ratio) / (b * um);
  return { k: (a - 1) * s, s };
}

/** K and S of paints from an opaque masstone and an opaque tint in a white of known S, one band; Duncan, linear. */
function fromMasstoneAndTint(
  masstone: number,
  tint: number,
  share: number,
  white: { k: number; s: number },
): { k: number; s: number } | null {
  const q1 = (1 - masstone) ** 2 / (2 * masstone);
  const qm = (1 - tint) ** 2 / (2 * tint);
  // x K1 + (1-x) Kw = qm (x S1 + (1-x) Sw), K1 = q1 S1.
  const left = share * (q1 - qm);
  const s = ((1 - share) * (qm * white.s - white.k)) / left;
  return Number.isFinite(s) && s > 0 ? { k: q1 * s, s } : null;
}

/** Textbook form with hyperbolic functions: R = (1 - Rg(a - b coth bSh)) / (a - Rg + b coth bSh). */
function textbook(k: number, s: number, um: number, ground: number): number {
  const a = 1 + k / s;
  const b = Math.sqrt(a * a - 1);
  const coth = b / Math.tanh(b * s * um);
  return (1 - ground * (a - coth)) / (a - ground + coth);
}

/** The two-flux equation itself, dR/dx = S - 2(K+S)R + S R^2, by Runge-Kutta from the ground upwards. */
function integrated(k: number, s: number, um: number, ground: number, steps = 4000): number {
  const slope = (r: number) => s - 2 * (k + s) * r + s * r * r;
  const d = um / steps;
  let r = ground;
  for (let i = 0; i < steps; i++) {
    const k1 = slope(r);
    const k2 = slope(r + (d / 2) * k1);
    const k3 = slope(r + (d / 2) * k2);
    const k4 = slope(r + d * k3);
    r += (d / 6) * (k1 + 2 * k2 + 2 * k3 + k4);
  }
  return r;
}

const depth = fc.double({ min: 1e-4, max: 0.5, noNaN: true });
const share = fc.double({ min: 0, max: 1, noNaN: true });

// Kubelka, J. Opt. Soc. Am. 38 (1948): closed form; and the differential equation integrated here.
test('agrees with the hyperbolic form and with the equation integrated', () => {
  fc.assert(
    fc.property(
      depth,
      depth,
      fc.double({ min: 0.5, max: 60, noNaN: true }),
      share,
      (k, s, h, g) => {
        expect(onto(k, s, h, g)).toBeCloseTo(textbook(k, s, h, g), 9);
        expect(onto(k, s, h, g)).toBeCloseTo(integrated(k, s, h, g), 6);
      },
    ),
    { numRuns: 60 },
  );
});

test('two coats of h are one of 2h, and fifty thin ones are one', () => {
  fc.assert(
    fc.property(depth, depth, share, fc.integer({ min: 2, max: 60 }), (k, s, g, n) => {
      const whole = film(k, s, 20);
      const parts = Array.from({ length: n }, () => thicker(whole, 1 / n));
      expect(stackOver(parts, one(g))[0]).toBeCloseTo(onto(k, s, 20, g), 10);
    }),
  );
  const fifty = Array.from({ length: 50 }, () => film(0.01, 0.1, 0.4));
  expect(stackOver(fifty, one(0.2))[0]).toBeCloseTo(0.591456, 6);
});

test('a stack is composed in its order: dark over light is not light over dark', () => {
  const a = film(0.05, 0.01, 10);
  const b = film(0.01, 0.1, 10);
  expect(stackOver([b, a], one(0.2))[0]).toBeCloseTo(0.216067, 6);
  expect(stackOver([a, b], one(0.2))[0]).toBeCloseTo(0.486158, 6);
  const both = together(plateOf(a), plateOf(b));
  expect(both.fromAbove[0]).toBeCloseTo(0.202039, 6);
  expect(both.fromBelow[0]).toBeCloseTo(0.472921, 6);
  expect(both.t[0]).toBeCloseTo(0.252008, 6);
});

test('nothing overflows, and no film is no film', () => {
  expect(onto(12, 0.01, 100, 0.95)).toBeCloseTo(0.000416, 6);
  for (const below of [0, 0.3, 1]) {
    expect(onto(0.1, 0.1, 0, below)).toBe(below);
    expect(onto(0, 0, 40, below)).toBe(below);
  }
  expect(onto(1e5, 1e5, 1e5, 1)).toBeGreaterThan(0);
});

test('no film gives back more light than it gets, and more absorption never lightens', () => {
  fc.assert(
    fc.property(depth, depth, share, share, (k, s, g, more) => {
      const [r, t] = plate(k, s, 20);
      expect(r + t).toBeLessThanOrEqual(1 + 1e-12);
      expect(onto(k, s, 20, g)).toBeLessThanOrEqual(1);
      expect(onto(k + more, s, 20, g)).toBeLessThanOrEqual(onto(k, s, 20, g) + 1e-12);
    }),
  );
});

test('a wedge is the film at every thickness', () => {
  const k = flat(0.03).map((v, i) => v * (1 + i / 10));
  const thick: OpticalFilm = { kh: k.map((v) => v * 60), sh: flat(0.02 * 60) };
  const ground = flat(0.7);
  const steps = 256;
  const all = wedge(thick, ground, steps);
  for (const n of [1, 2, 17, 128, 256]) {
    const direct = over(plateOf(thicker(thick, n / steps)), ground);
    for (const i of [0, 20, 35]) expect(all[(n - 1) * 36 + i]).toBeCloseTo(direct[i]!, 10);
  }
});

// Saunderson, J. Opt. Soc. Am. 32 (1942).
test('the surface counts once, and can be undone', () => {
  const at = (r: number, finish: Parameters<typeof seen>[1]) => seen(one(r), finish)[0]!;
  expect(at(0.05, 'wet')).toBeCloseTo(0.019794, 6);
  expect(at(0.05, 'oil-gloss')).toBeCloseTo(0.023794, 6);
  expect(at(0.05, 'matt')).toBeCloseTo(0.053794, 6);
  for (const [r, value] of [
    [0, 0.004],
    [0.5, 0.278286],
    [0.9, 0.755304],
    [1, 0.964],
  ] as const)
    expect(at(r, 'oil-gloss')).toBeCloseTo(value, 6);
  expect(innerOf(seen(one(0.3), 'satin'), 'satin')[0]).toBeCloseTo(0.3, 12);
  expect(innerOf(one(0), 'matt')[0]).toBe(0);
});

// Fresnel: diffuse light inside n 1.5 (0.0918 of diffuse light is turned back outside); oil on oil hardly reflects.
test('the inner side of the surface turns back 0.6, films in contact nothing', () => {
  const innerReflection = (outside: number, n: number) => 1 - (1 - outside) / n ** 2;
  const fresnel = (n1: number, n2: number) => ((n1 - n2) / (n1 + n2)) ** 2;
  // What the table says of the surface is what theory says, within its rounding.
  expect(OPTICS.surfaceInner).toBeCloseTo(innerReflection(0.0918, 1.5), 2);
  expect(OPTICS.surfaceOuter).toBeCloseTo(fresnel(1, 1.5), 12);
  expect(innerReflection(0.0918, 1.5)).toBeCloseTo(0.5964, 4);
  expect(fresnel(1.48, 1.54)).toBeCloseTo(0.00039, 5);
  expect(fresnel(1, 1.5)).toBeCloseTo(0.04, 12);
});

test('K and S come back from a film over two grounds', () => {
  const back = (k: number, s: number, g1: number, g2: number) =>
    fromTwoGrounds([onto(k, s, 30, g1), g1], [onto(k, s, 30, g2), g2], 30);
  const found = back(0.03, 0.06, 0.03, 0.85)!;
  expect(found.k).toBeCloseTo(0.03, 9);
  expect(found.s).toBeCloseTo(0.06, 9);
  fc.assert(
    fc.property(
      fc.double({ min: 1e-3, max: 0.05, noNaN: true }),
      fc.double({ min: 1e-3, max: 0.05, noNaN: true }),
      (k, s) => {
        const its = back(k, s, 0, 0.9)!;
        expect(its.k).toBeCloseTo(k, 6);
        expect(its.s).toBeCloseTo(s, 6);
      },
    ),
  );
});

// Duncan, Proc. Phys. Soc. 52 (1940): K and S of a mixture are sums.
test('K and S come back from masstone and tint', () => {
  const [k, s, white] = [0.4, 0.05, { k: 1e-4, s: 0.3 }];
  const mixed = endless(0.1 * k + 0.9 * white.k, 0.1 * s + 0.9 * white.s);
  const found = fromMasstoneAndTint(endless(k, s), mixed, 0.1, white)!;
  expect(found.k).toBeCloseTo(k, 9);
  expect(found.s).toBeCloseTo(s, 9);
});
