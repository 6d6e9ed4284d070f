/** Bundles scripts/campaign.ts and runs it. */
import path from 'node:path';
import { spawnSync } from 'node:child_process';
import { buildSync } from 'esbuild';

const root = path.resolve(import.meta.dirname, '..');
const outfile = path.join(root, 'node_modules/.cache/campaign.cjs');
buildSync({
  entryPoints: [path.join(root, 'scripts/campaign.ts')],
  bundle: true,
  platform: 'node',
  format: 'cjs',
  outfile,
  logLevel: 'error',
});
process.exit(
  spawnSync(process.execPath, [outfile, ...process.argv.slice(2)], { stdio: 'inherit' }).status ??
    1,
);
