import { runner } from './runner';
import type { DEMO_PHOTOS } from './demo-photo';

const maker = runner<typeof DEMO_PHOTOS>(
  () => new Worker(new URL('./demo-photo.worker', window.location.href)),
  async () => (await import('./demo-photo')).DEMO_PHOTOS,
);

/** Photos of the invented pictures have ids that begin so. */
const DEMO = 'demo-look-';

/** A photo of the demo studio, made when it is first looked at; null where the id is not one of its. */
export async function demoJpeg(id: string): Promise<Uint8Array | null> {
  if (!id.startsWith(DEMO)) return null;
  const jpeg = await maker.run((jobs) => jobs.jpeg(id));
  return jpeg && new Uint8Array(jpeg);
}
