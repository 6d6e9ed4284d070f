import { FROM_P3, FROM_SRGB, SCREEN_WHITE } from '../optics/screen';
import { seenFrom } from './homography';
import { EVEN, lightAt, type Field } from './field';
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

/** f of CIE Lab, from a table: no cube root for each of millions of pixels. Its error is below 0.01 L* above L* 1. */
const STEPS = 4096;
const TOP = 1.5;
const F = Float32Array.from({ length: STEPS + 2 }, (_, i) => {
  const t = (i * TOP) / STEPS;
  return t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116;
});
const f = (t: number): number => {
  // A table is too coarse where the curve is steep; there it is nearly straight.
  if (t < 216 / 24389) return t <= 0 ? 16 / 116 : ((24389 / 27) * t + 16) / 116;
  const at = (t >= TOP ? TOP : t) * (STEPS / TOP);
  const i = at | 0;
  const low = F[i]!;
  return low + (at - i) * (F[i + 1]! - low);
};

const MOST_SAMPLES = 6;

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
  const h = seenFrom(corners, support) as number[];
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
  const pxPerMm = width / widthMm;
  const n = Math.min(MOST_SAMPLES, Math.max(1, Math.round(native / wanted)));
  const size = width * height;
  const L = new Float32Array(size);
  const a = new Float32Array(size);
  const b = new Float32Array(size);
  const Y = new Float32Array(size);
  const to = photo.colorSpace === 'srgb' ? FROM_SRGB : FROM_P3;
  const [x0, x1, x2] = to[0].map((v) => v / SCREEN_WHITE[0]) as [number, number, number];
  const [y0, y1, y2] = to[1];
  const [z0, z1, z2] = to[2].map((v) => v / SCREEN_WHITE[2]) as [number, number, number];
  const [red, green, blue] = curve;
  const { data, width: pw, height: ph } = photo;
  const stepX = widthMm / width / n;
  const stepY = heightMm / height / n;
  const even = field.terms.length === 0;
  const share = 1 / (n * n);
  let clipped = 0;
  for (let row = 0; row < height; row++) {
    for (let col = 0; col < width; col++) {
      let r = 0;
      let g = 0;
      let bl = 0;
      let end = 0;
      for (let j = 0; j < n; j++) {
        const my = (row * n + j + 0.5) * stepY;
        for (let i = 0; i < n; i++) {
          const mx = (col * n + i + 0.5) * stepX;
          const w = h[6]! * mx + h[7]! * my + h[8]!;
          const px = (h[0]! * mx + h[1]! * my + h[2]!) / w;
          const py = (h[3]! * mx + h[4]! * my + h[5]!) / w;
          if (n > 1) {
            // Samples lie about a pixel apart: their mean is that of the area.
            let ix = px | 0;
            let iy = py | 0;
            ix = ix < 0 ? 0 : ix >= pw ? pw - 1 : ix;
            iy = iy < 0 ? 0 : iy >= ph ? ph - 1 : iy;
            const at = 4 * (iy * pw + ix);
            const cr = data[at]!;
            const cg = data[at + 1]!;
            const cb = data[at + 2]!;
            r += red[cr]!;
            g += green[cg]!;
            bl += blue[cb]!;
            if (cr > 253 || cg > 253 || cb > 253 || (cr < 1 && cg < 1 && cb < 1)) end += 1;
          } else {
            const fx = px < 0.5 ? 0 : px - 0.5 > pw - 1 ? pw - 1 : px - 0.5;
            const fy = py < 0.5 ? 0 : py - 0.5 > ph - 1 ? ph - 1 : py - 0.5;
            const ix = fx > pw - 2 ? pw - 2 : fx | 0;
            const iy = fy > ph - 2 ? ph - 2 : fy | 0;
            const tx = fx - ix;
            const ty = fy - iy;
            const p = 4 * (iy * pw + ix);
            const q = p + 4 * pw;
            const w00 = (1 - tx) * (1 - ty);
            const w10 = tx * (1 - ty);
            const w01 = (1 - tx) * ty;
            const w11 = tx * ty;
            r +=
              w00 * red[data[p]!]! +
              w10 * red[data[p + 4]!]! +
              w01 * red[data[q]!]! +
              w11 * red[data[q + 4]!]!;
            g +=
              w00 * green[data[p + 1]!]! +
              w10 * green[data[p + 5]!]! +
              w01 * green[data[q + 1]!]! +
              w11 * green[data[q + 5]!]!;
            bl +=
              w00 * blue[data[p + 2]!]! +
              w10 * blue[data[p + 6]!]! +
              w01 * blue[data[q + 2]!]! +
              w11 * blue[data[q + 6]!]!;
            if (data[p]! > 253 || data[p + 1]! > 253 || data[p + 2]! > 253) end += 1;
          }
        }
      }
      const gain = even ? share : share / lightAt(field, (col + 0.5) / width, (row + 0.5) / height);
      r *= gain;
      g *= gain;
      bl *= gain;
      clipped += end * share;
      const at = row * width + col;
      const lum = y0 * r + y1 * g + y2 * bl;
      const fy = f(lum);
      Y[at] = lum;
      L[at] = 116 * fy - 16;
      a[at] = 500 * (f(x0 * r + x1 * g + x2 * bl) - fy);
      b[at] = 200 * (fy - f(z0 * r + z1 * g + z2 * bl));
    }
  }
  return {
    widthMm,
    heightMm,
    width,
    height,
    pxPerMm,
    L,
    a,
    b,
    Y,
    photoPx: native / pxPerMm,
    clipped: clipped / size,
  };
}
