import { expect, startPainting, test } from './studio';

const DAY_MS = 86_400_000;

test.beforeEach(async ({ page }) => {
  await page.clock.install({ time: new Date('2026-02-10T09:00:00Z') });
});

test('wet into wet is one film; a day later it has moved on; wiping back and undo work', async ({
  page,
}) => {
  await startPainting(page, 'Wet Work', /Direct start/);
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await page.getByRole('button', { name: 'Overpainting, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await expect(page.getByRole('radio', { name: 'into the wet' })).toBeChecked();
  await page.getByRole('button', { name: 'Laid now' }).click();
  const film = page.getByRole('button', { name: 'Block-in + overpainting, open' });
  await expect(film).toBeVisible();
  await film.click();
  const table = page.getByRole('table', { name: 'Drying of this film' });
  await expect(table.getByRole('row', { name: /open until .*\d/ })).toBeVisible();
  await expect(table.getByRole('row', { name: /touch-dry .*\d/ })).toBeVisible();

  await page.getByRole('button', { name: 'Wiped, scraped, painted out' }).click();
  await page.getByRole('radio', { name: 'a trace' }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Wiped, a trace left')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Wiped, a trace left')).toHaveCount(0);

  await page.clock.fastForward(3 * DAY_MS);
  await expect(page.getByRole('button', { name: 'Block-in + overpainting, open' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(
    page.getByRole('link', { name: /^jars, .*: (setting|tacky|probably dry)/ }),
  ).toBeVisible();
  await page.clock.fastForward(10 * DAY_MS);
  await expect(
    page.getByRole('link', { name: /^jars, Wet Work: (touch|through)-dry, takes the glaze/ }),
  ).toBeVisible();
});

test('highlights are a spot with a stack of their own, laid at a past time', async ({ page }) => {
  await startPainting(page, 'Spots', /Direct start/);
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('radio', { name: 'earlier' }).click();
  await page.getByLabel('Day and time').fill('2026-01-10T10:00');
  await page.getByRole('button', { name: 'Laid then' }).click();
  await page.getByRole('button', { name: 'Overpainting, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('radio', { name: 'a part or spot' }).click();
  await page.getByLabel('The part, as you call it').fill('Highlights');
  await page.getByRole('button', { name: 'Laid now' }).click();
  const spot = page.getByRole('tab', { name: 'Highlights, 5 %' });
  await spot.click();
  await expect(page.getByRole('button', { name: 'Overpainting, open' })).toBeVisible();
  await page.getByRole('tab', { name: 'jars' }).click();
  await expect(page.getByRole('button', { name: 'Overpainting, open' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('link', { name: /^jars: Highlights, Spots: open/ })).toBeVisible();
});

test('a date in the future is refused at the field, and nothing is laid', async ({ page }) => {
  await startPainting(page, 'Too Soon', /Direct start/);
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('radio', { name: 'earlier' }).click();
  await page.getByLabel('Day and time').fill('2027-01-10T10:00');
  await page.getByRole('button', { name: 'Laid then' }).click();
  await expect(page.getByText(/That time is still to come/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Block-in, planned' })).toBeVisible();
});
