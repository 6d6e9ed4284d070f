import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { PAINTING_SCHEMA_VERSION, STUDIO_SCHEMA_VERSION } from '../editions';
import { optionsAt } from '../tests/paintings';
import { assessPainting } from '../painting';
import { EXPORT_SCHEMA_VERSION, readExport } from './export';

/**
 * A file of every edition that was ever written, each by the program of its time. When an edition is counted up, the
 * file that the last one wrote stays, and one of the new joins it.
 */
const FOLDER = path.join(__dirname, 'samples');

interface Sample {
  schemaVersion: number;
  paintings: {
    id: string;
    title: string;
    schemaVersion: number;
    events: { id: string }[];
    coats: { id: string; recipe: unknown }[];
    passages: unknown[];
  }[];
  sessions?: { id: string }[];
  studio: { schemaVersion: number; climate: unknown };
}
const samples = readdirSync(FOLDER).map((name) => readFileSync(path.join(FOLDER, name), 'utf8'));
const written = samples.map((text) => JSON.parse(text) as Sample);
const upTo = (last: number) => Array.from({ length: last }, (_, i) => i + 1);

test('every edition has its sample, of files and of the documents in them', () => {
  expect(written.map((s) => s.schemaVersion).sort()).toEqual(upTo(EXPORT_SCHEMA_VERSION));
  const editions = (of: (s: Sample) => number[]) => [...new Set(written.flatMap(of))].sort();
  expect(editions((s) => s.paintings.map((p) => p.schemaVersion))).toEqual(
    upTo(PAINTING_SCHEMA_VERSION),
  );
  expect(editions((s) => [s.studio.schemaVersion])).toEqual(upTo(STUDIO_SCHEMA_VERSION));
});

describe.each(samples.map((text, i) => [written[i]!.schemaVersion, text, written[i]!] as const))(
  'a file of edition %i',
  (_edition, text, was) => {
    const read = readExport(text);

    test('says what it said', () => {
      expect(read.paintings).toHaveLength(was.paintings.length);
      read.paintings.forEach((painting, i) => {
        const old = was.paintings[i]!;
        expect([painting.id, painting.title]).toEqual([old.id, old.title]);
        expect(painting.passages).toEqual(old.passages);
        expect(painting.coats.map((c) => c.recipe)).toEqual(old.coats.map((c) => c.recipe));
        expect(painting.events.map((e) => e.id)).toEqual(old.events.map((e) => e.id));
      });
      expect(read.sessions.map((s) => s.id)).toEqual((was.sessions ?? []).map((s) => s.id));
      expect(read.studio!.climate).toEqual(was.studio.climate);
    });

    test('is judged, and written again reads the same', () => {
      for (const painting of read.paintings)
        expect(assessPainting(painting, optionsAt()).passages).toHaveLength(
          painting.passages.length,
        );
      expect(readExport(JSON.stringify(read))).toEqual(read);
    });
  },
);
