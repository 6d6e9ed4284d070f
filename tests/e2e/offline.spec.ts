import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { createApp } from '../../server/app';
import { expect, openDemo, test, stored } from './studio';

test.use({ serviceWorkers: 'allow' });

/** A server of its own, so that it can be stopped and given another edition. */
function serve(
  distDir: string,
  port = 0,
): Promise<{ server: Server; base: string; stop(): Promise<void> }> {
  const app = createApp({ distDir, demo: false });
  return new Promise((resolve) => {
    const server = app.listen(port, '127.0.0.1', () =>
      resolve({
        server,
        base: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
        stop: () =>
          new Promise((done) => {
            app.endStreams();
            server.close(() => done());
            server.closeAllConnections();
          }),
      }),
    );
  });
}

const DIST = path.resolve(__dirname, '../../dist');

/** The browser has kept the whole app. */
const kept = (page: Page) =>
  page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    while (active?.state !== 'activated') await new Promise((r) => setTimeout(r, 50));
    while (!navigator.serviceWorker.controller) await new Promise((r) => setTimeout(r, 50));
  });

async function demoAt(page: Page, base: string): Promise<void> {
  await openDemo(page, base);
  await kept(page);
}

/** Every screen of the demo studio, and addresses where nothing stands. */
const ADDRESSES = [
  '/',
  ...(JSON.parse(
    readFileSync(path.resolve(__dirname, '../../demo/addresses.json'), 'utf8'),
  ) as string[]),
  '/paintings/never-was',
  '/paintings/constructor',
  '/nowhere/at/all',
];

test('after one visit every screen opens without the server, also read anew', async ({ page }) => {
  test.info().annotations.push({ type: 'expects-errors' });
  const { base, stop } = await serve(DIST);
  await demoAt(page, base);
  await stop();
  for (const address of ADDRESSES) {
    await page.goto(base + address);
    await expect(page.locator('main h1, [role="main"] h1').first(), address).toBeVisible();
    await expect(page.getByText(/could not be/), address).toHaveCount(0);
  }
  // What runs in a worker runs, and what is done is kept.
  await page.goto(`${base}/plan`);
  await expect(page.getByText(/in 20|almost sure/).first()).toBeVisible();
  await page.goto(`${base}/settings`);
  await page.getByRole('radio', { name: 'inch' }).click();
  // Whoever leaves before it is kept is asked; here it is waited for.
  await expect
    .poll(async () => (await stored(page)).studio)
    .toEqual(expect.objectContaining({ units: 'inch' }));
  await page.reload();
  await expect(page.getByRole('radio', { name: 'inch' })).toBeChecked();
});

test('a new edition is announced, waits for the painter, and both tabs are told', async ({
  page,
  context,
}) => {
  test.info().annotations.push({ type: 'expects-errors' });
  const dist = mkdtempSync(path.join(tmpdir(), 'tawny-edition-'));
  cpSync(DIST, dist, { recursive: true });
  const { base, stop } = await serve(dist);
  await demoAt(page, base);
  const other = await context.newPage();
  await other.goto(base);
  await expect(other.getByRole('heading', { name: 'Takes a coat now' })).toBeVisible();
  // The next edition: another page, and another list of what to keep.
  const html = readFileSync(path.join(dist, 'index.html'), 'utf8');
  writeFileSync(
    path.join(dist, 'index.html'),
    html.replace('<body>', '<body data-edition="next">'),
  );
  const worker = readFileSync(path.join(dist, 'sw.js'), 'utf8');
  expect(worker).toMatch(/\{\s*url:\s*"index\.html",\s*revision:\s*"[0-9a-f]+"\s*\}/);
  writeFileSync(
    path.join(dist, 'sw.js'),
    worker.replace(/(url:\s*"index\.html",\s*revision:\s*)"[0-9a-f]+"/, '$1"next"'),
  );
  for (const name of ['index.html', 'sw.js'])
    for (const ending of ['.br', '.gz']) rmSync(path.join(dist, name + ending));
  await stop();
  const again = await serve(dist, Number(new URL(base).port));
  await page.evaluate(async () => {
    const registration = await navigator.serviceWorker.getRegistration();
    await registration?.update();
  });
  await expect(page.getByText('A new edition of Tawny Hour is there.')).toBeVisible();
  // Nothing is taken by itself.
  expect(await page.locator('body[data-edition="next"]').count()).toBe(0);
  await page.getByRole('button', { name: 'Take it now' }).click();
  await expect(page.locator('body[data-edition="next"]')).toHaveCount(1);
  await expect(page.getByRole('heading', { name: 'Takes a coat now' })).toBeVisible();
  await expect(other.getByText('Another tab has taken a new edition')).toBeVisible();
  expect(await other.locator('body[data-edition="next"]').count()).toBe(0);
  await again.stop();
});

test.describe('a piece that does not come', () => {
  test.use({ serviceWorkers: 'block' });

  test('says so, leaves the places standing, and comes when it is asked for again', async ({
    page,
  }) => {
    test.info().annotations.push({ type: 'expects-errors' });
    await page.goto('/');
    await expect(page.getByText('Nothing on the easel.')).toBeVisible();
    await page.route(/CabinetScreen-|SettingsScreen-/, (route) => route.abort());
    await page.goto('/cabinet');
    await expect(page.getByRole('alert').getByText(/could not be loaded/)).toBeVisible();
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Export the studio' })).toBeVisible();
    await page.unroute(/CabinetScreen-|SettingsScreen-/);
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Cabinet' })).toBeVisible();
  });
});
