import type { Page } from '@playwright/test';

const u16 = (n: number) => [n & 255, n >> 8];
const u32 = (n: number) => [n & 255, (n >> 8) & 255, (n >> 16) & 255, (n >> 24) & 255];
const entry = (tag: number, type: number, count: number, value: number[]) => [
  ...u16(tag),
  ...u16(type),
  ...u32(count),
  ...value,
];

/** The Exif block of a photo taken at 48.5 N, 7.25 E: Exif 2.3, a GPS directory; from memory. */
function placeBlock(): Buffer {
  const gpsAt = 8 + 2 + 12 + 4;
  const rationalsAt = gpsAt + 2 + 4 * 12 + 4;
  const degrees = (d: number, m: number) => [
    ...u32(d),
    ...u32(1),
    ...u32(m),
    ...u32(1),
    ...u32(0),
    ...u32(1),
  ];
  const tiff = [
    ...[0x49, 0x49, 42, 0, ...u32(8)],
    ...u16(1),
    ...entry(0x8825, 4, 1, u32(gpsAt)),
    ...u32(0),
    ...u16(4),
    ...entry(1, 2, 2, [78, 0, 0, 0]),
    ...entry(2, 5, 3, u32(rationalsAt)),
    ...entry(3, 2, 2, [69, 0, 0, 0]),
    ...entry(4, 5, 3, u32(rationalsAt + 24)),
    ...u32(0),
    ...degrees(48, 30),
    ...degrees(7, 15),
  ];
  const body = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), Buffer.from(tiff)]);
  const length = body.length + 2;
  return Buffer.concat([Buffer.from([0xff, 0xe1, length >> 8, length & 255]), body]);
}

/** A JPEG drawn by the browser, with the place it was "taken" written into it. */
export async function jpegWithPlace(page: Page, width: number, height: number): Promise<Buffer> {
  const url = await page.evaluate(
    ([w, h]) => {
      const canvas = document.createElement('canvas');
      canvas.width = w!;
      canvas.height = h!;
      const draw = canvas.getContext('2d')!;
      draw.fillStyle = '#7a6a58';
      draw.fillRect(0, 0, w!, h!);
      return canvas.toDataURL('image/jpeg', 0.9);
    },
    [width, height],
  );
  const plain = Buffer.from(url.slice(url.indexOf(',') + 1), 'base64');
  return Buffer.concat([plain.subarray(0, 2), placeBlock(), plain.subarray(2)]);
}
