/**
 * Kills the browser, seeded: at a random moment after a tap, and inside an import. What stood in storage before must be
 * there after, whole; of the last tap it is told how long after it the record is safe.
 * Run: npm run campaign:kills [-- TAPS IMPORTS SEED]
 */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { chromium } from '@playwright/test';
import { buildSync } from 'esbuild';
import { CHROMIUM_ARGS, served } from '../bench/served.mjs';
import { ensureBuilt, ensureChromium, ROOT } from './setup.mjs';

const [taps = 250, imports = 50, seed = 20261128] = process.argv.slice(2).map(Number);
const SERVER_PORT = 4296;
const DEBUG_PORT = 4297;
/** Later than this after a tap nobody kills. */
const LATEST_MS = 250;
/** A tap is safe this long after it, or the campaign fails. */
const SAFE_MS = 200;

/** Numerical Recipes' linear congruence: seeded, and good enough to choose moments. */
let state = seed >>> 0;
const random = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;

async function browserOn(folder, executable) {
  const process = spawn(
    executable,
    [
      ...CHROMIUM_ARGS,
      `--remote-debugging-port=${DEBUG_PORT}`,
      `--user-data-dir=${folder}`,
      '--window-size=390,844',
      'about:blank',
    ],
    { detached: true, stdio: 'ignore' },
  );
  for (let i = 0; ; i++) {
    try {
      const browser = await chromium.connectOverCDP(`http://127.0.0.1:${DEBUG_PORT}`);
      const page = browser.contexts()[0].pages()[0] ?? (await browser.contexts()[0].newPage());
      return { page, process };
    } catch (error) {
      if (i > 100) throw error;
      await wait(50);
    }
  }
}

/** As when the power goes: nothing is told to end. */
async function kill({ process: browser }) {
  const gone = new Promise((resolve) => browser.once('exit', resolve));
  process.kill(-browser.pid, 'SIGKILL');
  await gone;
}

/** All that stands in storage, by key. */
const stored = (page) =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('tawny-hour');
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const entries = open.result.transaction('entries').objectStore('entries');
          const [keys, values] = [entries.getAllKeys(), entries.getAll()];
          values.onsuccess = () => {
            open.result.close();
            resolve(Object.fromEntries(keys.result.map((k, i) => [String(k), values.result[i]])));
          };
        };
      }),
  );
const paintingOf = async (page) =>
  JSON.parse(
    Object.entries(await stored(page)).find(([key]) => key.startsWith('painting:'))?.[1] ?? 'null',
  );
const bothersOf = (painting) => (painting.bothers ?? []).map((b) => b.text);

const origin = `http://127.0.0.1:${SERVER_PORT}`;
const broken = [];

async function start(page) {
  await page.goto(origin);
  await page.getByRole('button', { name: 'Start a painting' }).click();
  await page.getByLabel('Title').fill('Killed');
  await page.getByLabel('Passage 1', { exact: true }).fill('jars');
  await page.getByLabel('Passage 2', { exact: true }).fill('wall');
  await page.getByRole('button', { name: 'Lay out the coats' }).click();
  await page.getByRole('heading', { level: 1, name: 'Killed' }).waitFor();
  while ((await paintingOf(page)) === null) await wait(20);
}

