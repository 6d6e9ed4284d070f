/** npm run demo and npm start: install when needed, build when stale, serve. --demo opens the demo studio. */
import { spawn } from 'node:child_process';
import { ensureBuilt, ensureInstalled, ensureNode, ROOT } from './setup.mjs';

ensureNode();
ensureInstalled();
if (!ensureBuilt()) process.exit(1);
const server = spawn(
  process.execPath,
  ['--import', 'tsx', 'server/index.ts', ...process.argv.slice(2)],
  { cwd: ROOT, stdio: 'inherit' },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
