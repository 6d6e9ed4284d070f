import { expect, startPainting, stored, test } from './studio';

test('a medium is reckoned both ways, stretched, blended, and kept', async ({ page }) => {
  await page.goto('/bench');
  await expect(page.getByRole('heading', { name: 'Lean painting medium' })).toBeVisible();
  const batch = page.getByRole('table', { name: 'The batch in every measure' });
  await expect(batch.getByRole('row', { name: /linseed oil/ })).toContainText('12.5');
  // To amounts: the same batch in millilitres; then one of them is changed, and the parts follow.
  await page.getByRole('radio', { name: 'ml', exact: true }).click();
  await expect(page.getByLabel('Ml of linseed oil', { exact: true })).toHaveValue('12.5');
  await page.getByLabel('Ml of linseed oil', { exact: true }).fill('37.5');
  await page.getByRole('radio', { name: 'parts' }).click();
  await expect(page.getByLabel('Parts of mineral spirits', { exact: true })).toHaveValue('1');
  await expect(page.getByLabel('Make, ml', { exact: true })).toHaveValue('75');
  await expect(page.getByText(/Add 15 ml linseed oil, 15 ml mineral spirits/)).toBeVisible();
  // The other jar: 20 ml of stand oil 2:1.
  await page.getByRole('button', { name: 'Choose the other jar' }).click();
  await page.getByRole('radio', { name: /^Stand oil glaze/ }).click();
  await expect(
    page.getByText(/^95 ml: 37.5 ml linseed oil, 44.2 ml mineral spirits, 13.3 ml stand oil/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep it in the cabinet' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('Half by hand');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click();
  await expect.poll(async () => JSON.stringify(await stored(page))).toContain('Half by hand');
  // Back from a fatness: more than a third is said.
  await page.getByLabel('Binder in the dry film, %').fill('75');
  await expect(page.getByText(/Over a third: no teaching allows it/)).toBeVisible();
  await page.getByLabel('Binder in the dry film, %').fill('30');
  await expect(page.getByText(/The paint is fatter than that/)).toBeVisible();
});

test('oiling out by the drop, and a grid from the design to the support', async ({ page }) => {
  await page.goto('/bench/oiling-out');
  // 500 cm2 at 2 um with a third of oil: 0.3 ml, six drops; by hand.
  await expect(page.getByText('6 drops')).toBeVisible();
  await page.getByRole('link', { name: 'Grid' }).click();
  await expect(page.getByRole('heading', { name: '3 times as large' })).toBeVisible();
  await expect(page.getByText(/Crop 1.67 cm off the design at top and bottom/)).toBeVisible();
  await page.getByRole('radio', { name: 'leave margins' }).click();
  await expect(page.getByText(/Leave 3.33 cm of the support free left and right/)).toBeVisible();
  await expect(page.getByText(/^6 by 8 cells/)).toBeVisible();
  await page.getByLabel('Design, wide, cm').fill('0');
  await expect(page.getByText(/All sides must be above 0/)).toBeVisible();
});

test('a wish in time leads back to the recipe, and is granted in one tap', async ({ page }) => {
  await startPainting(page, 'Wishes', /Direct start/);
  await page.getByRole('link', { name: 'wall: open the section' }).click();
  await page.getByRole('button', { name: 'Overpainting, planned' }).click();
  await page.getByRole('button', { name: 'Open until, dry by …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Hours from now, h').fill('96');
  await dialog.getByRole('radio', { name: '3 in 4' }).click();
  await expect(
    dialog.getByText(/^Lay it \d+ µm thick\.|^Add alkyd|^It does so as it is/).first(),
  ).toBeVisible();
  await dialog.getByLabel('Hours from now, h').fill('1');
  await expect(dialog.getByText(/Nothing sound grants it/)).toBeVisible();
  await dialog.getByRole('radio', { name: 'open until' }).click();
  await dialog.getByLabel('Hours from now, h').fill('30');
  const grant = dialog.getByRole('button', { name: 'Change the coat so' }).first();
  await grant.click();
  await expect(page.getByText(/^Changed overpainting for its time/)).toBeVisible();
});

test('another coat like one in three taps; charcoal and varnish are coats too', async ({
  page,
}) => {
  await startPainting(page, 'Two Taps', /Direct start/);
  await page.getByRole('link', { name: /^Overpainting, jars/ }).click();
  // What was edited and not yet kept is kept with it.
  await page.getByLabel(/^Dry thickness/).fill('44');
  await page.getByRole('button', { name: 'Another like it' }).click();
  await expect(page.getByLabel(/^Dry thickness/)).toHaveValue('44');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('link', { name: /again, / })).toBeVisible();
  // Loose charcoal below paint is cautioned where the coat is chosen.
  await page.getByRole('button', { name: 'Add a coat' }).click();
  await page.getByRole('radio', { name: 'varnish', exact: true }).click();
  await expect(
    page.getByRole('radio', { name: 'final varnish, modern synthetic' }),
  ).toHaveAttribute('aria-checked', 'true');
  await page.getByRole('radio', { name: 'final varnish, water-borne acrylic' }).click();
  await expect(page.getByText(/^Refused\. Water-borne varnish over oil/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep', exact: true })).toBeDisabled();
  await page.getByRole('radio', { name: 'final varnish, natural resin' }).click();
  await expect(page.getByText(/^Advised against. Varnish too early/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
});

test('the record of what was laid is corrected, with the coat', async ({ page }) => {
  await startPainting(page, 'Record', /Direct start/);
  await page.getByRole('link', { name: 'jars: open the section' }).click();
  await page.getByRole('button', { name: 'Block-in, planned' }).click();
  await page.getByRole('button', { name: 'Lay it' }).click();
  await page.getByRole('button', { name: 'Laid now' }).click();
  await page.getByRole('button', { name: 'Block-in, open' }).click();
  await page.getByRole('button', { name: 'Correct the record' }).click();
  await expect(page.getByText('What was laid on jars is corrected with it.')).toBeVisible();
  await page.getByLabel(/^Dry thickness/).fill('33');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect
    .poll(async () => {
      const painting = Object.values(await stored(page)).find(
        (d) => (d as { title?: string }).title === 'Record',
      ) as { events: { recipe: { thicknessUm: number } }[] };
      return painting.events[0]!.recipe.thicknessUm;
    })
    .toBe(33);
});
