import { LOOKING } from '@/data/looking';
import type { plumbOf } from './drawing';
import type { Proportion } from './proportions';
import { capital } from './tell';

/** A pair that should hang or lie true and does not, beyond the error; null where it does. */
export function tellPlumb(
  { a, b, kind, leanDeg, sigmaDeg }: ReturnType<typeof plumbOf>[number],
  names: ReadonlyMap<string, string>,
): string | null {
  const error = LOOKING.sure * sigmaDeg;
  if (Math.abs(leanDeg) <= error) return null;
  const [one, two] = [names.get(a) ?? a, names.get(b) ?? b];
  const by = `${Math.abs(leanDeg).toFixed(1)}° (±${error.toFixed(1)})`;
  return kind === 'plumb'
    ? `${capital(one)} and ${two} should hang plumb; they lean by ${by}.`
    : `${capital(one)} and ${two} should lie level; they tilt by ${by}.`;
}

/** A distance in units of another: "Rim to foot is 2.6 (±0.1) of it, 2.4 in the design." */
export const tellProportion = (
  { from, to, design, work, sigma }: Proportion,
  names: ReadonlyMap<string, string>,
): string =>
  `${capital(names.get(from) ?? from)} to ${names.get(to) ?? to}: ${work.toFixed(2)} (±${(LOOKING.sure * sigma).toFixed(2)}) of it, ${design.toFixed(2)} in the design.`;
