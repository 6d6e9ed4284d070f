/**
 * What a cold visit costs a painter: bytes over the line, time to the first paint and to the first row that can be
 * read, on a slow line and a slow processor; and what each further screen adds. From the browser's own network log.
 */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_ARGS, served } from './served.mjs';

/** The line and the processor of the limit. */
const LINE = { downloadThroughput: 1.6e6 / 8, uploadThroughput: 0.75e6 / 8, latency: 150 };
const CPU_SLOWDOWN = 4;
export const LIMITS = {
  firstRowBytes: 600_000,
  restBytes: 600_000,
  fontBytes: 80_000,
  firstPaintMs: 2500,
  firstRowMs: 5000,
  screenBytes: 90_000,
};

/** What tells that a screen can be used, by its address. */
const ROW = '[role="main"] a[href*="/paintings/"]';
const HEADING = 'main h1, main h2';

/** Open an address with nothing in the cache, and log what comes until `selector` is there. */
async function coldVisit(context, url, selector, throttled) {
  const page = await context.newPage();
  page.on('pageerror', (error) => console.error(url.pathname, error.message));
  page.on('console', (said) => said.type() === 'error' && console.error(said.text()));
  const client = await context.newCDPSession(page);
  await client.send('Network.enable');
  await client.send('Network.setCacheDisabled', { cacheDisabled: true });
  if (throttled) {
    await client.send('Network.emulateNetworkConditions', { offline: false, ...LINE });
    await client.send('Emulation.setCPUThrottlingRate', { rate: CPU_SLOWDOWN });
  }
  const kinds = new Map();
  const log = [];
  client.on('Network.responseReceived', (e) => kinds.set(e.requestId, e));
  client.on('Network.loadingFinished', (e) => {
    const response = kinds.get(e.requestId);
    if (response)
      log.push({
        url: response.response.url.replace(url.origin, ''),
        kind: response.type,
        bytes: e.encodedDataLength,
      });
  });
  await page.addInitScript((wanted) => {
    window.__seen = { first: null, longest: 0, tasks: 0 };
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) {
        window.__seen.longest = Math.max(window.__seen.longest, entry.duration);
        window.__seen.tasks += 1;
      }
    }).observe({ type: 'longtask', buffered: true });
    const look = () => {
      const found = [...document.querySelectorAll(wanted)].some(
        (e) => e.getBoundingClientRect().height > 0 && e.textContent.trim(),
      );
      if (found) return (window.__seen.first = performance.now());
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  }, selector);
  await page.goto(url.href, { waitUntil: 'commit' });
  await page
    .waitForFunction(() => window.__seen.first !== null, undefined, { timeout: 20_000 })
    .catch(async () => {
      console.error(await page.evaluate(() => document.body.innerText.slice(0, 300)));
      throw new Error(`${url.pathname} shows nothing that can be read: no ${selector}.`);
    });
  const atRow = log.slice();
  await page.waitForTimeout(throttled ? 8000 : 2500);
  const times = await page.evaluate(() => ({
    ...window.__seen,
    paint: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? null,
  }));
  await page.close();
  return { atRow, all: log, ...times };
}

const sum = (log, kind) =>
  log.filter((x) => !kind || x.kind === kind).reduce((s, x) => s + x.bytes, 0);

/** @returns figures of the first load and of each further screen */
export async function measureFirstLoad(root, { port = 4291, executablePath, screens = true }) {
  const server = await served(root, port);
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_ARGS });
  try {
    const origin = new URL(`http://127.0.0.1:${port}/`);
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      // A browser that keeps the app would answer in the line's place.
      serviceWorkers: 'block',
    });
    const first = await context.newPage();
    await first.goto(origin.href);
    await first.waitForSelector(ROW, { timeout: 20_000 });
    await first.waitForTimeout(3000);
    await first.close();
    // The speed of the machine itself changes by half between runs: the best of three is the least of its own.
    const visits = [];
    for (let i = 0; i < 3; i++) visits.push(await coldVisit(context, origin, ROW, true));
    const today = visits.reduce((a, b) => (a.first <= b.first ? a : b));
    const quick = await coldVisit(context, origin, ROW, false);
    const further = {};
    if (screens) {
      // What a visit of Today has fetched by the time it rests: what every screen shares comes behind its first row.
      const has = new Set(today.all.map((x) => x.url));
      for (const address of JSON.parse(
        readFileSync(path.join(root, 'demo/addresses.json'), 'utf8'),
      )) {
        const visit = await coldVisit(context, new URL(address, origin), HEADING, false);
        further[address] = sum(
          visit.atRow.filter((x) => !has.has(x.url) && x.url !== address && x.kind !== 'Document'),
        );
      }
    }
    return {
      bytesAtRow: sum(today.atRow),
      bytesAtRest: sum(today.all),
      rowMsOfEach: visits.map((v) => v.first),
      scriptAtRow: sum(today.atRow, 'Script'),
      fontBytes: sum(today.all, 'Font'),
      paintMs: today.paint,
      rowMs: today.first,
      longestTaskMs: today.longest,
      quickPaintMs: quick.paint,
      quickRowMs: quick.first,
      files: today.atRow,
      later: today.all.slice(today.atRow.length),
      further,
    };
  } finally {
    await browser.close();
    server.kill('SIGINT');
  }
}

if (process.argv[1] === path.resolve(import.meta.dirname ?? '.', 'first-load.mjs')) {
  const root = path.resolve(import.meta.dirname, '..');
  const found = await measureFirstLoad(root, {
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium-headless-shell',
    screens: !process.argv.includes('--quick'),
  });
  console.log(JSON.stringify(found, null, 1));
}
