import { CALIBRATION } from '@/data/calibration';
import type { Finish } from '@/data/optics';
import { de2000, labOf, type Lab } from './colour';
import { opaque, over, plateOf, type OpticalFilm } from './films';
import { leastSquares } from './least-squares';
import { neatFilm, type OpticalPaint } from './paint';
import { opticalFilm } from './pigments';
import { correctionOf, type Multipliers } from './correction';
import type { Spectrum } from './spectrum';
import { seen } from './surface';

/** A patch that the painter laid, and how it looked. */
export interface Patch {
  /** Opaque; one part in white by volume of tube; or a film of known thickness over a ground. */
  laid:
    | { kind: 'masstone' }
    | { kind: 'tint'; share: number; white: OpticalPaint }
    | { kind: 'film'; um: number; tubeShare: number; below: Spectrum };
  lab: Lab;
  finish: Finish;
}

const C = CALIBRATION;

const fromVector = (x: ArrayLike<number>): Multipliers => ({
  strength: [x[0]! * C.sdAbsorption, x[1]! * C.sdAbsorption, x[2]! * C.sdAbsorption],
  scattering: x[3]! * C.sdScattering,
  power: x[4]! * C.sdPower,
  shiftNm: x[5]! * C.sdShiftNm,
});

/** A film of a neat paint thinned with clear medium. */
export function thinned(paint: OpticalPaint, um: number, tubeShare: number): OpticalFilm {
  const tube = um * tubeShare;
  const solids = Object.values(paint.pigments).reduce((sum, v) => sum + v, 0);
  return opticalFilm({
    pigments: Object.entries(paint.pigments).map(([pigment, share]) => ({
      pigment,
      um: tube * share,
      ...(paint.correction && { correction: paint.correction }),
    })),
    binders: { [paint.binder ?? 'linseed']: um - tube * solids },
    thicknessUm: um,
  });
}

/** What a patch should look like. `thickness` multiplies the stated one of a film. */
export function patchLab(paint: OpticalPaint, { laid, finish }: Patch, thickness = 1): Lab {
  switch (laid.kind) {
    case 'masstone':
      return labOf(seen(opaque(neatFilm([{ paint, um: 1 }])), finish));
    case 'tint':
      return labOf(
        seen(
          opaque(
            neatFilm([
              { paint, um: laid.share },
              { paint: laid.white, um: 1 - laid.share },
            ]),
          ),
          finish,
        ),
      );
    case 'film':
      return labOf(
        seen(
          over(plateOf(thinned(paint, laid.um * thickness, laid.tubeShare)), laid.below),
          finish,
        ),
      );
  }
}

export interface Calibration {
  multipliers: Multipliers;
  /** CIEDE2000 between what was seen of each patch and what is computed now, and what the table alone would have said. */
  misfit: number[];
  tableMisfit: number[];
  /** Spread of each figure after the patches over its spread before: near 1 says the patches tell nothing of it. */
  known: { strength: [number, number, number]; scattering: number; power: number; shiftNm: number };
  /** What the films' thickness came out as, times the stated one. */
  thickness: number;
  /** Farthest figure from the table, in standard deviations. */
  deviation: number;
  /** The patches do not hang together, or lie too far from any such paint: ask for them again, keep the table. */
  doubtful: boolean;
}

/**
 * A paint fitted to its patches: least squares of Lab with the table as what is believed before. Six figures of the
 * paint and one of the thickness of films; what the patches do not tell stays as in the table.
 */
export function calibrate(paint: OpticalPaint, patches: readonly Patch[]): Calibration {
  const films = patches.some(({ laid }) => laid.kind === 'film');
  const sd = [C.sdL, C.sdA, C.sdB];
  const withFigures = (x: ArrayLike<number>): OpticalPaint => ({
    ...paint,
    correction: correctionOf(paint.pigments, fromVector(x)),
  });
  const thicknessOf = (x: ArrayLike<number>): number => Math.exp((x[6] ?? 0) * C.sdThickness);
  const { at, sd: spread } = leastSquares(
    (x) => {
      const its = withFigures(x);
      const out: number[] = [];
      for (const patch of patches) {
        const lab = patchLab(its, patch, thicknessOf(x));
        lab.forEach((v, c) => out.push((v - patch.lab[c]!) / sd[c]!));
      }
      // The priors: every figure is counted in its own standard deviations.
      return Float64Array.from([...out, ...x]);
    },
    new Float64Array(films ? 7 : 6),
    { steps: C.steps, step: C.stepSize },
  );
  const multipliers = fromVector(at);
  const fitted = withFigures(at);
  const misfit = patches.map((p) => de2000(patchLab(fitted, p, thicknessOf(at)), p.lab));
  const share = (i: number) => spread?.[i] ?? 1;
  const deviation = Math.max(...Array.from(at.subarray(0, 6), Math.abs));
  return {
    multipliers,
    misfit,
    tableMisfit: patches.map((p) =>
      de2000(patchLab({ ...paint, correction: undefined }, p), p.lab),
    ),
    known: {
      strength: [share(0), share(1), share(2)],
      scattering: share(3),
      power: share(4),
      shiftNm: share(5),
    },
    thickness: thicknessOf(at),
    deviation,
    doubtful: Math.max(...misfit) > C.mostMisfit || deviation > C.mostDeviation,
  };
}
