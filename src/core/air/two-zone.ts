/**
 * Two zones of one room: the near field of the painter, into which all of it evaporates, and the rest, from which it is
 * aired. Each is well mixed. Nicas, Am. Ind. Hyg. Assoc. J. 57 (1996) 542; Keil, Simmons & Anthony, Mathematical Models
 * for Estimating Occupational Exposure to Chemicals (AIHA). From memory, medium.
 *
 *   VN dN/dt = G + beta (F - N)        VF dF/dt = beta (N - F) - Q F
 */
export interface TwoZones {
  /** m3 */
  nearM3: number;
  farM3: number;
  /** Air that goes back and forth between the two, m3/h. */
  exchangeM3PerH: number;
  /** Fresh air, m3/h. */
  freshM3PerH: number;
}

/** mg/m3 */
export interface Concentrations {
  near: number;
  far: number;
}

/** What both come to while G mg/h goes on evaporating: N = G/Q + G/beta, F = G/Q. */
export const steadyState = (
  { exchangeM3PerH, freshM3PerH }: TwoZones,
  mgPerH: number,
): Concentrations => ({
  near: mgPerH / freshM3PerH + mgPerH / exchangeM3PerH,
  far: mgPerH / freshM3PerH,
});

interface Modes {
  fast: number;
  slow: number;
}

/** Rates of the two exponentials, 1/h, both negative; real and different for every room. */
export function modesOf({ nearM3, farM3, exchangeM3PerH: beta, freshM3PerH: q }: TwoZones): Modes {
  const trace = -(beta / nearM3 + (beta + q) / farM3);
  const det = (beta * q) / (nearM3 * farM3);
  const root = Math.sqrt(trace * trace - 4 * det);
  const fast = (trace - root) / 2;
  // By the product, not the difference of two near equals.
  return { fast, slow: det / fast };
}

/** Amplitudes of both exponentials around the steady state, from how it begins. */
function partsOf(zones: TwoZones, begin: Concentrations, steady: Concentrations) {
  const { fast, slow } = modesOf(zones);
  const k = zones.exchangeM3PerH / zones.nearM3;
  // Of a mode, far = near * (1 + rate / k): from VN dN/dt = beta (F - N).
  const [a, b] = [1 + fast / k, 1 + slow / k];
  const n = begin.near - steady.near;
  const f = begin.far - steady.far;
  const slowNear = (f - a * n) / (b - a);
  return { fast, slow, a, b, fastNear: n - slowNear, slowNear };
}

/** Both after some hours of even evaporation, from where they began. Closed form. */
export function after(
  zones: TwoZones,
  begin: Concentrations,
  mgPerH: number,
  hours: number,
): Concentrations {
  const steady = steadyState(zones, mgPerH);
  const m = partsOf(zones, begin, steady);
  const x = m.fastNear * Math.exp(m.fast * hours);
  const y = m.slowNear * Math.exp(m.slow * hours);
  return { near: steady.near + x + y, far: steady.far + m.a * x + m.b * y };
}

/** Integral of both over some hours, mg h/m3: what a mean over a working day is made of. */
export function doseAfter(
  zones: TwoZones,
  begin: Concentrations,
  mgPerH: number,
  hours: number,
): Concentrations {
  const steady = steadyState(zones, mgPerH);
  const m = partsOf(zones, begin, steady);
  const x = (m.fastNear * Math.expm1(m.fast * hours)) / m.fast;
  const y = (m.slowNear * Math.expm1(m.slow * hours)) / m.slow;
  return { near: steady.near * hours + x + y, far: steady.far * hours + m.a * x + m.b * y };
}

/**
 * Hours until a zone has fallen to a level once nothing evaporates any more; 0 where it is there already. Both only
 * fall after a peak of the far field that is over within minutes; halved to a minute.
 */
export function hoursUntil(
  zones: TwoZones,
  begin: Concentrations,
  level: number,
  most: number,
): number | null {
  const over = (hours: number): boolean => {
    const { near, far } = after(zones, begin, 0, hours);
    return Math.max(near, far) > level;
  };
  if (!over(0)) return 0;
  if (over(most)) return null;
  let [low, high] = [0, most];
  while (high - low > 1 / 60) {
    const middle = (low + high) / 2;
    if (over(middle)) low = middle;
    else high = middle;
  }
  return high;
}
