/**
 * A studio of years (bench/years.ts) in the browser: taken in from its file, opened anew, tapped through. Times are
 * those of a painter: from the tap until the next screen stands.
 */
import { chromium } from '@playwright/test';
import { CHROMIUM_ARGS, served } from './served.mjs';

export const LIMITS = { readableMs: 2000, tapMs: 100, freezeMs: 200, nodes: 5000, growth: 1.5 };

const ROW = '[role="main"] a[href*="/paintings/"]';
const NAVIGATIONS = 100;

/** Notes every stretch in which the page did not answer. */
const watchFreezes = () => {
  window.__freezes = [];
  new PerformanceObserver((list) => {
    for (const e of list.getEntries()) window.__freezes.push(e.duration);
  }).observe({ type: 'longtask' });
};
const freezes = (page) => page.evaluate(() => window.__freezes.splice(0).sort((a, b) => b - a));

/** Taps what `find` gives, inside the page, and waits until the screen of the address `path` stands and is drawn. */
const tap = (page, find, path) =>
  page.evaluate(
    ({ find, path }) =>
      new Promise((resolve, reject) => {
        const link = [...document.querySelectorAll(find.selector)].find(
          (e) => !find.text || (e.getAttribute('aria-label') ?? e.textContent).includes(find.text),
        );
        if (!link) return reject(new Error(`No ${JSON.stringify(find)} on ${location.pathname}.`));
        const from = performance.now();
        const before = document.querySelector('h1');
        const stands = () => {
          const heading = document.querySelector('h1');
          if (heading && heading !== before && new RegExp(path).test(location.pathname))
            // Seen before the frame is drawn: what follows it comes when it has been.
            return setTimeout(() => resolve(performance.now() - from));
          if (performance.now() - from > 20_000)
            return reject(new Error(`${path} did not come; ${location.pathname} stands.`));
          requestAnimationFrame(stands);
        };
        link.click();
        requestAnimationFrame(stands);
      }),
    { find, path },
  );

const place = (text) => ({ selector: '[role="navigation"] a', text });
/** A round through the studio; each step from the screen that the last one left. */
const ROUND = [
  [place('Paintings'), '^/paintings$'],
  [{ selector: '[role="main"] a[aria-label^="Bench"]' }, '^/paintings/p'],
  [place('Today'), '^/$'],
  [{ selector: ROW }, '^/paintings/.*'],
  [place('Today'), '^/$'],
  [place('Touch'), '^/touch$'],
  [place('Plan'), '^/plan$'],
  [place('Bench'), '^/bench$'],
  [place('Today'), '^/$'],
];

const heap = async (client) => {
  await client.send('HeapProfiler.collectGarbage');
  return (await client.send('Runtime.getHeapUsage')).usedSize;
};

/** @returns times in ms, heap in bytes, nodes as a count */
export async function measureYears(root, { file, executablePath, port = 4292 }) {
  const server = await served(root, port, []);
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_ARGS });
  try {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    const errors = [];
    page.on('pageerror', (error) => errors.push(error.message));
    await page.addInitScript(watchFreezes);
    const origin = `http://127.0.0.1:${port}`;
    await page.goto(`${origin}/settings`);
    await page.getByRole('button', { name: 'Import a file' }).waitFor();
    await page.waitForTimeout(2000);
    await freezes(page);
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Import a file' }).click();
    let from = Date.now();
    await (await chooser).setFiles(file);
    await page
      .getByRole('dialog')
      .getByRole('button', { name: 'Take it in' })
      .waitFor({ timeout: 120_000 });
    const previewMs = Date.now() - from;
    const previewFreezes = await freezes(page);
    from = Date.now();
    await page.getByRole('dialog').getByRole('button', { name: 'Take it in' }).click();
    await page
      .getByText(/came in/)
      .first()
      .waitFor({ timeout: 120_000 });
    const takenMs = Date.now() - from;
    await page.waitForTimeout(8000);
    const takenFreezes = await freezes(page);

    const opened = [];
    for (let i = 0; i < 3; i++) {
      await page.goto('about:blank');
      from = Date.now();
      await page.goto(origin, { waitUntil: 'commit' });
      await page.locator(ROW).first().waitFor({ timeout: 60_000 });
      opened.push(Date.now() - from);
      await page.waitForTimeout(6000);
    }
    const openFreezes = await freezes(page);
    const nodes = await page.evaluate(() => document.querySelectorAll('*').length);

    const client = await context.newCDPSession(page);
    const taps = [];
    for (const [find, to] of ROUND) {
      await tap(page, find, to);
      await page.waitForTimeout(1500);
    }
    const before = await heap(client);
    await freezes(page);
    for (let i = 0; i < NAVIGATIONS; i++) {
      const [find, to] = ROUND[i % ROUND.length];
      const ms = await tap(page, find, to);
      taps.push({ to: `${find.text ?? 'a row'}`, ms });
      await page.waitForTimeout(150);
    }
    const tapFreezes = await freezes(page);
    await page.waitForTimeout(2000);
    const after = await heap(client);
    // A screen that fails is drawn fast.
    if (errors.length > 0) throw new Error(errors.join('\n'));
    const sorted = taps.map((t) => t.ms).sort((a, b) => a - b);
    return {
      previewMs,
      previewFreezes,
      takenMs,
      takenFreezes,
      openedMs: opened.sort((a, b) => a - b)[1],
      openFreezes,
      nodes,
      taps,
      tapMs: sorted[Math.ceil(sorted.length * 0.95) - 1],
      tapFreezes,
      before,
      after,
    };
  } finally {
    await browser.close();
    server.kill('SIGINT');
  }
}
