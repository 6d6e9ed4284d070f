import { expect, openPlace, startPainting, stored, test } from './studio';

test('a second tab sees a change', async ({ page, context }) => {
  await startPainting(page, 'Two Tabs', /Direct start/);
  const other = await context.newPage();
  await other.goto('/');
  await expect(other.getByRole('link', { name: /^whole surface|^jars/ }).first()).toBeVisible();
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await expect(other.getByRole('link', { name: /^jars, .*: open till about/ })).toBeVisible();
});

test('a write that fails is shown, kept in memory and tried again', async ({ page }) => {
  await startPainting(page, 'Full Store', /Direct start/);
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    Object.assign(window, { heal: () => (IDBObjectStore.prototype.put = put) });
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    };
  });
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await expect(
    page.getByText(/Not saved\. The browser's store takes no more.*this device itself may be full/),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Block-in, open' })).toBeVisible();
  await page.evaluate(() => (window as unknown as { heal(): void }).heal());
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText(/Not saved/)).toHaveCount(0);
  const [painting] = Object.entries(await stored(page))
    .filter(([k]) => k.startsWith('painting:'))
    .map(([, v]) => v as { events: unknown[] });
  expect(painting!.events).toHaveLength(1);
});

test('a document that cannot be read is named and set aside, and thrown away when the painter says so', async ({
  page,
}) => {
  await startPainting(page, 'Sound', /Direct start/);
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('tawny-hour');
        open.onsuccess = () => {
          const write = open.result.transaction('entries', 'readwrite');
          write.objectStore('entries').put('{"schemaVersion":1,"title":""}', 'painting:torn');
          write.oncomplete = () => {
            open.result.close();
            resolve();
          };
        };
      }),
  );
  await page.goto('/paintings');
  await expect(
    page.getByText(/Set aside: a painting \(painting:torn\) that cannot be opened/),
  ).toBeVisible();
  await expect(page.getByRole('link', { name: 'Sound' })).toBeVisible();
  const aside = async () =>
    Object.entries(await stored(page)).filter(([key]) => key.startsWith('set-aside:painting:torn'));
  expect((await aside()).map(([, text]) => text)).toEqual([{ schemaVersion: 1, title: '' }]);
  await page.getByRole('button', { name: 'Throw it away' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Throw it away' }).click();
  await expect(page.getByText(/Set aside:/)).toHaveCount(0);
  expect(await aside()).toEqual([]);
});

test('settings: inches, a cold studio, and the refusal of an impossible one', async ({ page }) => {
  await startPainting(page, 'Sizes', /Direct start/);
  await expect(page.getByText(/50 × 40 cm/)).toBeVisible();
  await openPlace(page, 'Settings');
  await page.getByRole('radio', { name: 'inches' }).click();
  await openPlace(page, 'Studio');
  await page.getByRole('link', { name: 'Climate', exact: true }).click();
  await page.getByLabel('Temperature, °C').fill('99');
  await expect(page.getByText('Temperature must be between -10 and 45 °C.')).toBeVisible();
  await page.getByLabel('Temperature, °C').fill('10');
  await expect(page.getByText(/dries at 0.42 times the rate/)).toBeVisible();
  // Writing takes a moment; a reload inside it finds the old state, whole.
  await expect
    .poll(async () => (await stored(page)).studio)
    .toMatchObject({ units: 'inch', climate: { temperatureC: 10 } });
  await page.reload();
  await expect(page.getByLabel('Temperature, °C')).toHaveValue('10');
  await page.getByRole('link', { name: 'Paintings' }).click();
  await expect(page.getByText(/19.7 × 15.7 in/)).toBeVisible();
});

test('a painting taken down comes back with undo', async ({ page }) => {
  await startPainting(page, 'Up and Down', /Direct start/);
  await page.getByRole('link', { name: /About this painting/ }).click();
  await page.getByRole('button', { name: 'Take it down' }).click();
  await page.getByRole('button', { name: 'Take it down' }).last().click();
  await expect(page.getByText('Nothing on the easel.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Up and Down' })).toBeVisible();
});
