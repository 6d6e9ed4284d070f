import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { spawnSync } from 'node:child_process';
import { font } from '@/ui/tokens';

const ROOT = path.resolve(__dirname, '../..');

/** What a module of the build exports, asked of Node itself: these are its own kind of module. */
function asked<T>(script: string): T {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'tawny-build-')), 'ask.mjs');
  writeFileSync(file, script);
  const run = spawnSync(process.execPath, [file], { cwd: ROOT, encoding: 'utf8' });
  if (run.status !== 0) throw new Error(run.stderr);
  return JSON.parse(run.stdout) as T;
}
const moduleUrl = (name: string) => pathToFileURL(path.join(ROOT, 'scripts/build', name)).href;

test('the fonts are those the interface names, and their fallbacks stand behind them', () => {
  const families = asked<string[]>(
    `import { FONTS } from '${moduleUrl('fonts.mjs')}'; console.log(JSON.stringify(FONTS.map((f) => f.family)));`,
  );
  for (const stack of Object.values(font)) {
    const [first, second] = stack.split(',').map((name) => name.trim().replaceAll('"', ''));
    expect(families).toContain(first);
    expect(second).toBe(`${first} Fallback`);
  }
});

test('the fonts hold every letter of the interface, and together at most 80 kB', () => {
  const { rules, bytes, letters } = asked<{ rules: string; bytes: number; letters: string }>(`
    import { mkdtempSync, readdirSync, statSync } from 'node:fs';
    import { tmpdir } from 'node:os';
    import path from 'node:path';
    import { LETTERS, writeFonts } from '${moduleUrl('fonts.mjs')}';
    const dist = mkdtempSync(path.join(tmpdir(), 'tawny-fonts-'));
    const rules = await writeFonts(dist);
    const files = readdirSync(path.join(dist, 'fonts'));
    const bytes = files.reduce((s, f) => s + statSync(path.join(dist, 'fonts', f)).size, 0);
    console.log(JSON.stringify({ rules, bytes, letters: LETTERS }));`);
  expect(bytes).toBeGreaterThan(20_000);
  expect(bytes).toBeLessThanOrEqual(80_000);
  expect(rules.match(/font-display: swap/g)).toHaveLength(3);
  expect(rules.match(/size-adjust/g)).toHaveLength(3);
  for (const sign of 'äéßøžŁ½²µ°×≈ΔΛ…–’“')
    expect([sign, letters.includes(sign)]).toEqual([sign, true]);
});

describe('notices', () => {
  const notice = (manifest: object, files: Record<string, string> = {}) => {
    const folder = mkdtempSync(path.join(tmpdir(), 'tawny-package-'));
    writeFileSync(path.join(folder, 'package.json'), JSON.stringify(manifest));
    for (const [name, text] of Object.entries(files)) writeFileSync(path.join(folder, name), text);
    return asked<string>(
      `import { noticeOf } from '${moduleUrl('notices.mjs')}'; console.log(JSON.stringify(noticeOf(${JSON.stringify(folder)})));`,
    );
  };

  test('name, version, licence, author, and the text where there is one', () => {
    const told = notice(
      { name: 'brush', version: '1.2.3', license: 'MIT', author: { name: 'A. Nybody' } },
      { 'LICENSE.md': 'Permission is granted.', 'README.md': 'not this' },
    );
    expect(told).toBe('brush 1.2.3 (MIT)\n\nBy A. Nybody\n\nPermission is granted.');
  });

  test('a package that says nothing of its licence stops the build', () => {
    expect(() => notice({ name: 'rag', version: '1.0.0' })).toThrow(/rag ships with the app/);
  });

  test.each([
    ['/a/node_modules/zod/index.js', '/a/node_modules/zod'],
    ['/a/node_modules/@rneui/base/dist/x.js', '/a/node_modules/@rneui/base'],
    ['/a/node_modules/b/node_modules/c/i.js', '/a/node_modules/b/node_modules/c'],
    ['/a/src/core/film.ts', null],
  ])('%s is of the package %s', (file, folder) => {
    expect(
      asked<string | null>(
        `import { packageOf } from '${moduleUrl('notices.mjs')}'; console.log(JSON.stringify(packageOf(${JSON.stringify(file)})));`,
      ),
    ).toBe(folder);
  });
});

test('no module of another package is replaced by one of ours', () => {
  const config = readFileSync(path.join(ROOT, 'metro.config.js'), 'utf8');
  expect(config).not.toMatch(/sourceFile/);
  expect(config.match(/type: 'empty'/g)).toHaveLength(1);
});
