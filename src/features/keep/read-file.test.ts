import { exportFile } from '@/core/formats/export';
import { writeArchive, type Picture } from '@/core/formats/archive';
import { NEW_STUDIO } from '@/core/formats';
import { addPhoto, beginSession } from '@/core/session';
import { making, newPainting, NOW } from '@/core/tests/paintings';
import { base64Of, bytesOf } from '@/store/photos';
import { replaceBrowserStorage } from '@/store/storage';
import { memoryStorage } from '@/store/tests/memory-storage';
import { keepPictures, readStudioFile } from './read-file';

/** jsdom's Blob has no stream and no arrayBuffer: what the reader asks of a file, over bytes. */
function blobOf(bytes: Uint8Array, size = bytes.length): Blob {
  return {
    size,
    slice: (from: number, to: number) => blobOf(bytes.slice(from, to)),
    arrayBuffer: () => Promise.resolve(bytes.slice().buffer),
    text: () => Promise.resolve(Buffer.from(bytes).toString('utf8')),
    stream: () => {
      let at = 0;
      return {
        getReader: () => ({
          read: () => {
            const value = bytes.slice(at, (at += 500));
            return Promise.resolve({ done: value.length === 0, value });
          },
        }),
      };
    },
  } as unknown as Blob;
}

const session = addPhoto(beginSession({ works: [], boxMinutes: 60, goal: '' }, making()), {
  id: 'p1',
  paintingId: null,
  takenAt: NOW,
  width: 10,
  height: 10,
});
const file = exportFile('studio', [newPainting()], NEW_STUDIO, NOW, null, { sessions: [session] });
const picture: Picture = { id: 'p1', bytes: Uint8Array.from({ length: 3000 }, (_, i) => i % 251) };

async function archive(json: string, pictures: Picture[]): Promise<Uint8Array> {
  const parts: Uint8Array[] = [];
  const each = async function* () {
    for (const p of pictures) yield await Promise.resolve(p);
  };
  for await (const chunk of writeArchive(json, each())) parts.push(chunk);
  return Uint8Array.from(Buffer.concat(parts));
}

let memory = memoryStorage();
beforeEach(() => {
  memory = memoryStorage();
  replaceBrowserStorage(memory.storage);
});
afterAll(() => replaceBrowserStorage(null));

test('pictures are the same bytes as text and back', async () => {
  expect(bytesOf(await base64Of(picture.bytes))).toEqual(picture.bytes);
});

test('an archive is read, and its pictures are kept before the log', async () => {
  const chosen = await readStudioFile(blobOf(await archive(JSON.stringify(file), [picture])));
  expect([chosen.archive, chosen.file.paintings.length]).toEqual([true, 1]);
  const takeBack = await keepPictures(chosen, () => true);
  expect(bytesOf(memory.data.get('photo:p1')!)).toEqual(picture.bytes);
  await takeBack();
  expect(memory.data.size).toBe(0);
});

test('one that is here already stays; one that no session names does not come in', async () => {
  memory.data.set('photo:p1', 'HERE');
  const bytes = await archive(JSON.stringify(file), [picture, { ...picture, id: 'stray' }]);
  await keepPictures(await readStudioFile(blobOf(bytes)), () => true);
  expect([...memory.data]).toEqual([['photo:p1', 'HERE']]);
});

test('stopped, or with a store that is full, nothing of it stays', async () => {
  const chosen = await readStudioFile(blobOf(await archive(JSON.stringify(file), [picture])));
  await expect(keepPictures(chosen, () => false)).rejects.toThrow('It was stopped.');
  expect(memory.data.size).toBe(0);
  memory.fail('full');
  await expect(keepPictures(chosen, () => true)).rejects.toThrow('full');
  expect(memory.data.size).toBe(0);
});

test('a file of an older edition carries its pictures in its text', async () => {
  const old = { ...file, photos: [{ id: 'p1', jpeg: await base64Of(picture.bytes) }] };
  const chosen = await readStudioFile(blobOf(Buffer.from(JSON.stringify(old))));
  await keepPictures(chosen, () => true);
  expect(memory.data.get('photo:p1')).toBe(await base64Of(picture.bytes));
});

test('what is too large is refused before it is read', async () => {
  const huge = blobOf(Buffer.from('{"format":"tawny-hour"}'), 100_000_000);
  huge.text = () => Promise.reject(new Error('It was read.'));
  await expect(readStudioFile(huge)).rejects.toThrow(/has 100 MB; .* at most 64 MB/);
});
