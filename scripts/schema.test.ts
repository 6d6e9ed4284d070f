import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { published } from './schema';

const FOLDER = path.resolve(__dirname, '../docs/schema');

test('what docs/schema publishes is what is written and read; npx tsx scripts/schema.ts writes it anew', () => {
  const files = readdirSync(FOLDER).filter((name) => name.endsWith('.json'));
  expect(files.sort()).toEqual(Object.keys(published()).sort());
  for (const [name, text] of Object.entries(published()))
    expect(JSON.parse(readFileSync(path.join(FOLDER, name), 'utf8'))).toEqual(JSON.parse(text));
});
