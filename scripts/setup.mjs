/** What a fresh machine needs, with nothing but Node and npm: used by demo.mjs and test.mjs. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const MIN_NODE = 20;

/** Run a command in the project; true when it succeeds. */
export function run(command, args, env = {}) {
  const result = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  return result.status === 0;
}

/** Run a command beside others: what it prints is kept together until it is done. Resolves to whether it succeeded. */
export function runBeside(command, args) {
  return new Promise((resolve) => {
    const printed = [];
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    child.stdout.on('data', (part) => printed.push(part));
    child.stderr.on('data', (part) => printed.push(part));
    child.on('error', (error) => printed.push(Buffer.from(`${error.message}\n`)));
    child.on('close', (code) => {
      process.stdout.write(Buffer.concat(printed));
      resolve(code === 0);
    });
  });
}

function fail(message) {
  console.error(message);
  process.exit(1);
}

export function ensureNode() {
  const major = Number(process.versions.node.split('.')[0]);
  if (major < MIN_NODE)
    fail(`Node ${MIN_NODE} or newer is needed; this is ${process.versions.node}.`);
}

/** Install from the lock file when node_modules is missing or older than the lock. */
export function ensureInstalled() {
  const stamp = path.join(ROOT, 'node_modules/.package-lock.json');
  const lock = path.join(ROOT, 'package-lock.json');
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(lock).mtimeMs) return;
  console.log('Installing packages …');
  if (!run('npm', ['ci', '--no-audit', '--no-fund']))
    fail('The packages could not be installed. See the lines above.');
}

const SOURCES = [
  'app',
  'src',
  'public',
  'demo',
  'scripts/metro',
  'scripts/build',
  'app.json',
  'babel.config.js',
  'metro.config.js',
  'package-lock.json',
];

function* files(entry) {
  if (!existsSync(entry)) return;
  if (!statSync(entry).isDirectory()) return void (yield entry);
  for (const name of readdirSync(entry).sort()) yield* files(path.join(entry, name));
}

/** A digest of everything the build is made from; tests do not change it. */
function sourceDigest() {
  const hash = createHash('sha256');
  for (const source of SOURCES) {
    for (const file of files(path.join(ROOT, source))) {
      if (/\.test\.tsx?$/.test(file)) continue;
      hash.update(path.relative(ROOT, file)).update(readFileSync(file));
    }
  }
  return hash.digest('hex');
}

/** Export the web app when the sources changed since the last time. */
export function ensureBuilt() {
  const stamp = path.join(ROOT, 'dist/.built-from');
  const digest = sourceDigest();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === digest) return true;
  console.log('Building the app …');
  const built = run(process.execPath, ['scripts/build/build.mjs']);
  if (built) writeFileSync(stamp, digest);
  return built;
}

/** Chromium without a window of its own: the same pages in three fifths of the time. */
const SHELL = '/usr/bin/chromium-headless-shell';
const CHROMIUMS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** Path of a Chromium, installed by apt-get where that is possible. */
export function ensureChromium() {
  const named = process.env.CHROMIUM_PATH;
  if (named)
    return existsSync(named) ? named : fail(`CHROMIUM_PATH is "${named}", where there is nothing.`);
  if (existsSync(SHELL)) return SHELL;
  console.log('Installing Chromium …');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    return run(command, rest);
  };
  const updated = apt('update');
  if (updated && apt('install', '-y', 'chromium-headless-shell') && existsSync(SHELL)) return SHELL;
  const found = () => CHROMIUMS.find((file) => existsSync(file));
  if (found() || (updated && apt('install', '-y', 'chromium'))) {
    const path = found();
    if (path) return path;
  }
  return fail(
    'The browser tests need Chromium, and apt-get could not install it. Install it and set CHROMIUM_PATH to it.',
  );
}
