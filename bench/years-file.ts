/** Writes the studio of years as a file that can be imported: tsx bench/years-file.ts OUT.zip. */
import { createWriteStream } from 'node:fs';
import { writeArchive } from '../src/core/formats/archive';
import { exportFile } from '../src/core/formats/export';
import { PHOTOS, yearsOfStudio } from './years';

/** The frame of a JPEG of one grey point; what follows its end is what makes a photo large. */
const POINT = Buffer.from(
  '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wAALCAABAAEBAREA/8QAFAABAAAAAAAAAAAAAAAAAAAAA//EABQQAQAAAAAAAAAAAAAAAAAAAAD/2gAIAQEAAD8AN//Z',
  'base64',
);
const PHOTO_BYTES = 60_000;

const { paintings, sessions } = yearsOfStudio(Date.now());
const file = exportFile('studio', paintings, null, new Date().toISOString(), null, {
  sessions,
  id: 'years',
});
const picture = Buffer.concat([POINT, Buffer.alloc(PHOTO_BYTES, 0x5a)]);
const pictures = async function* () {
  for (let i = 0; i < PHOTOS; i++) yield Promise.resolve({ id: `ph${i}`, bytes: picture });
};
const out = createWriteStream(process.argv[2]!);
for await (const chunk of writeArchive(JSON.stringify(file), pictures())) out.write(chunk);
out.end();