async function killAfterTaps(executable) {
  const folder = mkdtempSync(path.join(tmpdir(), 'tawny-kills-'));
  const lost = [];
  let expected = [];
  try {
    let browser = await browserOn(folder, executable);
    await start(browser.page);
    const address = browser.page.url();
    for (let i = 0; i < taps; i++) {
      const text = `tap ${i}, "quoted"; ${i % 7 === 0 ? 'x'.repeat(180) : 'short'}`;
      const ms = random() * LATEST_MS;
      await browser.page.getByLabel('Something that bothers').fill(text);
      // The tap and the clock in one go: the way from here to the page would blur the moment.
      await browser.page
        .getByRole('button', { name: 'Note it' })
        .evaluate((button) => void button.click());
      await wait(ms);
      await kill(browser);
      browser = await browserOn(folder, executable);
      await browser.page.goto(address);
      await browser.page.getByRole('heading', { level: 1, name: 'Killed' }).waitFor();
      const painting = await paintingOf(browser.page);
      const found = bothersOf(painting);
      if (expected.some((t) => !found.includes(t)))
        broken.push(`tap ${i}: something that was kept before is gone`);
      const kept = found.includes(text);
      if (!kept) lost.push(ms);
      if (!kept && ms > SAFE_MS) broken.push(`tap ${i}: lost ${Math.round(ms)} ms after it`);
      expected = found;
    }
    await kill(browser);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  return lost;
}

async function killInsideImports(executable) {
  const bundle = path.join(ROOT, 'node_modules/.cache/campaign-file.mjs');
  buildSync({
    stdin: {
      contents: `
        import { writeFileSync } from 'node:fs';
        import { demoStudio } from './demo/studio';
        writeFileSync(process.argv[2], JSON.stringify(demoStudio(Date.UTC(2026, 10, 28, 10))));`,
      resolveDir: ROOT,
      loader: 'ts',
    },
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: bundle,
    logLevel: 'error',
  });
  const folder = mkdtempSync(path.join(tmpdir(), 'tawny-kills-'));
  const file = path.join(folder, 'studio.json');
  writeFileSync(file, '');
  await new Promise((resolve) =>
    spawn(process.execPath, [bundle, file], { stdio: 'inherit' }).once('exit', resolve),
  );
  let [whole, none] = [0, 0];
  for (let i = 0; i < imports; i++) {
    const home = path.join(folder, `home-${i}`);
    let browser = await browserOn(home, executable);
    await browser.page.goto(`${origin}/settings`);
    const chooser = browser.page.waitForEvent('filechooser');
    await browser.page.getByRole('button', { name: 'Import a file' }).click();
    await (await chooser).setFiles(file);
    const take = browser.page.getByRole('dialog').getByRole('button', { name: 'Take it in' });
    await take.waitFor();
    await take.evaluate((button) => void button.click());
    await wait(random() * 2 * LATEST_MS);
    await kill(browser);
    browser = await browserOn(home, executable);
    await browser.page.goto(`${origin}/paintings`);
    await browser.page.getByRole('heading', { level: 1, name: 'Paintings' }).waitFor();
    const kinds = Object.keys(await stored(browser.page)).map((key) => key.split(':')[0]);
    const count = (kind) => kinds.filter((k) => k === kind).length;
    const found = [count('painting'), count('session'), count('plan')].join();
    if (found === '4,1,1') whole += 1;
    else if (found === '0,0,0') none += 1;
    else broken.push(`import ${i}: half of it is there (${found})`);
    if (await browser.page.getByText('cannot be read').count())
      broken.push(`import ${i}: something cannot be read`);
    await kill(browser);
    rmSync(home, { recursive: true, force: true });
  }
  rmSync(folder, { recursive: true, force: true });
  return { whole, none };
}

if (!ensureBuilt()) process.exit(1);
const executable = ensureChromium();
const server = await served(ROOT, SERVER_PORT, []);
try {
  const lost = await killAfterTaps(executable);
  console.log(
    `killed after a tap: ${taps}, of these the tap itself lost ${lost.length}, the latest ${Math.round(Math.max(0, ...lost))} ms after it`,
  );
  const { whole, none } = await killInsideImports(executable);
  console.log(`killed inside an import: ${imports}, whole ${whole}, not begun ${none}`);
  console.log(`${broken.length} broken, seed ${seed}`);
  broken.slice(0, 8).forEach((line) => console.log(`  ${line}`));
} finally {
  server.kill('SIGINT');
}
process.exit(broken.length === 0 ? 0 : 1);
