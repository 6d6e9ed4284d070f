import path from 'node:path';
import { createApp } from './app';
import { boundServer } from './guard';

const HOST = '127.0.0.1';
const DEFAULT_PORT = 4173;
const MAX_PORT = 65_535;

function portFromEnvironment(): number {
  const text = process.env.PORT ?? String(DEFAULT_PORT);
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > MAX_PORT) {
    console.error(`PORT must be a whole number from 0 to ${MAX_PORT}; got "${text}".`);
    process.exit(2);
  }
  return port;
}

const port = portFromEnvironment();
const demo = process.argv.includes('--demo');
const app = createApp({
  distDir: path.resolve(__dirname, '../dist'),
  demo,
  host: process.env.TAWNY_HOST ?? null,
});
const server = app.listen(port, HOST, () => {
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  console.log(`Tawny Hour is at http://${HOST}:${at}/${demo ? '  (demo studio)' : ''}`);
});
boundServer(server);
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken. Stop what uses it, or choose another: PORT=${port + 1} npm start`
      : `The server cannot start: ${error.message}`,
  );
  process.exit(1);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    // Streams stay open for as long as a page listens: they are ended, and whatever else is open is cut.
    app.endStreams();
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
