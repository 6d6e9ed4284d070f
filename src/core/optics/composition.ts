import { MATERIAL_LOOK, type ColouredBinder } from '@/data/optics';
import { MATERIALS } from '@/data/materials';
import type { OilKey } from '@/data/oils';
import { dryVolume, type Constituents } from '../film';
import { neatFilm, tablePaintOf } from './paint';
import { opticalFilm, type Correction, type FilmParts, type FilmPigment } from './pigments';
import { thicker, type OpticalFilm } from './films';
import type { Age } from '@/data/optics';

/** A tube that the painter laid swatches of: what it holds, and how it differs from the table. */
export interface SwatchedTube {
  /** Pigment solids by pigment per volume of the tube as squeezed out. */
  pigments: Record<string, number>;
  correction: Correction;
  /** When the swatches were read, ISO. */
  at: string;
}
/** By key of the tube, "own:id". */
export type Swatches = ReadonlyMap<string, SwatchedTube>;
export const NO_SWATCHES: Swatches = new Map();

/** Whose colour each oil has. */
export const OIL_COLOUR: Record<OilKey, ColouredBinder> = {
  'linseed-refined': 'linseed',
  'linseed-cold': 'linseed',
  'linseed-raw': 'linseed',
  boiled: 'linseed',
  'water-mixable-linseed': 'linseed',
  'stand-oil': 'stand-oil',
  'sun-thickened': 'sun-thickened',
  walnut: 'walnut',
  poppy: 'poppy',
  safflower: 'safflower',
};

/** Where the colour of a film comes from. */
export interface ColourSource {
  /** From general data; from swatches of tubes in it; or nobody knows what the stuff looks like. */
  kind: 'estimate' | 'swatch' | 'guess';
  /** The latest swatch that counts in it. */
  at: string | null;
}

/** What the colour of a film is worked out from: volumes of the film core, pigment by pigment, tube by tube. */
export function filmParts(film: Constituents, swatches: Swatches): FilmParts {
  const rest: Record<string, number> = { ...film.pigments };
  const pigments: FilmPigment[] = [];
  for (const key in film.tubes) {
    const swatched = swatches.get(key);
    if (!swatched) continue;
    for (const [pigment, share] of Object.entries(swatched.pigments)) {
      const um = Math.min(rest[pigment] ?? 0, film.tubes[key]! * share);
      rest[pigment] = (rest[pigment] ?? 0) - um;
      pigments.push({ pigment, um, correction: swatched.correction });
    }
  }
  for (const [pigment, um] of Object.entries(rest)) if (um > 0) pigments.push({ pigment, um });
  const binders: Partial<Record<ColouredBinder, number>> = {
    alkyd: film.alkydTube + film.alkydMedium,
    resin: film.resin - film.balsam,
    balsam: film.balsam,
    wax: film.wax,
    acrylic: film.acrylic,
  };
  for (const oils of [film.tubeOil, film.addedOil])
    for (const key in oils) {
      const oil = OIL_COLOUR[key as OilKey];
      binders[oil] = (binders[oil] ?? 0) + (oils[key as OilKey] ?? 0);
    }
  return { pigments, binders, thicknessUm: dryVolume(film) };
}

/** Where the colour of a film comes from: general data, or swatches of a tube in it. */
export const sourceOf = (film: Constituents, swatches: Swatches): ColourSource => {
  if (film.material !== null)
    return {
      kind: MATERIAL_LOOK[MATERIALS[film.material].family] ? 'guess' : 'estimate',
      at: null,
    };
  const dates = Object.keys(film.tubes).flatMap((key) => swatches.get(key)?.at ?? []);
  return dates.length === 0
    ? { kind: 'estimate', at: null }
    : { kind: 'swatch', at: dates.sort().at(-1)! };
};

/** Stuff that is no mixed paint, opaque in a colour that stands for its kind; null where it is clear. */
function materialFilm(film: Constituents): OpticalFilm | null {
  const look = film.material && MATERIAL_LOOK[MATERIALS[film.material].family];
  if (!look) return null;
  const parts = Object.entries(look).map(([key, um]) => ({ paint: tablePaintOf(key), um }));
  return thicker(neatFilm(parts), film.inert);
}

/** A film as light meets it, from what the film core says it is made of; null for what is clear, as a drawing or varnish. */
export function filmOfConstituents(
  film: Constituents,
  swatches: Swatches,
  age: Age = 'fresh',
): OpticalFilm | null {
  return film.material !== null ? materialFilm(film) : opticalFilm(filmParts(film, swatches), age);
}
