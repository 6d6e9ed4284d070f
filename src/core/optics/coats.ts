import type { Finish } from '@/data/optics';
import { de2000, labOf, type Lab } from './colour';
import { over, plateOf, wedge, type OpticalFilm } from './films';
import type { Spectrum } from './spectrum';
import { seen } from './surface';

/** The looks of 1, 2, ... n like coats over a ground: inner reflectance walks up, the surface counts once. */
export function coatByCoat(
  coat: OpticalFilm,
  ground: Spectrum,
  finish: Finish,
  most: number,
): { inner: Spectrum; lab: Lab }[] {
  const plate = plateOf(coat);
  const out: { inner: Spectrum; lab: Lab }[] = [];
  let inner = ground;
  for (let n = 0; n < most; n++) {
    inner = over(plate, inner);
    out.push({ inner, lab: labOf(seen(inner, finish)) });
  }
  return out;
}

export interface CoatsToLook {
  /** How many come nearest; 0 where the ground itself is nearest. */
  coats: number;
  de: number;
  /** CIEDE2000 to the wanted look after 0, 1, 2, ... coats: beyond the best it gets worse. */
  curve: number[];
}

const MOST_COATS = 50;

/** How many coats to a look. */
export function coatsToLook(
  coat: OpticalFilm,
  ground: Spectrum,
  wanted: Lab,
  finish: Finish = 'oil-gloss',
): CoatsToLook {
  const curve = [
    de2000(labOf(seen(ground, finish)), wanted),
    ...coatByCoat(coat, ground, finish, MOST_COATS).map(({ lab }) => de2000(lab, wanted)),
  ];
  const de = Math.min(...curve);
  return { coats: curve.indexOf(de), de, curve };
}

/** Steps of the wedge in which a ramp is looked up. */
const WEDGE_STEPS = 256;

/** Lab of every step of a wedge of a film, from 0 (the bare ground) to its whole thickness. */
export function wedgeLabs(
  film: OpticalFilm,
  ground: Spectrum,
  finish: Finish,
  steps = WEDGE_STEPS,
): Lab[] {
  const bands = ground.length;
  const inner = wedge(film, ground, steps);
  const surface = new Float64Array(bands);
  const labs = [labOf(seen(ground, finish))];
  for (let n = 0; n < steps; n++)
    labs.push(labOf(seen(inner.subarray(n * bands, (n + 1) * bands), finish, surface)));
  return labs;
}

/**
 * A graded glaze: the thickness at each of n stations so that lightness falls, or rises, in even steps from the bare
 * ground to the whole film. Thickness itself is far from even. Null where lightness turns round on the way.
 * @param mostUm thickness of `film`
 */
export function gradedThickness(
  film: OpticalFilm,
  mostUm: number,
  ground: Spectrum,
  n: number,
  finish: Finish = 'oil-gloss',
): number[] | null {
  const lightness = wedgeLabs(film, ground, finish).map(([L]) => L);
  const first = lightness[0]!;
  const last = lightness.at(-1)!;
  const way = Math.sign(last - first);
  const turns = lightness.some((L, i) => i > 0 && (L - lightness[i - 1]!) * way < -1e-9);
  if (way === 0 || turns) return null;
  return Array.from({ length: n }, (_, k) => {
    const wanted = first + ((last - first) * k) / (n - 1);
    const at = lightness.findIndex((L) => (L - wanted) * way >= -1e-12);
    if (at <= 0) return 0;
    const [a, b] = [lightness[at - 1]!, lightness[at]!];
    const step = at - 1 + (wanted - a) / (b - a);
    return (mostUm * step) / WEDGE_STEPS;
  });
}
