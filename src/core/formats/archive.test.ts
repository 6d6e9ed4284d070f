import fc from 'fast-check';
import JSZip from 'jszip';
import { strToU8, zipSync } from 'fflate';
import { isArchive, readArchive, writeArchive, type Picture } from './archive';

async function* given<T>(items: T[]): AsyncGenerator<T> {
  for (const item of items) yield await Promise.resolve(item);
}
async function written(json: string, pictures: Picture[] = []): Promise<Uint8Array> {
  const parts: Uint8Array[] = [];
  for await (const chunk of writeArchive(json, given(pictures))) parts.push(chunk);
  return Uint8Array.from(Buffer.concat(parts));
}
const cut = (bytes: Uint8Array, size: number): Uint8Array[] =>
  Array.from({ length: Math.ceil(bytes.length / size) }, (_, i) =>
    bytes.slice(i * size, (i + 1) * size),
  );
async function readBack(bytes: Uint8Array, size = 1000, withPhotos = true) {
  const got = { json: '', photos: [] as Picture[] };
  await readArchive(given(cut(bytes, size)), {
    json: (text) => void (got.json = text),
    photo: withPhotos ? (picture) => void got.photos.push(picture) : null,
  });
  return got;
}
const photo = (id: string, n: number): Picture => ({
  id,
  bytes: Uint8Array.from({ length: n }, (_, i) => (i * 37 + n) % 256),
});

test('what is written is read again, however it is cut on the way', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.string({ unit: 'grapheme' }),
      fc.array(fc.nat(5000), { maxLength: 4 }),
      fc.integer({ min: 1, max: 3000 }),
      async (text, sizes, size) => {
        const json = JSON.stringify({ text });
        const pictures = sizes.map((n, i) => photo(`p${i}`, n));
        const got = await readBack(await written(json, pictures), size);
        expect(got).toEqual({ json, photos: pictures });
      },
    ),
    { numRuns: 60 },
  );
});

test('pictures are passed over where nobody wants them', async () => {
  const bytes = await written('{"a":1}', [photo('p', 4000)]);
  expect(await readBack(bytes, 500, false)).toEqual({ json: '{"a":1}', photos: [] });
  expect(isArchive(bytes)).toBe(true);
  expect(isArchive(strToU8('{"format":"tawny-hour"}'))).toBe(false);
});

// Checked against JSZip, a reader and writer of its own.
test.each([
  ['the end of an entry', [0x50, 0x4b, 0x07, 0x08]],
  ['the beginning of another', [0x50, 0x4b, 0x03, 0x04]],
  ['the list at the end', [0x50, 0x4b, 0x01, 0x02]],
])('a picture that holds the mark of %s by chance comes back whole', async (_what, mark) => {
  const bytes = photo('p', 4000).bytes.slice();
  for (const at of [0, 1500, 3996]) bytes.set(mark, at);
  const pictures = [photo('a', 300), { id: 'p', bytes }, photo('z', 300)];
  for (const size of [7, 1000, 90_000])
    expect((await readBack(await written('{}', pictures), size)).photos).toEqual(pictures);
});

test('another reader of the format finds the same in it, and what another wrote is read', async () => {
  const picture = photo('p-1', 3000);
  const theirs = await JSZip.loadAsync(await written('{"title":"Äpfel"}', [picture]), {
    checkCRC32: true,
  });
  expect(Object.keys(theirs.files)).toEqual(['studio.json', 'photos/p-1.jpg']);
  expect(await theirs.file('studio.json')!.async('string')).toBe('{"title":"Äpfel"}');
  expect(await theirs.file('photos/p-1.jpg')!.async('uint8array')).toEqual(picture.bytes);
  const zip = new JSZip();
  zip.file('studio.json', '{"title":"Äpfel"}', { compression: 'DEFLATE' });
  zip.file('photos/p-1.jpg', picture.bytes, { createFolders: false });
  const bytes = await zip.generateAsync({ type: 'uint8array' });
  expect(await readBack(bytes)).toEqual({ json: '{"title":"Äpfel"}', photos: [picture] });
});

test.each<[string, Uint8Array, RegExp]>([
  ['nothing of ours', zipSync({ 'letter.txt': strToU8('dear') }), /"letter\.txt".*does not belong/],
  ['a way out of its folder', zipSync({ '../studio.json': strToU8('{}') }), /does not belong/],
  ['a picture alone', zipSync({ 'photos/a.jpg': strToU8('x') }), /holds no studio/],
  [
    'a bomb',
    zipSync({ 'studio.json': new Uint8Array(30_000_000) }, { level: 9 }),
    /too large to be what it says/,
  ],
  [
    'no archive',
    strToU8('PK but not really an archive at all'),
    /holds no studio|cannot be unpacked/,
  ],
])('an archive with %s is refused', async (_, bytes, message) => {
  await expect(readBack(bytes)).rejects.toThrow(message);
});

test('cut off or changed anywhere, it is refused or reads as it was: never half', async () => {
  const json = JSON.stringify({ text: 'raw umber '.repeat(60) });
  const whole = await written(json, [photo('p', 700)]);
  await fc.assert(
    fc.asyncProperty(fc.nat(whole.length - 1), async (at) => {
      const got = await readBack(whole.slice(0, at)).catch(() => null);
      // Only the list at the end may be missing: all that it lists had been read by then.
      if (got) expect(got.json).toBe(json);
    }),
    { numRuns: 200 },
  );
});
