import { expect, openPlace, stored, test, wipe } from './studio';

const monthsOf = async (page: Parameters<typeof stored>[0]) =>
  Object.entries(await stored(page)).flatMap(([key, doc]) =>
    key.startsWith('climate:') ? (doc as { hours: number[][] }).hours : [],
  );

async function openClimate(page: Parameters<typeof stored>[0]) {
  await openPlace(page, 'Studio');
  await page
    .getByRole('navigation', { name: 'Studio' })
    .getByRole('link', { name: 'Climate', exact: true })
    .click();
}

test.describe('the logger on the wall', () => {
  // The stand-in has one battery: the sizes take turns.
  test.describe.configure({ mode: 'serial' });
  const battery = (page: Parameters<typeof stored>[0], out: boolean) =>
    page.request.put('/api/climate/battery', { data: JSON.stringify({ out }) });

  test('is connected, drops out, comes back, and nothing is lost', async ({ page }) => {
    // The line that breaks is an error to the browser's console, and the point of this test.
    test.info().annotations.push({ type: 'expects-errors' });
    await battery(page, false);
    await page.goto('/');
    await openClimate(page);
    const logger = page.getByRole('region', { name: 'Logger' });
    await logger.getByRole('button', { name: 'Connect' }).click();
    await expect(logger).toContainText('Connected.');
    await expect.poll(async () => (await monthsOf(page)).length).toBeGreaterThan(500);
    const before = (await monthsOf(page)).length;
    await battery(page, true);
    await expect(logger).toContainText('out of reach');
    await battery(page, false);
    await expect(logger).toContainText('Connected.', { timeout: 15_000 });
    expect((await monthsOf(page)).length).toBeGreaterThanOrEqual(before);
    await page.reload();
    await expect(logger).toContainText('Connected.', { timeout: 15_000 });
    await logger.getByRole('button', { name: 'Disconnect' }).click();
    await expect(logger).toContainText('Not connected.');
    await wipe(page);
  });
});

test('a CSV of any logger: columns guessed, bad rows named, the rest taken in and followed', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-02-12T09:00:00Z') });
  await page.goto('/');
  await openClimate(page);
  const rows = Array.from({ length: 48 }, (_, i) => {
    const at = new Date(Date.UTC(2026, 1, 10, 9 + i)).toISOString();
    return `${at},${i % 24 < 12 ? 22 : 14},55`;
  });
  const text = ['Time,Temp (°C),RH %', ...rows, 'broken,18,50', '2026-02-12T09:00:00Z,18,140'].join(
    '\n',
  );
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Take in a CSV file' }).click();
  await (
    await chooser
  ).setFiles({ name: 'l.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText(/48 readings, 10 Feb 2026 to 12 Feb 2026/)).toBeVisible();
  await expect(dialog.getByText(/2 rows cannot be read.*Line 50: "broken"/)).toBeVisible();
  await page.getByRole('button', { name: 'Take in the rest' }).click();
  await expect(
    page.getByText('48 readings of 48 hours were taken in; 2 rows were left out.'),
  ).toBeVisible();
  await expect(page.getByText(/Their mean temperature alone would say/)).toBeVisible();
  await expect.poll(async () => (await monthsOf(page)).length).toBe(48);
  await page.getByRole('link', { name: 'Today' }).click();
  await openClimate(page);
  await page.getByRole('checkbox', { name: /Follow the readings/ }).click();
  await expect(page.getByRole('heading', { name: /20 °C/ })).toBeVisible();
});

test('another climate by night is held to', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-02-12T02:00:00Z') });
  await page.goto('/');
  await openClimate(page);
  await page.getByRole('checkbox', { name: 'Another climate by night' }).click();
  await page.getByLabel('Night temperature, °C').fill('11');
  await expect(page.getByRole('heading', { name: /11 °C/ })).toBeVisible();
  await page.clock.fastForward(10 * 3_600_000);
  await expect(page.getByRole('heading', { name: /20 °C/ })).toBeVisible();
});
