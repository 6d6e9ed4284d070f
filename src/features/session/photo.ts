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

/** How large a picture is, upright, by its first bytes: nothing of it is decoded yet. */
async function sizeOf(file: Blob): Promise<{ width: number; height: number }> {
  const url = URL.createObjectURL(file);
  try {
    const image = new Image();
    await new Promise((resolve, reject) => {
      image.onload = resolve;
      image.onerror = reject;
      image.src = url;
    });
    // A drawing without a size of its own is no photo.
    if (!(image.naturalWidth > 0 && image.naturalHeight > 0)) throw new Error('It has no size.');
    return { width: image.naturalWidth, height: image.naturalHeight };
  } finally {
    URL.revokeObjectURL(url);
  }
}

/**
 * A photo drawn anew at a smaller size: what comes out is pixels alone, upright, without the place, the time or the
 * camera that the file told of. Rejects when the file is no picture.
 */
export async function scaledPhoto(
  file: Blob,
  { longest, quality } = { longest: LONGEST, quality: QUALITY },
): Promise<ScaledPhoto> {
  const refused = () => {
    throw new Error('That file is no picture this browser can read. Choose a JPEG or PNG.');
  };
  const size = await sizeOf(file).catch(refused);
  const by = Math.min(1, longest / Math.max(size.width, size.height));
  const width = Math.max(1, Math.round(size.width * by));
  const height = Math.max(1, Math.round(size.height * by));
  // Made smaller as it is decoded: a photo of fifty million pixels is never held twice.
  const picture = await createImageBitmap(file, {
    imageOrientation: 'from-image',
    resizeWidth: width,
    resizeHeight: height,
    resizeQuality: 'high',
  }).catch(refused);
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')!.drawImage(picture, 0, 0);
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
