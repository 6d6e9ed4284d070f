import { FROM_P3, FROM_SRGB, SCREEN_WHITE } from '../optics/screen';
import { seenFrom } from './homography';
import { EVEN, lightAt, type Field } from './field';
import { labF } from './tables';
import {
  needsSupport,
  rasterScale,
  type Photo,
  type Point,
  type Raster,
  type Support,
  STATED_CURVE,
  type Curve,
} from './photo';

/** A pixel as one number: red in its lowest byte. */
function pixelsOf({ data, width, height }: Photo): Int32Array {
  const count = width * height;
  if (data.byteOffset % 4 === 0) return new Int32Array(data.buffer, data.byteOffset, count);
  return new Int32Array(Uint8Array.from(data).buffer, 0, count);
}

const MOST_SAMPLES = 6;

/** Where the samples of a row of the raster lie: on the photo u / w and v / w, each growing evenly along the row. */
interface Way {
  u: number;
  v: number;
  w: number;
  du: number;
  dv: number;
  dw: number;
}

/** Linear light of a row of the raster, and in how many samples a channel was at its end. */
interface RowLight {
  r: Float32Array;
  g: Float32Array;
  b: Float32Array;
  ends: number;
}

// Each of these is small and plain: they are done for millions of samples.

/** Adds a row of samples that lie about a pixel apart, n to a pixel of the raster: their mean is that of the area. */
function addSamples(
  pixels: Int32Array,
  pw: number,
  ph: number,
  way: Way,
  n: number,
  [red, green, blue]: Curve,
  out: RowLight,
): void {
  let { u, v, w } = way;
  const { du, dv, dw } = way;
  const { r, g, b } = out;
  let ends = 0;
  for (let col = 0; col < r.length; col++) {
    let sr = 0;
    let sg = 0;
    let sb = 0;
    for (let i = 0; i < n; i++) {
      const one = 1 / w;
      let ix = (u * one) | 0;
      let iy = (v * one) | 0;
      ix = ix < 0 ? 0 : ix >= pw ? pw - 1 : ix;
      iy = iy < 0 ? 0 : iy >= ph ? ph - 1 : iy;
      const code = pixels[iy * pw + ix]!;
      const cr = code & 255;
      const cg = (code >> 8) & 255;
      const cb = (code >> 16) & 255;
      sr += red[cr]!;
      sg += green[cg]!;
      sb += blue[cb]!;
      if (cr > 253 || cg > 253 || cb > 253 || (code & 0xffffff) === 0) ends += 1;
      u += du;
      v += dv;
      w += dw;
    }
    r[col]! += sr;
    g[col]! += sg;
    b[col]! += sb;
  }
  out.ends += ends;
}

/** The same where the raster is as fine as the photo: between four pixels. */
function addBetween(
  pixels: Int32Array,
  pw: number,
  ph: number,
  way: Way,
  [red, green, blue]: Curve,
  out: RowLight,
): void {
  let { u, v, w } = way;
  const { r, g, b } = out;
  for (let col = 0; col < r.length; col++) {
    const fx = Math.min(pw - 1, Math.max(0, u / w - 0.5));
    const fy = Math.min(ph - 1, Math.max(0, v / w - 0.5));
    const ix = Math.min(pw - 2, fx | 0);
    const iy = Math.min(ph - 2, fy | 0);
    const tx = fx - ix;
    const ty = fy - iy;
    const at = iy * pw + ix;
    const p00 = pixels[at]!;
    const p10 = pixels[at + 1]!;
    const p01 = pixels[at + pw]!;
    const p11 = pixels[at + pw + 1]!;
    const w00 = (1 - tx) * (1 - ty);
    const w10 = tx * (1 - ty);
    const w01 = (1 - tx) * ty;
    const w11 = tx * ty;
    r[col]! +=
      w00 * red[p00 & 255]! + w10 * red[p10 & 255]! + w01 * red[p01 & 255]! + w11 * red[p11 & 255]!;
    g[col]! +=
      w00 * green[(p00 >> 8) & 255]! +
      w10 * green[(p10 >> 8) & 255]! +
      w01 * green[(p01 >> 8) & 255]! +
      w11 * green[(p11 >> 8) & 255]!;
    b[col]! +=
      w00 * blue[(p00 >> 16) & 255]! +
      w10 * blue[(p10 >> 16) & 255]! +
      w01 * blue[(p01 >> 16) & 255]! +
      w11 * blue[(p11 >> 16) & 255]!;
    if ((p00 & 255) > 253 || ((p00 >> 8) & 255) > 253 || ((p00 >> 16) & 255) > 253) out.ends += 1;
    u += way.du;
    v += way.dv;
    w += way.dw;
  }
}

