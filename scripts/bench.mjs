/** npm run bench: speed and size as ratios against a stated limit, measured in this run. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { ensureBuilt, ensureInstalled, ensureNode, ROOT, run } from './setup.mjs';

const LIMIT_BYTES = 450 * 1000;

ensureNode();
ensureInstalled();
const { build } = await import('esbuild');
if (!ensureBuilt()) process.exit(1);

/** Scripts that the first route (Today) loads: those of the page, its layout and the route itself. */
function firstRoute() {
  const dir = path.join(ROOT, 'dist/_expo/static/js/web');
  const page = readFileSync(path.join(ROOT, 'dist/index.html'), 'utf8');
  const all = readdirSync(dir).filter((name) => name.endsWith('.js'));
  const initial = all.filter((name) => page.includes(name));
  const today = all.filter(
    (name) =>
      name.startsWith('index-') &&
      readFileSync(path.join(dir, name), 'utf8').includes('Takes a coat now'),
  );
  const layout = all.filter((name) => name.startsWith('_layout-'));
  return [...initial, ...layout, ...today].map((name) => ({
    name,
    bytes: gzipSync(readFileSync(path.join(dir, name)), { level: 9 }).length,
  }));
}

const files = firstRoute();
const bytes = files.reduce((sum, file) => sum + file.bytes, 0);
console.log(
  `first route, JavaScript gzipped: ${(bytes / 1000).toFixed(1)} kB in ${files.length} files = ${(bytes / LIMIT_BYTES).toFixed(2)} of the limit of 450 kB`,
);
// The application ships bundled, so what is timed is bundled too.
const timed = [];
for (const name of ['assess', 'drying', 'store', 'plan']) {
  const bundle = path.join(ROOT, `node_modules/.cache/bench-${name}.mjs`);
  await build({
    entryPoints: [path.join(ROOT, `bench/${name}.ts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: bundle,
    logLevel: 'error',
  });
  timed.push(run(process.execPath, [bundle]));
}
process.exit(timed.every(Boolean) && bytes <= LIMIT_BYTES ? 0 : 1);
