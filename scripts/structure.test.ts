import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';

const ROOT = path.resolve(__dirname, '..');

function* sources(folder: string): Generator<string> {
  for (const name of readdirSync(folder)) {
    const file = path.join(folder, name);
    if (statSync(file).isDirectory()) yield* sources(file);
    else if (/\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name)) yield file;
  }
}

const core = [...sources(path.join(ROOT, 'src/core'))].filter((f) => !f.includes('/tests/'));

/** Names of exported functions of a file, and whether a docstring stands above each. */
function publicFunctions(file: string): { name: string; told: boolean }[] {
  const lines = readFileSync(file, 'utf8').split('\n');
  return lines.flatMap((line, i) => {
    const name =
      /^export (?:async )?function\*? (\w+)/.exec(line)?.[1] ??
      /^export const (\w+)(?:: [^=]+)? = (?:async )?(?:<.*>)?\((?!1 <<)/.exec(line)?.[1] ??
      (/^\s*[(<]/.test(lines[i + 1] ?? '')
        ? /^export const (\w+) = *$/.exec(line)?.[1]
        : undefined);
    return name ? [{ name, told: (lines[i - 1] ?? '').trim().endsWith('*/') }] : [];
  });
}

test('every public function of the core says what it computes', () => {
  const all = core.flatMap((file) =>
    publicFunctions(file).map((f) => ({ ...f, file: path.relative(ROOT, file) })),
  );
  expect(all.length).toBeGreaterThan(300);
  expect(all.filter((f) => !f.told).map((f) => `${f.file}: ${f.name}`)).toEqual([]);
});

test('the core asks nobody for the time or for chance', () => {
  const asks = /Date\.now\(|new Date\(\)|Math\.random\(/;
  const code = (file: string) => readFileSync(file, 'utf8').replace(/\/\*[\s\S]*?\*\/|\/\/.*/g, '');
  expect(core.filter((file) => asks.test(code(file)))).toEqual([]);
});

test('the storage of the browser is opened in one place', () => {
  const opens = [...sources(path.join(ROOT, 'src'))].filter((file) =>
    readFileSync(file, 'utf8').includes('createAsyncStorage('),
  );
  expect(opens.map((file) => path.relative(ROOT, file))).toEqual(['src/store/storage.ts']);
});
