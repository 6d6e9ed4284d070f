import type { Photo } from '@/core/looking/photo';

/** A kept picture as pixels, by the browser's own decoder, off the screen's thread where it can be. */
export async function pixelsOfJpeg(jpeg: string): Promise<Photo> {
  const letters = atob(jpeg);
  const bytes = new Uint8Array(letters.length);
  for (let i = 0; i < letters.length; i++) bytes[i] = letters.charCodeAt(i);
  const bitmap = await createImageBitmap(new Blob([bytes], { type: 'image/jpeg' }));
  const { width, height } = bitmap;
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })!;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  const { data } = context.getImageData(0, 0, width, height);
  return { data, width, height, colorSpace: 'srgb' };
}
