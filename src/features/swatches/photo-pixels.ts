import type { Pixels } from '@/core/optics/read-patches';

/** A photo in hand: pixels alone, nothing of the file it came from; it is not kept. */
export interface PhotoInHand {
  url: string;
  pixels: Pixels;
}

const LONGEST = 1400;

/** A picture as pixels, upright, scaled to what is enough to read patches. Rejects when the file is no picture. */
export async function photoPixels(file: Blob): Promise<PhotoInHand> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('That file is no picture this browser can read. Choose a JPEG or PNG.');
  });
  const by = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * by));
  canvas.height = Math.max(1, Math.round(picture.height * by));
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return {
    url: canvas.toDataURL('image/jpeg', 0.9),
    pixels: { data, width: canvas.width, height: canvas.height },
  };
}
