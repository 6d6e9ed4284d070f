import { CALIBRATION } from '@/data/calibration';
import type { SwatchPatch } from '../cabinet/swatch-schema';
import { calibrate, type Calibration, type Patch } from './calibrate';
import { tablePaintOf, type OpticalPaint } from './paint';
import { groundSpectrum } from './pigments';

type WhiteOf = (id: string) => OpticalPaint | null;

/** A patch as it is kept, as light sees it. `whiteOf` gives the painter's own white by its id, null where it is not there. */
export function laidPatch({ laid, lab, finish }: SwatchPatch, whiteOf: WhiteOf): Patch {
  if (laid.kind === 'tint') {
    const own = laid.whiteId === undefined ? null : whiteOf(laid.whiteId);
    return {
      laid: { kind: 'tint', share: laid.share, white: own ?? tablePaintOf(laid.white) },
      lab,
      finish,
    };
  }
  if (laid.kind === 'film')
    return { laid: { ...laid, below: groundSpectrum(laid.below) }, lab, finish };
  return { laid, lab, finish };
}

/** Patches as they are kept, fitted. */
export const fitPatches = (
  paint: OpticalPaint,
  patches: readonly SwatchPatch[],
  whiteOf: WhiteOf,
): Calibration =>
  calibrate(
    paint,
    patches.map((patch) => laidPatch(patch, whiteOf)),
  );

const mean = (values: readonly number[]): number =>
  values.reduce((sum, v) => sum + v, 0) / values.length;
const times = (ln: number): string => {
  const factor = Math.exp(Math.abs(ln));
  return factor < 1.07 ? 'as usual' : factor.toFixed(1);
};

/** What swatches say of a tube, in a painter's words; what they do not tell is told as that. */
export function calibrationWords({
  multipliers: m,
  known,
  misfit,
  thickness,
  doubtful,
}: Calibration): string[] {
  const tells = (share: number) => share < CALIBRATION.knownShare;
  const words: string[] = [];
  const strength = mean(m.strength);
  if (!tells(mean(known.strength))) words.push('Strength: not known from these patches.');
  else if (times(strength) === 'as usual') words.push('As strong as usual for its pigment.');
  else words.push(`${times(strength)} times ${strength > 0 ? 'stronger' : 'weaker'} than usual.`);
  if (!tells(known.scattering)) words.push('Covering power: not known from these patches.');
  else if (times(m.scattering) === 'as usual') words.push('Covers as usual.');
  else
    words.push(
      `${times(m.scattering)} times ${m.scattering > 0 ? 'more' : 'less'} covering power than usual.`,
    );
  if (tells(known.shiftNm) && Math.abs(m.shiftNm) > 1)
    words.push(
      `Its hue lies ${Math.abs(m.shiftNm).toFixed(0)} nm towards ${m.shiftNm > 0 ? 'red' : 'blue'}.`,
    );
  if (Math.abs(Math.log(thickness)) > 0.07)
    words.push(
      `The films come out ${Math.round(Math.abs(thickness - 1) * 100)} % ${thickness > 1 ? 'thicker' : 'thinner'} than you said.`,
    );
  const worst = Math.max(...misfit);
  words.push(
    doubtful
      ? `These patches do not hang together, or are no such paint (off by ${worst.toFixed(1)} steps). Lay and read them again; the table stays.`
      : `What is computed lies within ${Math.max(0.1, worst).toFixed(1)} just noticeable steps of what you read.`,
  );
  return words;
}