type Planes = Pick<Raster, 'L' | 'a' | 'b' | 'Y'>;
type Rows = readonly [readonly number[], readonly number[], readonly number[]];

/** Lab of a row under its light, white that of a screen. */
function putRow(
  from: number,
  light: RowLight,
  gains: Float32Array,
  [x, y, z]: Rows,
  into: Planes,
): void {
  const [x0, x1, x2] = [x[0]!, x[1]!, x[2]!];
  const [y0, y1, y2] = [y[0]!, y[1]!, y[2]!];
  const [z0, z1, z2] = [z[0]!, z[1]!, z[2]!];
  const { r, g, b } = light;
  for (let col = 0; col < r.length; col++) {
    const gain = gains[col]!;
    const sr = gain * r[col]!;
    const sg = gain * g[col]!;
    const sb = gain * b[col]!;
    const at = from + col;
    const lum = y0 * sr + y1 * sg + y2 * sb;
    const fy = labF(lum);
    into.Y[at] = lum;
    into.L[at] = 116 * fy - 16;
    into.a[at] = 500 * (labF(x0 * sr + x1 * sg + x2 * sb) - fy);
    into.b[at] = 200 * (fy - labF(z0 * sr + z1 * sg + z2 * sb));
  }
}

/**
 * The picture as it stands on its support: perspective, tone curve and light undone, in linear light, with as many
 * samples under a pixel as the photo holds.
 * @param corners px of the photo, the painting's own upper left first, then as a clock goes
 * @param curve of the phone; without it the stated curve of the colour space
 * @throws CoreError where corners or support cannot be right
 */
export function rectify(
  photo: Photo,
  corners: readonly Point[],
  support: Support,
  curve: Curve = STATED_CURVE,
  field: Field = EVEN,
): Raster {
  needsSupport(support);
  const h = seenFrom(corners, support);
  const { widthMm, heightMm } = support;
  const area = Math.abs(
    corners.reduce((s, p, i) => {
      const q = corners[(i + 1) % 4]!;
      return s + p[0] * q[1] - q[0] * p[1];
    }, 0) / 2,
  );
  const native = Math.sqrt(area / (widthMm * heightMm));
  const wanted = rasterScale(support, native);
  const width = Math.max(1, Math.round(widthMm * wanted));
  const height = Math.max(1, Math.round(heightMm * wanted));
  const n = Math.min(MOST_SAMPLES, Math.max(1, Math.round(native / wanted)));
  const planes: Planes = {
    L: new Float32Array(width * height),
    a: new Float32Array(width * height),
    b: new Float32Array(width * height),
    Y: new Float32Array(width * height),
  };
  const to = photo.colorSpace === 'srgb' ? FROM_SRGB : FROM_P3;
  const rows: Rows = [
    to[0].map((v) => v / SCREEN_WHITE[0]),
    to[1],
    to[2].map((v) => v / SCREEN_WHITE[2]),
  ];
  const pixels = pixelsOf(photo);
  const stepX = widthMm / width / n;
  const stepY = heightMm / height / n;
  const light: RowLight = {
    r: new Float32Array(width),
    g: new Float32Array(width),
    b: new Float32Array(width),
    ends: 0,
  };
  const gains = new Float32Array(width);
  const share = 1 / (n * n);
  const channels = [light.r, light.g, light.b];
  const even = field.terms.length === 0;
  for (let row = 0; row < height; row++) {
    for (const channel of channels) channel.fill(0);
    for (let j = 0; j < n; j++) {
      const my = (row * n + j + 0.5) * stepY;
      const mx = 0.5 * stepX;
      const way: Way = {
        u: h[0]! * mx + h[1]! * my + h[2]!,
        v: h[3]! * mx + h[4]! * my + h[5]!,
        w: h[6]! * mx + h[7]! * my + h[8]!,
        du: h[0]! * stepX,
        dv: h[3]! * stepX,
        dw: h[6]! * stepX,
      };
      if (n > 1) addSamples(pixels, photo.width, photo.height, way, n, curve, light);
      else addBetween(pixels, photo.width, photo.height, way, curve, light);
    }
    for (let col = 0; col < width; col++)
      gains[col] = even ? share : share / lightAt(field, (col + 0.5) / width, (row + 0.5) / height);
    putRow(row * width, light, gains, rows, planes);
  }
  const pxPerMm = width / widthMm;
  return {
    widthMm,
    heightMm,
    width,
    height,
    pxPerMm,
    ...planes,
    photoPx: native / pxPerMm,
    clipped: light.ends / (n * n) / (width * height),
  };
}
