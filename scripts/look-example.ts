/**
 * The photograph of docs/headless.md, made by code from a picture of the demo studio: a grey strip below it, a lamp, the
 * tone curve of a phone, noise. Run: npx tsx scripts/look-example.ts
 */
import sharp from 'sharp';
import { quincesPicture } from '../demo/pictures';
import { QUINCES_SUPPORT, STAGES } from '../demo/quinces';
import { photographed } from '../demo/photograph';

const STEPS = [92, 78, 64, 50, 36, 22];
const photo = photographed(quincesPicture(STAGES.today), QUINCES_SUPPORT, {
  width: 640,
  height: 560,
  corners: [
    [62, 48],
    [590, 40],
    [580, 462],
    [70, 452],
  ],
  curve: { contrast: 1.15, middle: 0.95 },
  gain: 0.9,
  noise: true,
  beside: (x, y) => {
    if (y < 490 || y >= 540 || x < 80 || x >= 560) return null;
    return STEPS[Math.floor((x - 80) / 80)]!;
  },
});
void sharp(photo.data, { raw: { width: photo.width, height: photo.height, channels: 4 } })
  .removeAlpha()
  .jpeg({ quality: 88 })
  .toFile('docs/look-example.jpg');
