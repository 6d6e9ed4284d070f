/** npm run bench: speed and size as ratios against a stated limit, measured in this run. */
import path from 'node:path';
import { LIMITS, measureFirstLoad } from '../bench/first-load.mjs';
import { LIMITS as PHOTO, measureLargePhoto } from '../bench/large-photo.mjs';
import { LIMITS as YEARS, measureYears } from '../bench/years.mjs';
import { ensureBuilt, ensureChromium, ensureInstalled, ensureNode, ROOT, run } from './setup.mjs';

ensureNode();
ensureInstalled();
const { build } = await import('esbuild');
if (!ensureBuilt()) process.exit(1);

let held = true;
/** A figure against its limit. */
function tell(name, value, limit, unit) {
  const ratio = value / limit;
  held &&= ratio <= 1;
  console.log(
    `${name}: ${Math.round(value)} ${unit} = ${ratio.toFixed(2)} of the limit of ${limit} ${unit}`,
  );
}

const load = await measureFirstLoad(ROOT, { executablePath: ensureChromium() });
console.log('cold load of Today, 1.6 Mbit/s, 150 ms, processor 4 times slower:');
tell(
  '  everything until the first row can be read',
  load.bytesAtRow / 1000,
  LIMITS.firstRowBytes / 1000,
  'kB',
);
tell(
  '  with all that the page fetches by itself afterwards',
  load.bytesAtRest / 1000,
  LIMITS.restBytes / 1000,
  'kB',
);
tell('  of it fonts', load.fontBytes / 1000, LIMITS.fontBytes / 1000, 'kB');
tell('  first content', load.paintMs, LIMITS.firstPaintMs, 'ms');
tell('  first row, best of three', load.rowMs, LIMITS.firstRowMs, 'ms');
console.log(
  `  longest task: ${Math.round(load.longestTaskMs)} ms; unthrottled, first row after ${Math.round(load.quickRowMs)} ms`,
);
for (const [address, bytes] of Object.entries(load.further)
  .sort((a, b) => b[1] - a[1])
  .slice(0, 6))
  tell(`  ${address} adds to that`, bytes / 1000, LIMITS.screenBytes / 1000, 'kB');

/** The application ships bundled, so what is timed is bundled too. */
async function bundled(name) {
  const bundle = path.join(ROOT, `node_modules/.cache/bench-${name}.mjs`);
  await build({
    entryPoints: [path.join(ROOT, `bench/${name}.ts`)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: bundle,
    logLevel: 'error',
    // Its own binary comes with it.
    external: ['sharp'],
  });
  return bundle;
}

const file = path.join(ROOT, 'node_modules/.cache/years.zip');
run(process.execPath, [await bundled('years-file'), file]);
const years = await measureYears(ROOT, { file, executablePath: ensureChromium() });
const worst = (list) => Math.max(0, ...list);
const MB = 1e6;
console.log('200 paintings, 20,000 entries, 2,000 sessions, 500 photos, in the browser:');
console.log(
  `  its file looked at in ${years.previewMs} ms and taken in within ${years.takenMs} ms`,
);
tell(
  '  the longest freeze meanwhile',
  worst([...years.previewFreezes, ...years.takenFreezes]),
  YEARS.freezeMs,
  'ms',
);
tell('  opened until Today can be read, middle of three', years.openedMs, YEARS.readableMs, 'ms');
tell('  nodes of Today', years.nodes, YEARS.nodes, 'nodes');
tell('  a tap to another screen, 95th percentile of 100', years.tapMs, YEARS.tapMs, 'ms');
tell(
  '  memory after the 100, against before',
  years.after / MB,
  (years.before / MB) * YEARS.growth,
  'MB',
);

const large = await measureLargePhoto(ROOT, { executablePath: ensureChromium() });
console.log(`a photo of 50 MP taken in, in the browser, ${(large.ms / 1000).toFixed(1)} s:`);
tell(
  '  memory beyond what it took before, at the most',
  large.moreBytes / MB,
  PHOTO.bytes / MB,
  'MB',
);

const timed = [];
for (const name of ['assess', 'drying', 'store', 'colour', 'looking', 'plan'])
  timed.push(run(process.execPath, [await bundled(name)]));
process.exit(timed.every(Boolean) && held ? 0 : 1);
