import { readFileSync } from 'node:fs';
import { test as base, expect, type Page } from '@playwright/test';

/** Fails a test on any error of the page: a blocked script, a broken promise, a missing file. */
export const test = base.extend<{ errors: string[] }>({
  errors: [
    async ({ page }, use, info) => {
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
      await use(errors);
      // Where a test breaks a line on purpose, the browser's own complaint about it is no error of the page.
      const meant = info.annotations.some((a) => a.type === 'expects-errors');
      expect(
        errors.filter((e) => !(meant && /503|net::ERR|MIME type|AsyncRequireError/.test(e))),
      ).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

/** Start a painting by a method from the empty studio, as a painter would. */
export async function startPainting(page: Page, title: string, method: RegExp): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start a painting' }).click();
  await page.getByLabel('Title').fill(title);
  await page.getByLabel('Passage 1', { exact: true }).fill('jars');
  await page.getByLabel('Passage 2', { exact: true }).fill('wall');
  await page.getByRole('radio', { name: method }).click();
  await page.getByRole('button', { name: 'Lay out the coats' }).click();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
}

/** Open the demo studio, and wait until the browser has kept it: whoever leaves before that is asked. */
export async function openDemo(page: Page, base = '/'): Promise<void> {
  await page.goto(base);
  await page.getByRole('button', { name: 'Open the demo studio' }).click();
  await expect(page.getByRole('heading', { name: 'Takes a coat now' })).toBeVisible();
  await expect.poll(async () => Object.keys(await stored(page))).toContain('painting:loft-19');
}

/** Everything kept in the browser, by key. */
export const stored = (page: Page): Promise<Record<string, unknown>> =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('tawny-hour');
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const entries = open.result.transaction('entries').objectStore('entries');
          const keys = entries.getAllKeys();
          const values = entries.getAll();
          values.onsuccess = () => {
            open.result.close();
            resolve(
              Object.fromEntries(
                keys.result.map((k, i) => [
                  String(k),
                  // Photos are kept as they are; everything else is JSON, of which the seal is not part of the document.
                  String(k).startsWith('photo:')
                    ? values.result[i]
                    : JSON.parse(values.result[i], (name, value: unknown) =>
                        name === 'sealed' ? undefined : value,
                      ),
                ]),
              ),
            );
          };
        };
      }),
  );

/** Press a button that saves a file, and read the file. */
export async function savedFile(
  page: Page,
  button: string,
): Promise<{ name: string; text: string; bytes: Buffer }> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  const file = await download;
  const bytes = readFileSync((await file.path())!);
  return { name: file.suggestedFilename(), text: bytes.toString('utf8'), bytes };
}

/** Choose a file to import; what it brings is shown before anything is done. */
export async function importFile(page: Page, buffer: Buffer, name = 'in.json'): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Import a file' }).click();
  await (await chooser).setFiles({ name, mimeType: 'application/octet-stream', buffer });
}
export const importText = (page: Page, text: string): Promise<void> =>
  importFile(page, Buffer.from(text));

/** Take in what the file that was chosen brings. */
export async function takeIn(page: Page): Promise<void> {
  await page.getByRole('dialog').getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText(/came in/).first()).toBeVisible();
}

/** Empty the browser's store and open the studio anew. */
export async function wipe(page: Page): Promise<void> {
  await page.goto('/healthz');
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const gone = indexedDB.deleteDatabase('tawny-hour');
        gone.onsuccess = () => resolve();
        gone.onerror = () => reject(gone.error);
      }),
  );
  await page.goto('/');
}

/** Go to a place of the studio: at the foot or on the rail, or by way of the studio's own page (from Today). */
export async function openPlace(page: Page, name: string): Promise<void> {
  const places = page.getByRole('navigation', { name: 'Places' });
  await expect(places.getByRole('link', { name: 'Today' })).toBeVisible();
  const direct = places.getByRole('link', { name, exact: true });
  if ((await direct.count()) > 0) return direct.click();
  await places.getByRole('link', { name: 'Today' }).click();
  await page.getByRole('link', { name: 'Studio', exact: true }).click();
  if (name === 'Studio') return;
  await page
    .getByRole('navigation', { name: 'Studio' })
    .getByRole('link', { name, exact: true })
    .click();
}
