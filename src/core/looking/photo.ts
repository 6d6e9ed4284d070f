import { LOOKING } from '@/data/looking';
import { CoreError } from '../errors';
import { CODE_TO_LINEAR } from '../optics/srgb';

/** A place on a photo, px of the upright picture, or on the support, mm from its upper left corner. */
export type Point = readonly [x: number, y: number];

/** An upright photo: RGBA, row by row, coded as its colour space says. */
export interface Photo {
  data: Uint8ClampedArray | Uint8Array;
  width: number;
  height: number;
  colorSpace: 'srgb' | 'display-p3';
}

/** The support as it is seen in the rectified picture. */
export interface Support {
  widthMm: number;
  heightMm: number;
}

/** The rectified picture in CIE Lab, and its relative luminance, row by row. */
export interface Raster extends Support {
  width: number;
  height: number;
  pxPerMm: number;
  L: Float32Array;
  a: Float32Array;
  b: Float32Array;
  Y: Float32Array;
  /** Pixels of the photo under one of the raster, along a side: below 1 the photo holds less than the raster. */
  photoPx: number;
  /** Share of the support in which a channel is at its end. */
  clipped: number;
}

/** Of each channel and code the linear light. */
export type Curve = readonly [Float64Array, Float64Array, Float64Array];
export const STATED_CURVE: Curve = [CODE_TO_LINEAR, CODE_TO_LINEAR, CODE_TO_LINEAR];

/** How fine the raster is: all the photo holds, and at most what is worth keeping. */
export const rasterScale = ({ widthMm, heightMm }: Support, photoPxPerMm: number): number =>
  Math.min(photoPxPerMm, LOOKING.mostPxPerMm, Math.sqrt(LOOKING.mostPixels / (widthMm * heightMm)));

/** @throws CoreError where a side of the support is not known */
export const needsSupport = ({ widthMm, heightMm }: Support): void => {
  if (!(widthMm > 0 && heightMm > 0))
    throw new CoreError('size-range', 'support', 'Give the width and the height of the support.');
};
