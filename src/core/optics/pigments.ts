import {
  BINDER_COLOUR,
  GROUND_COLOURS,
  OPTICS,
  type Age,
  type ColouredBinder,
  type GroundColour,
  type GroundColourKey,
} from '@/data/optics';
import { PIGMENT_OPTICS } from '@/data/pigment-optics';
import { opaque, type OpticalFilm } from './films';
import { absorptionAt, BANDS, flat, scatteringAt, spectrumOf, type Spectrum } from './spectrum';

/** Absorption and scattering per um of neat tube paint, at the pigment volume concentration they were fitted at. */
export interface PaintSpectra {
  k: Spectrum;
  s: Spectrum;
  pvc: number;
  crowds: boolean;
}

const known = new Map<string, PaintSpectra | null>();

/** The spectra of a pigment of the table; null for what has none, as an extender, which in oil all but vanishes. */
export function pigmentSpectra(key: string): PaintSpectra | null {
  const found = known.get(key);
  if (found !== undefined) return found;
  const row = PIGMENT_OPTICS.get(key);
  const made = row
    ? {
        k: spectrumOf((nm) => absorptionAt(row, nm)),
        s: spectrumOf((nm) => scatteringAt(row, nm)),
        pvc: row.pvc,
        crowds: row.crowds ?? false,
      }
    : null;
  known.set(key, made);
  return made;
}

/**
 * How well a titanium white scatters for how close its particles stand, against the neat paint that the table is of:
 * [1 + (pvc/0.30)^2] / [1 + (phi/0.30)^2].
 */
export const crowding = (pvc: number, phi: number): number =>
  (1 + (pvc / OPTICS.crowdingPhi) ** 2) / (1 + (phi / OPTICS.crowdingPhi) ** 2);

const tails = new Map<ColouredBinder, Spectrum>();
/** Absorption of a fresh dry binder, 1/um: K430 exp(-(nm - 430)/38). It scatters nothing. */
export function binderTail(key: ColouredBinder): Spectrum {
  const tail =
    tails.get(key) ??
    spectrumOf(
      (nm) => BINDER_COLOUR[key].K430 * Math.exp(-(nm - OPTICS.binderAtNm) / OPTICS.binderTailNm),
    );
  tails.set(key, tail);
  return tail;
}

const ageFactor = (key: ColouredBinder, age: Age): number =>
  age === 'off' ? 0 : age === 'fresh' ? 1 : BINDER_COLOUR[key].aged[age];

/** How a tube differs from the table, by the painter's own swatches: factors on its K and S, by band. */
export interface Correction {
  k: Spectrum;
  s: Spectrum;
}

/** One paint, or one pigment, in a film. */
export interface FilmPigment {
  pigment: string;
  /** um of pigment solids: volume per area. */
  um: number;
  correction?: Correction;
}

/** A film as its composition says: volumes per area, um. */
export interface FilmParts {
  pigments: readonly FilmPigment[];
  binders: Partial<Record<ColouredBinder, number>>;
  /** Of the dry film, all of it: what crowds stands in so much. */
  thicknessUm: number;
}

/**
 * A film as light meets it, from its composition: every pigment by its volume per area, titanium whites by how close they
 * stand, the binder by its colour. Medium dilutes; what has evaporated changes nothing.
 */
export function opticalFilm(
  { pigments, binders, thicknessUm }: FilmParts,
  age: Age = 'fresh',
): OpticalFilm {
  const kh = new Float64Array(BANDS);
  const sh = new Float64Array(BANDS);
  let crowdUm = 0;
  for (const { pigment, um } of pigments) if (pigmentSpectra(pigment)?.crowds) crowdUm += um;
  const phi = thicknessUm > 0 ? crowdUm / thicknessUm : 0;
  for (const { pigment, um, correction } of pigments) {
    const spectra = pigmentSpectra(pigment);
    if (!spectra || um <= 0) continue;
    // um of neat tube paint that holds so much pigment.
    const neat = um / spectra.pvc;
    const scatter = spectra.crowds ? neat * crowding(spectra.pvc, phi) : neat;
    for (let i = 0; i < BANDS; i++) {
      kh[i]! += neat * spectra.k[i]! * (correction ? correction.k[i]! : 1);
      sh[i]! += scatter * spectra.s[i]! * (correction ? correction.s[i]! : 1);
    }
  }
  for (const key in binders) {
    const binder = key as ColouredBinder;
    const um = (binders[binder] ?? 0) * ageFactor(binder, age);
    if (um > 0) binderTail(binder).forEach((k, i) => (kh[i]! += um * k));
  }
  return { kh, sh };
}

/**
 * A film of tube paints and clear medium: what the tables and check values are told in.
 * @param tubes um of neat tube paint by pigment
 * @param clearUm um of clear binder beside them
 */
export function filmOfTubes(
  tubes: Record<string, number>,
  clearUm = 0,
  { binder = 'linseed', age = 'fresh' }: { binder?: ColouredBinder; age?: Age } = {},
): OpticalFilm {
  const pigments = Object.entries(tubes).map(([pigment, um]) => ({
    pigment,
    um: um * (pigmentSpectra(pigment)?.pvc ?? 0),
  }));
  const total = Object.values(tubes).reduce((sum, um) => sum + um, clearUm);
  const solids = pigments.reduce((sum, p) => sum + p.um, 0);
  return opticalFilm({ pigments, binders: { [binder]: total - solids }, thicknessUm: total }, age);
}

const grounds = new Map<GroundColourKey, Spectrum>();

function groundOf(colour: GroundColour): Spectrum {
  if ('flat' in colour) return flat(colour.flat);
  if ('opaque' in colour) {
    const film = filmOfTubes(colour.opaque);
    return opaque({ ...film, kh: film.kh.map((k) => k + (colour.addedK ?? 0)) });
  }
  const { low, high, midNm, widthNm } = colour;
  return spectrumOf((nm) => low + (high - low) / (1 + Math.exp(-(nm - midNm) / widthNm)));
}

/** Inner reflectance of a ground by name. */
export function groundSpectrum(key: GroundColourKey): Spectrum {
  const ground = grounds.get(key) ?? groundOf(GROUND_COLOURS[key]);
  grounds.set(key, ground);
  return ground;
}
