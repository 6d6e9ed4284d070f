import { expect, openPlace, startPainting, stored, test } from './studio';

const DAY_MS = 86_400_000;

test.beforeEach(async ({ page }) => {
  await page.clock.install({ time: new Date('2026-02-10T09:00:00Z') });
});

/** Lay the first coat on the jars, now. */
async function layFirst(page: Parameters<typeof startPainting>[0]) {
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
}

test('lay, wait, touch: the forecast moves the right way, is explained, and undo brings it back', async ({
  page,
}) => {
  await startPainting(page, 'Mornings', /Direct start/);
  await layFirst(page);
  await page.clock.fastForward(3 * DAY_MS);
  await openPlace(page, 'Touch');
  const forecast = page.getByRole('region', { name: 'Forecast' });
  await expect(forecast).toContainText('by the forecast');
  // Three taps: the passage is offered, the finger's finding, noted.
  await page.getByRole('tab', { name: /^jars, Mornings/ }).click();
  await page.getByRole('radio', { name: /^wet:/ }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(forecast).toContainText('jars, wet, noted');
  await expect(forecast).toContainText('was');
  await expect
    .poll(async () =>
      Object.entries(await stored(page)).flatMap(([key, doc]) =>
        key.startsWith('painting:')
          ? (doc as { events: { kind: string; finding?: string }[] }).events.map((e) => e.finding)
          : [],
      ),
    )
    .toContain('wet');

  await openPlace(page, 'Studio');
  await page.getByRole('link', { name: 'What it has learned' }).click();
  await expect(page.getByRole('heading', { name: /from 1 test/ })).toBeVisible();
  await expect(page.getByText('jars, Mornings')).toBeVisible();
  await page.getByRole('button', { name: 'Set aside' }).click();
  await expect(page.getByText(/set aside/)).toBeVisible();
  await expect(page.getByRole('heading', { name: /tables alone/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take in again' }).click();
  await expect(page.getByRole('heading', { name: /from 1 test/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('jars, Mornings')).toHaveCount(0);
});

test('tests that go against the rest are named, and one odd one does not wreck the forecast', async ({
  page,
}) => {
  await startPainting(page, 'Odd Ones', /Direct start/);
  await layFirst(page);
  const touch = async (finding: RegExp) => {
    await openPlace(page, 'Touch');
    await page.getByRole('tab', { name: /^jars/ }).click();
    await page.getByRole('radio', { name: finding }).click();
    await page.getByRole('button', { name: 'Note it' }).click();
    await expect(page.getByRole('region', { name: 'Forecast' })).toContainText('noted');
  };
  await page.clock.fastForward(0.1 * DAY_MS);
  await touch(/^nail-hard/);
  for (const days of [0.15, 0.1, 0.1]) {
    await page.clock.fastForward(days * DAY_MS);
    await touch(/^wet/);
  }
  await openPlace(page, 'Studio');
  await page.getByRole('link', { name: 'What it has learned' }).click();
  await expect(page.getByText(/not agree with the rest/)).toBeVisible();
  await expect(page.getByText(/Against the rest: misread/)).toHaveCount(1);
});

test('every laid coat tells when it takes a coat, a retouch and a varnish', async ({ page }) => {
  await startPainting(page, 'Windows', /Direct start/);
  await layFirst(page);
  await page.getByRole('button', { name: 'Block-in, open' }).click();
  const table = page.getByRole('table', { name: 'Drying of this film' });
  for (const row of [
    /open until/,
    /takes a coat, by the school/,
    /takes a retouch varnish/,
    /final varnish, modern resin/,
    /final varnish, natural resin .*Aug/,
  ])
    await expect(table.getByRole('row', { name: row })).toBeVisible();
});
