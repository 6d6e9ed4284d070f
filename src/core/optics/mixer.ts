import { D65_2 } from '@/data/cie';
import { FINISH_SHARE, OPTICS } from '@/data/optics';
import { labOfXyz, whiteOf, type Lab, type Xyz } from './colour';
import { binderTail } from './pigments';
import { depthOf, type OpticalPaint } from './paint';
import { BANDS } from './spectrum';

const { surfaceOuter: K1, surfaceInner: K2 } = OPTICS;
const THROUGH = (1 - K1) * (1 - K2);
const GLARE = FINISH_SHARE['oil-gloss'] * K1;
const WHITE = whiteOf(D65_2);
const WEIGHTS = Float64Array.from({ length: BANDS * 3 }, (_, n) => {
  const i = Math.floor(n / 3);
  return [D65_2.X, D65_2.Y, D65_2.Z][n % 3]![i]!;
});

/** What a paint brings of itself: absorption with its binder's, scattering, and scattering of what crowds. */
function bandsOf(paint: OpticalPaint) {
  const { k, s, crowded, phi, solids } = depthOf(paint);
  const tail = binderTail(paint.binder ?? 'linseed');
  return { k: k.map((v, i) => v + (1 - solids) * tail[i]!), s, crowded, phi };
}

/** Tristimulus values, written where the caller says: no array is made for one of thousands. */
type Mixes = (amounts: ArrayLike<number>, into: Float64Array) => void;

const GLARE_XYZ = WHITE.map((w) => GLARE * w);

/**
 * Paints mixed by volume and laid opaque, for thousands of amounts of the same paints: what the paints bring is laid out
 * once, and a mixture is a walk through the bands. R = S / (K + S + sqrt(K (K + 2 S))) is the endless film by one root
 * and no quotient of small numbers.
 * @param paints of which amounts are given, in their order; only their ratio counts
 */
function xyzMixer(paints: readonly OpticalPaint[]): Mixes {
  const n = paints.length;
  // Band by band, each paint's absorption, scattering, and scattering of what crowds.
  const rows = new Float64Array(BANDS * n * 3);
  const phis = new Float64Array(n);
  paints.forEach((paint, j) => {
    const { k, s, crowded, phi } = bandsOf(paint);
    phis[j] = phi;
    for (let i = 0; i < BANDS; i++) rows.set([k[i]!, s[i]!, crowded[i]!], (i * n + j) * 3);
  });
  const crowdOf = (amounts: ArrayLike<number>): number => {
    let total = 0;
    let phi = 0;
    for (let j = 0; j < n; j++) {
      total += amounts[j]!;
      phi += amounts[j]! * phis[j]!;
    }
    return 1 / (1 + (phi / total / OPTICS.crowdingPhi) ** 2);
  };
  return (amounts, into) => {
    const crowd = crowdOf(amounts);
    let x = 0;
    let y = 0;
    let z = 0;
    let at = 0;
    for (let w = 0; w < BANDS * 3; w += 3) {
      let k = 0;
      let s = 0;
      for (let j = 0; j < n; j++) {
        const a = amounts[j]!;
        k += a * rows[at]!;
        s += a * (rows[at + 1]! + crowd * rows[at + 2]!);
        at += 3;
      }
      const r = s / (k + (1 - K2) * s + Math.sqrt(k * (k + 2 * s)));
      x += r * WEIGHTS[w]!;
      y += r * WEIGHTS[w + 1]!;
      z += r * WEIGHTS[w + 2]!;
    }
    into[0] = GLARE_XYZ[0]! + THROUGH * x;
    into[1] = GLARE_XYZ[1]! + THROUGH * y;
    into[2] = GLARE_XYZ[2]! + THROUGH * z;
  };
}

const PAIR = 7;

/**
 * Two paints, the usual case, written out: everything of a band stands beside each other in a plain array, which engines
 * read faster here than a typed one. A tube scatters as a white that crowds or as one that does not; one that holds
 * both goes the general way.
 * @returns Lab at a share of the second, by volume
 */
export function pairMixer(one: OpticalPaint, other: OpticalPaint): (share: number) => Lab {
  const [p, q] = [bandsOf(one), bandsOf(other)];
  const both = ({ s, crowded }: typeof p) => s.some((v) => v > 0) && crowded.some((v) => v > 0);
  if (both(p) || both(q)) {
    const general = mixerOf([one, other]);
    return (share) => general([1 - share, share]);
  }
  const [pCrowds, qCrowds] = [p.phi > 0, q.phi > 0];
  const row: number[] = [];
  for (let i = 0; i < BANDS; i++)
    row.push(
      ...[p.k[i]!, q.k[i]!, p.s[i]! + p.crowded[i]!, q.s[i]! + q.crowded[i]!],
      ...[WEIGHTS[3 * i]!, WEIGHTS[3 * i + 1]!, WEIGHTS[3 * i + 2]!],
    );
  // One for all: whoever asks reads it before the next is mixed.
  const xyz: Xyz = [0.5, 0.5, 0.5];
  const mix = (b: number): Xyz => {
    const a = 1 - b;
    const phi = (a * p.phi + b * q.phi) / OPTICS.crowdingPhi;
    const crowd = 1 / (1 + phi * phi);
    const sa = pCrowds ? a * crowd : a;
    const sb = qCrowds ? b * crowd : b;
    let x = 0;
    let y = 0;
    let z = 0;
    for (let i = 0; i < BANDS * PAIR; i += PAIR) {
      const k = a * row[i]! + b * row[i + 1]!;
      const s = sa * row[i + 2]! + sb * row[i + 3]!;
      const r = s / (k + (1 - K2) * s + Math.sqrt(k * (k + 2 * s)));
      x += r * row[i + 4]!;
      y += r * row[i + 5]!;
      z += r * row[i + 6]!;
    }
    xyz[0] = GLARE_XYZ[0]! + THROUGH * x;
    xyz[1] = GLARE_XYZ[1]! + THROUGH * y;
    xyz[2] = GLARE_XYZ[2]! + THROUGH * z;
    return xyz;
  };
  return (share) => labOfXyz(mix(share), WHITE);
}

/** The general way: any number of paints, of any make-up. */
function mixerOf(paints: readonly OpticalPaint[]): (amounts: ArrayLike<number>) => Lab {
  const mix = xyzMixer(paints);
  const xyz = new Float64Array(3);
  return (amounts) => {
    mix(amounts, xyz);
    return labOfXyz([xyz[0]!, xyz[1]!, xyz[2]!], WHITE);
  };
}

/** Lab of mixtures of the same paints, laid opaque: `amounts` in their order, only their ratio counts. */
export function mixer(paints: readonly OpticalPaint[]): (amounts: ArrayLike<number>) => Lab {
  if (paints.length !== 2) return mixerOf(paints);
  const pair = pairMixer(paints[0]!, paints[1]!);
  return (amounts) => pair(amounts[1]! / (amounts[0]! + amounts[1]!));
}
