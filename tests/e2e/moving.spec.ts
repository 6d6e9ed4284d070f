import type { Page } from '@playwright/test';
import { jpegWithPlace } from './jpeg';
import {
  expect,
  importFile,
  openPlace,
  savedFile,
  startPainting,
  stored,
  takeIn,
  test,
  wipe,
} from './studio';

const exported = async (page: Page) => {
  await page.goto('/settings');
  return savedFile(page, 'Export the studio');
};

/** What was done stands in storage. */
const kept = (page: Page, text: string) =>
  expect.poll(async () => JSON.stringify(await stored(page))).toContain(text);

test('a studio moves between desk and phone by its file, and what both did stays', async ({
  page,
  browser,
}) => {
  await startPainting(page, 'Two Places', /Direct start/);
  const first = await exported(page);
  // The phone: takes the file, and lays a coat.
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 } })
  ).newPage();
  await phone.goto('/settings');
  await importFile(phone, first.bytes);
  await takeIn(phone);
  await phone.getByRole('link', { name: 'Paintings' }).click();
  await phone.getByRole('link', { name: 'Two Places' }).click();
  await phone.getByRole('link', { name: 'jars: open the section' }).click();
  await phone.getByRole('button', { name: 'Lay it' }).click();
  await phone.getByRole('button', { name: 'Laid now' }).click();
  await expect(phone.getByRole('button', { name: 'Block-in, open' })).toBeVisible();
  await kept(phone, '"kind":"laid"');
  const second = await exported(phone);
  // The desk meanwhile notes what bothers.
  await page.getByRole('link', { name: 'Paintings' }).click();
  await page.getByRole('link', { name: 'Two Places' }).click();
  await page.getByLabel('Something that bothers').fill('the edge of the jar, left');
  await page.getByRole('button', { name: 'Note it' }).click();
  // A painter who left at once would be asked; a test is not.
  await kept(page, 'the edge of the jar, left');
  await page.goto('/settings');
  await importFile(page, second.bytes);
  await expect(
    page
      .getByRole('dialog')
      .getByText('1 painting (Two Places): gone on here and in the file: both stays'),
  ).toBeVisible();
  await takeIn(page);
  const [painting] = Object.entries(await stored(page))
    .filter(([key]) => key.startsWith('painting:'))
    .map(([, doc]) => doc as { events: unknown[]; bothers: { text: string }[] });
  expect([painting!.events.length, painting!.bothers.map((b) => b.text)]).toEqual([
    1,
    ['the edge of the jar, left'],
  ]);
  // And it is one step.
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('link', { name: 'Paintings' }).click();
  await page.getByRole('link', { name: 'Two Places' }).click();
  await expect(page.getByText('the edge of the jar, left')).toBeVisible();
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await expect(page.getByRole('button', { name: 'Lay it' })).toBeVisible();
  await phone.context().close();
});

test('photos travel in the zip, and an archive that is damaged changes nothing', async ({
  page,
}) => {
  await startPainting(page, 'With Photos', /Direct start/);
  await page.getByRole('link', { name: 'Today' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  const picture = await jpegWithPlace(page, 600, 300);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Photo from a file' }).click();
  await (await chooser).setFiles({ name: 'p.jpg', mimeType: 'image/jpeg', buffer: picture });
  const photos = async () =>
    Object.entries(await stored(page)).filter(([key]) => key.startsWith('photo:'));
  await expect.poll(async () => (await photos()).length).toBe(1);
  const [before] = await photos();
  const file = await exported(page);
  expect(file.name).toMatch(/^studio-.*\.tawny\.zip$/);
  await wipe(page);
  await openPlace(page, 'Settings');
  await importFile(page, file.bytes.subarray(0, file.bytes.length - 400), 'torn.zip');
  await expect(page.getByText(/Nothing was changed\. /)).toBeVisible();
  expect(await photos()).toEqual([]);
  await importFile(page, file.bytes, 'whole.zip');
  await takeIn(page);
  expect(await photos()).toEqual([before]);
});
