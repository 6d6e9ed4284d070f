import {
  expect,
  importText,
  takeIn,
  openPlace,
  savedFile,
  startPainting,
  stored,
  test,
  wipe,
} from './studio';

test('from the empty studio to a mended, laid, kept and restored painting', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('Nothing on the easel.')).toBeVisible();
  await startPainting(page, 'Three Jars', /Direct start/);
  await expect(page.getByText('Every column holds as it rises.')).toBeVisible();

  // Edit a coat until it fails: an overpainting thinned with spirits alone falls under a fat block-in.
  await page.getByRole('link', { name: /^Block-in, jars/ }).click();
  await page.getByRole('button', { name: 'Add an ingredient' }).click();
  await page.getByRole('radio', { name: 'stand oil' }).click();
  await page.getByLabel('Medium, share of the whole mixture, %').fill('30');
  await page.getByLabel('Parts of mineral spirits', { exact: true }).fill('1');
  await page.getByLabel('Parts of stand oil', { exact: true }).fill('2');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/One column holds. A coat pinches in: jars/)).toBeVisible();

  // The section says why, with figures, and carries the cure.
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await expect(
    page.getByRole('heading', {
      name: /The planned overpainting is leaner than the block-in it will lie on/,
    }),
  ).toBeVisible();
  await expect(page.getByText(/^\d+ % oil over \d+ %\./)).toBeVisible();
  await expect(page.getByText(/more stand oil brings it to \d+ %/)).toBeVisible();
  await page.getByRole('button', { name: /^Fatten it to \d+ %$/ }).click();
  await expect(page.getByRole('heading', { name: /leaner than/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByText('No coat pinches in, but there is a caution below.')).toBeVisible();

  // Lay the first coat: Today changes.
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Block-in, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await expect(page.getByRole('button', { name: 'Block-in, open' })).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(
    page.getByRole('link', { name: /^jars, Three Jars: open till about/ }),
  ).toBeVisible();
  await expect(page.getByRole('link', { name: /^wall, Three Jars: bare/ })).toBeVisible();

  // A reload and a fresh start show the same.
  await page.reload();
  await expect(page.getByRole('link', { name: /^jars, .*: open till about/ })).toBeVisible();
  const before = await stored(page);

  // Export, wipe, import: the same state.
  await openPlace(page, 'Settings');
  const file = await savedFile(page, 'Export the studio');
  expect(file.name).toMatch(/^studio-\d{4}-\d\d-\d\d\.tawny\.json$/);
  expect(JSON.parse(file.text)).toMatchObject({
    format: 'tawny-hour',
    schemaVersion: 6,
    kind: 'studio',
  });
  await wipe(page);
  await expect(page.getByText('Nothing on the easel.')).toBeVisible();
  await openPlace(page, 'Settings');
  await importText(page, file.text);
  await expect(page.getByRole('dialog').getByText(/^1 painting \(.*\): new here$/)).toBeVisible();
  await takeIn(page);
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('link', { name: /^jars, .*: open till about/ })).toBeVisible();
  const after = await stored(page);
  const painting = (all: Record<string, unknown>) => {
    const key = Object.keys(all).find((k) => k.startsWith('painting:'))!;
    return { ...(all[key] as object), revision: 0 };
  };
  expect(painting(after)).toEqual(painting(before));
});

test('a bad import is refused, names the field, and changes nothing', async ({ page }) => {
  await startPainting(page, 'Kept as it is', /Oil underpainting/);
  await openPlace(page, 'Settings');
  const { text } = await savedFile(page, 'Export the studio');
  const before = await stored(page);
  const bad = JSON.parse(text);
  bad.paintings[0].coats[0].recipe.mediumShare = 1.4;
  await importText(page, JSON.stringify(bad));
  await expect(
    page.getByText(
      /Nothing was changed.*paintings\.0\.coats\.0\.recipe\.mediumShare.*cannot be over 100 %/,
    ),
  ).toBeVisible();
  await importText(page, 'not a studio');
  await expect(
    page.getByText(/Nothing was changed. The file is no studio, page or drawing/),
  ).toBeVisible();
  expect(await stored(page)).toEqual(before);
});

test('an import of something already here is shown first; what parted is asked about', async ({
  page,
}) => {
  await startPainting(page, 'Asked About', /Three stages/);
  await openPlace(page, 'Settings');
  const { text } = await savedFile(page, 'Export the studio');
  await importText(page, text);
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('Nothing that is not here already.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  const count = async () =>
    Object.keys(await stored(page)).filter((k) => k.startsWith('painting:')).length;
  expect(await count()).toBe(1);
  // A file of a studio that nobody knows, with another title.
  const strange = JSON.parse(text);
  strange.lineage = [];
  strange.paintings[0].title = 'Elsewhere';
  await importText(page, JSON.stringify(strange));
  await expect(dialog.getByText(/Elsewhere.*changed in the same place/)).toBeVisible();
  await dialog.getByRole('radio', { name: /keep both/ }).click();
  await takeIn(page);
  await expect.poll(count).toBe(2);
  await page.getByRole('link', { name: 'Paintings' }).click();
  await expect(page.getByRole('link', { name: 'Asked About', exact: true })).toHaveCount(1);
  await expect(page.getByRole('link', { name: 'Elsewhere (copy)' })).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Elsewhere (copy)' })).toHaveCount(0);
});
