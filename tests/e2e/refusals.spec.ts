import { expect, startPainting, stored, test } from './studio';

test('the new painting says at each field what is wrong, and stores nothing', async ({ page }) => {
  await page.goto('/paintings/new');
  await page.getByLabel('Width, cm').fill('0');
  await page.getByLabel('Height, cm').fill('wide');
  await page.getByLabel('Share of passage 1, %').fill('-5');
  await page.getByRole('button', { name: 'Lay out the coats' }).click();
  await expect(page.getByText('Give it a title; it can change later.').first()).toBeVisible();
  await expect(page.getByText('The width must be above 0.')).toBeVisible();
  await expect(page.getByText('The height must be a number.')).toBeVisible();
  await expect(page.getByText('The share must be above 0.')).toBeVisible();
  await page.getByRole('radio', { name: 'bare', exact: true }).click();
  await expect(page.getByText(/Oil on bare cloth or wood is refused/).first()).toBeVisible();
  await page.getByRole('radio', { name: 'sized only' }).click();
  await expect(
    page
      .getByText(/Glue size tightens/)
      .or(page.getByText(/Glue size and the air/))
      .first(),
  ).toBeVisible();
  expect(Object.keys(await stored(page)).filter((k) => k.startsWith('painting:'))).toEqual([]);
});

test('shares that do not make 100 % and a ground laid tomorrow are refused', async ({ page }) => {
  await page.goto('/paintings/new');
  await page.getByLabel('Title').fill('Ninety');
  await page.getByLabel('Share of passage 1, %').fill('30');
  await page.getByRole('radio', { name: 'oil ground' }).click();
  await page.getByLabel('Laid on the day').fill('2099-01-01');
  await page.getByRole('button', { name: 'Lay out the coats' }).click();
  await expect(page.getByText('The shares make 90 %; they must make 100 %.').first()).toBeVisible();
  await expect(page.getByText('That day is still to come.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Even shares' }).click();
  await page.getByLabel('Laid on the day').fill('2025-01-01');
  await page.getByRole('button', { name: 'Lay out the coats' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Ninety' })).toBeVisible();
});

test('the coat editor refuses negative parts, over 100 % and an empty mix, and keeps nothing', async ({
  page,
}) => {
  await startPainting(page, 'Bad Mixes', /Direct start/);
  await page.getByRole('link', { name: /^Block-in, jars/ }).click();
  const keep = page.getByRole('button', { name: 'Keep' });
  await page.getByLabel('Parts of Titanium white', { exact: true }).fill('-2');
  await expect(page.getByText(/Parts must be above 0/).first()).toBeVisible();
  await expect(keep).toBeDisabled();
  await page.getByLabel('Parts of Titanium white', { exact: true }).fill('4');
  await page.getByLabel('Medium, share of the whole mixture, %').fill('140');
  await expect(page.getByText(/cannot be over 100 %/).first()).toBeVisible();
  await page.getByLabel('Medium, share of the whole mixture, %').fill('10');
  await page.getByRole('textbox', { name: /Dry thickness/ }).fill('0');
  await expect(page.getByText(/at least 0.5 µm/).first()).toBeVisible();
  await page.getByRole('textbox', { name: /Dry thickness/ }).fill('40');
  await expect(keep).toBeEnabled();
  for (const name of ['Titanium white', 'Yellow ochre', 'Burnt sienna'])
    await page.getByRole('button', { name: `Take out ${name}` }).click();
  await expect(page.getByText(/The mix is empty/).first()).toBeVisible();
  await expect(keep).toBeDisabled();
});

test('figures change while editing, and hazards stand where the choice is made', async ({
  page,
}) => {
  await startPainting(page, 'Figures', /Direct start/);
  await page.getByRole('link', { name: /^Overpainting, jars/ }).click();
  const before = await page
    .getByText(/binder in the dry film/)
    .locator('..')
    .innerText();
  await page.getByLabel('Medium, share of the whole mixture, %').fill('33');
  await expect(page.getByText(/binder in the dry film/).locator('..')).not.toHaveText(before);
  await page.getByRole('button', { name: 'Add a paint' }).click();
  await page.getByLabel('Name or Colour Index').fill('PR108');
  await page
    .getByRole('button', { name: /Cadmium red/ })
    .first()
    .click();
  await expect(
    page.getByText(
      /Cadmium red holds cadmium and selenium.*no sanding.*safety data sheet and local rules govern/,
    ),
  ).toBeVisible();
  await expect(page.getByText(/Solvent vapour/)).toBeVisible();
});
