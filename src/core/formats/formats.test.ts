import { PAINTING_SCHEMA_VERSION } from '../editions';
import { CoreError } from '../errors';
import { newPainting, NOW } from '../tests/paintings';
import { migrate, NEW_STUDIO } from '.';
import { readPainting } from './documents';
import { exportFile, readExport } from './export';

const painting = newPainting();
const text = (change: object = {}) =>
  JSON.stringify({ ...exportFile('studio', [painting], NEW_STUDIO, NOW), ...change });
const refusal = (f: () => unknown): string => {
  try {
    f();
  } catch (error) {
    if (error instanceof CoreError) return `${error.code} | ${error.where} | ${error.message}`;
    throw error;
  }
  return 'accepted';
};

test('what is exported comes back the same', () => {
  const back = readExport(text());
  expect(back.paintings).toEqual([painting]);
  expect(back.studio).toEqual(NEW_STUDIO);
});

test.each<[string, string, RegExp]>([
  ['not JSON', 'dear studio', /^document-not-json \| file/],
  ['another program', text({ format: 'other' }), /format.*was not written by Tawny Hour/],
  [
    'a later edition',
    text({ schemaVersion: 9 }),
    /^document-too-new.*version 9; this edition reads up to 6/,
  ],
  ['no version', text({ schemaVersion: undefined }), /no schemaVersion/],
  ['a list', '[]', /^document-unreadable/],
  [
    'a negative part deep inside',
    text({
      paintings: [
        {
          ...painting,
          coats: [
            {
              ...painting.coats[0]!,
              recipe: {
                ...painting.coats[0]!.recipe,
                mix: [{ pigment: 'raw-umber', binder: 'linseed', parts: -2 }],
              },
            },
          ],
        },
      ],
    }),
    /paintings\.0\.coats\.0\.recipe\.mix\.0\.parts.*above 0/,
  ],
  ['one painting twice', text({ paintings: [painting, painting] }), /paintings\.1\.id/],
  ['a studio without climate', text({ studio: { ...NEW_STUDIO, climate: undefined } }), /climate/],
])('refused, naming the field: %s', (_, file, expected) => {
  expect(refusal(() => readExport(file))).toMatch(expected);
});

test('a document of an older version is brought up step by step', () => {
  const steps = {
    1: (d: Record<string, unknown>) => ({ ...d, colour: 'grey' }),
    2: (d: Record<string, unknown>) => ({ ...d, colour: String(d.colour).toUpperCase() }),
  };
  expect(migrate({ schemaVersion: 1 }, 3, steps, 'It')).toEqual({
    schemaVersion: 3,
    colour: 'GREY',
  });
  expect(migrate({ schemaVersion: 2, colour: 'red' }, 3, steps, 'It')).toEqual({
    schemaVersion: 3,
    colour: 'RED',
  });
  expect(refusal(() => migrate({ schemaVersion: 1 }, 2, {}, 'It'))).toMatch(/nothing leads on/);
  // What the first edition wrote is read as it was.
  expect(readPainting({ ...painting, schemaVersion: 1 })).toEqual(painting);
  expect(
    refusal(() => readPainting({ ...painting, schemaVersion: PAINTING_SCHEMA_VERSION + 1 })),
  ).toMatch(/^document-too-new/);
});
