import { BANDS, type Spectrum } from './spectrum';

/**
 * Films and stacks of films by two-flux, two-constant theory: Kubelka & Munk, Z. tech. Phys. 12 (1931); Kubelka, J. Opt.
 * Soc. Am. 38 (1948) and 44 (1954); Stokes for the pile of plates. Reflectances here are "inner": just below the
 * paint's surface, so that films in contact do not reflect at their border (dried oil, resin and acrylic hardly differ
 * in refractive index).
 */

/** A film as light meets it: absorption and scattering times thickness, by band; no unit. */
export interface OpticalFilm {
  kh: Spectrum;
  sh: Spectrum;
}

/** What a film by itself gives back and lets through, by band; alike from both sides. */
export interface Plate {
  r: Spectrum;
  t: Spectrum;
}

/** Below it the series is exact to the last digit, and no quotient of small numbers is left. */
const THIN = 1e-3;

/**
 * Reflectance and transmittance of a film: R = Sh/(x coth x + Kh + Sh), T = (x/sinh x)/(x coth x + Kh + Sh),
 * x = sqrt(Kh (Kh + 2 Sh)). The textbook form with the hyperbolic functions written by one exponential, so that nothing
 * overflows; for S = 0 it is Beer-Lambert, for K = 0 it loses nothing.
 */
export function plateOf({ kh, sh }: OpticalFilm, into?: Plate): Plate {
  const out = into ?? { r: new Float64Array(kh.length), t: new Float64Array(kh.length) };
  const { r, t } = out;
  for (let i = 0; i < kh.length; i++) {
    const k = kh[i]!;
    const s = sh[i]!;
    const x2 = k * (k + 2 * s);
    let cothX: number;
    let overSinh: number;
    if (x2 < THIN * THIN) {
      cothX = 1 + x2 / 3;
      overSinh = 1 - x2 / 6;
    } else {
      const x = Math.sqrt(x2);
      const e = Math.exp(-x);
      const e2 = e * e;
      const scale = x / (1 - e2);
      cothX = scale * (1 + e2);
      overSinh = 2 * scale * e;
    }
    const d = cothX + k + s;
    r[i] = s / d;
    t[i] = overSinh / d;
  }
  return out;
}

/** A film over what reflects `below`: R + T^2 below / (1 - R below). `into` may be `below` itself. */
export function over({ r, t }: Plate, below: Spectrum, into?: Spectrum): Spectrum {
  const out = into ?? new Float64Array(below.length);
  for (let i = 0; i < below.length; i++) {
    const b = below[i]!;
    const ti = t[i]!;
    out[i] = r[i]! + (ti * ti * b) / (1 - r[i]! * b);
  }
  return out;
}

/** Inner reflectance of films on a ground, lowest film first. */
export const stackOver = (films: readonly OpticalFilm[], ground: Spectrum): Spectrum =>
  films.reduce((below, film) => over(plateOf(film), below), ground);

/** Two plates in contact, A above B: they look different from above and from below. */
export function together(
  a: Plate,
  b: Plate,
): { fromAbove: Spectrum; fromBelow: Spectrum; t: Spectrum } {
  const fromAbove = over(a, b.r);
  const fromBelow = over(b, a.r);
  const t = a.t.map((ta, i) => (ta * b.t[i]!) / (1 - a.r[i]! * b.r[i]!));
  return { fromAbove, fromBelow, t };
}

/** The same film, `times` as thick. */
export const thicker = ({ kh, sh }: OpticalFilm, times: number): OpticalFilm => ({
  kh: kh.map((k) => k * times),
  sh: sh.map((s) => s * times),
});

/** Reflectance of a film without end, from q = K/S: 1/(1 + q + sqrt(q^2 + 2q)); 0 where nothing scatters. */
export const endless = (k: number, s: number): number => {
  if (s <= 0) return 0;
  const q = k / s;
  return 1 / (1 + q + Math.sqrt(q * q + 2 * q));
};

/** Back: K/S of a reflectance. */
export const kOverS = (r: number): number => (1 - r) ** 2 / (2 * r);

/** Inner reflectance of the opaque film of a mixture, whatever its thickness. */
export function opaque({ kh, sh }: OpticalFilm): Spectrum {
  const out = new Float64Array(BANDS);
  for (let i = 0; i < BANDS; i++) out[i] = endless(kh[i]!, sh[i]!);
  return out;
}

/**
 * Inner reflectances under a film of every thickness h, 2h, ... n h over one ground: the exponential of the next is the
 * product of two that are known. One band row after the other: `out[step * bands + band]`.
 */
export function wedge(film: OpticalFilm, ground: Spectrum, steps: number): Float64Array {
  const bands = ground.length;
  const out = new Float64Array(steps * bands);
  for (let i = 0; i < bands; i++) {
    const k = film.kh[i]! / steps;
    const s = film.sh[i]! / steps;
    const g = ground[i]!;
    const x1 = Math.sqrt(k * (k + 2 * s));
    const e1 = Math.exp(-x1);
    let e = 1;
    for (let n = 1; n <= steps; n++) {
      e *= e1;
      const x = n * x1;
      let cothX: number;
      let overSinh: number;
      if (x < THIN) {
        cothX = 1 + (x * x) / 3;
        overSinh = 1 - (x * x) / 6;
      } else {
        const e2 = e * e;
        const scale = x / (1 - e2);
        cothX = scale * (1 + e2);
        overSinh = 2 * scale * e;
      }
      const d = 1 / (cothX + n * (k + s));
      const r = n * s * d;
      const t = overSinh * d;
      out[(n - 1) * bands + i] = r + (t * t * g) / (1 - r * g);
    }
  }
  return out;
}
