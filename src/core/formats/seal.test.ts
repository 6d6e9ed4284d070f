import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { createHash } from 'node:crypto';
import ts from 'typescript';
import { newPainting } from '../tests/paintings';
import { SEAL_EDITION, seal, unseal } from './seal';

const CORE = path.resolve(__dirname, '..');
/** Where it is said what a stored document may be. */
const SCHEMA_FILES = [
  'painting/schema.ts',
  'painting/deadline-schema.ts',
  'painting/deadline.ts',
  'painting/vocabulary.ts',
  'film/recipe.ts',
  'film/limits.ts',
  'looking/schema.ts',
  'looking/none.ts',
  'looking/edge-kinds.ts',
  'finish/schema.ts',
  'finish/vocabulary.ts',
  'costs/schema.ts',
  'costs/vocabulary.ts',
  'air/room-schema.ts',
  'session/schema.ts',
  'session/vocabulary.ts',
  'cabinet/schema.ts',
  'cabinet/swatch-schema.ts',
  'cabinet/brush-schema.ts',
  'climate/readings-schema.ts',
  'climate/day-schema.ts',
  'drying/climate-schema.ts',
  'plan-record/schema.ts',
  'plan-record/hours.ts',
  'formats/studio-schema.ts',
  'learn/forgotten-schema.ts',
  'editions.ts',
  'id-schema.ts',
];
/** Of the schema files, comments apart, when the edition of the seal was last counted up. */
const ACCEPTED_BY = '5c59014ba74a7ae0';

test('a schema that has changed counts the edition of the seal up', () => {
  const code = SCHEMA_FILES.map(
    (file) =>
      ts.transpileModule(readFileSync(path.join(CORE, file), 'utf8'), {
        compilerOptions: { removeComments: true, target: ts.ScriptTarget.ES2022 },
      }).outputText,
  ).join('\n');
  const digest = createHash('sha256').update(code).digest('hex').slice(0, 16);
  // If this fails: count SEAL_EDITION up and put the new pair here.
  expect([SEAL_EDITION, digest]).toEqual([10, ACCEPTED_BY]);
});

test('every file that says what a document may be is among them', () => {
  const seen = new Set<string>();
  const walk = (file: string): void => {
    if (seen.has(file)) return;
    const text = readFileSync(file, 'utf8');
    if (!/import \{[^}]*\} from 'zod'/.test(text) && !file.endsWith('documents.ts')) return;
    seen.add(file);
    for (const [, from] of text.matchAll(/from '(\.[^']+)'/g)) {
      const target = path.resolve(path.dirname(file), from!);
      for (const found of [`${target}.ts`, path.join(target, 'index.ts')])
        if (ts.sys.fileExists(found)) walk(found);
    }
  };
  walk(path.join(CORE, 'formats/documents.ts'));
  const named = new Set(SCHEMA_FILES.map((file) => path.join(CORE, file)));
  const missing = [...seen].filter((f) => !named.has(f) && !f.endsWith('documents.ts'));
  expect(missing).toEqual([]);
});

test('what is sealed comes back as it was, and stays JSON that any reader understands', () => {
  fc.assert(
    fc.property(
      fc.dictionary(fc.string({ unit: 'grapheme' }), fc.jsonValue(), { minKeys: 1 }),
      (document) => {
        delete document.sealed;
        if (Object.keys(document).length === 0) return;
        const plain = JSON.parse(JSON.stringify(document)) as object;
        expect(unseal(seal(document))).toEqual(plain);
        expect(JSON.parse(seal(document))).toMatchObject(plain);
      },
    ),
  );
});

test('a seal does not hold on a text that was changed anywhere, cut off, or sealed by another edition', () => {
  const painting = newPainting();
  const text = seal(painting);
  expect(unseal(text)).toEqual(painting);
  fc.assert(
    fc.property(
      fc.nat(text.length - 1),
      fc.string({ minLength: 1, maxLength: 1 }),
      (at, letter) => {
        if (text[at] === letter) return;
        const changed = text.slice(0, at) + letter + text.slice(at + 1);
        expect(unseal(changed)).toBeNull();
        expect(unseal(text.slice(0, at))).toBeNull();
      },
    ),
    { numRuns: 300 },
  );
  expect(unseal(text.replace(`"${SEAL_EDITION}.`, `"${SEAL_EDITION + 1}.`))).toBeNull();
  expect(unseal(JSON.stringify(newPainting()))).toBeNull();
  expect(unseal('{"sealed":"')).toBeNull();
});
