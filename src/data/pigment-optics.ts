import rows from './pigment-optics.json';
import type { Confidence } from './constants';

/**
 * Absorption and scattering of neat tube paint, 1/um of dry film at the pigment volume concentration `pvc`, as a sum of
 * named features of absorption and a power law of scattering; the binder's own absorption is not in it. No spectrum is
 * measured: positions and widths are textbook chromophores, strengths were fitted to remembered masstones, tints,
 * glazes and hiding. Strength is good to a factor of 1.5, scattering to ln 0.5, edges to 5 nm: a painter's own
 * swatches take precedence.
 *
 * Features: c A: flat. p A q: A (nm/550)^-q. x A t: A exp(-(nm-430)/t). e A w s: edge, A/(1+exp((nm-w)/s)).
 * g A w s: A below w, falling as a Gaussian above. b A w f: band, Gaussian in wavenumber, full width f nm at w.
 */
export type Feature = [kind: 'c' | 'p' | 'x' | 'e' | 'g' | 'b', ...figures: number[]];

export interface PigmentOptics {
  key: string;
  pvc: number;
  S550: number;
  power: number;
  features: Feature[];
  /** Titanium whites lose strength where they stand too close. */
  crowds?: boolean;
  shape: Confidence;
  masstone: Confidence;
}

/** Paints of old pictures, by the look that is told of them: judgement, low. */
const HISTORIC: PigmentOptics[] = [
  {
    key: 'verdigris',
    pvc: 0.446,
    S550: 0.02,
    power: 0.5,
    features: [
      ['b', 0.08, 700, 180],
      ['e', 0.15, 430, 15],
      ['c', 0.002],
    ],
    shape: 'low',
    masstone: 'low',
  },
  {
    key: 'bitumen',
    pvc: 0.458,
    S550: 0.008,
    power: 0.5,
    features: [
      ['x', 0.6, 60],
      ['c', 0.005],
    ],
    shape: 'low',
    masstone: 'low',
  },
];

export const PIGMENT_OPTICS = new Map(
  [...(rows as PigmentOptics[]), ...HISTORIC].map((row) => [row.key, row]),
);
