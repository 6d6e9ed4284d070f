import { demoPhoto } from '../../demo/pictures';

const QUALITY = 0.9;

/** The photos of the demo, made by code, as JPEG; null where it has none of that id. */
export const DEMO_PHOTOS = {
  async jpeg(id: string): Promise<ArrayBuffer | null> {
    const photo = demoPhoto(id);
    if (!photo) return null;
    const canvas = new OffscreenCanvas(photo.width, photo.height);
    canvas
      .getContext('2d')!
      .putImageData(
        new ImageData(photo.data as Uint8ClampedArray<ArrayBuffer>, photo.width, photo.height),
        0,
        0,
      );
    return (await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })).arrayBuffer();
  },
};
