import { OPTICS } from '@/data/optics';
import { PIGMENT_OPTICS } from '@/data/pigment-optics';
import type { Correction } from './pigments';
import { absorptionAt, BANDS_NM, spectrumOf } from './spectrum';

/** What a painter's tube has of its own against the table: few figures, for three colours of a photo tell no more. */
export interface Multipliers {
  /** ln of the strength of absorption at blue, green and red. */
  strength: [blue: number, green: number, red: number];
  /** ln of the scattering at 550 nm, and the change of its power of wavelength. */
  scattering: number;
  power: number;
  /** How far features lie towards red, nm. */
  shiftNm: number;
}

const hat = (nm: number, at: number, width: number): number =>
  Math.max(0, 1 - Math.abs(nm - at) / width);

const HATS = BANDS_NM.map((nm) => [
  nm < OPTICS.hatBlueNm ? 1 : hat(nm, OPTICS.hatBlueNm, OPTICS.hatBlueWidth),
  hat(nm, OPTICS.hatGreenNm, OPTICS.hatGreenWidth),
  nm > OPTICS.hatRedNm ? 1 : hat(nm, OPTICS.hatRedNm, OPTICS.hatRedWidth),
]);

/**
 * A tube's factors on the table's spectra: K0(nm - shift) exp(sum of strengths by hats) over K0(nm), and S likewise.
 * @param pigments solids by pigment per volume of tube
 */
export function correctionOf(pigments: Record<string, number>, m: Multipliers): Correction {
  const rows = Object.entries(pigments).flatMap(([key, um]) => {
    const row = PIGMENT_OPTICS.get(key);
    return row ? [{ row, neat: um / row.pvc }] : [];
  });
  const table = (nm: number) =>
    rows.reduce((sum, { row, neat }) => sum + neat * absorptionAt(row, nm), 0);
  return {
    k: spectrumOf((nm) => {
      const at = (nm - BANDS_NM[0]!) / 10;
      const ln = HATS[at]!.reduce((sum, h, j) => sum + h * m.strength[j]!, 0);
      const plain = table(nm);
      return plain > 0 ? (Math.exp(ln) * table(nm - m.shiftNm)) / plain : 1;
    }),
    s: spectrumOf((nm) => Math.exp(m.scattering + m.power * Math.log(nm / OPTICS.scatterAtNm))),
  };
}
