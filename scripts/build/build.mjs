/** npm run build: the exported app, with its fonts, its notices, and every file compressed beforehand. */
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { ROOT, run } from '../setup.mjs';
import { writeFonts, writePageFonts } from './fonts.mjs';
import { writeNotices } from './notices.mjs';
import { writeServiceWorker } from './offline.mjs';

const DIST = path.join(ROOT, 'dist');
const COMPRESSED = /\.(js|css|html|json|svg|txt|webmanifest)$/;
/** Below this a file is sent as it is: the header of the compressed one would be longer than what it saves. */
const SMALLEST_BYTES = 1024;

function* filesIn(folder) {
  for (const name of readdirSync(folder)) {
    const file = path.join(folder, name);
    if (statSync(file).isDirectory()) yield* filesIn(file);
    else yield file;
  }
}

/** The first route's own pieces are asked for with the page, not when the script that needs them has run. */
function preloads() {
  const folder = path.join(DIST, '_expo/static/js/web');
  const scripts = readdirSync(folder).filter((name) => name.endsWith('.js'));
  const today = scripts.filter(
    (name) =>
      name.startsWith('index-') &&
      readFileSync(path.join(folder, name), 'utf8').includes('TodayScreen'),
  );
  const layout = scripts.filter((name) => name.startsWith('_layout-'));
  if (today.length !== 1 || layout.length !== 1)
    throw new Error(
      `The first route should have one piece and its layout one; found ${today.length} and ${layout.length}.`,
    );
  return [...layout, ...today]
    .map((name) => `<link rel="preload" href="/_expo/static/js/web/${name}" as="script" />`)
    .join('\n    ');
}

function finishPage(fontRules) {
  const file = path.join(DIST, 'index.html');
  const page = readFileSync(file, 'utf8');
  for (const mark of ['/* fonts */', '<!-- preloads -->'])
    if (!page.includes(mark)) throw new Error(`public/index.html has no place "${mark}".`);
  writeFileSync(
    file,
    page
      .replace('/* fonts */', () => fontRules)
      .replace('<!-- preloads -->', preloads)
      // What is said to whoever reads the source is not sent to whoever opens the page.
      .replace(/^[ \t]*\/\*.*?\*\/\n/gms, '')
      .replace(/\n\s+/g, '\n'),
  );
}

/** Once, as small as it goes, so that the server need not compress while somebody waits. */
function compressAll() {
  for (const file of [...filesIn(DIST)]) {
    if (!COMPRESSED.test(file)) continue;
    const bytes = readFileSync(file);
    if (bytes.length < SMALLEST_BYTES) continue;
    const brotli = brotliCompressSync(bytes, {
      params: {
        [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
        [constants.BROTLI_PARAM_LGWIN]: constants.BROTLI_MAX_WINDOW_BITS,
        [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
      },
    });
    writeFileSync(`${file}.br`, brotli);
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  }
}

if (existsSync(DIST)) rmSync(DIST, { recursive: true });
const exported = run('npx', ['expo', 'export', '-p', 'web'], {
  CI: '1',
  EXPO_NO_TELEMETRY: '1',
  EXPO_OFFLINE: '1',
});
if (!exported) process.exit(1);
finishPage(await writeFonts(DIST));
await writePageFonts(DIST);
writeNotices(DIST);
const { count, size } = await writeServiceWorker(DIST);
console.log(
  `Kept for offline use: ${count} files, ${Math.round(size / 1000)} kB before compression.`,
);
compressAll();
