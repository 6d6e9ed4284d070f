/**
 * A photo of 12 MP looked at: decoded, brought onto its support in Lab, all figures of the values, five maps; against the
 * same chain of sharp on one thread, in turn: decoded, resized to as many pixels, Lab, figures (stats), five pictures of the
 * same size blurred in linear light. What sharp has not (passages, regions, perspective) it does not do. And a map that
 * follows a slider.
 */
import { performance } from 'node:perf_hooks';
import sharp from 'sharp';
import { demoPhoto } from '../demo/pictures';
import { QUINCES_OUTLINES, QUINCES_SUPPORT } from '../demo/quinces';
import { look, prepare } from '../src/core/looking/look';
import { mapOf, type MapAsked } from '../src/core/looking/maps';
import type { Photo, Point } from '../src/core/looking/photo';

const LIMIT_RATIO = 1.5;
const LIMIT_SLIDER_MS = 50;
const ROUNDS = 5;
const SLIDER_RUNS = 30;
/** As wide as the app shows a map. */
const PREVIEW_PX = 520;
const WIDTH = 4000;
const SIGMA_MM = 3;

sharp.concurrency(1);
sharp.cache(false);

const small = demoPhoto('demo-look-3')!;
const scale = WIDTH / small.width;
const HEIGHT = Math.round(small.height * scale);
/** Noise as of a camera, so that the decoder has its usual work; the same in every run. */
const noise = await sharp({
  create: {
    width: WIDTH,
    height: HEIGHT,
    channels: 3,
    background: '#000',
    noise: { type: 'gaussian', mean: 128, sigma: 5 },
  },
})
  .png({ compressionLevel: 1 })
  .toBuffer();
const jpeg = await sharp(small.data, {
  raw: { width: small.width, height: small.height, channels: 4 },
})
  .removeAlpha()
  .resize(WIDTH, HEIGHT)
  .composite([{ input: noise, blend: 'soft-light' }])
  .jpeg({ quality: 90 })
  .toBuffer();

const corners: Point[] = (
  [
    [69, 53],
    [661, 42],
    [650, 522],
    [78, 512],
  ] as const
).map(([x, y]): Point => [x * scale, y * scale]);
const passages = Object.entries(QUINCES_OUTLINES).map(([id, outline], i) => ({
  id,
  ...outline,
  designLab: [30 + 15 * i, 0, 0] as [number, number, number],
}));
const asked: MapAsked = {
  view: 'masses',
  k: 5,
  way: 'breaks',
  thresholds: null,
  squintMm: SIGMA_MM,
  distanceM: null,
  mostPx: PREVIEW_PX,
  key: 'fit',
};
const VIEWS = ['masses', 'grey', 'warmth', 'chroma', 'colour'] as const;

async function decoded(): Promise<Photo> {
  const { data, info } = await sharp(jpeg)
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height, colorSpace: 'srgb' };
}

async function ours() {
  const prepared = prepare({ photo: await decoded(), corners }, QUINCES_SUPPORT);
  look(prepared, { support: QUINCES_SUPPORT, passages }, { corners });
  for (const view of VIEWS) mapOf(prepared.raster, { ...asked, view });
  return prepared.raster;
}

const raster = await ours();
const { width, height, pxPerMm } = raster;

/** The same with sharp: the raster, its Lab, five pictures for the screen in linear light, and its figures. */
async function sharps() {
  const resized = await sharp(jpeg).resize(width, height, { fit: 'fill' }).raw().toBuffer();
  const raw = { width, height, channels: 3 as const };
  const whole = () => sharp(resized, { raw });
  await whole().toColourspace('lab').raw({ depth: 'float' }).toBuffer();
  await whole().stats();
  const preview = () => whole().pipelineColourspace('scrgb').resize(PREVIEW_PX);
  const soft = () => preview().blur((SIGMA_MM * pxPerMm * PREVIEW_PX) / width);
  await soft().toColourspace('srgb').threshold(120).raw().toBuffer();
  await soft().toColourspace('b-w').raw().toBuffer();
  await soft().toColourspace('lab').raw({ depth: 'float' }).toBuffer();
  await soft().toColourspace('lch').raw({ depth: 'float' }).toBuffer();
  await soft().toColourspace('srgb').raw().toBuffer();
}

const times: [number[], number[]] = [[], []];
for (let i = 0; i <= ROUNDS; i++)
  for (const [k, job] of [ours, sharps].entries()) {
    const from = performance.now();
    await job();
    // The first of each is cold.
    if (i > 0) times[k]!.push(performance.now() - from);
  }
const middle = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
const [mine, theirs] = times.map(middle) as [number, number];

let held = true;
function tell(name: string, value: number, limit: number, unit: string): void {
  held &&= value <= limit;
  console.log(
    `${name}: ${value.toPrecision(3)} ${unit} = ${(value / limit).toFixed(2)} of the limit of ${limit} ${unit}`,
  );
}
console.log(`looking at a photo of ${((WIDTH * HEIGHT) / 1e6).toFixed(1)} MP:`);
tell(
  `  decoded, rectified, all figures and maps, ${Math.round(mine)} ms; sharp ${Math.round(theirs)} ms`,
  mine / theirs,
  LIMIT_RATIO,
  'times sharp',
);
const slides = Array.from({ length: SLIDER_RUNS }, (_, i) => {
  const from = performance.now();
  mapOf(raster, { ...asked, k: 2 + (i % 8), squintMm: (i % 10) / 2 });
  return performance.now() - from;
});
tell('  a map that follows a slider, middle of 30', middle(slides), LIMIT_SLIDER_MS, 'ms');
process.exit(held ? 0 : 1);
