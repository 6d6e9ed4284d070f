/** The longest side that is kept, px: enough to judge a passage, small enough to keep a thousand. */
const LONGEST = 1600;
const QUALITY = 0.85;
/** A picture that is measured is kept finer: its borders and its drawing are looked at. */
export const TO_MEASURE = { longest: 2048, quality: 0.9 };

export interface ScaledPhoto {
  /** JPEG in base 64. */
  jpeg: string;
  width: number;
  height: number;
}

/**
 * A photo drawn anew at a smaller size: what comes out is pixels alone, upright, without the place, the time or the
 * camera that the file told of. Rejects when the file is no picture.
 */
export async function scaledPhoto(
  file: Blob,
  { longest, quality } = { longest: LONGEST, quality: QUALITY },
): Promise<ScaledPhoto> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('That file is no picture this browser can read. Choose a JPEG or PNG.');
  });
  const by = Math.min(1, longest / Math.max(picture.width, picture.height));
  const width = Math.max(1, Math.round(picture.width * by));
  const height = Math.max(1, Math.round(picture.height * by));
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')!.drawImage(picture, 0, 0, width, height);
  picture.close();
  const url = canvas.toDataURL('image/jpeg', quality);
  return { jpeg: url.slice(url.indexOf(',') + 1), width, height };
}

/** Let the painter take or choose a picture. Null when nothing was chosen. */
export function choosePhoto(camera: boolean): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = 'image/*';
    if (camera) input.setAttribute('capture', 'environment');
    input.addEventListener('change', () => resolve(input.files?.[0] ?? null));
    input.addEventListener('cancel', () => resolve(null));
    input.click();
  });
}
