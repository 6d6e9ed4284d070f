import { OPTICS } from '@/data/optics';
import type { Feature, PigmentOptics } from '@/data/pigment-optics';

/** Values in the 36 bands, 380 to 730 nm by 10. */
export type Spectrum = Float64Array;

export const BANDS_NM: readonly number[] = Array.from({ length: 36 }, (_, i) => 380 + 10 * i);
export const BANDS = BANDS_NM.length;

/** A spectrum from a function of wavelength, nm. */
export const spectrumOf = (value: (nm: number) => number): Spectrum =>
  Float64Array.from(BANDS_NM, value);
/** The same value in every band. */
export const flat = (value: number): Spectrum => new Float64Array(BANDS).fill(value);

const WAVENUMBER = 1e7;
const HALF_WIDTH = 4 * Math.LN2;

function featureAt([kind, amplitude = 0, a = 0, b = 1]: Feature, nm: number): number {
  switch (kind) {
    case 'c':
      return amplitude;
    case 'p':
      return amplitude * (nm / OPTICS.scatterAtNm) ** -a;
    case 'x':
      return amplitude * Math.exp(-(nm - OPTICS.binderAtNm) / a);
    case 'e':
      return amplitude / (1 + Math.exp((nm - a) / b));
    case 'g':
      return amplitude * Math.exp(-0.5 * (Math.max(nm - a, 0) / b) ** 2);
    case 'b': {
      const width = (WAVENUMBER * b) / a ** 2;
      return amplitude * Math.exp(-HALF_WIDTH * ((WAVENUMBER / nm - WAVENUMBER / a) / width) ** 2);
    }
  }
}

/**
 * Absorption of neat tube paint at a wavelength, 1/um: the sum of its features.
 * @param nm any wavelength, so that a calibration can shift the spectrum
 */
export const absorptionAt = ({ features }: PigmentOptics, nm: number): number =>
  features.reduce((sum, feature) => sum + featureAt(feature, nm), 0);

/** Scattering of neat tube paint at a wavelength, 1/um. */
export const scatteringAt = ({ S550, power }: PigmentOptics, nm: number): number =>
  S550 * (nm / OPTICS.scatterAtNm) ** -power;
