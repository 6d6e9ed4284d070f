import { create } from 'qrcode';
import { wellFormed } from './well-formed';

/** Which squares of a code are dark, row by row. ISO/IEC 18004, by the package. */
export function qrModules(text: string): boolean[][] {
  const { modules } = create(wellFormed(text), { errorCorrectionLevel: 'L' });
  return Array.from({ length: modules.size }, (_, y) =>
    Array.from({ length: modules.size }, (_, x) => Boolean(modules.get(y, x))),
  );
}
