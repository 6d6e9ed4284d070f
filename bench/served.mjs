import { spawn } from 'node:child_process';

/** The built application behind its own server; resolves when it answers. */
export async function served(root, port, more = ['--demo']) {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts', ...more], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  return server;
}

export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
