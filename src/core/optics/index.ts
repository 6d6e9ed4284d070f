export { BANDS, BANDS_NM, flat, spectrumOf, type Spectrum } from './spectrum';
export {
  endless,
  kOverS,
  opaque,
  over,
  plateOf,
  stackOver,
  thicker,
  together,
  wedge,
  type OpticalFilm,
  type Plate,
} from './films';
export { finishOf, innerOf, seen } from './surface';
export {
  crowding,
  filmOfTubes,
  groundSpectrum,
  opticalFilm,
  pigmentSpectra,
  type Correction,
  type FilmParts,
} from './pigments';
export {
  chromaOf,
  de2000,
  hueOf,
  labOf,
  labOfXyz,
  valueOfLab,
  valueOfY,
  warmthOf,
  whiteOf,
  xyzOf,
  xyzOfLab,
  yOfValue,
  type Lab,
  type Weights,
  type Xyz,
} from './colour';
export { hexOf, labOfHex, linearOf, screenColour, type ScreenColour } from './screen';
export { colourOf, seenUneven, streaks, type Colour } from './look';
export { changeOf, changeWords, colourWords, hueWord, type ColourChange } from './words';
export { neatFilm, opaqueLab, tablePaintOf, type OpticalPaint } from './paint';
